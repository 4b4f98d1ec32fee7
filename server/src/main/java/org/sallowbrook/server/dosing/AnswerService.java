package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Prescribers and pharmacists who were asked about a plant, with their name and the day. */
@Service
@Transactional
public class AnswerService {

    /**
     * @param who prescriber or pharmacist, by name
     * @param goes whether it goes with what the person takes
     */
    public record AnswerRequest(
            UUID id, UUID personId, String taxonId, String who, Boolean goes, LocalDate on, String words) {}

    /** @param holds whether nothing has come to what the person takes since */
    public record AnswerView(
            UUID id,
            UUID personId,
            String taxonId,
            String commonName,
            String who,
            Boolean goes,
            LocalDate on,
            String words,
            Boolean holds) {}

    private final ProfessionalAnswers answers;
    private final PeopleService people;
    private final HerbariumService herbarium;
    private final LooseningService loosening;
    private final Once once;
    private final Clock clock;
    private final Reading reading;

    AnswerService(
            ProfessionalAnswers answers,
            PeopleService people,
            HerbariumService herbarium,
            LooseningService loosening,
            Once once,
            Clock clock,
            Reading reading) {
        this.reading = reading;
        this.answers = answers;
        this.people = people;
        this.herbarium = herbarium;
        this.loosening = loosening;
        this.once = once;
        this.clock = clock;
    }

    public List<AnswerView> note(AnswerRequest request) {
        herbarium.taxon(request.taxonId());
        Set<String> takes = takes(request.personId());
        if (once.repeated("professional answer", request.id(), answers::existsById, request)) {
            return of(request.personId());
        }
        LocalDate today = people.today();
        Checks.begin()
                .that(
                        request.who().strip().length() >= 2 && request.who().length() <= 120,
                        "who",
                        "must name the prescriber or pharmacist")
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(request.on().isAfter(today.minusYears(2)), "on", "is longer ago than two years; ask again")
                .that(request.words().length() <= 500, "words", "must have at most 500 letters")
                .done();
        ProfessionalAnswer answer = new ProfessionalAnswer(request.id());
        answer.personId = request.personId();
        answer.taxonId = request.taxonId();
        answer.who = request.who().strip();
        answer.goes = request.goes();
        answer.words = request.words().strip();
        answer.onDay = request.on();
        answer.medicines = String.join(",", takes);
        answer.notedBy = Member.current().displayName();
        answers.saveAndFlush(answer);
        return of(request.personId());
    }

    @Transactional(readOnly = true)
    public List<AnswerView> of(UUID personId) {
        Set<String> takes = takes(personId);
        return answersOf(personId).stream()
                .map(a -> new AnswerView(
                        a.id,
                        a.personId,
                        a.taxonId,
                        herbarium.taxon(a.taxonId).commonName(),
                        a.who,
                        a.goes,
                        a.onDay,
                        a.words,
                        holds(a, takes)))
                .toList();
    }

    /** Plants of which somebody who may say so has said that they go with what the person takes now. */
    Set<String> goWell(UUID personId) {
        Set<String> takes = takes(personId);
        return answersOf(personId).stream()
                .filter(a -> a.goes && holds(a, takes))
                .map(a -> a.taxonId)
                .collect(Collectors.toSet());
    }

    /** Those of which they said no, newest first: that holds whatever is taken since. */
    List<ProfessionalAnswer> against(UUID personId, Set<String> plants) {
        return answersOf(personId).stream()
                .filter(a -> !a.goes && plants.contains(a.taxonId))
                .toList();
    }

    public List<AnswerView> strike(UUID id, StrikeRequest request) {
        ProfessionalAnswer answer =
                answers.findById(id).filter(a -> !a.struck()).orElseThrow(() -> new Problem.NotFound("answer"));
        String reason = answer.goes
                ? request.checked()
                : loosening.pass(
                        Loosening.Safeguard.ANSWER,
                        answer.personId,
                        request,
                        answer.who + " said no to "
                                + herbarium.taxon(answer.taxonId).commonName() + " on " + Words.day(answer.onDay),
                        Set.of(answer.taxonId));
        answer.strike(clock.instant(), reason);
        answers.saveAndFlush(answer);
        return of(answer.personId);
    }

    private List<ProfessionalAnswer> answersOf(UUID personId) {
        return reading.listOf(
                Reading.Of.PERSON,
                "answers",
                personId,
                answers::findAllByPersonIdInOrderByOnDayDescIdDesc,
                a -> a.personId);
    }

    private Set<String> takes(UUID personId) {
        return people.person(personId).medicines().stream()
                .map(Enum::name)
                .collect(Collectors.toCollection(TreeSet::new));
    }

    private static boolean holds(ProfessionalAnswer answer, Set<String> takes) {
        return new HashSet<>(Arrays.asList(answer.medicines.split(","))).containsAll(takes);
    }
}
