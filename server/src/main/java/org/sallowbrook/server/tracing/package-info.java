/** Upstream and downstream over any depth; quarantine. */
@ApplicationModule(
        displayName = "tracing",
        allowedDependencies = {"platform", "household", "herbarium", "drying", "field", "shelf", "dosing", "documents"})
@NullMarked
package org.sallowbrook.server.tracing;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
