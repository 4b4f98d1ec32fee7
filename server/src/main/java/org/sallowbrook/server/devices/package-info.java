/** Simulated stand-ins for outside devices. */
@ApplicationModule(
        displayName = "devices",
        allowedDependencies = {"platform", "field", "drying", "shelf"})
@NullMarked
package org.sallowbrook.server.devices;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
