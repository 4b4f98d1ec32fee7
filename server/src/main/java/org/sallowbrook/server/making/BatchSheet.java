package org.sallowbrook.server.making;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.documents.Sheet;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.util.StringUtils;

/** A batch on paper: what went in, of which lots, what is done and what really was, and how it was reckoned. */
@Component
class BatchSheet {

    private final BatchReader batches;
    private final BatchSteps steps;
    private final ShelfService shelf;

    BatchSheet(BatchReader batches, BatchSteps steps, ShelfService shelf) {
        this.batches = batches;
        this.steps = steps;
        this.shelf = shelf;
    }

    @Transactional(readOnly = true)
    Sheet of(UUID id, String page) {
        BatchReader.BatchView b = batches.one(id);
        Sheet.Builder sheet = Sheet.a4(b.name() + ", " + b.code());
        sheet.text("Begun " + Words.day(b.startedOn())
                + (b.pressOn() == null ? "" : "; to press on " + Words.day(b.pressOn())));
        if (b.stateReason() != null) {
            sheet.text(StringUtils.capitalize(Words.lower(b.state())) + ": " + b.stateReason(), Sheet.Tone.GRAVE);
        }
        sheet.heading("What went in").rows(wentIn(id));
        sheet.heading("By the plan")
                .rows(b.plan().facts().stream()
                        .map(f -> new Sheet.Row(
                                f.label(),
                                figure(f.value()) + " " + f.unit() + (f.note().isEmpty() ? "" : " (" + f.note() + ")")))
                        .toList())
                .points(b.plan().findings().stream()
                        .map(f -> f.severity() + ": " + f.message() + " " + f.action())
                        .toList());
        sheet.heading("Steps").points(done(b));
        if (b.yieldAmount() != null) {
            sheet.text("Came out: " + Words.figure(b.yieldAmount()) + " "
                    + b.plan().unit());
        }
        if (b.outcome() != null) {
            sheet.text("As it came out: " + figure(b.outcome().finalPercent()) + " % by volume")
                    .points(b.outcome().because());
        }
        if (!b.containers().isEmpty()) {
            sheet.text("Filled into: "
                    + b.containers().stream()
                            .map(BatchReader.ContainerView::code)
                            .collect(Collectors.joining(", ")));
        }
        return sheet.heading("How it was reckoned")
                .points(b.plan().because())
                .text("Reckoned by version " + b.coreVersion() + ".", Sheet.Tone.SOFT)
                .code(page, b.code())
                .done();
    }

    private List<Sheet.Row> wentIn(UUID id) {
        List<ShelfService.LinkView> into =
                shelf.links(List.of(id)).stream().filter(l -> l.to().equals(id)).toList();
        Map<UUID, LotView> lots = shelf
                .lots(into.stream().map(ShelfService.LinkView::from).toList())
                .stream()
                .collect(Collectors.toMap(LotView::id, l -> l));
        return into.stream()
                .filter(l -> lots.containsKey(l.from()))
                .map(l -> new Sheet.Row(
                        lots.get(l.from()).name() + ", " + lots.get(l.from()).code(),
                        l.amount() == null ? "an amount nobody weighed" : Words.figure(l.amount()) + " " + l.unit()))
                .toList();
    }

    private List<String> done(BatchReader.BatchView b) {
        Map<Integer, BatchStep> ticked = steps.findAllByBatchIdOrderByStep(b.id()).stream()
                .collect(Collectors.toMap(s -> s.step, s -> s, (first, again) -> again));
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < b.plan().steps().size(); i++) {
            Step step = b.plan().steps().get(i);
            BatchStep was = ticked.get(i);
            lines.add((was == null ? Sheet.OPEN : Sheet.DONE)
                    + (step.hazard() == null ? "" : step.hazard() + " ")
                    + step.text()
                    + (was == null || was.really.isBlank() ? "" : " Really: " + was.really)
                    + (was == null ? "" : " (" + was.doneBy + ")"));
        }
        return lines;
    }

    private static String figure(Range range) {
        return range.low().equals(range.high())
                ? Words.figure(range.low())
                : Words.figure(range.low()) + " to " + Words.figure(range.high());
    }
}
