package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * A dated plan of doses. Off-days are listed with no dose. A ramp or taper counts on-days and is linear: the ramp from its
 * fraction on the first on-day to 1 on its last, the taper from 1 on its first to its fraction on the last.
 */
public final class Course {

    static final int MOST_DAYS = 1100;

    public enum Kind {
        DAILY,
        CYCLE,
        DAYS_PER_MONTH,
        WEEKLY,
        EVERY_HOURS,
        AS_NEEDED
    }

    /** Only the numbers its kind needs are given. */
    public record Pattern(
            Kind kind,
            @Nullable Integer onDays,
            @Nullable Integer offDays,
            @Nullable Integer daysPerMonth,
            @Nullable Double everyHours) {
        public Pattern {
            Checks checks = Checks.begin();
            if (kind == Kind.CYCLE) {
                checks.that(onDays != null && onDays >= 1 && onDays <= 366, "pattern.onDays", "must be from 1 to 366");
                checks.that(
                        offDays != null && offDays >= 0 && offDays <= 366, "pattern.offDays", "must be from 0 to 366");
            }
            if (kind == Kind.DAYS_PER_MONTH) {
                checks.that(
                        daysPerMonth != null && daysPerMonth >= 1 && daysPerMonth <= 31,
                        "pattern.daysPerMonth",
                        "must be from 1 to 31");
            }
            if (kind == Kind.EVERY_HOURS) {
                checks.that(
                        everyHours != null && everyHours >= 1 && everyHours <= 168,
                        "pattern.everyHours",
                        "must be from 1 to 168");
            }
            checks.done();
        }

        public static Pattern daily() {
            return new Pattern(Kind.DAILY, null, null, null, null);
        }

        public static Pattern cycle(int onDays, int offDays) {
            return new Pattern(Kind.CYCLE, onDays, offDays, null, null);
        }
    }

    /** @param days counted in on-days */
    public record Slope(double fraction, int days) {}

    public record Request(
            LocalDate startOn,
            double perDoseMl,
            int timesPerDay,
            Pattern pattern,
            @Nullable Slope ramp,
            @Nullable Slope taper,
            int courseDays) {
        public Request {
            Checks checks = Checks.begin()
                    .positive("perDoseMl", perDoseMl)
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
                                "must be above 0 and at most 1")
                        .range(name + ".days", slope.days(), 1, MOST_DAYS);
            }
        }
    }

    /** @param perDoseMl 0 on an off-day */
    public record Day(LocalDate date, int doses, double perDoseMl) {}

    public record Plan(List<Day> days, double totalMl, LocalDate lastDay) {}

    private Course() {}

    /** @throws org.sallowbrook.core.measure.InvalidInput when ramp and taper overlap */
    public static Plan plan(Request request) {
        int[] doses = new int[request.courseDays()];
        int onDays = 0;
        for (int d = 0; d < doses.length; d++) {
            doses[d] = dosesOn(request, d);
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
        double total = 0;
        int on = 0;
        for (int d = 0; d < doses.length; d++) {
            double ml = 0;
            if (doses[d] > 0) {
                ml = request.perDoseMl() * fraction(request, on++, onDays);
                total += ml * doses[d];
            }
            days.add(new Day(request.startOn().plusDays(d), doses[d], ml));
        }
        return new Plan(days, total, request.startOn().plusDays(doses.length - 1L));
    }

    private static int dosesOn(Request request, int day) {
        Pattern pattern = request.pattern();
        return switch (pattern.kind()) {
            case DAILY, AS_NEEDED -> request.timesPerDay();
            case CYCLE -> day % (pattern.onDays() + pattern.offDays()) < pattern.onDays() ? request.timesPerDay() : 0;
            case DAYS_PER_MONTH ->
                request.startOn().plusDays(day).getDayOfMonth() <= pattern.daysPerMonth() ? request.timesPerDay() : 0;
            case WEEKLY -> day % 7 == 0 ? request.timesPerDay() : 0;
            // The first dose falls at the start of the first day; a dose belongs to the day it falls in.
            case EVERY_HOURS ->
                (int) (Math.ceil((day + 1) * 24 / pattern.everyHours()) - Math.ceil(day * 24 / pattern.everyHours()));
        };
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
