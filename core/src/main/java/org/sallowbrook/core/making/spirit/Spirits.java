package org.sallowbrook.core.making.spirit;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * Mixing and diluting by mass: ethanol and water contract, so masses are added and volumes follow from {@link
 * EthanolWater}. Volumes in mL at 20 °C, masses in g.
 */
public final class Spirits {

    /** Above this strength vapour can catch fire near heat; above {@link #SEVERE_FIRE_ABOVE} easily. */
    public static final double FIRE_ABOVE = 0.24;

    public static final double SEVERE_FIRE_ABOVE = 0.70;

    /** @param contractionMl how much less than the sum of the pours */
    public record Mixture(double volumeMl, Strength strength, double massG, double contractionMl) {}

    public record Dilution(double spiritMl, double waterMl, double spiritG, double waterG, double finalVolumeMl) {}

    private Spirits() {}

    /** Joins any number of pours. @throws org.sallowbrook.core.measure.InvalidInput when nothing is poured */
    public static Mixture mix(List<Pour> pours) {
        double mass = 0;
        double ethanol = 0;
        double volume = 0;
        for (Pour pour : pours) {
            double p = EthanolWater.massFraction(pour.strength());
            double g = pour.volumeMl() * EthanolWater.gramsPerMl(p);
            mass += g;
            ethanol += g * p;
            volume += pour.volumeMl();
        }
        Checks.begin()
                .that(mass > 0 && mass <= Double.MAX_VALUE, "pours", "must hold something")
                .done();
        double p = Math.min(1, ethanol / mass);
        double mixed = mass / EthanolWater.gramsPerMl(p);
        return new Mixture(mixed, EthanolWater.strength(p), mass, volume - mixed);
    }

    /** How much water brings this much spirit down to a strength. Target above 0 and at most the spirit's. */
    public static Dilution diluteSpirit(Strength from, Strength to, double spiritMl) {
        checkTarget(from, to, "spiritMl", spiritMl);
        double spiritG = new Pour(spiritMl, from).massG();
        double waterG = spiritG * (EthanolWater.massFraction(from) / EthanolWater.massFraction(to) - 1);
        return dilution(from, to, spiritG, waterG);
    }

    /** How much of each gives this final volume. Target above 0 and at most the spirit's. */
    public static Dilution diluteTo(Strength from, Strength to, double finalVolumeMl) {
        checkTarget(from, to, "finalVolumeMl", finalVolumeMl);
        double totalG = new Pour(finalVolumeMl, to).massG();
        double spiritG = totalG * EthanolWater.massFraction(to) / EthanolWater.massFraction(from);
        return dilution(from, to, spiritG, totalG - spiritG);
    }

    /** What to know about fire before a spirit of this strength is used near heat; empty when weak. */
    public static List<Finding> fireFindings(Strength strength) {
        List<Finding> findings = new ArrayList<>();
        if (strength.fraction() > SEVERE_FIRE_ABOVE) {
            findings.add(Finding.warn(
                    "FIRE_SEVERE",
                    "Spirit of " + Words.percent(strength.fraction()) + " by volume catches fire very easily.",
                    "No flame, spark or hot plate in the room; air it; wipe up spills before going on."));
        } else if (strength.fraction() > FIRE_ABOVE) {
            findings.add(Finding.note(
                    "FIRE",
                    "Spirit of " + Words.percent(strength.fraction()) + " by volume can catch fire near heat.",
                    "Keep it away from flame and hot plates."));
        }
        return findings;
    }

    /** The mass and the ethanol of a pour, from its volume, strength and the densities of OIML R 22 at 20 °C. */
    public static List<String> because(String name, Pour pour) {
        double fraction = EthanolWater.massFraction(pour.strength());
        double density = EthanolWater.gramsPerMl(fraction);
        double mass = pour.volumeMl() * density;
        Because because = new Because();
        because.say(Words.percent(pour.strength().fraction()) + " by volume weighs " + Words.exact(density, "g/mL")
                + " at 20 °C, and " + Words.exact(fraction) + " of its mass is ethanol (OIML R 22).");
        because.equation(
                "Mass of " + name,
                Words.exact(pour.volumeMl(), "mL") + " × " + Words.exact(density, "g/mL"),
                mass,
                "g");
        because.equation(
                "Ethanol in " + name, Words.exact(mass, "g") + " × " + Words.exact(fraction), mass * fraction, "g");
        return because.lines();
    }

