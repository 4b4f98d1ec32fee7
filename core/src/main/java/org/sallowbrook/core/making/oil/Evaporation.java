package org.sallowbrook.core.making.oil;

import java.util.List;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;

/** A decoction boiled away into oil: done when the pan weighs no more than oil and dry extract did. */
public final class Evaporation {

    /** Water left that no kitchen scale and no eye would see any more, as a share of the oil. */
    private static final double GONE_WITHIN = 0.005;

    /** @param waterLeftG at most */
    public record State(double waterLeftG, boolean done, List<Finding> findings, List<String> because) {}

    private Evaporation() {}

    /**
     * @param oilG weighed before the decoction went in
     * @param extractG dry extract the decoction brought; 0 when unknown, which is the safe side
     * @param nowG contents of the pan now
     */
    public static State state(double oilG, double extractG, double nowG) {
        Checks.begin()
                .positive("oilG", oilG)
                .notNegative("extractG", extractG)
                .positive("nowG", nowG)
                .that(
                        nowG >= oilG * 0.9 || !Double.isFinite(nowG),
                        "nowG",
                        "must not be far below what the oil alone weighed")
                .done();
        double left = Math.max(0, nowG - oilG - extractG);
        boolean done = left <= GONE_WITHIN * oilG;
        Because because = new Because();
        if (left > 0) {
            because.equation(
                    "Water left",
                    Words.exact(nowG, "g") + " − " + Words.exact(oilG, "g") + " − " + Words.exact(extractG, "g"),
                    left,
                    "g");
        } else {
            because.say("It weighs no more than oil and extract: no water is left.");
        }
        Finding splash = Finding.note(
                "WATER_IN_HOT_OIL",
                "Water under hot oil spits and can throw it out of the pan.",
                "Wide pan, low heat, never above 105 °C, never covered; stand back, no children near.");
        return new State(
                left,
                done,
                done
                        ? List.of(splash)
                        : List.of(
                                splash,
                                Finding.hold(
                                        "WATER_LEFT_IN_OIL",
                                        "Up to " + Words.grams(left) + " of water is still in it.",
                                        "Go on until the weight has come back to that of the oil.")),
                because.lines());
    }
}
