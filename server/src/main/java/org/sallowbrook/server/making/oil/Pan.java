package org.sallowbrook.server.making.oil;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.oil.Evaporation;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.making.BatchReader;
import org.sallowbrook.server.making.Lesson;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.Ledger;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Oil on the stove with water in it: held until the pan weighs no more than the oil did. */
@Service
@Transactional
public class Pan {

    /** @param massG what is in the pan, without the pan */
    record PanRequest(UUID id, Double massG) {}

    record WeighedView(UUID id, Double massG, Instant at, String by) {}

    /** @param waterLeftG by the last weight; null before the first */
    record PanView(
            Double oilG,
            List<WeighedView> weighed,
            @Nullable Double waterLeftG,
            Boolean done,
            List<Finding> findings,
            List<String> because) {}

    private final PanWeighings weighings;
    private final BatchReader batches;
    private final Ledger ledger;
    private final Once once;
    private final Clock clock;

    Pan(PanWeighings weighings, BatchReader batches, Ledger ledger, Once once, Clock clock) {
        this.weighings = weighings;
        this.batches = batches;
        this.ledger = ledger;
        this.once = once;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    PanView view(UUID batch) {
        double oilG = oilG(batch);
        List<PanWeighing> all = weighings.findAllByBatchIdOrderByAtAscIdAsc(batch);
        Evaporation.State state = all.isEmpty() ? null : Evaporation.state(oilG, 0, all.get(all.size() - 1).massG);
        return new PanView(
                oilG,
                all.stream()
                        .map(w -> new WeighedView(w.id, w.massG, w.at, w.weighedBy))
                        .toList(),
                state == null ? null : state.waterLeftG(),
                state != null && state.done(),
                state == null ? List.of() : state.findings(),
                state == null ? List.of() : state.because());
    }

    PanView weigh(UUID batch, PanRequest request) {
        double oilG = oilG(batch);
        if (once.repeated("pan weighing", request.id(), weighings::existsById, batch, request)) {
            return view(batch);
        }
        unfilled(batch);
        Checks.begin().range("massG", request.massG(), oilG * 0.9, oilG * 100).done();
        PanWeighing weighing = new PanWeighing(request.id());
        weighing.batchId = batch;
        weighing.massG = request.massG();
        weighing.at = clock.instant();
        weighing.weighedBy = Member.current().displayName();
        weighings.saveAndFlush(weighing);
        return judged(batch);
    }

    PanView strike(UUID batch, UUID id, StrikeRequest request) {
        unfilled(batch);
        String reason = request.checked();
        PanWeighing weighing = weighings
                .findById(id)
                .filter(w -> w.batchId.equals(batch) && !w.struck())
                .orElseThrow(() -> new Problem.NotFound("weighing"));
        weighing.strike(clock.instant(), reason);
        weighings.saveAndFlush(weighing);
        return judged(batch);
    }

    /** The last weight that stands decides, whatever was weighed before it. */
    private PanView judged(UUID batch) {
        PanView view = view(batch);
        ledger.hold(
                batch,
                view.done()
                        ? null
                        : "Water may be left in the oil; weigh the pan until it is no heavier than the oil was.");
        return view;
    }

    private void unfilled(UUID batch) {
        if (!batches.one(batch).containers().isEmpty()) {
            throw new Problem.Conflict("It is filled already; set the bottles aside if it was wrong.");
        }
    }

    private double oilG(UUID batch) {
        return batches.lesson(batch, Lesson.Pan.class)
                .orElseThrow(() -> new Problem.Conflict("Only oil with a decoction in it is weighed in the pan."))
                .oilG();
    }
}
