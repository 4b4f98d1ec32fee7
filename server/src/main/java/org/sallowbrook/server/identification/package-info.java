/** The identification engine over the cards, and the trainer. */
@ApplicationModule(
        displayName = "identification",
        allowedDependencies = {"platform", "documents", "household", "herbarium"})
@NullMarked
package org.sallowbrook.server.identification;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
