/** Begins the demo's batches the way the bench page does. */
@NamedInterface("demo")
@NullMarked
package org.sallowbrook.server.making.demo;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.NamedInterface;
