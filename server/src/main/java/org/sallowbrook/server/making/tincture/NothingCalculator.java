package org.sallowbrook.server.making.tincture;

import org.springframework.context.annotation.Profile;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What a request costs before anything is reckoned: the yardstick of {@code ./sallowbrook bench http}. */
@RestController
@Profile("measure")
class NothingCalculator {

    record NothingAnswer(Boolean feasible) {}

    @PostMapping("/api/calculators/tincture/nothing")
    NothingAnswer nothing(@RequestBody TinctureCalculator.TinctureRequest request) {
        return new NothingAnswer(!request.herbs().isEmpty());
    }
}
