package org.sallowbrook.core.reckoning;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.function.Function;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.HerbPortion;
import org.sallowbrook.core.making.kept.KeptBatch;
import org.sallowbrook.core.making.oil.EvaporatedBatch;
import org.sallowbrook.core.making.oil.Evaporation;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.tea.Freezing;
import org.sallowbrook.core.making.tea.Syrup;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/**
 * The printed equation and the figure beside it are one formula: whatever goes in, the line done again gives the figure. Where
 * somebody changes one and not the other, this fails.
 */
public class EveryEquationTest {

    private static final int DRAWS = 150;

    private static double between(Random r, double low, double high) {
        return low + (high - low) * r.nextDouble();
    }

    private static Moisture moisture(Random r, double most) {
        double low = between(r, 0.05, most - 0.05);
        return Moisture.of(low, between(r, low, most));
    }

    private static Interval about(Random r, double middle) {
        return Interval.of(middle * between(r, 0.7, 1), middle * between(r, 1, 1.3));
    }

    private static Tincture.Herb herb(Random r) {
        Tincture.State state = Tincture.State.values()[r.nextInt(3)];
        double dry = state == Tincture.State.DRIED ? 0.15 : 0.9;
        return WorkedExamples.herb("h", between(r, 3, 200), state, 0.05, between(r, 0.06, dry));
    }

