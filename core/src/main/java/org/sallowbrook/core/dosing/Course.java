package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.MonthDay;
import java.util.ArrayList;
import java.util.List;
import org.hipparchus.random.Well19937c;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

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
        AS_NEEDED,
        /** Daily within a season of the year. */
        SEASON,
        /** Blocks of days with and without, two by two, which of the two comes first drawn by lot: to see whether it helps. */
        DRAWN
    }

    /**
     * Only the numbers its kind needs are given.
     *
     * @param onDays of CYCLE; of DRAWN the days in a block
     * @param everyHours of EVERY_HOURS; of AS_NEEDED the least interval
     * @param from first day of a season, each year
     * @param to last day of it; before {@code from} when it runs over the new year
     * @param lot of DRAWN, what is drawn from: the same number draws the same days
     */
    public record Pattern(
            Kind kind,
            @Nullable Integer onDays,
            @Nullable Integer offDays,
            @Nullable Integer daysPerMonth,
            @Nullable Double everyHours,
            @Nullable MonthDay from,
            @Nullable MonthDay to,
            @Nullable Integer lot) {
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
            if (kind == Kind.DRAWN) {
                checks.that(onDays != null && onDays >= 1 && onDays <= 14, "pattern.onDays", "must be from 1 to 14");
                checks.that(lot != null, "pattern.lot", "must be given to draw from");
            }
            checks.that(kind != Kind.SEASON || from != null, "pattern.from", "must be given for a season");
            checks.that(kind != Kind.SEASON || to != null, "pattern.to", "must be given for a season");
            if (kind == Kind.EVERY_HOURS || (kind == Kind.AS_NEEDED && everyHours != null)) {
                checks.that(
                        everyHours != null && everyHours >= 1 && everyHours <= 168,
                        "pattern.everyHours",
                        "must be from 1 to 168");
            }
            checks.done();
        }

        /** The least distance between two doses, in hours; null where the pattern asks for none. */
        public @Nullable Double leastHours() {
            return kind == Kind.EVERY_HOURS || kind == Kind.AS_NEEDED ? everyHours : null;
        }

        public static Pattern daily() {
            return of(Kind.DAILY);
        }

        public static Pattern cycle(int onDays, int offDays) {
            return new Pattern(Kind.CYCLE, onDays, offDays, null, null, null, null, null);
        }

        /** One that needs no number. */
        public static Pattern of(Kind kind) {
            return new Pattern(kind, null, null, null, null, null, null, null);
        }

        public static Pattern daysPerMonth(int days) {
            return new Pattern(Kind.DAYS_PER_MONTH, null, null, days, null, null, null, null);
        }

        public static Pattern everyHours(double hours) {
            return new Pattern(Kind.EVERY_HOURS, null, null, null, hours, null, null, null);
        }

        public static Pattern season(MonthDay from, MonthDay to) {
            return new Pattern(Kind.SEASON, null, null, null, null, from, to, null);
        }

        public static Pattern drawn(int blockDays, int lot) {
            return new Pattern(Kind.DRAWN, blockDays, null, null, null, null, null, lot);
        }

        /** Which pair of blocks a day of a DRAWN course belongs to, from 0; null for other kinds. */
        public @Nullable Integer pair(int day) {
            return kind == Kind.DRAWN && onDays != null ? (Integer) (day / onDays / 2) : null;
        }

        private boolean drawnWith(int day) {
            int pair = java.util.Objects.requireNonNull(pair(day));
            boolean second = day / java.util.Objects.requireNonNull(onDays) % 2 == 1;
            boolean first = new Well19937c(new int[] {java.util.Objects.requireNonNull(lot), pair}).nextBoolean();
            return first != second;
        }

        boolean inSeason(LocalDate date) {
            MonthDay day = MonthDay.from(date);
            MonthDay first = java.util.Objects.requireNonNull(from);
            MonthDay last = java.util.Objects.requireNonNull(to);
            return first.isAfter(last)
                    ? !day.isBefore(first) || !day.isAfter(last)
                    : !day.isBefore(first) && !day.isAfter(last);
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

    public record Plan(List<Day> days, double totalMl, LocalDate lastDay) {
        /** The lines of its total: runs of like days. */
        public List<String> because() {
            return because("mL");
        }

        /** @param unit of the product, mL or g */
        public List<String> because(String unit) {
            List<String> sums = new ArrayList<>();
            int run = 0;
            for (int i = 0; i < days.size(); i++) {
                run++;
                Day day = days.get(i);
                boolean ends = i + 1 == days.size()
                        || days.get(i + 1).doses() != day.doses()
                        || days.get(i + 1).perDoseMl() != day.perDoseMl();
                if (ends) {
                    if (day.doses() > 0) {
                        sums.add(run + " × " + day.doses() + " × " + Words.exact(day.perDoseMl(), unit));
                    }
                    run = 0;
                }
            }
            if (sums.isEmpty()) {
                return List.of("No day of it has a dose.");
            }
            return new Because()
                    .equation("Days × doses × amount", String.join(" + ", sums), totalMl, unit)
                    .lines();
        }
    }

    /**
     * A first small trial of a plant a person never had: one quarter of a dose, once, then a day of waiting.
     *
     * @return mL
     */
    public static double trialMl(double perDoseMl) {
        Checks.begin().positive("perDoseMl", perDoseMl).done();
        return perDoseMl / 4;
    }

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
            case DAILY -> request.timesPerDay();
            // The least interval holds down how many fit into a day.
            case AS_NEEDED ->
                pattern.everyHours() == null
                        ? request.timesPerDay()
                        : Math.min(request.timesPerDay(), Math.max(1, (int) Math.floor(24 / pattern.everyHours())));
            case SEASON -> pattern.inSeason(request.startOn().plusDays(day)) ? request.timesPerDay() : 0;
            case CYCLE -> day % (pattern.onDays() + pattern.offDays()) < pattern.onDays() ? request.timesPerDay() : 0;
            case DAYS_PER_MONTH ->
                request.startOn().plusDays(day).getDayOfMonth() <= pattern.daysPerMonth() ? request.timesPerDay() : 0;
            case DRAWN -> pattern.drawnWith(day) ? request.timesPerDay() : 0;
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
