package org.sallowbrook.core.drying;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Words;

/**
 * Where a drying lot stands: moisture from its weights, when it will be done, whether it is done.
 *
 * <p>Moistures are wet basis at this edge. Dry matter = m0 (1 - w0); target mass = dry matter / (1 - target). Where the
 * initial moisture is a range, so is everything after it.
 */
public final class Drying {

    static final double CONSTANT_WITHIN = 0.01;
    static final double CONSTANT_HOURS = 12;
    static final double POOR_FIT_OF_START = 0.02;
    static final double MOULD_MOISTURE = 0.30;
    static final double MOULD_HOURS = 72;
    /** What herb that crumbles may still hold, wet basis: what a jar bears at most. */
    static final double TOUCH_MOST = Moisture.DAMP;

    private static final double TOUCH_LEAST = 0.06;
    /** Dry herb draws water from humid air, but not more than this share of its weight between two weighings. */
    static final double GAINS_AT_MOST = 0.10;

    private static final double HUMID = 0.60;
    private static final double WARM_C = 18;

    public enum PhysicalTest {
        BENDS,
        CRUMBLES,
        SNAPS,
        HARD;

        public boolean dry() {
            return this != BENDS;
        }
    }

    public enum Model {
        NONE,
        LEWIS,
        PAGE
    }

    /** @param relativeHumidity 0..0.98 */
    public record Air(double temperatureC, double relativeHumidity) {
        public Air {
            Checks.begin()
                    .range("air.temperatureC", temperatureC, 0, 90)
                    .range("air.relativeHumidity", relativeHumidity, 0, 0.98)
                    .done();
        }
    }

    /** A stem or leaf that was tried. @param rackHours on the rack at work */
    public record Tested(double rackHours, PhysicalTest test) {
        public Tested {
            Checks.begin().range("tests.rackHours", rackHours, 0, 20_000).done();
        }
    }

    /**
     * @param freshG the weighing at hour 0
     * @param targetMoisture wet basis, above 0 and below the initial moisture
     * @param weighings in any order; one at hour 0 must agree with freshG
     * @param air null when not measured
     * @param tests in any order
     */
    public record Request(
            double freshG,
            Moisture initialMoisture,
            double targetMoisture,
            List<Weighing> weighings,
            @Nullable Air air,
            List<Tested> tests) {

        /** With one test, tried at the last weighing; null where none was. */
        public Request(
                double freshG,
                Moisture initialMoisture,
                double targetMoisture,
                List<Weighing> weighings,
                @Nullable Air air,
                @Nullable PhysicalTest test) {
            this(
                    freshG,
                    initialMoisture,
                    targetMoisture,
                    weighings,
                    air,
                    test == null
                            ? List.of()
                            : List.of(new Tested(
                                    weighings.stream()
                                            .mapToDouble(Weighing::rackHours)
                                            .max()
                                            .orElse(0),
                                    test)));
        }

        public Request {
            tests = tests.stream()
                    .sorted((x, y) -> Double.compare(x.rackHours(), y.rackHours()))
                    .toList();
            weighings = weighings.stream()
                    .sorted((x, y) -> Double.compare(x.rackHours(), y.rackHours()))
                    .toList();
            Checks checks = Checks.begin()
                    .positive("freshG", freshG)
                    .that(
                            targetMoisture > 0 && targetMoisture < initialMoisture.low(),
                            "targetMoisture",
                            "must be above 0 and below the initial moisture");
            double before = -1;
            for (Weighing weighing : weighings) {
                checks.that(weighing.rackHours() > before, "weighings", "must not hold two at the same hour");
                before = weighing.rackHours();
            }
            if (!weighings.isEmpty() && weighings.get(0).rackHours() == 0) {
                checks.that(
                        Math.abs(weighings.get(0).massG() - freshG) <= 0.01 * freshG,
                        "weighings",
                        "the one at hour 0 must agree with freshG");
            }
            checks.done();
        }
    }

    public record Remaining(double lowHours, double likelyHours, double highHours) {}

    /** A point of the curve to draw. */
    public record CurvePoint(double rackHours, double massG) {}

    /**
     * @param moistureNow null when the weights contradict the initial moisture
     * @param remaining null when no curve can be fitted, it cannot finish, or it is done
     * @param equilibriumMoisture wet basis; 0 without air
     * @param byTestAlone whether it is judged dry by touch, nothing having been weighed
     */
    public record Result(
            @Nullable Interval targetG,
            @Nullable Interval moistureNow,
            @Nullable Remaining remaining,
            Model model,
            double equilibriumMoisture,
            boolean constantMass,
            boolean done,
            boolean byTestAlone,
            List<CurvePoint> curve,
            List<Finding> findings,
            List<String> because) {
        public boolean feasible() {
            return moistureNow != null;
        }
    }

