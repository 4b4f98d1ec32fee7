/** Courses and doses taken, behind every gate. */
@ApplicationModule(
        displayName = "dosing",
        allowedDependencies = {"platform", "documents", "household", "herbarium", "field", "shelf", "making"})
@NullMarked
package org.sallowbrook.server.dosing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
