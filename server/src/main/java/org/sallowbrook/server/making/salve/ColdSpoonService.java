package org.sallowbrook.server.making.salve;

import java.time.Clock;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.making.BatchReader;
import org.sallowbrook.server.making.Lesson;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How a drop set on a cold spoon; the next salve with this wax is planned by it. */
@Service
@Transactional
class ColdSpoonService {

    /** @param abovePlan share of wax more than the plan asked, as beeswax; 0 when it was followed */
    record SpoonRequest(UUID id, ColdSpoon.Verdict verdict, Double abovePlan) {}

    record SpoonView(UUID id, ColdSpoon.Verdict verdict, String by) {}

    record SpoonsView(List<SpoonView> spoons) {}

    private final ColdSpoons spoons;
    private final BatchReader batches;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    ColdSpoonService(ColdSpoons spoons, BatchReader batches, PeopleService people, Once once, Clock clock) {
        this.spoons = spoons;
        this.batches = batches;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    /** What the household's own spoons have shown of this wax, the newest first. */
    @Transactional(readOnly = true)
    List<ColdSpoon.Trial> learned(Wax wax) {
        return spoons.findTop40ByWaxOrderByNotedOnDesc(wax.name()).stream()
                .map(t -> new ColdSpoon.Trial(t.abovePlan, t.verdict))
                .toList();
    }

    @Transactional(readOnly = true)
    SpoonsView of(UUID batch) {
        return new SpoonsView(spoons.findAllByBatchId(batch).stream()
                .map(s -> new SpoonView(s.id, s.verdict, s.notedBy))
                .toList());
    }

    SpoonsView note(UUID batch, SpoonRequest request) {
        Lesson.Spoon salve = batches.lesson(batch, Lesson.Spoon.class)
                .orElseThrow(() -> new Problem.Conflict("Only a salve is tried on a cold spoon."));
        if (once.repeated("cold spoon", request.id(), spoons::existsById, batch, request)) {
            return of(batch);
        }
        ColdSpoon.Trial trial = new ColdSpoon.Trial(request.abovePlan() + salve.correction(), request.verdict());
        ColdSpoonEntity spoon = new ColdSpoonEntity(request.id());
        spoon.batchId = batch;
        spoon.wax = salve.wax();
        spoon.abovePlan = trial.abovePlan();
        spoon.verdict = trial.verdict();
        spoon.notedBy = Member.current().displayName();
        spoon.notedOn = people.today();
        spoons.saveAndFlush(spoon);
        return of(batch);
    }

    /** It set otherwise, or another was meant: the next salve is planned without it. */
    SpoonsView strike(UUID batch, UUID id, StrikeRequest request) {
        String reason = request.checked();
        ColdSpoonEntity spoon = spoons.findById(id)
                .filter(s -> s.batchId.equals(batch) && !s.struck())
                .orElseThrow(() -> new Problem.NotFound("cold spoon"));
        spoon.strike(clock.instant(), reason);
        spoons.saveAndFlush(spoon);
        return of(batch);
    }
}
