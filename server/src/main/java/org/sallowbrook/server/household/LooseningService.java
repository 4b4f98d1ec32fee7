package org.sallowbrook.server.household;

import java.time.Clock;
import java.time.Instant;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** The one way by which what was noted for safety is taken back; keeps what was, who took it back and why. */
@Service
@Transactional
public class LooseningService {

    /** @param was what had been noted, in words */
    public record LoosenedView(
            UUID id,
            Loosening.Safeguard safeguard,
            String what,
            String was,
            String reason,
            String by,
            @Nullable String second,
            Instant at) {}

    /** More is history that nobody reads on a page. */
    private static final int SHOWN = 20;

    private static final int LONGEST = 1000;

    private final LoosenedLines lines;
    private final SecondService seconds;
    private final Gatekeeper gatekeeper;
    private final PeopleService people;
    private final Clock clock;
    private final Reading reading;

    LooseningService(
            LoosenedLines lines,
            SecondService seconds,
            Gatekeeper gatekeeper,
            PeopleService people,
            Clock clock,
            Reading reading) {
        this.reading = reading;
        this.lines = lines;
        this.seconds = seconds;
        this.gatekeeper = gatekeeper;
        this.people = people;
        this.clock = clock;
    }

    /** {@link #pass(Loosening.Safeguard, UUID, StrikeRequest, String, Collection)} of what concerns no plant of a person. */
    @Transactional(propagation = Propagation.MANDATORY)
    public String pass(Loosening.Safeguard what, UUID subject, StrikeRequest request, String was) {
        return pass(what, subject, request, was, Set.of());
    }

    /**
     * @param subject what is shown with the mark that stays
     * @param was what had been noted, in words
     * @return the reason
     * @throws Problem.Refused when it may not be taken back by this hand, or so
     */
    @Transactional(propagation = Propagation.MANDATORY)
    public String pass(
            Loosening.Safeguard what, UUID subject, StrikeRequest request, String was, Collection<String> plants) {
        String reason = request.reason().strip();
        String second = seconds.signed(request.second(), subject);
        List<Finding> findings = Loosening.check(
                what, new Loosening.Hand(Member.current().role() == Member.Role.KEEPER, second), reason);
        if (!findings.isEmpty()) {
            throw new Problem.Refused(findings);
        }
        Loosened line = new Loosened(Owned.newId());
        line.subjectId = subject;
        line.safeguard = what;
        line.was = was.length() > LONGEST ? was.substring(0, LONGEST) : was;
        line.reason = reason;
        line.loosenedBy = Member.current().displayName();
        line.second = second;
        line.at = clock.instant();
        line.plants = String.join(",", plants);
        lines.saveAndFlush(line);
        gatekeeper.record(what.words() + " taken back", subject, what.name(), line.was + " / " + reason);
        return reason;
    }

    @Transactional(readOnly = true)
    public List<LoosenedView> of(UUID subject) {
        return lines.findAllBySubjectIdOrderByAtDesc(subject, Limit.of(SHOWN)).stream()
                .map(l -> new LoosenedView(
                        l.id, l.safeguard, l.safeguard.words(), l.was, l.reason, l.loosenedBy, l.second, l.at))
                .toList();
    }

    /** What was taken back of a stand, or of lots, for whoever is about to use them. */
    @Transactional(readOnly = true)
    public List<Finding> told(Collection<UUID> subjects) {
        UUID all = new UUID(0, 0);
        return told(Map.of(all, List.copyOf(subjects))).getOrDefault(all, List.of());
    }

    /** The same of many, each with what it comes from. */
    @Transactional(readOnly = true)
    public Map<UUID, List<Finding>> told(Map<UUID, List<UUID>> subjects) {
        Set<UUID> all = subjects.values().stream().flatMap(List::stream).collect(Collectors.toSet());
        if (all.isEmpty()) {
            return Map.of();
        }
        int most = SHOWN * subjects.size();
        List<Loosened> found = lines.findAllBySubjectIdInOrderByAtDesc(all, Limit.of(most));
        // Where there are more, one with many would leave no room for what was taken back of another.
        boolean whole = found.size() < most;
        return subjects.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey,
                        e -> (whole ? found : lines.findAllBySubjectIdInOrderByAtDesc(e.getValue(), Limit.of(SHOWN)))
                                .stream()
                                        .filter(l -> e.getValue().contains(l.subjectId))
                                        .limit(SHOWN)
                                        .map(l -> Finding.note(
                                                "TAKEN_BACK", told(l), "It may be used; whoever uses it should know."))
                                        .toList()));
    }

    /** What was taken back of what somebody did not bear of these plants. */
    @Transactional(readOnly = true)
    public List<Finding> toldOf(UUID person, Set<String> plants) {
        return reading.listOf(Reading.Of.PERSON, "taken back", person, this::newest, l -> l.subjectId).stream()
                .filter(l -> Arrays.stream(l.plants.split(",")).anyMatch(plants::contains))
                .map(l -> Finding.warn(
                        "REACTION_TAKEN_BACK",
                        told(l),
                        "If there is any doubt whether it was this plant, leave it and ask a doctor."))
                .toList();
    }

    private List<Loosened> newest(Set<UUID> subjects) {
        int most = SHOWN * subjects.size();
        List<Loosened> found = lines.findAllBySubjectIdInOrderByAtDesc(subjects, Limit.of(most));
        // As above: of each its own newest, where all together are more than fit.
        return found.size() < most
                ? found
                : subjects.stream()
                        .flatMap(s -> lines.findAllBySubjectIdOrderByAtDesc(s, Limit.of(SHOWN)).stream())
                        .toList();
    }

    private String told(Loosened l) {
        return capital(l.was) + "; taken back by " + l.loosenedBy + (l.second == null ? "" : " and " + l.second)
                + " on " + Words.day(l.at.atZone(people.zone()).toLocalDate()) + ": " + l.reason;
    }

    private static String capital(String words) {
        return words.isEmpty() ? words : Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
