/** What is printed: a document says its words as blocks, which its page shows and its paper sets. */
@ApplicationModule(
        displayName = "documents",
        allowedDependencies = {})
@NullMarked
package org.sallowbrook.server.documents;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
