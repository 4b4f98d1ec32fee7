package org.sallowbrook.server.planning;

import java.time.LocalDate;
import java.util.List;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** What the kept plan picks in its week: done by a harvest at the stand. A week that was skipped is the next plan's to mend. */
@Component
class YearDue implements DueSource {

    private static final int LAST_DAY = 6;

    private final PlannedPicks planned;
    private final StandService stands;
    private final HarvestService harvests;

    YearDue(PlannedPicks planned, StandService stands, HarvestService harvests) {
        this.planned = planned;
        this.stands = stands;
        this.harvests = harvests;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Due> due(Span span) {
        LocalDate earliest = span.today().minusDays(LAST_DAY);
        List<PlannedPick> picks = planned.findAllByWeekOfBetweenOrderByWeekOfAscIdAsc(earliest, span.to());
        if (picks.isEmpty()) {
            return List.of();
        }
        List<HarvestService.HarvestView> done = harvests.weighedSince(earliest);
        return picks.stream()
                .filter(p -> done.stream()
                        .noneMatch(
                                h -> h.standId().equals(p.standId) && h.part() == p.part && !h.on().isBefore(p.weekOf)))
                .map(p -> due(p, span))
                .toList();
    }

    private Due due(PlannedPick p, Span span) {
        StandService.StandView stand = stands.stand(p.standId);
        LocalDate on = p.weekOf.isBefore(span.today()) ? span.today() : p.weekOf;
        return new Due(
                Due.Kind.GATHER,
                "field",
                p.standId,
                "Gather at " + stand.name(),
                Words.grams(p.freshG) + " of " + stand.commonName() + ", " + Words.lower(p.part) + ", by "
                        + Words.day(p.weekOf.plusDays(LAST_DAY)),
                on,
                span.morning(on),
                false,
                null,
                p.part.ordinal(),
                null,
                null);
    }
}
