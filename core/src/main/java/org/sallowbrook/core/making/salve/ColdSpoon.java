package org.sallowbrook.core.making.salve;

import java.util.List;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Learned;

/**
 * What the cold spoon taught: how much more or less wax than the rule this household's wax and oils want, in share of
 * beeswax. "Too soft" is taken to mean 0.02 short, "too hard" 0.02 too much; no correction at all counts as three trials.
 */
public final class ColdSpoon {

    private static final double STEP = 0.02;
    private static final double PRIOR_TRIALS = 3;
    private static final Interval NO_CORRECTION = Interval.of(-0.03, 0.03);

    public enum Verdict {
        TOO_SOFT(STEP),
        RIGHT(0),
        TOO_HARD(-STEP);

        private final double moreWax;

        Verdict(double moreWax) {
            this.moreWax = moreWax;
        }
    }

    /**
     * One trial.
     *
     * @param abovePlan wax share of the trial less what the rule asked, as beeswax; 0 when the rule was followed
     */
    public record Trial(double abovePlan, Verdict verdict) {
        public Trial {
            Checks.begin().range("abovePlan", abovePlan, -0.3, 0.3).done();
        }

        double wanted() {
            return abovePlan + verdict.moreWax;
        }
    }

    private ColdSpoon() {}

    /** Share of beeswax to add to the rule; negative for less. */
    public static double correction(List<Trial> trials) {
        return Learned.band(
                        NO_CORRECTION,
                        PRIOR_TRIALS,
                        trials.stream().mapToDouble(Trial::wanted).toArray())
                .mid();
    }
}
