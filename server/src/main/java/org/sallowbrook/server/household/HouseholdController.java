package org.sallowbrook.server.household;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import org.springframework.http.HttpStatus;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** Settings and members, for the keeper; one's own password and sessions, for everyone. */
@RestController
class HouseholdController {

    private final HouseholdService household;
    private final Copies copies;
    private final Watch watch;
    private final SecondService seconds;
    private final LooseningService loosening;

    HouseholdController(
            HouseholdService household, Copies copies, SecondService seconds, LooseningService loosening, Watch watch) {
        this.watch = watch;
        this.seconds = seconds;
        this.loosening = loosening;
        this.copies = copies;
        this.household = household;
    }

    @GetMapping("/api/household/settings")
    HouseholdService.SettingsView settings() {
        return household.settings();
    }

    @PutMapping("/api/household/settings")
    HouseholdService.SettingsView change(@RequestBody HouseholdService.SettingsRequest request) {
        return household.change(request);
    }

    @GetMapping("/api/household/members")
    List<HouseholdService.MemberView> members() {
        return household.members();
    }

    @PostMapping("/api/household/members")
    HouseholdService.MemberView add(@RequestBody HouseholdService.MemberRequest request) {
        return household.add(request);
    }

    @PutMapping("/api/household/members/{id}")
    HouseholdService.MemberView change(@PathVariable UUID id, @RequestBody HouseholdService.MemberChange request) {
        return household.change(id, request);
    }

    @PostMapping("/api/household/members/{id}/reset")
    HouseholdService.ResetView reset(@PathVariable UUID id) {
        return household.reset(id);
    }

    @GetMapping("/api/household/backup")
    Copies.BackupView backup() {
        return copies.view();
    }

    /** How the machine does that keeps all this, and what will hurt if nobody looks after it. */
    @GetMapping("/api/household/watch")
    Watch.WatchView watch() {
        return watch.view();
    }

    /** The regions of the cards that ship, for the first page of a new household. */
    @GetMapping("/api/setup")
    List<String> regions() {
        return household.regions();
    }

    @PostMapping("/api/session/reset")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void resetPassword(@RequestBody HouseholdService.ResetRequest body, HttpServletRequest request) {
        household.resetPassword(body, request.getRemoteAddr());
    }

    @PutMapping("/api/session/password")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void changePassword(@RequestBody HouseholdService.PasswordRequest body, HttpServletRequest request) {
        household.changePassword(body, request.getSession().getId(), request.getRemoteAddr());
    }

    @GetMapping("/api/session/all")
    List<HouseholdService.SessionEntry> sessions(HttpServletRequest request) {
        return household.sessions(request.getSession().getId());
    }

    @DeleteMapping("/api/session/all/{handle}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSession(@PathVariable String handle) {
        household.endSession(handle);
    }

    @GetMapping("/api/household/members/sessions")
    List<HouseholdService.SessionEntry> sessionsOfAll(HttpServletRequest request) {
        return household.sessionsOfAll(request.getSession().getId());
    }

    @DeleteMapping("/api/household/members/sessions/{handle}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void endSessionOfAnybody(@PathVariable String handle) {
        household.endSessionOfAnybody(handle);
    }

    /** Who may look as a second, without an account. */
    @GetMapping("/api/household/observers")
    List<SecondService.ObserverView> observers() {
        return seconds.observers();
    }

    @PostMapping("/api/household/observers")
    List<SecondService.ObserverView> nameObserver(@RequestBody SecondService.ObserverRequest request) {
        return seconds.name(request);
    }

    @PostMapping("/api/household/observers/{id}/end")
    List<SecondService.ObserverView> endObserver(@PathVariable UUID id) {
        return seconds.end(id);
    }

    /** A second person signs, with their own name and password, for what is done next here. */
    @PostMapping("/api/session/second")
    SecondService.SignedView second(@RequestBody SecondService.SignRequest body, HttpServletRequest request) {
        return seconds.sign(body, request.getRemoteAddr());
    }

    /** What was noted for safety of a stand, lot, batch or person, and taken back. */
    @GetMapping("/api/household/loosened/{subject}")
    List<LooseningService.LoosenedView> loosened(@PathVariable UUID subject) {
        return loosening.of(subject);
    }
}
