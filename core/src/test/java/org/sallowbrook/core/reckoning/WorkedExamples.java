package org.sallowbrook.core.reckoning;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.Dose;
import org.sallowbrook.core.dosing.Supply;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Rack;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.herbarium.Source;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.dry.DryBatch;
import org.sallowbrook.core.making.kept.KeptBatch;
import org.sallowbrook.core.making.oil.EvaporatedBatch;
import org.sallowbrook.core.making.oil.Evaporation;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.oil.OilRecord;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.PoulticeBatch;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tea.Freezing;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.Reduction;
import org.sallowbrook.core.making.tea.Syrup;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureRecord;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Keeping;

/** The worked examples of docs/reckoning.md, all of the invented household. */
final class WorkedExamples {

    /** @param figures that the lines must end in, so that none is missing its reckoning */
    record Example(String room, String title, List<String> because, List<Finding> findings, List<Double> figures) {}

    static final Wax BEESWAX = new Wax("beeswax", 1, 0.005, "working figure");

    private WorkedExamples() {}

    static Tincture.Herb herb(String name, double massG, Tincture.State state, double low, double high) {
        return new Tincture.Herb(name, "TOPS", massG, state, Moisture.of(low, high), null);
    }

    static Tincture.Recipe tincture(
            List<Tincture.Herb> herbs, double ratio, boolean waterCounts, Tincture.Basis basis, double percent) {
        return new Tincture.Recipe(
                herbs,
                ratio,
                waterCounts,
                basis,
                Strength.ofPercent(percent),
                List.of(new Blend.Bottle("grain spirit", Strength.ofPercent(96), 2000, true)),
                null,
                Retention.PRESSED);
    }

    static List<Example> all() {
        List<Example> all = new ArrayList<>();
        spirit(all);
        tinctures(all);
        water(all);
        dry(all);
        kept(all);
        drying(all);
        oils(all);
        keeping(all);
        doses(all);
        return all;
    }

    private static void spirit(List<Example> all) {
        List<Pour> pours = List.of(new Pour(500, Strength.ofPercent(96)), new Pour(500, Strength.NONE));
        Spirits.Mixture m = Spirits.mix(pours);
        all.add(new Example(
                "Spirit",
                "Half a litre of 96 % spirit and half a litre of water",
                Spirits.because(pours, m),
                Spirits.fireFindings(m.strength()),
                List.of(m.volumeMl(), m.strength().fraction(), m.massG())));
        Strength strong = Strength.ofPercent(96);
        Strength weak = Strength.ofPercent(45);
        Spirits.Dilution d = Spirits.diluteTo(strong, weak, 700);
        all.add(new Example(
                "Spirit",
                "700 mL of 45 % from 96 % spirit",
                Spirits.because(strong, weak, d),
                List.of(),
                List.of(d.waterG(), d.finalVolumeMl(), d.spiritG())));
        Blend.Result b = Blend.blend(
                Strength.ofPercent(60),
                400,
                List.of(
                        new Blend.Bottle("table spirit", Strength.ofPercent(40), 250, true),
                        new Blend.Bottle("grain spirit", Strength.ofPercent(96), 1000, false)));
        all.add(new Example(
                "Spirit", "400 mL of 60 % from what is on the shelf", b.because(), b.findings(), List.of(400.0)));
        Strength read = EthanolWater.fromReading(43, 26);
        all.add(new Example(
                "Spirit",
                "The alcoholmeter shows 43 at 26 °C",
                EthanolWater.because(43, 26, read),
                List.of(),
                List.of()));
    }

