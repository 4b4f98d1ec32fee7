/** Simulated stand-ins for outside devices. Uses drying. */
@ApplicationModule(
        displayName = "devices",
        allowedDependencies = {"platform", "drying"})
@NullMarked
package org.sallowbrook.server.devices;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
