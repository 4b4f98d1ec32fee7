package org.sallowbrook.server.identification;

import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/training")
class TrainingController {

    private final TrainingService training;

    TrainingController(TrainingService training) {
        this.training = training;
    }

    @GetMapping("/next")
    TrainingService.TrainingRound next(@RequestParam(required = false) @Nullable Set<String> first) {
        return training.next(first == null ? Set.of() : first);
    }

    @PostMapping("/answers")
    TrainingService.TrainingOutcome answer(@RequestBody TrainingService.TrainingAnswer request) {
        return training.answer(request);
    }

    @GetMapping("/mine")
    TrainingService.TrainedSkills mine() {
        return training.mine();
    }
}
