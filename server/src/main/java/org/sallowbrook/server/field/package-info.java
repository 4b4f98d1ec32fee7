/** Stands, identifications of them, harvests. */
@ApplicationModule(
        displayName = "field",
        allowedDependencies = {"platform", "documents", "household", "herbarium", "identification"})
@NullMarked
package org.sallowbrook.server.field;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
