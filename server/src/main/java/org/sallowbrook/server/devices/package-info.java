/** Simulated stand-ins for outside devices. Uses field, drying and shelf. */
@ApplicationModule(
        displayName = "devices",
        allowedDependencies = {"platform", "field", "drying", "shelf"})
@NullMarked
package org.sallowbrook.server.devices;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
