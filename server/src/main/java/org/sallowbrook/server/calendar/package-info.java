/** What is to be done today, and what will be. */
@ApplicationModule(
        displayName = "calendar",
        allowedDependencies = {"platform", "household", "field", "drying", "shelf", "making", "dosing"})
@NullMarked
package org.sallowbrook.server.calendar;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
