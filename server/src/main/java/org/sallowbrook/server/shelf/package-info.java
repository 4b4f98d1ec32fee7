/** Lots of every kind, their links and their state: jars, spirits, oils, bottles, tins. */
@ApplicationModule(
        displayName = "shelf",
        allowedDependencies = {"platform", "documents", "household", "herbarium", "field", "drying"})
@NullMarked
package org.sallowbrook.server.shelf;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
