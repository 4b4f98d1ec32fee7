package org.sallowbrook.core.making.spirit;

import java.util.List;
import org.hipparchus.analysis.UnivariateFunction;
import org.hipparchus.analysis.solvers.BracketingNthOrderBrentSolver;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * Density of ethanol-water mixtures and what follows from it.
 *
 * <p>OIML R 22, International alcoholometric tables (1973), general formula: density in kg/m3 from the mass fraction p
 * of ethanol (0..1) and the temperature t in °C (-20..40). Agrees with the published tables to 0.01 kg/m3.
 */
public final class EthanolWater {

    /** Cubic expansion of an alcoholmeter's glass, per °C (OIML R 22). */
    private static final double GLASS_EXPANSION = 25e-6;

    private static final double SOLVER_ACCURACY = 1e-12;
    private static final int SOLVER_STEPS = 200;

    private static final double[] A = {
        998.20123,
        -192.9769495,
        389.1238958,
        -1668.103923,
        13522.15441,
        -88292.78388,
        306287.4042,
        -613838.1234,
        747017.2998,
        -547846.1354,
        223446.0334,
        -39032.85426
    };
    private static final double[] B = {
        -0.20618513, -0.0052682542, 3.6130013e-05, -3.8957702e-07, 7.169354e-09, -9.9739231e-11
    };
    private static final double[][] C = {
        {
            0.1693443461530087,
            -10.46914743455169,
            71.96353469546523,
            -704.7478054272792,
            3924.090430035045,
            -12101.64659068747,
            22486.46550400788,
            -26055.62982188164,
            18523.73922069467,
            -7420.201433430137,
            1285.617841998974
        },
        {
            -0.0119301300505701,
            0.2517399633803461,
            -2.170575700536993,
            13.53034988843029,
            -50.29988758547014,
            109.635566657757,
            -142.2753946421155,
            108.043594285623,
            -44.14153236817392,
            7.442971530188783
        },
        {
            -0.0006802995733503803,
            0.01876837790289664,
            -0.2002561813734156,
            1.02299296671922,
            -2.895696483903638,
            4.810060584300675,
            -4.672147440794683,
            2.458043105903461,
            -0.5411227621436812
        },
        {4.075376675622027e-06, -8.76305857347111e-06, 6.515031360099368e-06, -1.51578483698721e-06},
        {-2.788074354782409e-08, 1.345612883493354e-08}
    };

    private static final double PURE_ETHANOL_20 = density(1, 20);

    private EthanolWater() {}

    /**
     * Density in kg/m3.
     *
     * @param massFraction of ethanol, 0..1
     * @param celsius -20..40
     */
    public static double density(double massFraction, double celsius) {
        Checks.begin()
                .range("massFraction", massFraction, 0, 1)
                .range("temperatureC", celsius, -20, 40)
                .done();
        return rho(massFraction, celsius - 20);
    }

    /** The formula itself, unchecked; dt = t - 20. Nested multiplication. */
    private static double rho(double p, double dt) {
        double rho = nested(A, p);
        if (dt != 0) {
            double warmth = nested(B, dt) * dt;
            double joint = 0;
            for (int i = C.length - 1; i >= 0; i--) {
                joint = (joint + nested(C[i], p) * p) * dt;
            }
            rho += warmth + joint;
        }
        return rho;
    }

    private static double nested(double[] coefficients, double x) {
        double sum = 0;
        for (int k = coefficients.length - 1; k >= 0; k--) {
            sum = sum * x + coefficients[k];
        }
        return sum;
    }

    /** Density at 20 °C in g/mL. */
    public static double gramsPerMl(double massFraction) {
        return density(massFraction, 20) / 1000;
    }

    /** Density at 20 °C in g/mL of a spirit of this strength. */
    public static double gramsPerMl(Strength strength) {
        return gramsPerMl(massFraction(strength));
    }

    /** Strength by volume at 20 °C of a mass fraction: q = p rho(p) / rho(1). */
    public static Strength strength(double massFraction) {
        double q = massFraction * density(massFraction, 20) / PURE_ETHANOL_20;
        // The formula exceeds 1 by less than 1e-15 at p = 1.
        return new Strength(Math.min(q, 1));
    }

    /** Mass fraction of a strength; the inverse of {@link #strength}, to 1e-12. */
    public static double massFraction(Strength strength) {
        double q = strength.fraction();
        if (q == 0 || q == 1) {
            return q;
        }
        return solve(p -> p * rho(p, 0) / PURE_ETHANOL_20 - q);
    }

    /**
     * True strength at 20 °C from a glass alcoholmeter read at another temperature: rho(p,t) = rho(reading,20) / (1 +
     * 25e-6 (t - 20)), solved for p.
     *
     * @param readingPercent 0..100
     * @param celsius 0..40
     * @throws org.sallowbrook.core.measure.InvalidInput when no mixture has that density at that temperature
     */
    public static Strength fromReading(double readingPercent, double celsius) {
        Checks.begin()
                .range("readingPercent", readingPercent, 0, 100)
                .range("temperatureC", celsius, 0, 40)
                .done();
        double shown = density(massFraction(new Strength(readingPercent / 100)), 20);
        double wanted = shown / (1 + GLASS_EXPANSION * (celsius - 20));
        double atNone = density(0, celsius) - wanted;
        double atPure = density(1, celsius) - wanted;
        // Cold water is denser than a reading of 0 at 20 °C, so a zero reading below 20 °C still means some spirit.
        Checks.begin()
                .that(
                        atNone >= -1e-9 && atPure <= 1e-9,
                        "readingPercent",
                        "no mixture of ethanol and water shows this reading at this temperature")
                .done();
        if (Math.abs(atNone) <= 1e-9) {
            return Strength.NONE;
        }
        return strength(solve(p -> rho(p, celsius - 20) - wanted));
    }

    /** How a reading becomes a strength. */
    public static List<String> because(double readingPercent, double celsius, Strength strength) {
        double read = gramsPerMl(massFraction(new Strength(readingPercent / 100)));
        Because because = new Because();
        because.say("The alcoholmeter's " + Words.figure(readingPercent) + " stands for " + Words.exact(read, "g/mL")
                + " at 20 °C (OIML R 22).");
        because.equation(
                "Density at " + Words.figure(celsius) + " °C, its glass having changed with the warmth",
                Words.exact(read, "g/mL") + " / (1 + 0.000025 × (" + Words.exact(celsius) + " − 20))",
                read / (1 + GLASS_EXPANSION * (celsius - 20)),
                "g/mL");
        because.say("At that temperature so dense a mixture is " + Words.percent(strength.fraction())
                + " by volume (OIML R 22).");
        return because.lines();
    }

    private static double solve(UnivariateFunction f) {
        return new BracketingNthOrderBrentSolver(SOLVER_ACCURACY, 5).solve(SOLVER_STEPS, f, 0, 1);
    }
}