    private static void tinctures(List<Example> all) {
        Tincture.Result fresh = Tincture.plan(tincture(
                List.of(herb("meadowsweet", 200, Tincture.State.FRESH, 0.70, 0.80)),
                2,
                false,
                Tincture.Basis.FINAL,
                45));
        all.add(example("Tincture", "200 g of fresh meadowsweet 1:2, to end at 45 %", fresh));
        Tincture.Result counted = Tincture.plan(tincture(
                List.of(herb("valerian", 300, Tincture.State.WILTED, 0.50, 0.60)),
                3,
                true,
                Tincture.Basis.MENSTRUUM,
                70));
        all.add(example("Tincture", "300 g of wilted valerian 1:3, the plant's water counted", counted));
        Tincture.Result byHand = Tincture.plan(tincture(
                List.of(new Tincture.Herb(
                        "nettle, two handfuls",
                        "LEAF",
                        22,
                        Tincture.State.DRIED,
                        Moisture.of(0.08, 0.12),
                        null,
                        Interval.of(8, 36))),
                5,
                false,
                Tincture.Basis.MENSTRUUM,
                45));
        all.add(example("Tincture", "Two handfuls of dried nettle that nobody weighed, 1:5 of their middle", byHand));
        Tincture.Result joint = Tincture.plan(tincture(
                List.of(
                        herb("meadowsweet", 60, Tincture.State.DRIED, 0.08, 0.12),
                        herb("vervain", 40, Tincture.State.DRIED, 0.08, 0.12)),
                5,
                false,
                Tincture.Basis.MENSTRUUM,
                45));
        all.add(example("Tincture", "Two dried herbs in one jar, 1:5 in 45 %", joint));
        TinctureRecord.Outcome o = new TinctureRecord(
                        List.of(herb("meadowsweet", 60, Tincture.State.DRIED, 0.08, 0.12)),
                        List.of(new Pour(300, Strength.ofPercent(45))),
                        245)
                .follow();
        all.add(new Example(
                "Tincture",
                "Pressed: 245 mL came out of 60 g in 300 mL",
                o.because(),
                o.findings(),
                List.of(o.pressing().get(0).mlPerG())));
        FillAndCover.Result by = FillAndCover.plan(new FillAndCover.Recipe(
                500, 0.8, Interval.of(0.1, 0.2), Strength.ofPercent(50), Moisture.of(0.7, 0.8)));
        all.add(new Example(
                "Tincture",
                "A half-litre jar filled by eye and covered with 50 %",
                by.because(),
                by.findings(),
                List.of(
                        by.plan().herbG().low(),
                        by.plan().herbG().high(),
                        by.plan().menstruumMl().low(),
                        by.plan().menstruumMl().high())));
        Percolation.Plan p = Percolation.plan(new Percolation.Recipe(200, 5, Strength.ofPercent(60), 40));
        all.add(new Example(
                "Tincture",
                "200 g of powder percolated 1:5",
                p.because(),
                p.findings(),
                List.of(
                        p.menstruumMl().low(),
                        p.menstruumMl().high(),
                        p.moistenMl().low(),
                        p.hours().low(),
                        p.hours().high(),
                        p.dropsPerMinute().low(),
                        p.dropsPerMinute().high(),
                        p.firstFractionMl())));
        TwoExtractions.Joined j = TwoExtractions.joinTo(300, Strength.ofPercent(60), Strength.ofPercent(30));
        all.add(new Example(
                "Tincture",
                "A decoction joined to 300 mL of 60 % tincture, to end at 30 %",
                j.because(),
                j.findings(),
                List.of(j.finalMl(), 0.30)));
        OtherMenstruum.Result vinegar = OtherMenstruum.plan(OtherMenstruum.Recipe.of(
                OtherMenstruum.Kind.VINEGAR,
                List.of(herb("sea buckthorn", 100, Tincture.State.FRESH, 0.6, 0.7)),
                4,
                0.05));
        all.add(new Example(
                "Tincture",
                "100 g of fresh sea buckthorn in vinegar of 5 %, 1:4",
                vinegar.because(),
                vinegar.findings(),
                List.of(
                        vinegar.plan().liquidMl(),
                        vinegar.plan().finalFigure().low(),
                        vinegar.plan().finalFigure().high())));
        OtherMenstruum.Result honey = OtherMenstruum.plan(OtherMenstruum.Recipe.of(
                OtherMenstruum.Kind.HONEY, List.of(herb("thyme", 30, Tincture.State.FRESH, 0.6, 0.7)), 8, 0.17));
        all.add(new Example(
                "Tincture",
                "30 g of fresh thyme in honey",
                honey.because(),
                honey.findings(),
                List.of(
                        honey.plan().finalFigure().low(),
                        honey.plan().finalFigure().high())));
        Formula.Result f = Formula.mix(
                List.of(
                        new Formula.Part(
                                "meadowsweet",
                                60,
                                Strength.ofPercent(45),
                                Interval.of(0.18, 0.2),
                                Formula.Role.LEAD,
                                Formula.Potency.MODERATE,
                                Set.of(Formula.Taste.AROMATIC),
                                Set.of("SALICYLATE", "TANNIN"),
                                0.06),
                        new Formula.Part(
                                "chamomile",
                                40,
                                Strength.ofPercent(50),
                                Interval.of(0.18, 0.2),
                                Formula.Role.SUPPORT,
                                Formula.Potency.GENTLE,
                                Set.of(Formula.Taste.AROMATIC, Formula.Taste.BITTER),
                                Set.of("VOLATILE_OIL"),
                                0.08)),
                6.0);
        all.add(new Example(
                "Tincture",
                "Two tinctures in one bottle",
                f.because(),
                f.findings(),
                List.of(
                        f.volumeMl(),
                        f.strength().fraction(),
                        f.cost(),
                        f.herbs().get(0).gPerMl().high())));
        Bottling.Result bottles = Bottling.plan(new Bottling.Recipe(
                430, List.of(new Bottling.Size(30, 6), new Bottling.Size(50, 4), new Bottling.Size(100, 4)), 4.5, 14));
        all.add(new Example(
                "Tincture",
                "430 mL into the bottles at hand, 4.5 mL used a day",
                bottles.because(),
                bottles.findings(),
                List.of(63.0)));
    }

