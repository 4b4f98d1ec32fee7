/** Finds whatever the household has, by name. */
@ApplicationModule(
        displayName = "search",
        allowedDependencies = {"platform"})
@NullMarked
package org.sallowbrook.server.search;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