    /** Expression of a strength: ethanol by its own density over the whole volume. */
    public static String strengthOf(double ethanolG, double volumeMl) {
        return Words.exact(ethanolG, "g") + " / " + Words.exact(EthanolWater.gramsPerMl(1.0), "g/mL") + " / "
                + Words.exact(volumeMl, "mL");
    }

    /** How a mixture comes about: masses added, then back to volume and strength. */
    public static List<String> because(List<Pour> pours, Mixture mixture) {
        Because because = new Because();
        List<String> masses = new ArrayList<>();
        List<String> ethanol = new ArrayList<>();
        double ethanolG = 0;
        for (int i = 0; i < pours.size(); i++) {
            Pour pour = pours.get(i);
            because.addAll(because("pour " + (i + 1), pour));
            masses.add(Words.exact(pour.massG(), "g"));
            ethanol.add(Words.exact(pour.ethanolG(), "g"));
            ethanolG += pour.ethanolG();
        }
        because.equation("Mass", String.join(" + ", masses), mixture.massG(), "g");
        because.equation("Ethanol", String.join(" + ", ethanol), ethanolG, "g");
        double density = mixture.massG() / mixture.volumeMl();
        because.say("Such a mixture weighs " + Words.exact(density, "g/mL") + " at 20 °C (OIML R 22).");
        because.equation(
                "Volume",
                Words.exact(mixture.massG(), "g") + " / " + Words.exact(density, "g/mL"),
                mixture.volumeMl(),
                "mL");
        because.equation(
                "Strength",
                strengthOf(ethanolG, mixture.volumeMl()),
                mixture.strength().fraction(),
                Because.SHARE);
        return because.lines();
    }

    /** How a dilution comes about: the ethanol stays, only water is added. */
    public static List<String> because(Strength from, Strength to, Dilution d) {
        double strong = EthanolWater.massFraction(from);
        double weak = EthanolWater.massFraction(to);
        Because because = new Because();
        because.addAll(because("spirit", new Pour(d.spiritMl(), from)));
        because.say(
                Words.percent(to.fraction()) + " by volume is " + Words.exact(weak) + " ethanol by mass (OIML R 22).");
        because.equation(
                "Water by weight",
                Words.exact(d.spiritG(), "g") + " × " + Words.exact(strong) + " / " + Words.exact(weak) + " − "
                        + Words.exact(d.spiritG(), "g"),
                d.waterG(),
                "g");
        because.equation(
                "Volume",
                "(" + Words.exact(d.spiritG(), "g") + " + " + Words.exact(d.waterG(), "g") + ") / "
                        + Words.exact(EthanolWater.gramsPerMl(to), "g/mL"),
                d.finalVolumeMl(),
                "mL");
        return because.lines();
    }

    private static Dilution dilution(Strength from, Strength to, double spiritG, double waterG) {
        Pour spirit = Pour.ofGrams(spiritG, from);
        // A spirit already at the target leaves a water mass of some 1e-14, of either sign.
        Pour water = Pour.ofGrams(Math.abs(waterG) < 1e-9 ? 0 : waterG, Strength.NONE);
        return new Dilution(
                spirit.volumeMl(),
                water.volumeMl(),
                spiritG,
                water.massG(),
                Pour.ofGrams(spiritG + waterG, to).volumeMl());
    }

    private static void checkTarget(Strength from, Strength to, String field, double volume) {
        Checks.begin()
                .positive(field, volume)
                .that(to.fraction() > 0, "toPercent", "must be above 0")
                .that(to.fraction() <= from.fraction(), "toPercent", "must not be above fromPercent")
                .done();
    }
}
