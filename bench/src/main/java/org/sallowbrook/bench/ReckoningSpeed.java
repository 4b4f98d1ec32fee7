package org.sallowbrook.bench;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.herbarium.Herbarium;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.server.herbarium.ShippedCards;

/** The reckoning, each answer with its lines and findings, as the interface asks for it. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.AverageTime)
@OutputTimeUnit(TimeUnit.MICROSECONDS)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
@Fork(1)
public class ReckoningSpeed {

    private static final LocalDate DAY = LocalDate.of(2026, 7, 1);
    private static final int BOTTLES = 12;
    private static final int WEIGHINGS = 40;
    private static final int PRODUCTS = 20;
    private static final int MEDICINES = 12;

    private final List<Blend.Bottle> shelf = new ArrayList<>();
    private final List<Product> products = new ArrayList<>();
    private Tincture.Recipe tincture = tincture(List.of());
    private Drying.Request drying = drying(List.of());
    private Person person = new Person("P", 60, 70.0, 170.0, null, false, Set.of(), Set.of(), Set.of(), null);

    private static Tincture.Recipe tincture(List<Blend.Bottle> shelf) {
        return new Tincture.Recipe(
                List.of(
                        new Tincture.Herb("a", "TOPS", 120, Tincture.State.FRESH, Moisture.of(0.7, 0.8), null),
                        new Tincture.Herb("b", "ROOT", 40, Tincture.State.DRIED, Moisture.of(0.08, 0.12), null)),
                3,
                false,
                Tincture.Basis.FINAL,
                Strength.ofPercent(45),
                shelf,
                1000.0,
                Retention.PRESSED);
    }

    private static Drying.Request drying(List<Weighing> weighings) {
        return new Drying.Request(1000, Moisture.of(0.70, 0.80), 0.10, weighings, new Drying.Air(26, 0.45), List.of());
    }

    @Setup
    public void invent() throws IOException {
        SplittableRandom random = new SplittableRandom(11);
        for (int i = 0; i < BOTTLES; i++) {
            shelf.add(new Blend.Bottle(
                    "bottle " + i, Strength.ofPercent(38 + random.nextInt(58)), 50 + random.nextInt(400), i % 3 == 0));
        }
        tincture = tincture(List.of(new Blend.Bottle("grain spirit", Strength.ofPercent(96), 2000, true)));
        List<Weighing> weighings = new ArrayList<>();
        for (int i = 1; i <= WEIGHINGS; i++) {
            double noise = 1 + (random.nextDouble() - 0.5) * 0.01;
            weighings.add(new Weighing(i * 2, (270 + 730 * Math.exp(-0.04 * Math.pow(i * 2, 0.95))) * noise));
        }
        drying = drying(weighings);
        Herbarium herbarium = ShippedCards.load().herbarium();
        List<Taxon> used = herbarium.taxa().stream()
                .filter(t -> !t.parts().isEmpty())
                .limit(PRODUCTS)
                .toList();
        for (Taxon taxon : used) {
            products.add(new Product(
                    taxon.commonName(),
                    Taxon.Route.INTERNAL,
                    List.of(new Product.Herb(taxon, taxon.parts().get(0).part(), 1)),
                    Interval.of(0.18, 0.22),
                    Strength.ofPercent(45),
                    DAY.plusYears(1),
                    Product.State.USABLE,
                    java.util.Set.of()));
        }
        List<MedicineClass> medicines = List.copyOf(EnumSet.allOf(MedicineClass.class));
        person = new Person(
                "P",
                60,
                70.0,
                170.0,
                null,
                false,
                Set.of(Condition.GALLSTONES),
                Set.copyOf(medicines.subList(0, MEDICINES)),
                Set.of("Asteraceae"),
                DAY.plusDays(10));
    }

    @Benchmark
    public Tincture.Result tincturePlan() {
        return Tincture.plan(tincture);
    }

    @Benchmark
    public Blend.Result blendFromTwelveBottles() {
        return Blend.blend(Strength.ofPercent(60), 1200, shelf);
    }

    /** Three fits (both ends of the moisture and its middle), each with its band, and the curve to draw. */
    @Benchmark
    public Drying.Result pageFitOfFortyWeighings() {
        return Drying.reckon(drying);
    }

    @Benchmark
    public Course.Plan courseOfAYear() {
        return Course.plan(new Course.Request(
                DAY,
                Amount.of(3, Unit.ML),
                3,
                new Cycle(5, 2),
                new Course.Slope(0.5, 10),
                new Course.Slope(0.2, 10),
                365));
    }

    @Benchmark
    public List<List<Finding>> gateOfTwentyProductsAndTwelveMedicines() {
        List<List<Finding>> all = new ArrayList<>(products.size());
        for (Product product : products) {
            all.add(DosingGate.check(product, person, DosingGate.Intake.mouth(3, 9, 14), DAY));
        }
        return all;
    }
}
