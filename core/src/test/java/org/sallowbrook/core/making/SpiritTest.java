package org.sallowbrook.core.making;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Random;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.spirit.EthanolWater;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Strength;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Against the tables of OIML R 22, and by what must hold for any pour. */
public class SpiritTest {

    @DataProvider
    public Object[][] densities() {
        return new Object[][] {
            {0, 5, 999.96},
            {0, 20, 998.201},
            {0, 30, 995.645},
            {0.25, 5, 968.881},
            {0.25, 20, 961.635},
            {0.25, 30, 956.024},
            {0.5, 5, 925.408},
            {0.5, 20, 913.771},
            {0.5, 30, 905.712},
            {0.75, 5, 868.238},
            {0.75, 20, 855.599},
            {0.75, 30, 846.926},
            {1.0, 5, 801.991},
            {1.0, 20, 789.239},
            {1.0, 30, 780.648}
        };
    }

    @Test(dataProvider = "densities")
    public void densityAgreesWithTheTable(Number p, Number celsius, Number rho) {
        assertThat(EthanolWater.density(p.doubleValue(), celsius.doubleValue()))
                .isCloseTo(rho.doubleValue(), within(0.01));
    }

    @DataProvider
    public Object[][] strengths() {
        return new Object[][] {
            {10, 8.015, 984.71},
            {20, 16.214, 973.56},
            {30, 24.607, 962.21},
            {40, 33.3, 948.05},
            {50, 42.426, 930.14},
            {60, 52.088, 909.11},
            {70, 62.386, 885.56},
            {80, 73.48, 859.27},
            {90, 85.665, 829.18},
            {96, 93.838, 807.42}
        };
    }

    @Test(dataProvider = "strengths")
    public void strengthAgreesWithTheTable(Number abv, Number massPercent, Number rho) {
        double p = EthanolWater.massFraction(new Strength(abv.doubleValue() / 100));
        assertThat(p * 100).isCloseTo(massPercent.doubleValue(), within(0.001));
        assertThat(EthanolWater.density(p, 20)).isCloseTo(rho.doubleValue(), within(0.01));
        assertThat(EthanolWater.strength(p).percent()).isCloseTo(abv.doubleValue(), within(1e-9));
    }

    @Test
    public void equalVolumesContractByAboutThreePerCent() {
        var mixed = Spirits.mix(List.of(new Pour(500, Strength.ofPercent(96)), new Pour(500, Strength.NONE)));
        assertThat(mixed.contractionMl()).isBetween(25.0, 35.0);
        assertThat(mixed.massG()).isCloseTo(500 * 0.80742 + 500 * 0.998201, within(0.01));
    }

    @Test
    public void dilutingAndMixingAgainGivesTheTargetBack() {
        Random random = new Random(7);
        for (int i = 0; i < 500; i++) {
            Strength from = new Strength(0.3 + 0.67 * random.nextDouble());
            Strength to = new Strength(from.fraction() * (0.05 + 0.95 * random.nextDouble()));
            double volume = 1 + 5000 * random.nextDouble();
            var dilution = Spirits.diluteTo(from, to, volume);
            var back = Spirits.mix(
                    List.of(new Pour(dilution.spiritMl(), from), new Pour(dilution.waterMl(), Strength.NONE)));
            assertThat(back.strength().fraction()).isCloseTo(to.fraction(), within(1e-9));
            assertThat(back.volumeMl()).isCloseTo(volume, within(1e-6 * volume));
            var other = Spirits.diluteSpirit(from, to, dilution.spiritMl());
            assertThat(other.waterMl()).isCloseTo(dilution.waterMl(), within(1e-6 * volume));
        }
    }

    @Test
    public void aReadingAtTwentyDegreesIsTheStrengthAndAWarmOneIsLess() {
        assertThat(EthanolWater.fromReading(40, 20).percent()).isCloseTo(40, within(1e-8));
        assertThat(EthanolWater.fromReading(40, 30).percent()).isBetween(35.0, 37.0);
        assertThat(EthanolWater.fromReading(40, 10).percent()).isBetween(43.0, 45.0);
        assertThatThrownBy(() -> EthanolWater.fromReading(Double.NaN, 20)).isInstanceOf(InvalidInput.class);
    }

    @Test
    public void blendEmptiesOpenBottlesFirstThenPoursLeast() {
        var shelf = List.of(
                new Blend.Bottle("sealed 96", Strength.ofPercent(96), 1000, false),
                new Blend.Bottle("open 96", Strength.ofPercent(96), 100, true),
                new Blend.Bottle("open 40", Strength.ofPercent(40), 700, true));
        var blend = Blend.blend(Strength.ofPercent(60), 500, shelf);
        assertThat(blend.feasible()).isTrue();
        var back = Spirits.mix(blend.pours().stream()
                .map(p -> new Pour(p.volumeMl(), strengthOf(p.name(), shelf)))
                .toList());
        assertThat(back.strength().percent()).isCloseTo(60, within(1e-6));
        assertThat(back.volumeMl()).isCloseTo(500, within(1e-4));
        double open = blend.pours().stream()
                .filter(p -> p.name().startsWith("open"))
                .mapToDouble(Blend.NamedPour::volumeMl)
                .sum();
        assertThat(open).isGreaterThan(300);
        var sealedOnly = Blend.blend(
                Strength.ofPercent(40),
                700,
                List.of(
                        new Blend.Bottle("a", Strength.ofPercent(70), 500, false),
                        new Blend.Bottle("b", Strength.ofPercent(40), 700, false)));
        assertThat(sealedOnly.pours()).extracting(Blend.NamedPour::name).containsExactly("b");
    }