    private static Example example(String room, String title, Tincture.Result r) {
        Tincture.Plan p = r.plan();
        return new Example(
                room,
                title,
                r.because(),
                r.findings(),
                List.of(
                        p.menstruumMl(),
                        p.finalFraction().low(),
                        p.finalFraction().high(),
                        p.liquidMl().low(),
                        p.liquidMl().high(),
                        p.pressedMl().low(),
                        p.pressedMl().high(),
                        p.herbEquivalentGPerMl().low(),
                        p.driedEquivalentGPerMl().high()));
    }

    private static void water(List<Example> all) {
        Tea.Result tea = Tea.plan(Tea.Recipe.drink(
                500,
                null,
                List.of(
                        new Tea.Herb(
                                "oak bark",
                                "BARK",
                                MethodChoice.Cut.CUT,
                                Set.of(),
                                Tea.Measure.of(3, Tea.Unit.TEASPOON),
                                null,
                                Interval.of(0.4, 0.6),
                                null,
                                20.0),
                        Tea.Herb.weighed("lime flower", "FLOWER", 4)),
                "water",
                5.0));
        all.add(new Example(
                "Water",
                "A mixed pot: three level teaspoons of bark, 4 g of flower, half a litre",
                tea.because(),
                tea.findings(),
                List.of(
                        tea.plan().waterMl(),
                        tea.plan().waterRangeMl().low(),
                        tea.plan().herbs().get(0).massRangeG().high())));
        Reduction.Result r =
                Reduction.reckon(List.of(new Reduction.Reading(0, 1000), new Reduction.Reading(20, 900)), 500);
        all.add(new Example(
                "Water",
                "A decoction boiled down from a litre to half",
                r.because(),
                r.findings(),
                List.of(r.rate(), r.left().likely())));
        Syrup.Plan sap = Syrup.boilDown(10_000, 1.2, 66.5);
        all.add(new Example(
                "Water",
                "Ten litres of sap of 1.2 Brix boiled down to syrup",
                sap.because(),
                sap.findings(),
                List.of(sap.syrupMl(), sap.syrupG(), sap.evaporatedG())));
        Syrup.Plan sweet = Syrup.sweeten(400, 0, 65);
        all.add(new Example(
                "Water",
                "400 mL of a decoction made into syrup of 65 %",
                sweet.because(),
                sweet.findings(),
                List.of(sweet.sugarG(), sweet.syrupG(), sweet.syrupMl())));
        Freezing.Plan ice = Freezing.plan(500, 22, 14, LocalDate.of(2026, 7, 1));
        all.add(new Example(
                "Water",
                "Half a litre frozen in cubes of 22 mL",
                ice.because(),
                List.of(),
                List.of(ice.cubeMl(), ice.leftOverMl())));
        Syrup.Plan honey = Syrup.sweetenWithHoney(250, 0, 65);
        all.add(new Example(
                "Water",
                "250 mL of a decoction made into syrup of 65 % with honey",
                honey.because(),
                honey.findings(),
                List.of(honey.sugarG(), honey.syrupG(), honey.syrupMl())));
    }

