/** Batches from plan to bottle. Uses shelf. */
@ApplicationModule(
        displayName = "making",
        allowedDependencies = {"platform", "household", "herbarium", "drying", "shelf"})
@NullMarked
package org.sallowbrook.server.making;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
