package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.http.HttpHeaders;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/dosing")
class DosingController {

    private final CourseService courses;
    private final CoursePlanner planner;
    private final DoseService doses;
    private final TrialService trials;
    private final HelpService help;
    private final AnswerService answers;
    private final ReactionService reactions;
    private final DirectService direct;
    private final DiaryService diaries;

    DosingController(
            CourseService courses,
            CoursePlanner planner,
            DoseService doses,
            TrialService trials,
            HelpService help,
            AnswerService answers,
            ReactionService reactions,
            DirectService direct,
            DiaryService diaries) {
        this.help = help;
        this.answers = answers;
        this.reactions = reactions;
        this.direct = direct;
        this.diaries = diaries;
        this.courses = courses;
        this.planner = planner;
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
    CoursePlanner.CoursePlanView check(@RequestBody CourseRequest request) {
        return planner.check(request);
    }

    @PostMapping("/courses")
    CourseService.CourseView add(@RequestBody CourseRequest request) {
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

    /** What they took in the weeks before, judged by what is known of them now. */
    @GetMapping("/people/{id}/taken-before")
    List<Finding> takenBefore(@PathVariable UUID id) {
        return help.takenBefore(id);
    }

    @GetMapping("/people/{id}/answers")
    List<AnswerService.AnswerView> answers(@PathVariable UUID id) {
        return answers.of(id);
    }

    /** What a prescriber or pharmacist said. */
    @PostMapping("/answers")
    List<AnswerService.AnswerView> answer(@RequestBody AnswerService.AnswerRequest request) {
        return answers.note(request);
    }

    @PostMapping("/answers/{id}/strike")
    List<AnswerService.AnswerView> strikeAnswer(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        return answers.strike(id, request);
    }

    @PostMapping("/people/{id}/stop")
    HelpService.HelpView stopAll(@PathVariable UUID id) {
        return help.stopAll(id);
    }

    /** Asked how it goes. */
    @PostMapping("/courses/{id}/asked")
    CourseService.CourseView asked(@PathVariable UUID id, @RequestBody CourseService.AskedRequest request) {
        return courses.asked(id, request);
    }

    @PostMapping("/reactions")
    ReactionService.Noted react(@RequestBody ReactionService.ReactionRequest request) {
        return reactions.note(request);
    }

    @GetMapping("/people/{id}/reactions")
    List<ReactionService.ReactionView> reactions(@PathVariable UUID id) {
        return reactions.of(id);
    }

    /** Everybody's with a plant. */
    @GetMapping("/plants/{taxon}/reactions")
    List<ReactionService.ReactionView> reactionsWith(@PathVariable String taxon) {
        return reactions.with(taxon);
    }

    @PostMapping("/reactions/{id}/strike")
    List<ReactionService.ReactionView> strikeReaction(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        return reactions.strike(id, request);
    }

    /** What the gates say of using a plant as it is; nothing saved. */
    @PostMapping("/direct/check")
    DirectService.DirectCheck checkDirect(@RequestBody DirectService.DirectRequest request) {
        return direct.check(request);
    }

    @PostMapping("/direct")
    DirectService.DirectView direct(@RequestBody DirectService.DirectRequest request) {
        return direct.use(request);
    }

    @GetMapping("/direct")
    Past directPast(@RequestParam(defaultValue = "0") int page) {
        return direct.past(page);
    }

    @GetMapping("/direct/{id}")
    DirectService.DirectView directOne(@PathVariable UUID id) {
        return direct.one(id);
    }

    @PostMapping("/direct/{id}/asked")
    DirectService.DirectView askedDirect(@PathVariable UUID id) {
        return direct.asked(id);
    }

    @PostMapping("/direct/{id}/strike")
    DirectService.DirectView strikeDirect(@PathVariable UUID id, @RequestBody StrikeRequest request) {
        return direct.strike(id, request);
    }

    @GetMapping("/courses/{id}/diary")
    DiaryService.DiaryView diary(@PathVariable UUID id) {
        return diaries.view(id);
    }

    @PutMapping("/courses/{id}/diary")
    DiaryService.DiaryView keepDiary(@PathVariable UUID id, @RequestBody DiaryService.DiaryRequest request) {
        return diaries.keep(id, request);
    }

    @PostMapping("/courses/{id}/diary/days")
    DiaryService.DiaryView noteDay(@PathVariable UUID id, @RequestBody DiaryService.DiaryDayRequest request) {
        return diaries.note(id, request);
    }

    @PostMapping("/courses/{id}/diary/days/{day}/strike")
    DiaryService.DiaryView strikeDay(
            @PathVariable UUID id, @PathVariable UUID day, @RequestBody StrikeRequest request) {
        return diaries.strike(id, day, request);
    }

    @PostMapping("/trials")
    TrialService.TrialView trial(@RequestBody TrialService.TrialRequest request) {
        return trials.trial(request);
    }
}
