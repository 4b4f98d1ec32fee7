/** What to gather and make for a need. Uses household, herbarium, field, drying and shelf. */
@ApplicationModule(
        displayName = "planning",
        allowedDependencies = {"platform", "household", "herbarium", "field", "drying", "shelf"})
@NullMarked
package org.sallowbrook.server.planning;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
