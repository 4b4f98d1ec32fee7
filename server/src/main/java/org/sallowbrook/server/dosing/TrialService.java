package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.LooseningService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** First small trials of a plant, and how they went. */
@Service
@Transactional
public class TrialService {

    /** @param way for which it speaks: what the skin bore, the stomach need not */
    public record TrialRequest(
            UUID id, UUID personId, String taxonId, DosingGate.Way way, LocalDate on, String reaction, Boolean well) {}

    /** @param way null for those noted before it was asked */
    public record TrialView(
            UUID id,
            UUID personId,
            String taxonId,
            DosingGate.@Nullable Way way,
            LocalDate on,
            String reaction,
            Boolean well) {}

    private final PlantTrials trials;
    private final PeopleService people;
    private final LooseningService loosening;
    private final HerbariumService herbarium;
    private final Once once;
    private final Clock clock;

    TrialService(
            PlantTrials trials,
            PeopleService people,
            LooseningService loosening,
            HerbariumService herbarium,
            Once once,
            Clock clock) {
        this.loosening = loosening;
        this.trials = trials;
        this.people = people;
        this.herbarium = herbarium;
        this.once = once;
        this.clock = clock;
    }

    public TrialView trial(TrialRequest request) {
        if (once.repeated("trial", request.id(), trials::existsById, request)) {
            return view(trials.findById(request.id()).orElseThrow(() -> new Problem.NotFound("trial")));
        }
        people.one(request.personId());
        herbarium.taxon(request.taxonId());
        Checks.begin()
                .that(
                        request.way() == DosingGate.Way.MOUTH || request.way() == DosingGate.Way.SKIN,
                        "way",
                        "must be MOUTH or SKIN")
                .that(!request.on().isAfter(people.today()), "on", "must not be in the future")
                .that(request.on().isAfter(people.today().minusYears(20)), "on", "must be within twenty years")
                .that(
                        !request.reaction().isBlank() && request.reaction().length() <= 300,
                        "reaction",
                        "must say how it went, in at most 300 letters")
                .done();
        PlantTrial trial = new PlantTrial(request.id());
        trial.personId = request.personId();
        trial.taxonId = request.taxonId();
        trial.onDay = request.on();
        trial.reaction = request.reaction().strip();
        trial.way = request.way();
        trial.well = request.well();
        return view(trials.saveAndFlush(trial));
    }

    @Transactional(readOnly = true)
    public List<TrialView> trials(UUID personId) {
        people.one(personId);
        return trials.findAllByPersonId(personId).stream()
                .map(TrialService::view)
                .toList();
    }

    private static TrialView view(PlantTrial t) {
        return new TrialView(t.id, t.personId, t.taxonId, t.way, t.onDay, t.reaction, t.well);
    }

    /** It was another plant or another person: what was built on it is judged without it. */
    public List<TrialView> strike(UUID id, StrikeRequest request) {
        PlantTrial trial =
                trials.findById(id).filter(t -> !t.struck()).orElseThrow(() -> new Problem.NotFound("trial"));
        // One that went well only ever opened something.
        String reason = trial.well
                ? request.checked()
                : loosening.pass(
                        Loosening.Safeguard.TRIAL,
                        trial.personId,
                        request,
                        "a first trial of " + herbarium.taxon(trial.taxonId).commonName() + " on "
                                + Words.day(trial.onDay) + " was not borne: " + trial.reaction,
                        Set.of(trial.taxonId));
        trial.strike(clock.instant(), reason);
        trials.saveAndFlush(trial);
        return trials(trial.personId);
    }
}
