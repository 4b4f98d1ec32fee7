/** Lays the invented household of the demo through the same services as a user. */
@ApplicationModule(
        displayName = "demo",
        allowedDependencies = {
            "platform",
            "household",
            "herbarium",
            "identification",
            "field",
            "drying",
            "shelf",
            "making",
            "making :: demo",
            "dosing",
            "notes",
            "planning",
            "tracing",
            "calendar"
        })
@NullMarked
package org.sallowbrook.server.demo;

import org.jspecify.annotations.NullMarked;
import org.springframework.modulith.ApplicationModule;
