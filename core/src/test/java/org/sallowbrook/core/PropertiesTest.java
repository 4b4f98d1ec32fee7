package org.sallowbrook.core;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import org.sallowbrook.core.dosing.Course;
import org.sallowbrook.core.dosing.pattern.Cycle;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.core.drying.Weighing;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.shelf.Keeping;
import org.testng.annotations.Test;

/** What must hold for any sensible input, over generated ones. Seeds are fixed, so a failure comes back. */
public class PropertiesTest {

    private static final int MANY = 300;

    private static double between(Random random, double low, double high) {
        return low + (high - low) * random.nextDouble();
    }

    @Test
    public void densityFallsWithStrengthAndStrengthRisesWithMassFraction() {
        for (double p = 0; p < 0.999; p += 0.001) {
            assertThat(EthanolWater.density(p + 0.001, 20)).isLessThan(EthanolWater.density(p, 20));
            assertThat(EthanolWater.strength(p + 0.001)).isGreaterThan(EthanolWater.strength(p));
        }
    }

    @Test
    public void mixingDoesNotCareForOrderOrForPouringTwice() {
        Random random = new Random(1);
        for (int i = 0; i < MANY; i++) {
            List<Pour> pours = new ArrayList<>();
            for (int n = 0; n < 2 + random.nextInt(4); n++) {
                pours.add(new Pour(between(random, 1, 1000), new Strength(between(random, 0, 0.97))));
            }
            var all = Spirits.mix(pours);
            var halfway = Spirits.mix(pours.subList(0, 1));
            List<Pour> again = new ArrayList<>(pours.subList(1, pours.size()));
            again.add(new Pour(halfway.volumeMl(), halfway.strength()));
            Collections.shuffle(again, random);
            var stepwise = Spirits.mix(again);
            assertThat(stepwise.strength().fraction()).isCloseTo(all.strength().fraction(), within(1e-9));
            assertThat(stepwise.volumeMl()).isCloseTo(all.volumeMl(), within(1e-6));
            assertThat(all.massG())
                    .isCloseTo(pours.stream().mapToDouble(Pour::massG).sum(), within(1e-6));
        }
    }

    @Test
    public void aBlendNeverTakesMoreThanThereIsAndMeetsItsTarget() {
        Random random = new Random(2);
        int made = 0;
        for (int i = 0; i < MANY; i++) {
            List<Blend.Bottle> shelf = new ArrayList<>();
            for (int n = 0; n < 1 + random.nextInt(5); n++) {
                shelf.add(new Blend.Bottle(
                        "b" + n,
                        new Strength(between(random, 0.2, 0.96)),
                        between(random, 0, 800),
                        random.nextBoolean()));
            }
            Strength target = new Strength(between(random, 0.1, 0.9));
            double volume = between(random, 50, 1500);
            var result = Blend.blend(target, volume, shelf);
            if (!result.feasible()) {
                assertThat(result.missingMl()).isGreaterThan(0).isLessThanOrEqualTo(volume + 1e-6);
                // What it says can be made, can be made.
                double less = volume - result.missingMl() * (1 + 1e-6) - 1e-3;
                if (less > 1) {
                    assertThat(Blend.blend(target, less, shelf).feasible()).isTrue();
                }
                continue;
            }
            made++;
            List<Pour> pours = new ArrayList<>();
            for (Blend.NamedPour pour : result.pours()) {
                Strength strength = Strength.NONE;
                for (Blend.Bottle bottle : shelf) {
                    if (bottle.name().equals(pour.name())) {
                        strength = bottle.strength();
                        assertThat(pour.volumeMl()).isLessThanOrEqualTo(bottle.availableMl() * (1 + 1e-6) + 1e-6);
                    }
                }
                pours.add(new Pour(pour.volumeMl(), strength));
            }
            var mixed = Spirits.mix(pours);
            assertThat(mixed.strength().fraction()).isCloseTo(target.fraction(), within(1e-6));
            assertThat(mixed.volumeMl()).isCloseTo(volume, within(1e-3));
        }
        assertThat(made).isGreaterThan(MANY / 5);
    }

    private static Tincture.Plan tincture(double mass, double low, double high, double ratio, double percent) {
        return Tincture.plan(new Tincture.Recipe(
                        List.of(new Tincture.Herb(
                                "h", "HERB", mass, Tincture.State.FRESH, Moisture.of(low, high), null)),
                        ratio,
                        false,
                        Tincture.Basis.MENSTRUUM,
                        Strength.ofPercent(percent),
                        List.of(),
                        null,
                        Retention.PRESSED))
                .plan();
    }