    @Test
    public void aShortShelfSaysHowMuchIsMissing() {
        var shelf = List.of(new Blend.Bottle("a", Strength.ofPercent(40), 300, true));
        var blend = Blend.blend(Strength.ofPercent(40), 1000, shelf);
        assertThat(blend.feasible()).isFalse();
        assertThat(blend.missingMl()).isCloseTo(700, within(1e-6));
        assertThat(Blend.blend(Strength.ofPercent(60), 100, shelf)
                        .findings()
                        .get(0)
                        .code())
                .isEqualTo("SPIRIT_TOO_WEAK");
    }

    private static Strength strengthOf(String name, List<Blend.Bottle> shelf) {
        return shelf.stream()
                .filter(b -> b.name().equals(name))
                .map(Blend.Bottle::strength)
                .findFirst()
                .orElse(Strength.NONE);
    }

    private static double ethanolG(Blend.Result r, List<Blend.Bottle> shelf) {
        return r.pours().stream()
                .mapToDouble(p -> shelf.stream()
                        .filter(b -> b.name().equals(p.name()))
                        .mapToDouble(b -> p.massG() * EthanolWater.massFraction(b.strength()))
                        .findFirst()
                        .orElse(0))
                .sum();
    }

    @Test
    public void twoOpenBottlesMayMakeItWithoutWater() {
        var shelf = List.of(
                new Blend.Bottle("forty", Strength.ofPercent(40), 100, true),
                new Blend.Bottle("sixty", Strength.ofPercent(60), 100, true));
        var r = Blend.blend(Strength.ofPercent(50), 150, shelf);
        Pour wanted = new Pour(150, Strength.ofPercent(50));
        assertThat(r.pours()).extracting(Blend.NamedPour::name).containsExactly("forty", "sixty");
        assertThat(r.pours().stream().mapToDouble(Blend.NamedPour::massG).sum())
                .isCloseTo(wanted.massG(), within(1e-5));
        assertThat(ethanolG(r, shelf)).isCloseTo(wanted.ethanolG(), within(1e-5));
    }

    @Test
    public void aBottleGivesNoMoreThanItHolds() {
        var shelf = List.of(
                new Blend.Bottle("forty", Strength.ofPercent(40), 60, true),
                new Blend.Bottle("sixty", Strength.ofPercent(60), 80, true),
                new Blend.Bottle("ninety", Strength.ofPercent(90), 200, false));
        for (int percent = 42; percent <= 86; percent += 4) {
            var r = Blend.blend(Strength.ofPercent(percent), 180, shelf);
            Pour wanted = new Pour(180, Strength.ofPercent(percent));
            assertThat(ethanolG(r, shelf)).isCloseTo(wanted.ethanolG(), within(1e-4));
            r.pours().stream()
                    .filter(p -> !p.name().equals(Blend.WATER))
                    .forEach(p -> assertThat(p.volumeMl())
                            .isLessThanOrEqualTo(shelf.stream()
                                            .filter(b -> b.name().equals(p.name()))
                                            .findFirst()
                                            .orElseThrow()
                                            .availableMl()
                                    * (1 + 1e-6)));
        }
    }

    @Test
    public void emptyBottlesAndWaterInABottleAreNotPoured() {
        var r = Blend.blend(
                Strength.ofPercent(40),
                100,
                List.of(
                        new Blend.Bottle("gone", Strength.ofPercent(96), 0, true),
                        new Blend.Bottle("still water", Strength.NONE, 500, true),
                        new Blend.Bottle("spirit", Strength.ofPercent(96), 500, false)));
        assertThat(r.pours()).extracting(Blend.NamedPour::name).containsExactly("spirit", "water");
        assertThat(Blend.blend(
                                Strength.ofPercent(40),
                                100,
                                java.util.Collections.nCopies(
                                        16, new Blend.Bottle("one of many", Strength.ofPercent(96), 10, false)))
                        .feasible())
                .isTrue();
    }

    @Test
    public void theEndsOfTheScaleCanBeRead() {
        assertThat(EthanolWater.fromReading(100, 20).percent()).isCloseTo(100, within(1e-6));
        assertThat(EthanolWater.fromReading(60, 0).percent()).isGreaterThan(60);
        assertThat(EthanolWater.fromReading(60, 40).percent()).isLessThan(60);
        assertThat(EthanolWater.fromReading(0, 20)).isEqualTo(Strength.NONE);
    }

    @Test
    public void refusalsNameTheFieldOfTheCaller() {
        assertThatThrownBy(() -> Spirits.mix(List.of()))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("pours");
        assertThatThrownBy(() -> Spirits.mix(List.of(new Pour(0, Strength.ofPercent(40)))))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("pours");
        assertThatThrownBy(() -> Spirits.diluteSpirit(Strength.ofPercent(60), Strength.ofPercent(40), -1))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("spiritMl");
        assertThatThrownBy(() -> Spirits.diluteTo(Strength.ofPercent(60), Strength.ofPercent(40), -1))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("finalVolumeMl");
        // Warm water is lighter than 0 at 20 °C shows, cold pure spirit heavier than 100.
        assertThatThrownBy(() -> EthanolWater.fromReading(0, 30))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("no mixture");
        assertThatThrownBy(() -> EthanolWater.fromReading(100, 10))
                .isInstanceOf(InvalidInput.class)
                .hasMessageContaining("no mixture");
    }
}
