/** How the phones of a house reach its machine: over https, by an authority of the household's own. */
@ApplicationModule(
        displayName = "joining",
        allowedDependencies = {"platform", "documents"})
@NullMarked
package org.sallowbrook.server.joining;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
