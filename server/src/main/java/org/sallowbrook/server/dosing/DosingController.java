package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
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

    private final CourseService courses;
    private final DoseService doses;
    private final TrialService trials;
    private final HelpService help;

    DosingController(CourseService courses, DoseService doses, TrialService trials, HelpService help) {
        this.help = help;
        this.courses = courses;
        this.doses = doses;
        this.trials = trials;
    }

    @GetMapping("/courses")
    List<CourseService.CourseView> courses() {
        return courses.running();
    }

    @GetMapping("/courses/past")
    Past past(@RequestParam(defaultValue = "0") int page) {
        return courses.past(page);
    }

    @GetMapping("/courses/{id}")
    CourseService.CourseView course(@PathVariable UUID id) {
        return courses.one(id);
    }

    @PostMapping("/courses/check")
    CourseService.CoursePlanView check(@RequestBody CourseService.CourseRequest request) {
        return courses.check(request);
    }

    @PostMapping("/courses")
    CourseService.CourseView add(@RequestBody CourseService.CourseRequest request) {
        return courses.add(request);
    }

    @PostMapping("/courses/{id}/doses")
    CourseService.CourseView take(@PathVariable UUID id, @RequestBody DoseService.DoseRequest request) {
        return doses.take(id, request);
    }

    @PostMapping("/courses/{id}/doses/{dose}/strike")
    CourseService.CourseView strikeDose(
            @PathVariable UUID id, @PathVariable UUID dose, @RequestBody StrikeRequest request) {
        return doses.strike(id, dose, request);
    }

    @PostMapping("/trials/{id}/strike")
    List<TrialService.TrialView> strikeTrial(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        return trials.strike(id, request);
    }

    @PostMapping("/courses/{id}/end")
    CourseService.CourseView end(
            @PathVariable UUID id,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return courses.end(id, ifMatch);
    }

    @GetMapping("/people/{id}/trials")
    List<TrialService.TrialView> trials(@PathVariable UUID id) {
        return trials.trials(id);
    }

    /** What to say when something is wrong with somebody. */
    @GetMapping("/people/{id}/help")
    HelpService.HelpView help(@PathVariable UUID id) {
        return help.help(id);
    }

    @PostMapping("/people/{id}/stop")
    HelpService.HelpView stopAll(@PathVariable UUID id) {
        return help.stopAll(id);
    }

    @PostMapping("/trials")
    TrialService.TrialView trial(@RequestBody TrialService.TrialRequest request) {
        return trials.trial(request);
    }
}
