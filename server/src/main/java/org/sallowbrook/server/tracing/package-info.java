/** Upstream and downstream over any depth; quarantine. Uses household, shelf and field. */
@ApplicationModule(
        displayName = "tracing",
        allowedDependencies = {"platform", "household", "drying", "field", "shelf"})
@NullMarked
package org.sallowbrook.server.tracing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
