package org.sallowbrook.core.planning.year;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;

/** What one more of something would give, by planning the year again with it. */
public final class WouldHelp {

    public static final double SCREEN_M2 = 0.5;
    public static final double HOURS = 1;

    private static final double NOTICED = 0.005;

    public enum Kind {
        /** One more screen of half a square metre. */
        SCREEN,
        /** One more hour a week. */
        HOUR,
        /** A wish given up. */
        WITHOUT
    }

    /** @param met share of the wish, 0 to 1, more than without it */
    public record Gain(String wish, double met) {}

    /** @param of the wish that is given up; empty for all else */
    public record Help(Kind kind, String of, List<Gain> gains) {}

    private WouldHelp() {}

    /** What helps, the most first; empty where all wishes are met or nothing does. */
    public static List<Help> of(YearPlan.Request request, YearPlan plan) {
        List<Help> helps = new ArrayList<>();
        if (plan.wishes().stream().allMatch(g -> g.met() >= 1 - NOTICED)) {
            return helps;
        }
        Means means = request.means();
        add(helps, Kind.SCREEN, "", plan, request.with(means.withRack(means.rackM2() + SCREEN_M2)));
        add(helps, Kind.HOUR, "", plan, request.with(means.withHours(Math.min(168, means.hoursPerWeek() + HOURS))));
        // Of a wish that takes from others; one that gets nothing gives nothing.
        plan.wishes().stream()
                .filter(g -> g.met() > NOTICED)
                .filter(g -> competes(request, plan, g.wish()))
                .limit(6)
                .forEach(g -> add(helps, Kind.WITHOUT, g.wish(), plan, request.without(g.wish())));
        helps.sort(Comparator.comparingDouble(
                        (Help h) -> h.gains().stream().mapToDouble(Gain::met).sum())
                .reversed());
        return helps;
    }

    private static boolean competes(YearPlan.Request request, YearPlan plan, String wish) {
        List<String> herbs = request.wishes().stream()
                .filter(w -> w.id().equals(wish))
                .flatMap(w -> w.choices().stream().map(Wish.Choice::herb))
                .toList();
        return plan.wishes().stream()
                .filter(g -> g.met() < 1 - NOTICED && !g.wish().equals(wish))
                .anyMatch(g -> request.wishes().stream()
                        .filter(w -> w.id().equals(g.wish()))
                        .flatMap(w -> w.choices().stream())
                        .anyMatch(c -> herbs.contains(c.herb())
                                || g.why().contains(YearPlan.Why.RACK)
                                || g.why().contains(YearPlan.Why.HOURS)));
    }

    private static void add(List<Help> helps, Kind kind, String of, YearPlan plan, YearPlan.Request with) {
        YearPlan other = YearPlan.of(with);
        List<Gain> gains = new ArrayList<>();
        for (YearPlan.Granted now : plan.wishes()) {
            other.wishes().stream()
                    .filter(g -> g.wish().equals(now.wish()) && g.met() > now.met() + NOTICED)
                    .forEach(g -> gains.add(new Gain(g.wish(), g.met() - now.met())));
        }
        if (!gains.isEmpty()) {
            helps.add(new Help(kind, of, gains));
        }
    }
}
