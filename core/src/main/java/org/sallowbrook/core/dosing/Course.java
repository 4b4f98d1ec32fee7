package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.pattern.Pattern;
import org.sallowbrook.core.measure.Amount;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/**
 * A dated plan of doses. Off-days are listed with no dose. A ramp or taper counts on-days and is linear: the ramp from its
 * fraction on the first on-day to 1 on its last, the taper from 1 on its first to its fraction on the last.
 */
public final class Course {

    static final int MOST_DAYS = 1100;

    /** @param days counted in on-days */
    public record Slope(double fraction, int days) {}

    public record Request(
            LocalDate startOn,
            Amount perDose,
            int timesPerDay,
            Pattern pattern,
            @Nullable Slope ramp,
            @Nullable Slope taper,
            int courseDays) {
        public Request {
            Checks checks = Checks.begin()
                    .positive("perDose", perDose.value())
                    .range("timesPerDay", timesPerDay, 1, 48)
                    .range("courseDays", courseDays, 1, MOST_DAYS)
                    .that(
                            startOn.getYear() >= 1900 && startOn.getYear() <= 9000,
                            "startOn",
                            "must be a plausible date");
            checkSlope(checks, ramp, "ramp", "startFraction");
            checkSlope(checks, taper, "taper", "endFraction");
            checks.done();
        }

        private static void checkSlope(Checks checks, @Nullable Slope slope, String name, String fraction) {
            if (slope != null) {
                checks.that(
                                slope.fraction() > 0 && slope.fraction() <= 1,
                                name + "." + fraction,
                                "must be above 0 and at most 1, a full dose")
                        .range(name + ".days", slope.days(), 1, MOST_DAYS);
            }
        }
    }

    /** @param perDose 0 on an off-day */
    public record Day(LocalDate date, int doses, Amount perDose) {
        /** All of its doses. */
        public Amount total() {
            return perDose.times(doses);
        }
    }

    /** All amounts are in the product's own unit. */
    public record Plan(List<Day> days, Amount total, LocalDate lastDay) {

        /** The largest single dose. */
        public Amount mostPerDose() {
            return most(Day::perDose);
        }

        /** All doses of the fullest day. */
        public Amount mostPerDay() {
            return most(Day::total);
        }

        private Amount most(Function<Day, Amount> of) {
            return days.stream()
                    .map(of)
                    .max(Comparator.comparingDouble(Amount::value))
                    .orElse(total);
        }

        /** The lines of its total: runs of like days. */
        public List<String> because() {
            String unit = total.unit().symbol();
            List<String> sums = new ArrayList<>();
            int run = 0;
            for (int i = 0; i < days.size(); i++) {
                run++;
                Day day = days.get(i);
                boolean ends = i + 1 == days.size()
                        || days.get(i + 1).doses() != day.doses()
                        || !days.get(i + 1).perDose().equals(day.perDose());
                if (ends) {
                    if (day.doses() > 0) {
                        sums.add(run + " × " + day.doses() + " × "
                                + Words.exact(day.perDose().value(), unit));
                    }
                    run = 0;
                }
            }
            if (sums.isEmpty()) {
                return List.of("No day of it has a dose.");
            }
            return new Because()
                    .equation("Days × doses × amount", String.join(" + ", sums), total.value(), unit)
                    .lines();
        }
    }

    /**
     * A first small trial of a plant a person never had: one quarter of a dose, once, then a day of waiting.
     */
    public static Amount trial(Amount perDose) {
        Checks.begin().positive("perDose", perDose.value()).done();
        return perDose.times(0.25);
    }

    private Course() {}

    /** @throws org.sallowbrook.core.measure.InvalidInput when ramp and taper overlap */
    public static Plan plan(Request request) {
        int[] doses = new int[request.courseDays()];
        int onDays = 0;
        for (int d = 0; d < doses.length; d++) {
            doses[d] = request.pattern().doses(d, request.startOn().plusDays(d), request.timesPerDay());
            onDays += doses[d] > 0 ? 1 : 0;
        }
        int ramp = request.ramp() == null ? 0 : request.ramp().days();
        int taper = request.taper() == null ? 0 : request.taper().days();
        Checks.begin()
                .that(
                        ramp + taper <= onDays,
                        taper > 0 ? "taper.days" : "ramp.days",
                        "with the ramp must not be longer than the " + onDays + " on-days of the course")
                .done();
        List<Day> days = new ArrayList<>(doses.length);
        Amount total = request.perDose().times(0);
        int on = 0;
        for (int d = 0; d < doses.length; d++) {
            double fraction = doses[d] > 0 ? fraction(request, on++, onDays) : 0;
            Day day = new Day(
                    request.startOn().plusDays(d), doses[d], request.perDose().times(fraction));
            total = total.plus(day.total());
            days.add(day);
        }
        return new Plan(days, total, request.startOn().plusDays(doses.length - 1L));
    }

    private static double fraction(Request request, int onDay, int onDays) {
        Slope ramp = request.ramp();
        if (ramp != null && onDay < ramp.days()) {
            return ramp.days() == 1
                    ? ramp.fraction()
                    : ramp.fraction() + (1 - ramp.fraction()) * onDay / (ramp.days() - 1);
        }
        Slope taper = request.taper();
        if (taper != null && onDay >= onDays - taper.days()) {
            int step = onDay - (onDays - taper.days());
            return taper.days() == 1 ? taper.fraction() : 1 - (1 - taper.fraction()) * step / (taper.days() - 1);
        }
        return 1;
    }
}