    private static void dry(List<Example> all) {
        Moisture moisture = Moisture.of(0.08, 0.12);
        var mixture = DryBatch.of(
                List.of(
                        new HerbPortion("lime flower", 30, moisture, Interval.exactly(30)),
                        new HerbPortion("meadowsweet", 20, moisture, Interval.exactly(20)),
                        new HerbPortion("marsh mallow leaf", 10, moisture, Interval.exactly(10))),
                false,
                List.of());
        all.add(new Example(
                "Dry", "A tea mixture of three herbs", mixture.because(), mixture.findings(), List.of(60.0, 0.5)));
        var poultice = PoulticeBatch.of(
                List.of(new HerbPortion("comfrey root, powdered", 30, moisture, Interval.exactly(30))));
        all.add(new Example(
                "Dry",
                "A poultice of 30 g of powdered root",
                poultice.because(),
                poultice.findings(),
                List.of(75.0, 210.0)));
    }

    private static void kept(List<Example> all) {
        Outcome<KeptBatch> salted = KeptBatch.of(
                List.of(new HerbPortion("ramsons", 100, Moisture.of(0.85, 0.90), Interval.exactly(100))), 25.0);
        all.add(new Example(
                "Dry and kept",
                "100 g of ramsons in 25 g of salt",
                salted.because(),
                salted.findings(),
                List.of(85.0, 90.0, 25 / 115.0, 25 / 110.0)));
    }

    private static void drying(List<Example> all) {
        Drying.Result d = Drying.reckon(new Drying.Request(
                400,
                Moisture.of(0.70, 0.80),
                0.10,
                List.of(new Weighing(12, 250), new Weighing(24, 170), new Weighing(36, 131)),
                new Drying.Air(24, 0.45),
                List.of()));
        all.add(new Example(
                "Drying",
                "400 g on the rack, weighed after 12, 24 and 36 hours",
                d.because(),
                d.findings(),
                List.of(
                        d.targetG().low(),
                        d.targetG().high(),
                        d.moistureNow().low(),
                        d.moistureNow().high())));
        Rack.Layout layout = Rack.spread(400, Taxon.Part.TOPS, null);
        all.add(new Example(
                "Drying",
                "Room for 400 g of fresh tops",
                layout.because(),
                layout.findings(),
                List.of(layout.areaM2().low(), layout.areaM2().high())));
        double hours = Rack.hoursAtWork(
                Instant.parse("2026-07-01T08:00:00Z"),
                Instant.parse("2026-07-03T08:00:00Z"),
                List.of(
                        new Rack.Pause(Instant.parse("2026-07-01T22:00:00Z"), Instant.parse("2026-07-02T06:00:00Z")),
                        new Rack.Pause(Instant.parse("2026-07-02T22:00:00Z"), Instant.parse("2026-07-03T06:00:00Z"))));
        all.add(new Example(
                "Drying",
                "Two days of which the rack was off for two nights",
                List.of("Hours at work: 48 − 8 − 8 = " + Words.exact(hours, "h")),
                List.of(),
                List.of(hours)));
    }

