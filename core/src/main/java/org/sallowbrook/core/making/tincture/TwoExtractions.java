package org.sallowbrook.core.making.tincture;

import java.util.ArrayList;
import java.util.List;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.sallowbrook.core.making.spirit.Pour;
import org.sallowbrook.core.making.spirit.Spirits;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;

/** A tincture and a decoction of the same drug, joined; taken to mix as spirit and water do. */
public final class TwoExtractions {

    /** Above this the long sugars of a decoction drop out. */
    private static final double SUGARS_DROP_ABOVE = 0.40;

    /** Which extraction the drug goes through first. */
    public enum Order {
        SPIRIT_FIRST(List.of(
                "Macerate in spirit, press, set the tincture aside.",
                "Air the pressed marc, spread thin, until no smell of spirit is left: vapour catches fire.",
                "Cover the marc with water and simmer it uncovered and ventilated, never over a flame.",
                "Strain, boil down to the volume planned, let it cool to room temperature.",
                "Pour the decoction slowly into the tincture, stirring; let it stand a day.")),
        DECOCTION_FIRST(List.of(
                "Simmer the drug in water, strain and press, boil down to the volume planned.",
                "Dry the marc enough that it does not drip: its water counts as the plant's.",
                "Macerate the marc in spirit, press.",
                "Pour the cooled decoction slowly into the tincture, stirring; let it stand a day."));

        private final List<String> steps;

        Order(List<String> steps) {
            this.steps = steps;
        }

        public List<String> steps() {
            return steps;
        }
    }

    /**
     * @param strength at the end, at the most; {@code weakest} at the least
     * @param finalMl after contraction
     */
    public record Joined(
            double decoctionMl,
            Strength tincture,
            Strength strength,
            Strength weakest,
            double finalMl,
            List<Finding> findings,
            List<String> because) {}

    private TwoExtractions() {}

    public static Joined join(double tinctureMl, Strength tincture, double decoctionMl) {
        return join(tinctureMl, tincture, tincture, decoctionMl);
    }

    /** @param weakest what the tincture's strength may be at the least; whether it keeps is judged by it */
    public static Joined join(double tinctureMl, Strength weakest, Strength tincture, double decoctionMl) {
        Checks.begin()
                .positive("tinctureMl", tinctureMl)
                .notNegative("decoctionMl", decoctionMl)
                .done();
        List<Pour> pours = List.of(new Pour(tinctureMl, tincture), new Pour(decoctionMl, Strength.NONE));
        Spirits.Mixture m = Spirits.mix(pours);
        double low = mixed(tinctureMl, weakest, decoctionMl);
        List<Finding> findings = new ArrayList<>(
                Tincture.strengthFindings(Interval.of(low, m.strength().fraction())));
        if (m.strength().fraction() > SUGARS_DROP_ABOVE) {
            findings.add(Finding.note(
                    "SUGARS_DROP_OUT",
                    "Above 40 % the long sugars of the decoction drop out as a cloud.",
                    "Aim lower where the sugars are what is wanted."));
        }
        return new Joined(
                decoctionMl,
                tincture,
                m.strength(),
                new Strength(low),
                m.volumeMl(),
                findings,
                Spirits.because(pours, m));
    }

    /** How much decoction brings the tincture to a strength above 0 and at most its own. */
    public static Joined joinTo(double tinctureMl, Strength tincture, Strength target) {
        return joinTo(tinctureMl, tincture, tincture, target);
    }

    /** The same, so that it ends no weaker than wanted even where the tincture is as weak as it may be. */
    public static Joined joinTo(double tinctureMl, Strength weakest, Strength tincture, Strength target) {
        Spirits.Dilution d = Spirits.diluteSpirit(weakest, target, tinctureMl);
        return join(tinctureMl, weakest, tincture, d.waterMl());
    }

    /**
     * How strong the tincture must be to end at a strength with this much decoction.
     *
     * @throws org.sallowbrook.core.measure.InvalidInput when even pure spirit would not be strong enough
     */
    public static Joined tinctureFor(double tinctureMl, double decoctionMl, Strength target) {
        Checks.begin()
                .positive("tinctureMl", tinctureMl)
                .notNegative("decoctionMl", decoctionMl)
                .that(target.fraction() > 0, "targetPercent", "must be above 0")
                .done();
        Strength most = Strength.ofPercent(Strength.MOST_PERCENT);
        Checks.begin()
                .that(
                        mixed(tinctureMl, most, decoctionMl) >= target.fraction(),
                        "decoctionMl",
                        "is too much: even spirit of 97 % would end below the strength wanted")
                .done();
        double q = new BracketingNthOrderBrentSolver(1e-13, 5)
                .solve(
                        200,
                        x -> mixed(tinctureMl, new Strength(x), decoctionMl) - target.fraction(),
                        0,
                        most.fraction());
        return join(tinctureMl, new Strength(q), decoctionMl);
    }

    private static double mixed(double tinctureMl, Strength tincture, double decoctionMl) {
        return Spirits.mix(List.of(new Pour(tinctureMl, tincture), new Pour(decoctionMl, Strength.NONE)))
                .strength()
                .fraction();
    }
}
