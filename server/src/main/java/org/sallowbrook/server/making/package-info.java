/**
 * Batches from plan to bottle: what every preparation has in common. Each kind has its {@link Bench} in a room inside, which
 * uses this one and is not known to it.
 */
@ApplicationModule(
        displayName = "making",
        allowedDependencies = {"platform", "documents", "household", "herbarium", "drying", "shelf"})
@NullMarked
package org.sallowbrook.server.making;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
