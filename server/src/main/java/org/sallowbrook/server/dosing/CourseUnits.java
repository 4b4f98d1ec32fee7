package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DoseUnits;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.server.making.Measures;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.shelf.HerbView;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.springframework.stereotype.Component;

/** What the doses of a product can be counted out in, with this household's own spoons, cups and droppers. */
@Component
class CourseUnits {

    private final Measures measures;
    private final Reading reading;
    private final Products products;

    CourseUnits(Measures measures, Reading reading, Products products) {
        this.products = products;
        this.reading = reading;
        this.measures = measures;
    }

    DoseUnits.Kit kit() {
        Map<HouseMeasure, Double> own = reading.once(
                "own measures",
                () -> measures.mostMl(List.of(
                        HouseMeasure.LEVEL_TEASPOON,
                        HouseMeasure.LEVEL_TABLESPOON,
                        HouseMeasure.CUP,
                        HouseMeasure.DROP,
                        HouseMeasure.SQUIRT)));
        return new DoseUnits.Kit(
                own.get(HouseMeasure.LEVEL_TEASPOON),
                own.get(HouseMeasure.LEVEL_TABLESPOON),
                own.get(HouseMeasure.CUP),
                own.get(HouseMeasure.DROP),
                own.get(HouseMeasure.SQUIRT));
    }

    /** What a level teaspoon of a lot weighed, where somebody weighed one. */
    private Map<UUID, Double> spoons() {
        return reading.once("spoons weighed", () -> measures.mostG(HouseMeasure.LEVEL_TEASPOON));
    }

    /** @param cup of tea made of it; null where nobody knows how one is made */
    DoseUnits.Given given(LotView lot, DosingGate.Way way, DoseUnits.@Nullable Cup cup) {
        return new DoseUnits.Given(
                lot.form(),
                way,
                lot.strengthPercent() == null
                        ? 0
                        : Strength.ofPercent(lot.strengthPercent()).fraction(),
                lot.amount(),
                lot.herbs().stream().map(HerbView::part).collect(Collectors.toSet()),
                cup,
                spoons().get(lot.id()),
                lot.piece());
    }

    List<DoseUnits.Offered> of(DoseUnits.Given given) {
        return DoseUnits.of(given, kit());
    }

    private DoseUnits.@Nullable Cup cup(CourseRequest request, LotView lot) {
        return request.perCup() == null
                ? null
                : DoseUnits.cup(Direct.asTea(products.of(lot.id())), kit(), request.perCup(), null);
    }

    /** So much in what the course is counted out in, "40 drops"; empty where that is the product's own unit. */
    String counted(CourseRequest request, LotView lot, double amount) {
        return request.countedIn() == null
                ? ""
                : of(given(lot, request.way(), cup(request, lot))).stream()
                        .filter(u ->
                                u.unit() == request.countedIn() && u.unit() != Dose.Unit.ML && u.unit() != Dose.Unit.G)
                        .findFirst()
                        .map(u -> DoseUnits.words(amount, u)
                                + (CoursePlanner.byTheCup(lot, request.way()) && u.unit() == Dose.Unit.CUP
                                        ? " " + u.words()
                                        : ""))
                        .orElse("");
    }
}
