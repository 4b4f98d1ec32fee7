/** Courses and doses taken, behind every gate. Uses household, herbarium, shelf, making. */
@ApplicationModule(
        displayName = "dosing",
        allowedDependencies = {"platform", "household", "herbarium", "shelf", "making"})
@NullMarked
package org.sallowbrook.server.dosing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