    private Drying() {}

    /** Moisture (wet basis) at which a part is dry: fruit stays leathery. */
    public static double targetMoisture(Taxon.Part part) {
        return part == Taxon.Part.FRUIT ? 0.12 : 0.10;
    }

    public static Result reckon(Request request) {
        return new Reckoner(request).reckon();
    }

    private static final class Reckoner {

        private final Request request;
        private final List<Finding> findings = new ArrayList<>();
        private final Because because = new Because();
        private final List<Weighing> later;
        private final Weighing last;

        Reckoner(Request request) {
            this.request = request;
            this.later = believed(
                    request.weighings().stream().filter(w -> w.rackHours() > 0).toList());
            this.last = later.isEmpty() ? new Weighing(0, request.freshG()) : later.get(later.size() - 1);
        }

        /**
         * What can be true together: herb on a rack loses water, so of weights that contradict each other the most that do
         * not are kept, and always the last. One slip of the pen so does not spoil a run.
         */
        private List<Weighing> believed(List<Weighing> all) {
            if (all.size() < 2) {
                return all;
            }
            int n = all.size();
            int[] length = new int[n];
            int[] before = new int[n];
            for (int i = 0; i < n; i++) {
                length[i] = 1;
                before[i] = -1;
                for (int j = 0; j < i; j++) {
                    boolean possible = all.get(i).massG() <= all.get(j).massG() * (1 + GAINS_AT_MOST);
                    if (possible && length[j] + 1 > length[i]) {
                        length[i] = length[j] + 1;
                        before[i] = j;
                    }
                }
            }
            List<Weighing> kept = new ArrayList<>();
            for (int i = n - 1; i >= 0; i = before[i]) {
                kept.add(0, all.get(i));
            }
            all.stream()
                    .filter(w -> !kept.contains(w))
                    .forEach(w -> findings.add(Finding.note(
                            "WEIGHING_SET_ASIDE",
                            Words.grams(w.massG()) + " after " + Words.figure(w.rackHours())
                                    + " h does not go with what was weighed later, so it is not reckoned with.",
                            "Nothing to do if it was a slip; if not, weigh again now.")));
            return List.copyOf(kept);
        }

        Result reckon() {
            double equilibrium = equilibrium();
            Moisture initial = initialMoisture();
            if (initial == null) {
                return new Result(
                        null,
                        null,
                        null,
                        Model.NONE,
                        equilibrium,
                        false,
                        false,
                        false,
                        List.of(),
                        findings,
                        because.lines());
            }
            double mostDry = request.freshG() * (1 - initial.low());
            double leastDry = request.freshG() * (1 - initial.high());
            Interval targetG = Interval.of(leastDry, mostDry).times(1 / (1 - request.targetMoisture()));
            Interval now =
                    Interval.of(Math.max(0, 1 - mostDry / last.massG()), Math.max(0, 1 - leastDry / last.massG()));
            explain(initial, Interval.of(leastDry, mostDry), targetG, now);
            boolean constant = constantMass();
            boolean done = done(now, constant, equilibrium);
            boolean canFinish = equilibrium < request.targetMoisture();
            if (!canFinish) {
                findings.add(Finding.hold(
                        "HUMID_STALL",
                        "In this air it stops at about " + Words.percent(equilibrium) + " water, above the "
                                + Words.percent(request.targetMoisture()) + " it must reach.",
                        "Warm the air, use a dehydrator, or finish it in a closed box with desiccant."));
            }
            if (done && byTestAlone()) {
                now = Interval.of(Math.min(Math.max(TOUCH_LEAST, equilibrium), TOUCH_MOST), TOUCH_MOST);
                because.say("Nothing was weighed; by two tests that were dry it holds at most "
                        + Words.percent(TOUCH_MOST) + " water.");
            }
            mouldRisk(now);
            ThinLayer curve = later.size() < 2 ? null : fit(initial.mid(), equilibrium);
            if (curve != null) {
                because.say("Fitted to the weights by least squares: " + curve.words() + ".");
            }
            Remaining remaining = curve == null || done || !canFinish ? null : remaining(initial, equilibrium, curve);
            return new Result(
                    targetG,
                    now,
                    remaining,
                    curve == null ? Model.NONE : Model.valueOf(curve.model().name()),
                    equilibrium,
                    constant,
                    done,
                    done && byTestAlone(),
                    curve == null ? List.of() : draw(curve, remaining),
                    findings,
                    because.lines());
        }

