/** Accounts, people and recipients. */
@ApplicationModule(
        displayName = "household",
        allowedDependencies = {"platform"})
@NullMarked
package org.sallowbrook.server.household;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