    private static void oils(List<Example> all) {
        InfusedOil.Result oil = InfusedOil.plan(new InfusedOil.Recipe(
                List.of(new HerbPortion("marigold", 60, Moisture.of(0.08, 0.10))),
                7,
                "olive oil",
                12,
                InfusedOil.Method.COLD,
                false,
                0.003));
        all.add(new Example(
                "Oil and salve",
                "60 g of dried marigold in olive oil, 1:7",
                oil.because(),
                oil.findings(),
                List.of(
                        oil.plan().oilMl(),
                        oil.plan().oilG(),
                        oil.plan().antioxidantG(),
                        oil.plan().yieldMl().low())));
        OilRecord.Outcome o = new OilRecord(60, 420, 305, false, false).follow();
        all.add(new Example(
                "Oil and salve",
                "305 mL came out of 60 g in 420 mL",
                o.because(),
                o.findings(),
                List.of(o.keptMlPerG())));
        Evaporation.State e = Evaporation.state(250, 3, 271);
        all.add(new Example(
                "Oil and salve",
                "A decoction boiled away into 250 g of oil",
                e.because(),
                e.findings(),
                List.of(e.waterLeftG())));
        Salve.Result salve = Salve.plan(new Salve.Recipe(
                List.of(new Salve.Tin(30, 10)),
                Salve.Firmness.MEDIUM,
                BEESWAX,
                24,
                0.04,
                null,
                0.2,
                0,
                1.5,
                30,
                List.of(
                        new ColdSpoon.Trial(0, ColdSpoon.Verdict.TOO_SOFT),
                        new ColdSpoon.Trial(0, ColdSpoon.Verdict.TOO_SOFT))));
        all.add(new Example(
                "Oil and salve",
                "Ten tins of 30 mL, medium, kept at 24 °C, after two spoons too soft",
                salve.because(),
                salve.findings(),
                List.of(
                        salve.plan().totalG(),
                        salve.plan().waxG(),
                        salve.plan().oilG(),
                        salve.plan().waxFraction())));
        EssentialOil.Limit limit = EssentialOil.check(280, 1, 6);
        all.add(new Example(
                "Oil and salve",
                "Essential oil for a child of six",
                limit.because(),
                limit.findings(),
                List.of(limit.mostG())));
        EssentialOil.Limit own = EssentialOil.each(
                300,
                List.of(new EssentialOil.Used(
                        new EssentialOil.Kind(
                                "bergamot",
                                0.004,
                                Set.of(EssentialOil.Hazard.PHOTOTOXIC),
                                new Source("a reference", 2014, Source.Evidence.REFERENCE, Source.Review.STARTER),
                                true),
                        1.0)),
                18,
                false);
        all.add(new Example(
                "Oil and salve",
                "1 g of bergamot in 300 g of salve for grown-ups",
                own.because(),
                own.findings(),
                List.of(1.2)));
        Outcome<EvaporatedBatch> pan = EvaporatedBatch.of("decoction", 200, "olive oil", 100, LocalDate.of(2027, 5, 1));
        all.add(new Example(
                "Oil and salve",
                "200 mL of a decoction into 100 mL of oil",
                pan.because(),
                pan.findings(),
                List.of(92.0, 25.0, 50.0)));
        Cream.Plan cream = Cream.plan(new Cream.Recipe(200, 0.25, 0.05, 0));
        all.add(new Example(
                "Oil and salve",
                "200 g of cream without a preservative",
                cream.because(),
                cream.findings(),
                List.of(cream.oilG(), cream.waterG(), cream.emulsifierG())));
    }

    private static void keeping(List<Example> all) {
        Keeping.Result k = Keeping.reckon(new Keeping.Request(
                Keeping.Form.TINCTURE,
                LocalDate.of(2026, 7, 1),
                LocalDate.of(2026, 9, 1),
                new Keeping.Storage(Keeping.Light.BRIGHT, 20, 0.1),
                List.of(),
                null,
                Schools.USUAL));
        all.add(new Example(
                "Keeping",
                "A tincture opened in September that stands in the light",
                k.because(),
                k.findings(),
                List.of()));
    }

    private static void doses(List<Example> all) {
        Dose.Result dose = Dose.reckon(new Dose.Request(
                new Dose.Measured(Interval.of(0.18, 0.22), Strength.ofPercent(45), null, null, null, null, null),
                40,
                Dose.Unit.DROP,
                3,
                Interval.of(0.5, 3),
                new Dose.Taker(58, 72.0, 168.0)));
        all.add(new Example(
                "Dose",
                "40 drops three times a day from a dropper nobody counted",
                dose.because(),
                dose.findings(),
                List.of(
                        dose.driedGPerDose().high(),
                        dose.driedGPerDay().low(),
                        dose.driedGPerDay().high(),
                        dose.alcoholGPerDose(),
                        dose.alcoholMgPerKg())));
        Course.Plan plan = Course.plan(new Course.Request(
                LocalDate.of(2026, 7, 1),
                Amount.of(3, Unit.ML),
                3,
                new Cycle(5, 2),
                new Course.Slope(0.5, 3),
                null,
                21));
        Supply.Result supply = Supply.of(plan, Amount.of(100, Unit.ML), Amount.of(50, Unit.ML), 365);
        List<String> because = new ArrayList<>(plan.because());
        because.addAll(supply.because());
        all.add(new Example(
                "Dose",
                "Three weeks of five days on and two off, rising over three days",
                because,
                supply.findings(),
                List.of(plan.total().value(), supply.usePerDay().value())));
    }
}
