package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Follow;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.Shaking;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What steeps is shaken and pressed, what is pressed is filled. */
@Component
class BatchesDue implements DueSource {

    private final Batches batches;
    private final BatchReader reader;
    private final Shakes shakes;
    private final ShelfService shelf;
    private final Reading reading;

    BatchesDue(Batches batches, BatchReader reader, Shakes shakes, ShelfService shelf, Reading reading) {
        this.batches = batches;
        this.reader = reader;
        this.shakes = shakes;
        this.shelf = shelf;
        this.reading = reading;
    }

    @Override
    @Transactional(readOnly = true)
    public void ahead() {
        shelf.ahead(open().stream().map(b -> b.id).toList());
    }

    private List<Batch> open() {
        return reading.once(
                "open batches", () -> batches.findAllByStatusNotOrderByStartedOnDescIdDesc(BatchStatus.FINISHED));
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        List<Batch> open = open();
        Map<UUID, LotView> lots = reader.lots(open);
        Map<UUID, LocalDate> shaken = shakes.last(open.stream().map(b -> b.id).toList()).stream()
                .collect(Collectors.toMap(Shakes.Last::batchId, Shakes.Last::onDay));
        List<Due> due = new ArrayList<>();
        for (Batch b : open) {
            LotView lot = lots.get(b.id);
            if (lot == null || lot.state() == Product.State.QUARANTINED || lot.state() == Product.State.DESTROYED) {
                continue;
            }
            if (b.status == BatchStatus.PRESSED) {
                add(due, span, b, lot, Due.Kind.FILL, "Fill ", span.today(), lot.remaining());
                continue;
            }
            Optional<StoredPlan> plan = reader.readable(b);
            List<Follow> follows = plan.map(StoredPlan::follows).orElse(List.of());
            LocalDate press = b.pressOn;
            if (press != null) {
                add(
                        due,
                        span,
                        b,
                        lot,
                        Due.Kind.PRESS,
                        "Press ",
                        press,
                        // What lies under an oil is asked when it is pressed, on its own page.
                        follows.contains(Follow.SETTLE)
                                ? null
                                : plan.map(p -> p.yield().low()).orElse(null));
            }
            LocalDate shake = Shaking.next(b.startedOn, shaken.get(b.id));
            // What is due to be pressed need not be shaken first.
            if (follows.contains(Follow.SHAKE)
                    && (press == null || shake.isBefore(press) && span.today().isBefore(press))) {
                add(due, span, b, lot, Due.Kind.SHAKE, "Shake ", shake, null);
            }
        }
        return due;
    }

    private static void add(
            List<Due> due,
            Span span,
            Batch b,
            LotView lot,
            Due.Kind kind,
            String verb,
            LocalDate on,
            @Nullable Double amount) {
        // A shake that was missed is due today, not late: herb does not count days.
        LocalDate day = kind == Due.Kind.SHAKE && on.isBefore(span.today()) ? span.today() : on;
        if (span.holds(day)) {
            due.add(new Due(
                    kind,
                    "making",
                    b.id,
                    verb + lot.name(),
                    lot.code() + ", day " + ChronoUnit.DAYS.between(b.startedOn, day),
                    day,
                    span.morning(day),
                    kind == Due.Kind.PRESS && day.isBefore(span.today()),
                    b.version,
                    null,
                    amount,
                    lot.unit()));
        }
    }
}
