/** Reads plant cards into core types and serves them. */
@ApplicationModule(
        displayName = "herbarium",
        allowedDependencies = {"platform", "documents", "household"})
@NullMarked
package org.sallowbrook.server.herbarium;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
