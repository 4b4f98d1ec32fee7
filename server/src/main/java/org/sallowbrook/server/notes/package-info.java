/** What people write down, about whatever the house has or a place that is nowhere on record; and when they come back. */
@ApplicationModule(
        displayName = "notes",
        allowedDependencies = {"platform", "household", "field", "shelf"})
@NullMarked
package org.sallowbrook.server.notes;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
