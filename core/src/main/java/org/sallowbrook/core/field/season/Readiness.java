package org.sallowbrook.core.field.season;

import java.time.LocalDate;
import java.time.Month;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;

/**
 * Whether a part of a plant is ready at a stand.
 *
 * @param from when it begins: with a chance of 5, 50 and 95 in a hundred; null, all three, when it lies in no calendar year
 * @param until when it is likely over
 * @param seen whether the stage was seen this season, so that its beginning is no guess
 * @param byWarmth whether degree-days were counted; else days
 */
public record Readiness(
        State state,
        @Nullable LocalDate early,
        @Nullable LocalDate from,
        @Nullable LocalDate late,
        LocalDate until,
        boolean seen,
        boolean byWarmth,
        int sightings,
        List<String> because) {

    /** In the order in which they are of interest on a morning. */
    public enum State {
        /** Its stage was seen, and it is not likely over. */
        READY,
        /** It has more likely begun than not: go and look. */
        LIKELY,
        /** Within a fortnight. */
        SOON,
        LATER,
        /** Likely over for this year. */
        OVER
    }

    public static final int SOON_DAYS = 14;

    /** Months are coarse: what is in flower "in June" begins about the tenth; what is so "until August" ends about the twentieth. */
    static final int BEGINS_ON = 10;

    static final int ENDS_ON = 20;

    /**
     * @param months in which the part is gathered at the cards' latitude, 1 to 12, not empty
     * @param seenFirst by stand, how late its stage was in other years, from {@link #late}
     * @param seenOn when its stage was first seen this season; null where it was not
     * @param notYetOn when somebody last looked this season and it had not begun
     * @param nextYear whether it is a biennial in its first year, of which this part comes in the second
     */
    public record Request(
            String stand,
            Set<Integer> months,
            Place place,
            Progress progress,
            List<Onset.Seen> seenFirst,
            @Nullable LocalDate seenOn,
            @Nullable LocalDate notYetOn,
            boolean nextYear,
            LocalDate today) {
        public Request {
            months = java.util.Collections.unmodifiableSet(new TreeSet<>(months));
            Checks.begin()
                    .that(
                            !months.isEmpty() && months.stream().allMatch(m -> m >= 1 && m <= 12),
                            "months",
                            "must lie in 1 to 12")
                    .that(progress.year() == today.getYear(), "progress", "must be of the year of the day")
                    .done();
        }
    }

    /** A run of months; the last may lie in the next year, as with roots dug from October to March. */
    private record Window(LocalDate begins, LocalDate ends) {}

    /** Of the windows of the year the one that is of interest now: the one that is open, else the next, else the last. */
    public static Readiness of(Request r) {
        if (r.nextYear()) {
            int next = r.today().getYear() + 1;
            return new Readiness(
                    State.LATER,
                    null,
                    null,
                    null,
                    LocalDate.of(next, 12, 31),
                    false,
                    r.progress().warmth(),
                    0,
                    List.of("A biennial, said to grow here since this year: leaves now, the rest in " + next + "."));
        }
        List<Readiness> all = new ArrayList<>();
        for (Window w : windows(r)) {
            all.add(of(r, w));
        }
        return all.stream()
                .min(java.util.Comparator.comparing(Readiness::state)
                        .thenComparing(x -> x.from() == null ? LocalDate.MAX : x.from()))
                .orElseThrow();
    }

    /**
     * How late a stage was when it was first seen, against what the months say, in the units of the progress.
     *
     * @param progress of the year in which it was seen
     * @param stageMonths those of the stage on the card
     */
    public static double late(Progress progress, Place place, Set<Integer> stageMonths, LocalDate seen) {
        LocalDate begins = nearest(stageMonths, place, seen);
        return progress.mean(dayOf(progress.year(), seen)) - progress.mean(dayOf(progress.year(), begins));
    }

    /** What a year's beginning teaches, in the units of its own progress, as {@link Onset} learns from it. */
    public static Onset.Seen seen(
            String stand, Progress progress, Place place, Set<Integer> stageMonths, StagesSeen.Begun begun) {
        return new Onset.Seen(
                stand,
                late(progress, place, stageMonths, begun.on()),
                begun.sdDays() * progress.perDay(dayOf(progress.year(), begun.on())));
    }

    /**
     * The same of a year whose weather is not known, told in the units of this year, as if it had begun on the same day of it:
     * as much less certain as years differ.
     */
    public static Onset.Seen seenInAnotherYear(
            String stand, Progress thisYear, Place place, Set<Integer> stageMonths, StagesSeen.Begun begun) {
        return seen(
                stand,
                thisYear,
                place,
                stageMonths,
                new StagesSeen.Begun(
                        begun.on().withYear(thisYear.year()), Math.hypot(begun.sdDays(), Onset.YEAR_DAYS)));
    }

    /**
     * Whether a forecast would have held: the first sighting in the band of 90 in a hundred.
     *
     * @param before what was known then
     * @param ahead of the year of the sighting, with nothing of it read yet
     */
    public static boolean held(
            String stand,
            List<Onset.Seen> before,
            Progress ahead,
            Place place,
            Set<Integer> stageMonths,
            LocalDate on) {
        Arrival arrival = foretold(stand, before, ahead, place, stageMonths, on);
        return arrival.by(on) >= 0.05 && arrival.by(on.minusDays(1)) <= 0.95;
    }

    /** The forecast itself, of the beginning that lies nearest to a day. */
    public static Arrival foretold(
            String stand,
            List<Onset.Seen> before,
            Progress ahead,
            Place place,
            Set<Integer> stageMonths,
            LocalDate about) {
        double day = dayOf(ahead.year(), nearest(stageMonths, place, about));
        Onset.Belief belief = Onset.learn(stand, before, ahead.warmth(), ahead.perDay(day));
        return new Arrival(ahead, ahead.mean(day) + belief.late(), belief.sd(), null);
    }

    private static LocalDate nearest(Set<Integer> months, Place place, LocalDate day) {
        LocalDate best = null;
        for (int year = day.getYear() - 1; year <= day.getYear() + 1; year++) {
            for (int month : starts(months, place)) {
                LocalDate begins = shifted(LocalDate.of(year, month, BEGINS_ON), place);
                if (best == null || apart(begins, day) < apart(best, day)) {
                    best = begins;
                }
            }
        }
        return java.util.Objects.requireNonNull(best);
    }

    private static long apart(LocalDate a, LocalDate b) {
        return Math.abs(a.toEpochDay() - b.toEpochDay());
    }

    private static double dayOf(int year, LocalDate day) {
        return day.toEpochDay() - LocalDate.of(year, 1, 1).toEpochDay() + 1;
    }

    private static LocalDate shifted(LocalDate day, Place place) {
        return day.plusDays(Math.round(place.daysLater()));
    }

    private static Set<Integer> turned(Set<Integer> months, Place place) {
        if (!place.southern()) {
            return months;
        }
        Set<Integer> turned = new TreeSet<>();
        months.forEach(m -> turned.add((m + 5) % 12 + 1));
        return turned;
    }

    private static List<Integer> starts(Set<Integer> given, Place place) {
        Set<Integer> months = turned(given, place);
        if (months.size() == 12) {
            return List.of(1);
        }
        return months.stream().filter(m -> !months.contains((m + 10) % 12 + 1)).toList();
    }

    private static List<Window> windows(Request r) {
        Set<Integer> months = turned(r.months(), r.place());
        List<Window> windows = new ArrayList<>();
        if (months.size() == 12) {
            int year = r.today().getYear();
            return List.of(new Window(LocalDate.of(year, 1, 1), LocalDate.of(year, 12, 31)));
        }
        for (int start : starts(r.months(), r.place())) {
            int last = start;
            int length = 0;
            while (months.contains(last % 12 + 1) && length < 11) {
                last = last % 12 + 1;
                length++;
            }
            for (int year = r.today().getYear() - 1; year <= r.today().getYear(); year++) {
                LocalDate begins = shifted(LocalDate.of(year, start, BEGINS_ON), r.place());
                LocalDate ends = shifted(LocalDate.of(year + (last < start ? 1 : 0), last, ENDS_ON), r.place());
                // Last year's is of interest only while it reaches into this one.
                if (ends.getYear() >= r.today().getYear()) {
                    windows.add(new Window(begins, ends));
                }
            }
        }
        return windows;
    }

    private static Readiness of(Request r, Window w) {
        Progress p = r.progress();
        Because because = new Because();
        because.say("The card: " + monthsInWords(r.months()) + ", where it was written, about "
                + Words.figure(Place.OF_THE_CARDS.latitude()) + " degrees north at the sea's level.");
        double shift = r.place().daysLater();
        if (Math.abs(shift) >= 1) {
            because.say("Here " + Math.round(Math.abs(shift)) + " days " + (shift > 0 ? "later" : "earlier")
                    + ", by latitude and height (Hopkins 1918): from about " + Words.day(w.begins()) + ".");
        }
        double day = dayOf(p.year(), w.begins());
        double perDay = p.perDay(day);
        Onset.Belief belief = Onset.learn(r.stand(), r.seenFirst(), p.warmth(), perDay);
        double lateDays = belief.late() / perDay;
        if (belief.seen() > 0) {
            because.say("First seen " + belief.seen() + (belief.seen() == 1 ? " time" : " times") + " before, "
                    + belief.here() + " of them here: " + Math.round(Math.abs(lateDays)) + " days "
                    + (lateDays >= 0 ? "later" : "earlier") + " than the months say.");
        }
        because.say(
                p.warmth()
                        ? "By warmth: " + Math.round(p.mean(day) + belief.late())
                                + " degree-days above " + Words.figure(Progress.BASE_C)
                                + " °C since 1 January, give or take " + Math.round(1.645 * belief.sd())
                                + ", reached as in each of the past " + p.courses() + " years."
                        : "By the calendar, give or take " + Math.round(1.645 * belief.sd())
                                + " days: there is no weather of three years to count by.");
        long late = Math.round(lateDays);
        LocalDate until = w.ends().plusDays(late);
        double untilSd = Math.max(7, belief.sd() / perDay);
        double over = 1
                - org.hipparchus.special.Erf.erfc(
                                (r.today().toEpochDay() - until.toEpochDay()) / (untilSd * Math.sqrt(2)))
                        / 2;
        boolean seen = r.seenOn() != null
                && !r.seenOn().isBefore(w.begins().minusDays(90))
                && !r.seenOn().isAfter(until);
        if (w.begins().plusDays(late).getYear() < p.year()) {
            // Begun last autumn; of when nothing more is asked.
            LocalDate begun = w.begins().plusDays(late);
            return new Readiness(
                    over > 0.5 ? State.OVER : seen ? State.READY : State.LIKELY,
                    begun,
                    begun,
                    begun,
                    until,
                    seen,
                    p.warmth(),
                    belief.seen(),
                    because.lines());
        }
        if (seen) {
            LocalDate on = java.util.Objects.requireNonNull(r.seenOn());
            because.say("Its stage was first seen on " + Words.day(on) + ".");
            return new Readiness(
                    over > 0.5 ? State.OVER : State.READY,
                    on,
                    on,
                    on,
                    until,
                    true,
                    p.warmth(),
                    belief.seen(),
                    because.lines());
        }
        LocalDate notYet = r.notYetOn() == null || r.notYetOn().getYear() != p.year() ? null : r.notYetOn();
        if (notYet != null) {
            because.say("Not yet begun when it was looked at on " + Words.day(notYet) + ".");
        }
        Arrival arrival = new Arrival(p, p.mean(day) + belief.late(), belief.sd(), notYet);
        double begun = arrival.by(r.today());
        LocalDate from = arrival.day(0.5);
        State state = over > 0.5
                ? State.OVER
                : begun >= 0.5
                        ? State.LIKELY
                        : from != null && !from.isAfter(r.today().plusDays(SOON_DAYS)) ? State.SOON : State.LATER;
        return new Readiness(
                state,
                arrival.day(0.05),
                from,
                arrival.day(0.95),
                until,
                false,
                p.warmth(),
                belief.seen(),
                because.lines());
    }

    private static String monthsInWords(Set<Integer> months) {
        return String.join(
                ", ",
                months.stream()
                        .map(m -> Month.of(m).getDisplayName(java.time.format.TextStyle.FULL, java.util.Locale.ENGLISH))
                        .toList());
    }
}
