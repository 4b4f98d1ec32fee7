package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.platform.YearChapter;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** What was begun at the bench, out of what, and what came of it. */
@Component
class MadeInYear implements YearChapter {

    private final Batches batches;
    private final ShelfService shelf;

    MadeInYear(Batches batches, ShelfService shelf) {
        this.batches = batches;
        this.shelf = shelf;
    }

    @Override
    public Chapter chapter() {
        return Chapter.MADE;
    }

    @Override
    public List<Line> lines(LocalDate from, LocalDate to, int most) {
        List<Batch> begun = batches.findAllByStartedOnBetweenOrderByStartedOnAscIdAsc(from, to, Limit.of(most));
        List<UUID> ids = begun.stream().map(b -> b.id).toList();
        List<ShelfService.LinkView> links = shelf.links(ids);
        Map<UUID, LotView> lots = shelf
                .lots(java.util.stream.Stream.concat(
                                ids.stream(), links.stream().map(ShelfService.LinkView::from))
                        .distinct()
                        .toList())
                .stream()
                .collect(Collectors.toMap(LotView::id, l -> l));
        return begun.stream().map(b -> line(b, links, lots)).toList();
    }

    private static Line line(Batch b, List<ShelfService.LinkView> links, Map<UUID, LotView> lots) {
        LotView lot = lots.get(b.id);
        String out = links.stream()
                .filter(l -> l.to().equals(b.id) && lots.containsKey(l.from()))
                .map(l -> lots.get(l.from()).name()
                        + (l.amount() == null ? "" : " " + Words.figure(l.amount()) + " " + l.unit()))
                .collect(Collectors.joining(", "));
        return new Line(
                b.startedOn,
                (lot == null ? Words.lower(b.kind) : lot.name() + " (" + lot.code() + ")")
                        + (out.isEmpty() ? "" : ", of " + out)
                        + (b.yieldAmount == null || lot == null
                                ? ""
                                : "; came to " + Words.figure(b.yieldAmount) + " " + lot.unit()),
                List.of());
    }
}
