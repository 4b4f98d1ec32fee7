package org.sallowbrook.server.devices;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/devices/scale")
class DevicesController {

    /** One of the three: a drying lot, so many spoons or handfuls of something, or what a jar holds. */
    record PlacementRequest(
            UUID id,
            @Nullable UUID dryingRunId,
            KitchenScale.@Nullable Spoonful spoonful,
            @Nullable UUID lotId) {}

    private final KitchenScale scale;

    DevicesController(KitchenScale scale) {
        this.scale = scale;
    }

    @PostMapping("/placements")
    KitchenScale.Reading place(@RequestBody PlacementRequest request) {
        return scale.place(request.id(), request.dryingRunId(), request.spoonful(), request.lotId());
    }

    @GetMapping("/placements/{id}")
    KitchenScale.Reading read(@PathVariable UUID id) {
        return scale.read(id);
    }
}
