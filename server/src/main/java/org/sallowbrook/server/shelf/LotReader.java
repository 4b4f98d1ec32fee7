package org.sallowbrook.server.shelf;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.platform.Reading;
import org.springframework.stereotype.Component;

/** Finds lots and shows them. */
@Component
class LotReader {

    private final Lots lots;
    private final Standing standing;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Clock clock;
    private final Reading reading;

    LotReader(
            Lots lots,
            Standing standing,
            HerbariumService herbarium,
            PeopleService people,
            Clock clock,
            Reading reading) {
        this.reading = reading;
        this.lots = lots;
        this.standing = standing;
        this.herbarium = herbarium;
        this.people = people;
        this.clock = clock;
    }

    Lot find(UUID id) {
        return row(id).orElseThrow(() -> new Problem.NotFound("lot"));
    }

    private Optional<Lot> row(UUID id) {
        return reading.of(
                Reading.Of.LOT,
                "row",
                id,
                ids -> lots.findAllById(ids).stream().collect(Collectors.toMap(l -> l.id, Optional::of)),
                Optional.empty());
    }

    /** Those of them that there are, in no order. */
    List<LotView> views(Collection<UUID> ids) {
        reading.ahead(Reading.Of.LOT, ids);
        return ids.stream()
                .distinct()
                .flatMap(id -> row(id).stream())
                .map(this::view)
                .toList();
    }

    /** As its own row says. */
    LotView view(Lot lot) {
        return view(lot, lot.state, lot.stateReason);
    }

    /** Its state judged over its whole descent. */
    LotView judged(Lot lot) {
        if (lot.state != Product.State.USABLE && lot.state != Product.State.HOLD) {
            return view(lot);
        }
        return standing.of(lot.id).stream()
                .filter(f -> !f.code().equals("ON_HOLD"))
                .findFirst()
                .map(f -> view(lot, Product.State.QUARANTINED, f.message()))
                .orElseGet(() -> view(lot));
    }

    /** The last day on which it may be used; of what is counted in hours yesterday, once they are over. */
    private @Nullable LocalDate lastDay(Lot l) {
        Instant until = l.coldUntil;
        if (until == null || clock.instant().isBefore(until)) {
            return l.bestBefore;
        }
        LocalDate yesterday = people.today().minusDays(1);
        return l.bestBefore == null || yesterday.isBefore(l.bestBefore) ? yesterday : l.bestBefore;
    }

    private LotView view(Lot l, Product.State state, @Nullable String reason) {
        LocalDate last = lastDay(l);
        return new LotView(
                l.id,
                l.version == null ? 0 : l.version,
                l.code,
                l.stage,
                l.form,
                l.vessel,
                l.name,
                l.taxonId,
                l.part,
                l.unit,
                l.amount,
                l.remaining,
                l.strengthPercent,
                l.strengthLowPercent,
                range(l.moistureLow, l.moistureHigh),
                range(l.driedGPerUnitLow, l.driedGPerUnitHigh),
                l.herbs.stream()
                        .map(h -> new HerbView(
                                h.taxonId(), herbarium.taxon(h.taxonId()).commonName(), h.part(), h.driedG()))
                        .toList(),
                l.route,
                l.traits.isEmpty() ? java.util.Set.of() : EnumSet.copyOf(l.traits),
                l.madeOn,
                l.openedOn,
                last,
                l.roomUntil,
                l.coldUntil,
                state,
                reason,
                last != null && people.today().isAfter(last),
                l.place,
                l.holder,
                l.supplier,
                l.label,
                l.doubt,
                l.vesselId,
                l.vesselMl,
                l.heldByTheWork,
                l.racked,
                l.neverFilled,
                l.supplierLot,
                l.desiccantOn,
                l.piece,
                l.splitFrom,
                l.together);
    }

    private static @Nullable Range range(@Nullable Double low, @Nullable Double high) {
        return low == null || high == null ? null : new Range(low, high);
    }
}
