package org.sallowbrook.server.dosing;

import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.DoseUnits;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.server.making.Measures;
import org.sallowbrook.server.platform.Reading;
import org.sallowbrook.server.shelf.HerbView;
import org.sallowbrook.server.shelf.LotView;
import org.springframework.stereotype.Component;

/** What the doses of a product can be counted out in, with this household's own spoons, cups and droppers. */
@Component
class CourseUnits {

    private final Measures measures;
    private final Reading reading;

    CourseUnits(Measures measures, Reading reading) {
        this.reading = reading;
        this.measures = measures;
    }

    List<DoseUnits.Offered> of(LotView lot, DosingGate.Way way) {
        Map<HouseMeasure, Double> own = reading.once(
                "own measures",
                () -> measures.mostMl(List.of(
                        HouseMeasure.LEVEL_TEASPOON,
                        HouseMeasure.LEVEL_TABLESPOON,
                        HouseMeasure.CUP,
                        HouseMeasure.DROP,
                        HouseMeasure.SQUIRT)));
        return DoseUnits.of(
                new DoseUnits.Given(
                        lot.form(),
                        way,
                        lot.strengthPercent() == null
                                ? 0
                                : Strength.ofPercent(lot.strengthPercent()).fraction(),
                        lot.amount(),
                        lot.herbs().stream().map(HerbView::part).collect(Collectors.toSet())),
                new DoseUnits.Kit(
                        own.get(HouseMeasure.LEVEL_TEASPOON),
                        own.get(HouseMeasure.LEVEL_TABLESPOON),
                        own.get(HouseMeasure.CUP),
                        own.get(HouseMeasure.DROP),
                        own.get(HouseMeasure.SQUIRT)));
    }

    /** So much in what the course is counted out in, "40 drops"; empty where that is the product's own unit. */
    String counted(CourseRequest request, LotView lot, double amount) {
        return request.countedIn() == null
                ? ""
                : of(lot, request.way()).stream()
                        .filter(u ->
                                u.unit() == request.countedIn() && u.unit() != Dose.Unit.ML && u.unit() != Dose.Unit.G)
                        .findFirst()
                        .map(u -> DoseUnits.words(amount, u))
                        .orElse("");
    }
}
