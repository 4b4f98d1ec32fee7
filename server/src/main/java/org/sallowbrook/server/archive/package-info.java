/** All records of a household as one file of open formats, and back. */
@ApplicationModule(
        displayName = "archive",
        allowedDependencies = {"platform", "documents", "household"})
@NullMarked
package org.sallowbrook.server.archive;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
