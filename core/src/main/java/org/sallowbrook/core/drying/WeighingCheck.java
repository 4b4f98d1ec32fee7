package org.sallowbrook.core.drying;

import java.util.ArrayList;
import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;

/** Weights that are asked about before they are believed: a slip of the pen is cheapest to mend at once. */
public final class WeighingCheck {

    /** Dry herb draws water from humid air: so much heavier is not asked about. */
    private static final double HEAVIER = 1.02;

    private static final double HALF = 0.5;

    /** A dehydrator may take half of it in a night; nothing does in so few hours. */
    private static final double SOON_HOURS = 6;

    private WeighingCheck() {}

    /**
     * @param freshG when it was laid out
     * @param initial moisture then
     * @param lastG weighed before, or when it was laid out
     * @param hours on the rack since then
     * @param nowG what was weighed
     */
    public static List<Finding> unlikely(double freshG, Moisture initial, double lastG, double hours, double nowG) {
        Checks.begin()
                .positive("freshG", freshG)
                .positive("lastG", lastG)
                .positive("massG", nowG)
                .notNegative("hours", hours)
                .done();
        List<Finding> findings = new ArrayList<>();
        double leastDry = freshG * (1 - initial.high());
        if (nowG > lastG * HEAVIER) {
            findings.add(warn(nowG, "more than the " + Words.grams(lastG) + " before; herb on a rack gets lighter"));
        } else if (nowG < leastDry) {
            findings.add(warn(nowG, "less than its dry matter, " + Words.grams(leastDry) + " at the least"));
        } else if (nowG < lastG * HALF && hours < SOON_HOURS) {
            findings.add(warn(
                    nowG, "less than half of the " + Words.grams(lastG) + " of " + Words.figure(hours) + " hours ago"));
        }
        return findings;
    }

    private static Finding warn(double nowG, String why) {
        return Finding.trifle(
                "UNLIKELY_WEIGHT",
                Words.grams(nowG) + " is " + why + ".",
                "Weigh it again, or say why it is right; a wrong weighing can be struck out later as well.");
    }
}