    private static Map<String, Function<Random, List<String>>> all() {
        Map<String, Function<Random, List<String>>> all = new LinkedHashMap<>();
        all.put(
                "tincture",
                r -> Tincture.plan(WorkedExamples.tincture(
                                r.nextBoolean() ? List.of(herb(r)) : List.of(herb(r), herb(r)),
                                between(r, 2, 12),
                                r.nextBoolean(),
                                Tincture.Basis.values()[r.nextInt(2)],
                                between(r, 25, 70)))
                        .because());
        all.put(
                "fill and cover",
                r -> FillAndCover.plan(new FillAndCover.Recipe(
                                between(r, 50, 2000),
                                between(r, 0.2, 1),
                                about(r, between(r, 0.05, 0.4)),
                                Strength.ofPercent(between(r, 30, 96)),
                                moisture(r, 0.9)))
                        .because());
        all.put(
                "percolation",
                r -> Percolation.plan(new Percolation.Recipe(
                                between(r, 10, 500),
                                between(r, 2, 10),
                                Strength.ofPercent(between(r, 25, 96)),
                                between(r, 15, 60)))
                        .because());
        all.put(
                "two extractions",
                r -> TwoExtractions.join(
                                between(r, 10, 500), Strength.ofPercent(between(r, 30, 90)), between(r, 1, 400))
                        .because());
        all.put(
                "vinegar",
                r -> OtherMenstruum.plan(new OtherMenstruum.Recipe(
                                OtherMenstruum.Kind.VINEGAR,
                                List.of(herb(r)),
                                between(r, 3, 15),
                                between(r, 0.05, 0.1),
                                0,
                                0))
                        .because());
        all.put(
                "oxymel",
                r -> OtherMenstruum.plan(new OtherMenstruum.Recipe(
                                OtherMenstruum.Kind.HONEY,
                                List.of(herb(r)),
                                between(r, 3, 15),
                                between(r, 0.15, 0.2),
                                between(r, 0.1, 0.6),
                                between(r, 0.05, 0.1)))
                        .because());
        all.put(
                "tea",
                r -> Tea.plan(new Tea.Recipe(
                                between(r, 100, 3000),
                                null,
                                List.of(
                                        Tea.Herb.weighed("a", "LEAF", between(r, 1, 60)),
                                        Tea.Herb.weighed("b", "ROOT", between(r, 1, 60))),
                                "water",
                                r.nextBoolean() ? null : between(r, 1, 12),
                                Tea.Purpose.values()[0],
                                Schools.USUAL))
                        .because());
        all.put(
                "syrup",
                r -> Syrup.sweeten(between(r, 50, 2000), between(r, 0, 20), between(r, 45, 68))
                        .because());
        all.put(
                "cubes",
                r -> Freezing.plan(between(r, 50, 2000), between(r, 5, 60), 12, LocalDate.of(2026, 7, 1))
                        .because());
        all.put(
                "oil",
                r -> InfusedOil.plan(new InfusedOil.Recipe(
                                List.of(new HerbPortion("h", between(r, 5, 100), Moisture.of(0.06, 0.11))),
                                between(r, 3, 12),
                                "olive oil",
                                r.nextBoolean() ? null : 9,
                                InfusedOil.Method.values()[r.nextInt(4)],
                                false,
                                r.nextBoolean() ? 0 : 0.003))
                        .because());
        all.put(
                "a decoction into oil",
                r -> EvaporatedBatch.of("d", between(r, 10, 2000), "o", between(r, 10, 2000), LocalDate.of(2027, 1, 1))
                        .because());
        all.put("the pan", r -> {
            double oil = between(r, 50, 1000);
            return Evaporation.state(oil, between(r, 0, 5), oil * between(r, 1, 2))
                    .because();
        });
        all.put(
                "salve",
                r -> Salve.plan(new Salve.Recipe(
                                List.of(new Salve.Tin(between(r, 5, 100), 1 + r.nextInt(12))),
                                Salve.Firmness.values()[r.nextInt(4)],
                                WorkedExamples.BEESWAX,
                                between(r, 10, 35),
                                between(r, 0, 0.1),
                                null,
                                between(r, 0, 0.5),
                                between(r, 0, 0.1),
                                0.1,
                                30,
                                List.of()))
                        .because());
        all.put(
                "essential oil",
                r -> EssentialOil.check(between(r, 20, 500), 0.1, 2 + r.nextInt(60))
                        .because());
        all.put(
                "cream",
                r -> Cream.plan(new Cream.Recipe(between(r, 20, 500), between(r, 0.1, 0.6), 0.05, 0.01))
                        .because());
        all.put(
                "salted",
                r -> KeptBatch.of(
                                List.of(
                                        new HerbPortion("a", 100, moisture(r, 0.9), about(r, 100)),
                                        new HerbPortion("b", 50, moisture(r, 0.9), Interval.exactly(50))),
                                between(r, 5, 80))
                        .because());
        all.put("drying", r -> {
            double fresh = between(r, 100, 2000);
            double dry = between(r, 0.24, 0.3);
            return Drying.reckon(new Drying.Request(
                            fresh,
                            Moisture.of(0.70, 0.82),
                            0.10,
                            List.of(
                                    new Weighing(12, fresh * between(r, 0.6, 0.8)),
                                    new Weighing(30, fresh * between(r, 0.32, 0.5)),
                                    new Weighing(60, fresh * dry)),
                            new Drying.Air(between(r, 20, 40), between(r, 0.2, 0.5)),
                            List.of()))
                    .because();
        });
        return all;
    }

    @DataProvider
    public Object[][] formulas() {
        return all().entrySet().stream()
                .map(e -> new Object[] {e.getKey(), e.getValue()})
                .toArray(Object[][]::new);
    }

    @Test(dataProvider = "formulas")
    public void whateverGoesInTheLineGivesTheFigure(String name, Function<Random, List<String>> formula) {
        int equations = 0;
        for (int seed = 0; seed < DRAWS; seed++) {
            for (Equation e : Equation.all(formula.apply(new Random(seed)))) {
                assertThat(e.doneAgain())
                        .as("%s, draw %s, %s: %s", name, seed, e.what(), e.expression())
                        .isCloseTo(e.printed(), within(e.roundingError()));
                equations++;
            }
        }
        assertThat(equations).as("equations of " + name).isGreaterThanOrEqualTo(DRAWS / 2);
    }
}
