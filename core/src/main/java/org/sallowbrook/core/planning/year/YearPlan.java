package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * A year, week by week, and what comes of each wish.
 *
 * @param weeks those in which something is picked
 * @param bound no plan costs less than this, in the plan's own money; cost: what this one does
 */
public record YearPlan(List<Week> weeks, List<Granted> wishes, double cost, double bound) {

    public static final int MOST_WISHES = 100;
    public static final int MOST_GROWTHS = 400;

    /**
     * @param wishes the most important first
     * @param running what was planned before, by growth and first day of the week, in grams fresh; empty where nothing was
     */
    public record Request(
            LocalDate today,
            int weeks,
            List<Wish> wishes,
            List<Growth> growths,
            List<Herb> herbs,
            List<Stock> stocks,
            Means means,
            List<Planned> running) {
        public Request {
            Checks.begin()
                    .range("weeks", weeks, 1, 104)
                    .that(wishes.size() <= MOST_WISHES, "wishes", "must be at most " + MOST_WISHES)
                    .that(growths.size() <= MOST_GROWTHS, "growths", "must be at most " + MOST_GROWTHS)
                    .done();
            wishes = List.copyOf(wishes);
            growths = List.copyOf(growths);
            herbs = List.copyOf(herbs);
            stocks = List.copyOf(stocks);
            running = List.copyOf(running);
        }

        Request with(Means other) {
            return new Request(today, weeks, wishes, growths, herbs, stocks, other, running);
        }

        Request without(String wish) {
            return new Request(
                    today,
                    weeks,
                    wishes.stream().filter(w -> !w.id().equals(wish)).toList(),
                    growths,
                    herbs,
                    stocks,
                    means,
                    running);
        }
    }

    /** @param on the first day of its week */
    public record Planned(String growth, LocalDate on, double freshG) {}

    /**
     * @param walks made in it
     * @param rack share of it that is taken, 0 to 1; 0 where there is none
     * @param hours of walking, picking and the bench
     */
    public record Week(LocalDate on, List<String> walks, List<Planned> picks, double rack, double hours) {}

    public enum Kind {
        /** From the shelf. */
        THERE,
        PICKED,
        BOUGHT
    }

    /**
     * Where a part of a wish comes from.
     *
     * @param of a stock or a herb
     * @param amount in the unit of the wish
     * @param driedG of it; null where it is used as it stands on the shelf
     * @param on when it is picked, first day of its week; null where it is there or bought
     * @param makeOn when it must be begun at the latest, or can be at the earliest; readyOn: when it can be used
     */
    public record From(
            Kind kind,
            String of,
            double amount,
            @Nullable Double driedG,
            @Nullable LocalDate on,
            LocalDate makeOn,
            LocalDate readyOn) {}

    /**
     * What becomes of a wish.
     *
     * @param wanted of it from today on, in its unit
     * @param met 0 to 1
     * @param why where it is not met in full
     */
    public record Granted(String wish, double wanted, double met, List<From> from, List<Why> why) {}

    /** Why a wish is not met in full. */
    public enum Why {
        /** Nobody here may have it, or no card knows how to make it. */
        NOTHING_ALLOWED,
        /** None of its plants has a stand that is certain and may be picked. */
        NO_STAND,
        /** Its plants are over, or can't be dried and made by then. */
        TOO_LATE,
        /** What grows there is not enough, or must be left. */
        STANDS,
        RACK,
        HOURS,
        /** What would be dried would be past its date before it is used. */
        KEEPING
    }

    public static YearPlan of(Request request) {
        return of(request, new OrTools());
    }

    static YearPlan of(Request request, Programme.Solver solver) {
        return new YearProgramme(request).solve(solver);
    }

    /** How far it may lie from the best, as a share of what it costs, 0 to 1. */
    public double gap() {
        return cost <= 0 ? 0 : Math.max(0, (cost - bound) / Math.max(1, cost));
    }

    /** Shares of the wishes that are met, the mean over all of them. */
    public double met() {
        return wishes.stream().mapToDouble(Granted::met).average().orElse(1);
    }
}
