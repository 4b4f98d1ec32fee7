package org.sallowbrook.server.household;

import java.util.List;
import org.sallowbrook.core.household.Question;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/household/schools")
class SchoolController {

    private final SchoolService schools;

    SchoolController(SchoolService schools) {
        this.schools = schools;
    }

    @GetMapping
    List<SchoolService.SchoolQuestionView> all() {
        return schools.all();
    }

    @PutMapping("/{question}")
    SchoolService.SchoolQuestionView choose(
            @PathVariable Question question, @RequestBody SchoolService.ChoiceRequest request) {
        return schools.choose(question, request);
    }
}
