/** Upstream and downstream over any depth; quarantine. Uses shelf and field. */
@ApplicationModule(
        displayName = "tracing",
        allowedDependencies = {"platform", "drying", "field", "shelf"})
@NullMarked
package org.sallowbrook.server.tracing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
