package org.sallowbrook.server.making;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A batch at the stove: where its steps stand, what was really poured, and when a wait is over. */
@Service
@Transactional
class Kitchen {

    /** @param really what was done instead; null where the step was followed */
    record StepDoneRequest(UUID id, Integer step, @Nullable String really) {}

    record StepBackRequest(String reason) {}

    record StepDone(Integer step, @Nullable String really, Instant at, String by) {}

    /**
     * @param at the step that is next; as many as there are once all are done
     * @param waitUntil when the wait before it is over; null where nothing is waited for, or it has not begun
     */
    record KitchenView(
            UUID batchId,
            String name,
            String code,
            List<Step> steps,
            List<StepDone> done,
            Integer at,
            @Nullable Instant waitUntil) {}

    private final BatchSteps steps;
    private final BatchReader batches;
    private final Clock clock;

    Kitchen(BatchSteps steps, BatchReader batches, Clock clock) {
        this.steps = steps;
        this.batches = batches;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    KitchenView view(UUID batch) {
        BatchReader.BatchView view = batches.one(batch);
        List<Step> all = view.plan().steps();
        List<BatchStep> done = steps.findAllByBatchIdOrderByStep(batch);
        int at = Step.next(all, done.isEmpty() ? 0 : done.get(done.size() - 1).step + 1, phase(view));
        Double wait = at < all.size() ? all.get(at).timerMinutes() : null;
        Instant since = done.isEmpty() ? null : done.get(done.size() - 1).doneAt;
        return new KitchenView(
                batch,
                view.name(),
                view.code(),
                all,
                done.stream()
                        .map(s -> new StepDone(s.step, s.really.isEmpty() ? null : s.really, s.doneAt, s.doneBy))
                        .toList(),
                at,
                wait == null || since == null ? null : since.plus(Duration.ofSeconds(Math.round(wait * 60))));
    }

    private static Step.Phase phase(BatchReader.BatchView batch) {
        return batch.status() != BatchStatus.STEEPING
                ? Step.Phase.PRESSED
                : batch.day() > 0 ? Step.Phase.RESTING : Step.Phase.BEGUN;
    }

    /** Ticks the next step off; the same step twice counts once. */
    KitchenView done(UUID batch, StepDoneRequest request) {
        KitchenView before = view(batch);
        String really = request.really() == null ? "" : request.really().strip();
        Checks.begin()
                .that(
                        request.step() >= 0 && request.step() < before.steps().size(),
                        "step",
                        "must be one of the batch's steps")
                .that(really.length() <= 200, "really", "must have at most 200 letters")
                .done();
        if (request.step() < before.at() || steps.existsById(request.id())) {
            return before;
        }
        if (request.step() > before.at()) {
            throw new Problem.Conflict("The step before is not ticked off yet.");
        }
        BatchStep step = new BatchStep(request.id());
        step.batchId = batch;
        step.step = request.step();
        step.really = really;
        step.doneAt = clock.instant();
        step.doneBy = Member.current().displayName();
        steps.saveAndFlush(step);
        return view(batch);
    }

    /** Strikes the last step out: it was not done after all. */
    KitchenView back(UUID batch, StepBackRequest request) {
        List<BatchStep> done = steps.findAllByBatchIdOrderByStep(batch);
        if (!done.isEmpty()) {
            BatchStep last = done.get(done.size() - 1);
            last.strike(clock.instant(), request.reason().isBlank() ? "gone back" : request.reason());
            steps.saveAndFlush(last);
        }
        return view(batch);
    }
}