        private void explain(Moisture initial, Interval dryG, Interval targetG, Interval now) {
            String fresh = Words.exact(request.freshG(), "g");
            because.equation(
                    "Dry matter",
                    fresh + " × (1 − " + Words.exact(initial.high()) + ")",
                    fresh + " × (1 − " + Words.exact(initial.low()) + ")",
                    dryG,
                    "g");
            String rest = " / (1 − " + Words.exact(request.targetMoisture()) + ")";
            because.equation(
                    "Dry at", Words.exact(dryG.low(), "g") + rest, Words.exact(dryG.high(), "g") + rest, targetG, "g");
            String of = " / " + Words.exact(last.massG(), "g");
            if (now.low() > 0) {
                because.equation(
                        "Water now, as a share of the whole",
                        "1 − " + Words.exact(dryG.high(), "g") + of,
                        "1 − " + Words.exact(dryG.low(), "g") + of,
                        now,
                        Because.SHARE);
            } else {
                because.say("It weighs " + Words.grams(last.massG()) + " now, within what its dry matter may weigh: "
                        + Words.range(now.times(100), "%") + " water.");
            }
        }

        private double equilibrium() {
            Air air = request.air();
            if (air == null) {
                findings.add(Finding.note(
                        "AIR_UNKNOWN",
                        "The air at the rack was not given, so the herb is taken to dry towards no water at all.",
                        "Hang a hygrometer by the rack and enter what it shows."));
                return 0;
            }
            return Henderson.equilibriumMoisture(air.temperatureC(), air.relativeHumidity());
        }

        /** The initial moisture that the weights allow: no lot can weigh less than its dry matter. */
        private @Nullable Moisture initialMoisture() {
            Moisture given = request.initialMoisture();
            double lightest = later.stream().mapToDouble(Weighing::massG).min().orElse(request.freshG());
            double least = 1 - lightest / request.freshG();
            if (!(least < given.high())) {
                findings.add(Finding.stop(
                        "WEIGHTS_CONTRADICT_MOISTURE",
                        "It has lost more than the water it was said to hold.",
                        "Check the weights, the empty weight of the tray, and the moisture at the start."));
                return null;
            }
            if (least > given.low()) {
                findings.add(Finding.note(
                        "MOISTURE_NARROWED",
                        "It has already lost " + Words.percent(least)
                                + " of its weight, so it held at least that much water at the start.",
                        "Nothing to do; the range was narrowed from below."));
                return Moisture.of(least, given.high());
            }
            return given;
        }

        private boolean constantMass() {
            for (int i = later.size() - 2; i >= 0; i--) {
                if (last.rackHours() - later.get(i).rackHours() >= CONSTANT_HOURS) {
                    double before = later.get(i).massG();
                    return Math.abs(before - last.massG()) / before < CONSTANT_WITHIN;
                }
            }
            return false;
        }

        private boolean done(Interval now, boolean constant, double equilibrium) {
            PhysicalTest test = request.tests().isEmpty()
                    ? null
                    : request.tests().get(request.tests().size() - 1).test();
            if (test == PhysicalTest.BENDS) {
                findings.add(Finding.hold(
                        "STILL_BENDS",
                        "A stem or leaf that bends still holds water, whatever the scale says.",
                        "Leave it on the rack and try again in half a day."));
                return false;
            }
            if (now.high() <= request.targetMoisture()) {
                return true;
            }
            boolean physical = test != null && test.dry();
            // A weight that stands still high above what dry herb can weigh is a scale or a rack that is off, not
            // dryness.
            boolean possible = now.low() <= request.targetMoisture();
            boolean still = equilibrium < request.targetMoisture();
            if (byTestAlone()) {
                findings.add(Finding.note(
                        "DRY_BY_TOUCH",
                        "Nothing was weighed: it is judged dry by two tests alone, and may hold up to "
                                + Words.percent(TOUCH_MOST) + " water.",
                        "Look at the jar after a week: mist on the glass means it must go back on the rack."));
                return true;
            }
            boolean dry = (constant || twiceDry()) && physical && possible && still;
            if (!dry) {
                findings.add(Finding.hold(
                        "DAMP",
                        "It may hold " + Words.percent(now.high()) + " water; it may go to the jar at "
                                + Words.percent(request.targetMoisture()) + ".",
                        "Dry on. It counts as dry too when stems snap or leaves crumble, in dry enough air, and two"
                                + " weighings 12 rack hours apart differ by under 1 %, or the test is the same twice"
                                + " 12 hours apart."));
            }
            return dry;
        }