    @Test
    public void aWiderMoistureGivesWiderResultsThatHoldTheNarrow() {
        Random random = new Random(3);
        for (int i = 0; i < MANY; i++) {
            double mass = between(random, 5, 500);
            double ratio = between(random, 2.5, 10);
            double percent = between(random, 40, 95);
            double mid = between(random, 0.3, 0.8);
            var wide = tincture(mass, mid - 0.1, mid + 0.1, ratio, percent);
            var narrow = tincture(mass, mid - 0.02, mid + 0.02, ratio, percent);
            assertThat(wide.finalFraction().low())
                    .isLessThan(narrow.finalFraction().low());
            assertThat(wide.finalFraction().high())
                    .isGreaterThan(narrow.finalFraction().high());
            assertThat(wide.pressedMl().low()).isLessThan(narrow.pressedMl().low());
            assertThat(wide.pressedMl().high()).isGreaterThan(narrow.pressedMl().high());
            assertThat(wide.drainedMl().high()).isLessThan(wide.pressedMl().high());
            assertThat(wide.finalFraction().high()).isLessThan(percent / 100);
            // Herb equivalent times liquid is the herb again, at each end.
            assertThat(wide.herbEquivalentGPerMl().low() * wide.liquidMl().high())
                    .isCloseTo(mass, within(1e-6));
        }
    }

    @Test
    public void aDryingForecastStaysPutWhileTheLotKeepsToItsCurve() {
        Random random = new Random(4);
        for (int i = 0; i < 60; i++) {
            double w0 = between(random, 0.6, 0.85);
            double k = between(random, 0.03, 0.12);
            double dry = 800 * (1 - w0);
            List<Weighing> weighings = new ArrayList<>();
            double finish = Double.NaN;
            for (double t = 4; t <= 16; t += 4) {
                weighings.add(new Weighing(t, dry + (800 - dry) * Math.exp(-k * t)));
                if (weighings.size() >= 2) {
                    var result = Drying.reckon(
                            new Drying.Request(800, Moisture.exactly(w0), 0.10, weighings, null, List.of()));
                    if (result.remaining() == null) {
                        break;
                    }
                    double ends = t + result.remaining().likelyHours();
                    if (!Double.isNaN(finish)) {
                        assertThat(ends).isCloseTo(finish, within(0.05 * finish));
                    }
                    finish = ends;
                }
            }
        }
    }

    @Test
    public void moistureBasesAreInverse() {
        for (double w = 0; w < 0.98; w += 0.01) {
            assertThat(Moisture.wetBasis(Moisture.dryBasis(w))).isCloseTo(w, within(1e-12));
        }
    }

    @Test
    public void aCourseNeverGivesMoreThanItsDoseAndAddsUp() {
        Random random = new Random(5);
        for (int i = 0; i < MANY; i++) {
            int on = 1 + random.nextInt(6);
            int off = random.nextInt(5);
            int days = 10 + random.nextInt(60);
            int onDays = 0;
            for (int d = 0; d < days; d++) {
                onDays += d % (on + off) < on ? 1 : 0;
            }
            int ramp = random.nextInt(onDays / 2 + 1);
            int taper = random.nextInt(onDays / 2 + 1);
            var plan = Course.plan(new Course.Request(
                    LocalDate.of(2026, 2, 20),
                    Amount.of(3, Unit.ML),
                    2,
                    new Cycle(on, off),
                    ramp == 0 ? null : new Course.Slope(0.25, ramp),
                    taper == 0 ? null : new Course.Slope(0.5, taper),
                    days));
            assertThat(plan.days()).hasSize(days);
            double sum = 0;
            double before = 0;
            int seen = 0;
            for (Course.Day day : plan.days()) {
                assertThat(day.perDose().value()).isBetween(0.0, 3.0);
                assertThat(day.doses() == 0).isEqualTo(day.perDose().value() == 0);
                sum += day.doses() * day.perDose().value();
                if (day.doses() > 0) {
                    seen++;
                    if (seen <= ramp) {
                        assertThat(day.perDose().value()).isGreaterThanOrEqualTo(before);
                    } else if (seen > onDays - taper + 1) {
                        assertThat(day.perDose().value()).isLessThanOrEqualTo(before);
                    }
                    before = day.perDose().value();
                }
            }
            assertThat(plan.total().value()).isCloseTo(sum, within(1e-9));
            assertThat(seen).isEqualTo(onDays);
        }
    }

    @Test
    public void nothingMakesAThingKeepLonger() {
        LocalDate made = LocalDate.of(2026, 3, 31);
        for (Keeping.Form form : Keeping.Form.values()) {
            LocalDate plain = best(form, made, null, null, List.of());
            LocalDate input = made.plusDays(40);
            var bright = new Keeping.Storage(Keeping.Light.BRIGHT, 28, 0.8);
            assertThat(best(form, made, null, bright, List.of())).isBeforeOrEqualTo(plain);
            assertThat(best(form, made, made.plusDays(1), null, List.of())).isBeforeOrEqualTo(plain);
            LocalDate with = best(form, made, null, null, List.of(new Keeping.Input("oil", input)));
            assertThat(with).isBeforeOrEqualTo(plain);
            if (form.carriesInputs()) {
                assertThat(with).isEqualTo(input.isBefore(plain) ? input : plain);
            } else {
                assertThat(with).isEqualTo(plain);
            }
        }
    }

    private static LocalDate best(
            Keeping.Form form, LocalDate made, LocalDate opened, Keeping.Storage storage, List<Keeping.Input> inputs) {
        return Keeping.reckon(new Keeping.Request(form, made, opened, storage, inputs, null, Schools.USUAL))
                .bestBefore();
    }
}
