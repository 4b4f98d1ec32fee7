/** Lots on the rack and their weighings; knows no storage. */
@ApplicationModule(
        displayName = "drying",
        allowedDependencies = {"platform", "household", "herbarium", "field"})
@NullMarked
package org.sallowbrook.server.drying;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