        /** Dry to the touch twice, far enough apart, and never bending since. */
        private boolean twiceDry() {
            List<Tested> tests = request.tests();
            for (int i = tests.size() - 1; i >= 0 && tests.get(i).test().dry(); i--) {
                if (tests.get(tests.size() - 1).rackHours() - tests.get(i).rackHours() >= CONSTANT_HOURS) {
                    return true;
                }
            }
            return false;
        }

        private boolean byTestAlone() {
            return later.isEmpty() && twiceDry() && equilibriumQuietly() < request.targetMoisture();
        }

        private double equilibriumQuietly() {
            Air air = request.air();
            return air == null ? 0 : Henderson.equilibriumMoisture(air.temperatureC(), air.relativeHumidity());
        }

        private void mouldRisk(Interval now) {
            Air air = request.air();
            boolean warmHumid = air == null || (air.relativeHumidity() > HUMID && air.temperatureC() > WARM_C);
            double known = Math.max(
                    last.rackHours(),
                    request.tests().stream()
                            .mapToDouble(Tested::rackHours)
                            .max()
                            .orElse(0));
            if (known > MOULD_HOURS && now.high() > MOULD_MOISTURE && warmHumid) {
                findings.add(Finding.warn(
                        "MOULD_RISK",
                        "After " + Words.figure(known) + " h it may still hold " + Words.percent(now.high())
                                + " water.",
                        "Look and smell through the whole lot today; warm the air. Any mould: throw all of it away."));
            }
        }

        private @Nullable ThinLayer fit(double initialMoisture, double equilibrium) {
            double dry = request.freshG() * (1 - initialMoisture);
            double equilibriumG = dry * (1 + Moisture.dryBasis(equilibrium));
            ThinLayer curve = equilibriumG < last.massG() ? ThinLayer.fit(request.freshG(), equilibriumG, later) : null;
            if (curve == null) {
                findings.add(Finding.note(
                        "NO_CURVE", "The weights do not follow a drying curve.", "Check them; weigh again later."));
            } else if (curve.rmsG() > POOR_FIT_OF_START * request.freshG()) {
                findings.add(Finding.note(
                        "POOR_FIT",
                        "The curve misses the weights by " + Words.grams(curve.rmsG())
                                + " on average; the forecast is rough.",
                        "Weigh always in the same way, and note when the rack is off."));
            }
            return curve;
        }

        /** From the fits at both ends of the moisture, each with its own band. */
        private @Nullable Remaining remaining(Moisture initial, double equilibrium, ThinLayer middle) {
            double likely = hoursLeft(middle, initial.mid(), 0);
            double low = likely;
            double high = likely;
            for (double w0 : new double[] {initial.low(), initial.mid(), initial.high()}) {
                double dry = request.freshG() * (1 - w0);
                double equilibriumG = dry * (1 + Moisture.dryBasis(equilibrium));
                ThinLayer curve =
                        equilibriumG < last.massG() ? ThinLayer.fit(request.freshG(), equilibriumG, later) : null;
                if (curve != null) {
                    low = Math.min(low, hoursLeft(curve, w0, -1));
                    high = Math.max(high, hoursLeft(curve, w0, 1));
                }
            }
            return Double.isFinite(high) ? new Remaining(low, likely, high) : null;
        }

        private double hoursLeft(ThinLayer curve, double initialMoisture, int side) {
            double target = request.freshG() * (1 - initialMoisture) / (1 - request.targetMoisture());
            double hours = curve.hoursTo(target) * Math.exp(side * curve.logHoursBand(target));
            return Math.max(0, hours - last.rackHours());
        }

        private List<CurvePoint> draw(ThinLayer curve, @Nullable Remaining remaining) {
            double end = last.rackHours() + (remaining == null ? 0 : 1.1 * remaining.likelyHours());
            List<CurvePoint> points = new ArrayList<>();
            int steps = 60;
            for (int i = 0; i <= steps; i++) {
                double t = end * i / steps;
                points.add(new CurvePoint(t, curve.massAt(t)));
            }
            return points;
        }
    }
}
