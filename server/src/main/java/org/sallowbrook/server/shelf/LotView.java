package org.sallowbrook.server.shelf;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.BoughtGate;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.platform.Range;

/**
 * A lot as it is shown.
 *
 * @param taxonId of what holds one plant only
 * @param strengthPercent its upper end where it is a range; strengthLowPercent: its lower end, null where it is exact
 * @param vesselId of the household's own; null for another
 * @param vesselMl what its vessel holds brimful; null where unknown
 * @param heldByTheWork whether its hold is lifted by what is done with its batch only
 * @param racked of a harvest: whether it was laid out to dry
 * @param neverFilled of a bottle: whether its filling was struck out
 * @param piece what one piece of it holds, in its own unit; null for what is not in pieces
 * @param splitFrom the jar it was a part of; null for all else
 * @param together whether two were poured into it
 * @param roomUntil of what is counted in hours: until when it may stand in the room; coldUntil: in the refrigerator
 */
public record LotView(
        UUID id,
        Long version,
        String code,
        Stage stage,
        LotForm form,
        VesselKind vessel,
        String name,
        @Nullable String taxonId,
        Taxon.@Nullable Part part,
        String unit,
        Double amount,
        Double remaining,
        @Nullable Double strengthPercent,
        @Nullable Double strengthLowPercent,
        @Nullable Range moisture,
        @Nullable Range driedGPerUnit,
        List<HerbView> herbs,
        Taxon.Route route,
        Set<Trait> traits,
        LocalDate madeOn,
        @Nullable LocalDate openedOn,
        @Nullable LocalDate bestBefore,
        @Nullable Instant roomUntil,
        @Nullable Instant coldUntil,
        Product.State state,
        @Nullable String stateReason,
        Boolean expired,
        String place,
        @Nullable String holder,
        @Nullable String supplier,
        BoughtGate.@Nullable Label label,
        @Nullable String doubt,
        @Nullable UUID vesselId,
        @Nullable Double vesselMl,
        Boolean heldByTheWork,
        Boolean racked,
        Boolean neverFilled,
        String supplierLot,
        @Nullable LocalDate desiccantOn,
        @Nullable Double piece,
        @Nullable UUID splitFrom,
        Boolean together) {

    public boolean is(Trait trait) {
        return traits.contains(trait);
    }

    /** What is left. */
    public Amount left() {
        return Amount.of(remaining, Unit.of(unit));
    }
}
