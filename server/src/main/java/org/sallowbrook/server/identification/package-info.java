/** The identification engine over the cards. Uses herbarium. */
@ApplicationModule(
        displayName = "identification",
        allowedDependencies = {"platform", "herbarium"})
@NullMarked
package org.sallowbrook.server.identification;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
