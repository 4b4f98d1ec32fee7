/** Turns what people type, with the units of their kitchen, into the core's grams, millilitres, per cent and °C. */
@ApplicationModule(allowedDependencies = "platform")
@NullMarked
package org.sallowbrook.server.measure;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
