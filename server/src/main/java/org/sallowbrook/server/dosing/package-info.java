/** Courses and doses taken, behind every gate. Uses household, herbarium, shelf. */
@ApplicationModule(
        displayName = "dosing",
        allowedDependencies = {"platform", "household", "herbarium", "shelf"})
@NullMarked
package org.sallowbrook.server.dosing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
