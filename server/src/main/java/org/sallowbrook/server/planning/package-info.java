/** What to gather and make for a need. */
@ApplicationModule(
        displayName = "planning",
        allowedDependencies = {"platform", "documents", "household", "herbarium", "field", "drying", "shelf", "dosing"})
@NullMarked
package org.sallowbrook.server.planning;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
