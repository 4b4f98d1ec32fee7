package org.sallowbrook.server.making.oil;

import java.util.UUID;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Oil with a decoction in it, weighed in the pan. */
@RestController
@RequestMapping("/api/making")
class PanController {

    private final Pan pan;

    PanController(Pan pan) {
        this.pan = pan;
    }

    @GetMapping("/batches/{id}/pan")
    Pan.PanView pan(@PathVariable UUID id) {
        return pan.view(id);
    }

    @PostMapping("/batches/{id}/pan")
    Pan.PanView weighPan(@PathVariable UUID id, @RequestBody Pan.PanRequest request) {
        return pan.weigh(id, request);
    }

    @PostMapping("/batches/{id}/pan/{weighing}/strike")
    Pan.PanView strikePan(@PathVariable UUID id, @PathVariable UUID weighing, @RequestBody StrikeRequest request) {
        return pan.strike(id, weighing, request);
    }
}
