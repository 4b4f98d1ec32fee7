package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Past;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/dosing")
class DosingController {

    private final DosingService dosing;

    DosingController(DosingService dosing) {
        this.dosing = dosing;
    }

    @GetMapping("/courses")
    List<DosingService.CourseView> courses() {
        return dosing.running();
    }

    @GetMapping("/courses/past")
    Past past(@RequestParam(defaultValue = "0") int page) {
        return dosing.past(page);
    }

    @GetMapping("/courses/{id}")
    DosingService.CourseView course(@PathVariable UUID id) {
        return dosing.one(id);
    }

    @PostMapping("/courses/check")
    DosingService.CoursePlanView check(@RequestBody DosingService.CourseRequest request) {
        return dosing.check(request);
    }

    @PostMapping("/courses")
    DosingService.CourseView add(@RequestBody DosingService.CourseRequest request) {
        return dosing.add(request);
    }

    @PostMapping("/courses/{id}/doses")
    DosingService.CourseView take(@PathVariable UUID id, @RequestBody DosingService.DoseRequest request) {
        return dosing.take(id, request);
    }

    @PostMapping("/courses/{id}/end")
    DosingService.CourseView end(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return dosing.end(id, ifMatch);
    }

    @GetMapping("/people/{id}/trials")
    List<DosingService.TrialView> trials(@PathVariable UUID id) {
        return dosing.trials(id);
    }

    @PostMapping("/trials")
    DosingService.TrialView trial(@RequestBody DosingService.TrialRequest request) {
        return dosing.trial(request);
    }
}
