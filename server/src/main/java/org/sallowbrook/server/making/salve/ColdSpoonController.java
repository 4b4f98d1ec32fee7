package org.sallowbrook.server.making.salve;

import java.util.UUID;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** A salve tried on a cold spoon. */
@RestController
@RequestMapping("/api/making")
class ColdSpoonController {

    private final ColdSpoonService spoons;

    ColdSpoonController(ColdSpoonService spoons) {
        this.spoons = spoons;
    }

    @GetMapping("/batches/{id}/spoons")
    ColdSpoonService.SpoonsView spoons(@PathVariable UUID id) {
        return spoons.of(id);
    }

    @PostMapping("/batches/{id}/spoons")
    ColdSpoonService.SpoonsView spoon(@PathVariable UUID id, @RequestBody ColdSpoonService.SpoonRequest request) {
        return spoons.note(id, request);
    }

    @PostMapping("/batches/{id}/spoons/{spoon}/strike")
    ColdSpoonService.SpoonsView strikeSpoon(
            @PathVariable UUID id, @PathVariable UUID spoon, @RequestBody StrikeRequest request) {
        return spoons.strike(id, spoon, request);
    }
}
