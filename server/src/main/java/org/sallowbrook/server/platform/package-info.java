/** What every room stands on: households kept apart, strict requests, errors as data, signed-in members. */
@ApplicationModule(
        type = ApplicationModule.Type.OPEN,
        displayName = "platform",
        allowedDependencies = {})
@NullMarked
package org.sallowbrook.server.platform;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
