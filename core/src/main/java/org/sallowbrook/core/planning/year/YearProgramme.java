package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.Programme.Terms;

/**
 * The programme of one year. Its money: an unmet wish costs most, the first of the list more than the last; then a weak stand, then
 * a walk, then what is bought, then leaving the plan that is running.
 */
final class YearProgramme {

    private static final int DAYS = 7;

    /**
     * For a gram of dried herb that the last wish of the list lacks. Each before it is dearer, by the gram and not by the wish:
     * else a small wish at the end would be met before a large one at its head.
     */
    private static final double UNMET = 2;

    /** The first wish is at most so many times as dear as the last, and twice as dear as the next. */
    private static final double FIRST_TO_LAST = 1000;

    private static final double DEARER = 2;

    /** All that may be taken of a stand that does not hold; a strong one costs a tenth. */
    private static final double WEAK = 20;

    private static final double STRONG = 2;

    /** An hour of walking or picking. */
    private static final double HOUR = 1;

    /** A gram for which nobody can be sure that it is ripe then. */
    private static final double RISK = 0.005;

    /** A gram for each week it waits: what is ripe is picked, or the same plan would come out otherwise another time. */
    private static final double LATER = 0.0002;

    /** So much more than is wanted is planned where it costs little: some of it will fail. */
    private static final double RESERVE = 0.25;

    /** What a gram of reserve is worth: some walking, and nothing bought. */
    private static final double WITHOUT_RESERVE = 0.3;

    /** A gram that is bought. */
    private static final double BOUGHT = 0.4;

    /** A week that a gram comes late. */
    private static final double LATE = 0.01;

    /** All of a stand's take picked in another week than it was planned for. */
    private static final double CHANGED = 2;

    /** A gram taken from what keeps a year longer than it might. */
    private static final double NEWER = 0.0005;

    private static final double MOST_YEARS = 5;

    /** Where it is less likely to be ripe than this nobody walks. */
    private static final double HARDLY_RIPE = 0.1;

    /** Making one wish at the bench: a working figure of this tool. */
    private static final double MAKING_HOURS = 2;

    private static final double USUAL_WALK_HOURS = 1;

    /** Near enough; what is unmet for certain is in the sum as well, so that a hundredth of it would be much. */
    private static final double GAP = 1e-4;

    private static final double TOLERANCE = 1e-6;
    private static final double WORTH_G = 0.5;

    private record Pick(Growth growth, int week, int variable) {}

    /** A stand in one of the two years that a plan may reach into. */
    private record Taken(Growth growth, boolean thisYear) {}

    /** How much of a wish's slice comes from one source. */
    private record Flow(
            int wish,
            YearPlan.Kind kind,
            String of,
            @Nullable Double driedGPerUnit,
            @Nullable Pool pool,
            LocalDate makeOn,
            LocalDate readyOn,
            int variable) {}

    /** What of a herb is picked in weeks that serve the same wishes: it need not be known which week serves which. */
    private record Pool(Herb herb, List<Integer> weeks, Terms balance) {}

    /** A slice that a herb picked in a week can serve. */
    private record Serves(int wish, Wish.Choice choice, Wish.Slice slice, double late) {}

    private record Unmet(int wish, double need, int variable) {}

    private final YearPlan.Request request;
    private final Programme programme = new Programme();
    private final Map<String, Herb> herbs = new HashMap<>();
    private final List<Pick> picks = new ArrayList<>();
    private final Map<String, Map<Integer, Terms>> picked = new LinkedHashMap<>();
    private final List<Pool> pools = new ArrayList<>();
    private final List<List<Serves>> served = new ArrayList<>();
    private final Map<String, Terms> stocks = new HashMap<>();
    private final Map<Integer, Terms> hours = new TreeMap<>();
    private final Map<Integer, Terms> rack = new TreeMap<>();
    private final Map<Integer, Map<String, Integer>> walks = new TreeMap<>();
    private final List<Flow> flows = new ArrayList<>();
    private final List<Unmet> unmet = new ArrayList<>();

    YearProgramme(YearPlan.Request request) {
        this.request = request;
        request.herbs().forEach(h -> herbs.put(h.id(), h));
        growths();
        pool();
        for (int i = 0; i < request.wishes().size(); i++) {
            wish(i, request.wishes().get(i));
        }
        bounds();
    }

    private LocalDate week(int w) {
        return request.today().plusDays((long) DAYS * w);
    }

    private Herb herb(String id) {
        return java.util.Objects.requireNonNull(herbs.get(id));
    }

    // ---- what is picked

    private void growths() {
        for (Growth g : request.growths()) {
            Herb herb = herb(g.herb());
            Terms thisYear = new Terms();
            Terms nextYear = new Terms();
            double whole = g.wholeG().mid();
            double strain = (STRONG + (WEAK - STRONG) * g.weakness()) / Math.max(1, whole);
            for (int w = 0; w < request.weeks(); w++) {
                LocalDate mid = week(w).plusDays(DAYS / 2);
                double ripe = g.ripe(mid);
                double share = g.share(mid, request.today());
                if (ripe < HARDLY_RIPE || !(whole * share * ripe > WORTH_G)) {
                    continue;
                }
                double most = Math.min(whole * share * ripe, doable(g, herb));
                if (!(most > WORTH_G)) {
                    continue;
                }
                double risk = herb.driedG(1) * (RISK * (1 - ripe) + LATER * w);
                int pick = picked(g, herb, w, most, strain + risk);
                (yearOf(w) == request.today().getYear() ? thisYear : nextYear).add(pick, 1);
            }
            if (!thisYear.empty()) {
                programme.atMost("share of " + g.id(), thisYear, whole * g.share());
            }
            if (!nextYear.empty()) {
                programme.atMost("next share of " + g.id(), nextYear, whole * g.nextShare());
            }
        }
    }

    /** Grams that hours and rack allow in one week if it is walked to: the tighter it is said, the sooner a plan is found. */
    private double doable(Growth g, Herb herb) {
        Means means = request.means();
        double hours = means.hoursPerWeek() - walkHours(g.walk());
        double byHours = Math.max(0, hours) / herb.hoursPerKg() * 1000;
        double days = Math.min(DAYS, herb.dryingDays());
        double byRack = days * herb.areaM2PerKg() > 0
                ? means.rackM2() * DAYS / (days * herb.areaM2PerKg()) * 1000
                : Double.MAX_VALUE;
        return Math.min(byHours, byRack);
    }

    private double walkHours(String walk) {
        return request.means().walkHours().getOrDefault(walk, USUAL_WALK_HOURS);
    }

    private int picked(Growth g, Herb herb, int w, double most, double strain) {
        int pick = programme.variable("pick " + g.id() + " " + w, most, strain + HOUR * herb.hoursPerKg() / 1000);
        picks.add(new Pick(g, w, pick));
        int walk = walks.computeIfAbsent(w, k -> new HashMap<>())
                .computeIfAbsent(g.walk(), k -> programme.whole("walk " + k + " " + w, 1, HOUR * walkHours(k)));
        programme.atMost("only where somebody walks", new Terms().add(pick, 1).add(walk, -most), 0);
        picked.computeIfAbsent(g.herb(), k -> new TreeMap<>())
                .computeIfAbsent(w, k -> new Terms())
                .add(pick, -herb.driedG(1));
        hours(w).add(pick, herb.hoursPerKg() / 1000);
        double left = herb.dryingDays();
        for (int v = w; left > 0 && v < request.weeks(); v++) {
            double days = Math.min(DAYS, left);
            rack.computeIfAbsent(v, k -> new Terms()).add(pick, herb.areaM2PerKg() / 1000 * days);
            left -= days;
        }
        stay(g, w, pick, most);
        return pick;
    }

    /** What the running plan picks in this week costs nothing; leaving it does. */
    private void stay(Growth g, int w, int pick, double most) {
        double before = request.running().stream()
                .filter(p -> p.growth().equals(g.id()) && (int) Math.floorDiv(days(p.on()), DAYS) == w)
                .mapToDouble(YearPlan.Planned::freshG)
                .sum();
        if (before > 0) {
            double cost = CHANGED / Math.max(1, g.wholeG().mid() * Math.max(g.share(), g.nextShare()));
            int less = programme.variable("less than planned", before, cost);
            // pick + less is at least what was planned, as far as it can be had.
            programme.atMost("stay near the plan", new Terms().add(pick, -1).add(less, -1), -Math.min(before, most));
        }
    }

    private long days(LocalDate day) {
        return day.toEpochDay() - request.today().toEpochDay();
    }

    private Terms hours(int w) {
        return hours.computeIfAbsent(w, k -> new Terms());
    }

    // ---- what is wished

    private void wish(int i, Wish wish) {
        List<Wish.Slice> slices = wish.slices(request.today());
        int place = request.wishes().size() - i;
        double grams = gramsPerUnit(wish);
        double dearer = Math.pow(
                Math.min(DEARER, Math.pow(FIRST_TO_LAST, 1.0 / request.wishes().size())), place - 1);
        for (Wish.Slice slice : slices) {
            Terms all = new Terms();
            for (Wish.Choice choice : wish.choices()) {
                fromTheShelf(i, wish, choice, slice, grams, all);
                fromTheField(i, choice, slice, all);
                if (wish.mayBuy()) {
                    int bought = programme.variable("bought", slice.amount(), BOUGHT * grams);
                    LocalDate ready = request.today().plusDays(choice.leadDays());
                    if (!ready.isAfter(wish.evenly() ? slice.from() : slice.until())) {
                        flows.add(new Flow(
                                i,
                                YearPlan.Kind.BOUGHT,
                                choice.herb(),
                                choice.driedGPerUnit(),
                                null,
                                latest(slice, choice),
                                latest(slice, choice).plusDays(choice.leadDays()),
                                bought));
                        all.add(bought, 1);
                    }
                }
            }
            int missing = programme.variable("unmet " + wish.name(), slice.amount(), UNMET * dearer * grams);
            all.add(missing, 1);
            unmet.add(new Unmet(i, slice.amount(), missing));
            // What is sent to the slice beyond it is its reserve.
            double reserve = RESERVE * slice.amount();
            int spare = programme.variable("no reserve of " + wish.name(), reserve, WITHOUT_RESERVE * grams);
            all.add(spare, 1);
            programme.exactly("wish " + wish.name(), all, slice.amount() + reserve);
        }
    }

    /** Of dried herb, by the plant that takes least. */
    private static double gramsPerUnit(Wish wish) {
        return wish.choices().stream()
                .mapToDouble(Wish.Choice::driedGPerUnit)
                .min()
                .orElse(1);
    }

    private LocalDate latest(Wish.Slice slice, Wish.Choice choice) {
        LocalDate day = slice.from().minusDays(choice.leadDays());
        return day.isBefore(request.today()) ? request.today() : day;
    }

    private void fromTheShelf(int i, Wish wish, Wish.Choice choice, Wish.Slice slice, double grams, Terms all) {
        for (Stock s : request.stocks()) {
            if (!s.herb().equals(choice.herb())) {
                continue;
            }
            boolean herbItself = s.product() == Basket.Product.DRIED;
            if (!herbItself && s.product() != wish.product()) {
                continue;
            }
            LocalDate free = s.from().isBefore(request.today()) ? request.today() : s.from();
            LocalDate make = herbItself && raw(wish) ? slice.from() : latest(slice, choice);
            if (make.isBefore(free)) {
                make = free;
            }
            LocalDate ready = herbItself ? make.plusDays(choice.leadDays()) : free;
            boolean keeps = herbItself
                    ? raw(wish) ? s.keepsTo(slice.until()) : s.keepsTo(make) && keeps(choice, make, slice)
                    : s.keepsTo(slice.until());
            if (!keeps || ready.isAfter(wish.evenly() ? slice.from() : slice.until())) {
                continue;
            }
            Double rate = herbItself ? choice.driedGPerUnit() : null;
            int v = programme.variable(
                    "from the shelf", (1 + RESERVE) * slice.amount(), late(ready, slice, grams) + older(s, grams));
            stocks.computeIfAbsent(s.id(), k -> new Terms()).add(v, rate == null ? 1 : rate);
            flows.add(new Flow(i, YearPlan.Kind.THERE, s.id(), rate, null, make, ready, v));
            all.add(v, 1);
        }
    }

    /** What keeps longest is used last; less money than a walk. */
    private double older(Stock s, double grams) {
        double years = s.until() == null ? MOST_YEARS : Math.min(MOST_YEARS, Math.max(0, days(s.until())) / 365.0);
        return NEWER * years * grams;
    }

    /** What is kept is the herb itself: a tea is made as it is drunk. */
    private static boolean raw(Wish wish) {
        return wish.product() == Basket.Product.DRIED || wish.product() == Basket.Product.TEA;
    }

    private static boolean keeps(Wish.Choice choice, LocalDate made, Wish.Slice slice) {
        return !made.plusDays(choice.leadDays() + (long) choice.keepsDays()).isBefore(slice.until());
    }

    private double late(LocalDate ready, Wish.Slice slice, double grams) {
        long days = ready.toEpochDay() - slice.from().toEpochDay();
        return days <= 0 ? 0 : LATE * days / DAYS * grams;
    }

    /** Weeks of a herb that serve the same slices, equally late, are one pool. */
    private void pool() {
        picked.forEach((id, weeks) -> {
            Map<List<Serves>, Pool> alike = new LinkedHashMap<>();
            weeks.forEach((w, terms) -> {
                List<Serves> serves = serves(herb(id), w);
                Pool pool = alike.computeIfAbsent(serves, k -> new Pool(herb(id), new ArrayList<>(), new Terms()));
                pool.weeks().add(w);
                pool.balance().add(terms);
            });
            alike.forEach((serves, pool) -> {
                pools.add(pool);
                served.add(serves);
            });
        });
    }

    private List<Serves> serves(Herb herb, int w) {
        List<Serves> serves = new ArrayList<>();
        LocalDate dry = dry(herb, w);
        for (int i = 0; i < request.wishes().size(); i++) {
            Wish wish = request.wishes().get(i);
            List<Wish.Slice> all = wish.slices(request.today());
            double grams = gramsPerUnit(wish);
            for (Wish.Choice choice : wish.choices()) {
                if (!choice.herb().equals(herb.id())) {
                    continue;
                }
                LocalDate ready = dry.plusDays(choice.leadDays());
                for (Wish.Slice slice : all) {
                    boolean keeps = raw(wish)
                            ? !week(w).plusDays(herb.keepsDays()).isBefore(slice.until())
                            : keeps(choice, dry, slice);
                    if (keeps && !ready.isAfter(wish.evenly() ? slice.from() : slice.until())) {
                        serves.add(new Serves(i, choice, slice, late(ready, slice, grams)));
                    }
                }
            }
        }
        return serves;
    }

    private void fromTheField(int i, Wish.Choice choice, Wish.Slice slice, Terms all) {
        for (int p = 0; p < pools.size(); p++) {
            Pool pool = pools.get(p);
            for (Serves s : served.get(p)) {
                if (s.wish() != i || s.choice() != choice || !s.slice().equals(slice)) {
                    continue;
                }
                int v = programme.variable("from the field", (1 + RESERVE) * slice.amount(), s.late());
                pool.balance().add(v, choice.driedGPerUnit());
                LocalDate dry = dry(pool.herb(), pool.weeks().get(0));
                flows.add(new Flow(
                        i,
                        YearPlan.Kind.PICKED,
                        pool.herb().id(),
                        choice.driedGPerUnit(),
                        pool,
                        dry,
                        dry.plusDays(choice.leadDays()),
                        v));
                all.add(v, 1);
            }
        }
    }

    /** The day on which what is picked in a week can be used. */
    private LocalDate dry(Herb herb, int w) {
        LocalDate jarred = week(w).plusDays(DAYS - 1 + (long) Math.ceil(herb.dryingDays()));
        LocalDate aged = week(w).plusDays(DAYS - 1 + (long) herb.ageingDays());
        return aged.isAfter(jarred) ? aged : jarred;
    }

    // ---- what there is to do it with

    private void bounds() {
        Means means = request.means();
        pools.forEach(pool -> programme.atMost("dried " + pool.herb().name(), pool.balance(), 0));
        for (Stock s : request.stocks()) {
            Terms used = stocks.get(s.id());
            if (used != null) {
                programme.atMost("there " + s.id(), used, s.amount());
            }
        }
        rack.forEach((w, terms) -> programme.atMost("rack " + w, terms, means.rackM2() * DAYS));
        walks.forEach((w, made) -> {
            Terms mornings = new Terms();
            made.forEach((walk, v) -> {
                mornings.add(v, 1);
                hours(w).add(v, walkHours(walk));
            });
            int month = week(w).plusDays(DAYS / 2).getMonthValue();
            programme.atMost(
                    "dry mornings " + w, mornings, DAYS * means.dryMornings().get(month - 1));
        });
        hours.forEach((w, terms) -> programme.atMost("hours " + w, terms, means.hoursPerWeek()));
        // Dried herb waits for an evening: the bench is bound by the year and not by the week.
        Terms bench = new Terms();
        for (Flow f : flows) {
            Wish wish = request.wishes().get(f.wish());
            if (f.driedGPerUnit() != null && !raw(wish)) {
                bench.add(f.variable(), MAKING_HOURS / wish.amount());
            }
        }
        hours.values().forEach(bench::add);
        programme.atMost("hours of all weeks", bench, means.hoursPerWeek() * request.weeks());
    }

    // ---- what comes of it

    Programme programme() {
        return programme;
    }

    YearPlan solve(Programme.Solver solver) {
        Programme.Solution solution = solver.solve(programme, GAP);
        double[] v = solution.values();
        TreeMap<Integer, List<YearPlan.Planned>> byWeek = new TreeMap<>();
        for (Pick p : picks) {
            if (v[p.variable()] >= WORTH_G) {
                byWeek.computeIfAbsent(p.week(), k -> new ArrayList<>())
                        .add(new YearPlan.Planned(p.growth().id(), week(p.week()), v[p.variable()]));
            }
        }
        List<YearPlan.Week> weeks = new ArrayList<>();
        byWeek.forEach((w, planned) -> weeks.add(new YearPlan.Week(
                week(w),
                walksOf(planned),
                planned,
                used(rack.get(w), v, request.means().rackM2() * DAYS),
                sum(hours.get(w), v))));
        List<YearPlan.Granted> granted = new ArrayList<>();
        for (int i = 0; i < request.wishes().size(); i++) {
            granted.add(granted(i, v));
        }
        return new YearPlan(weeks, granted, solution.cost(), solution.bound());
    }

    private List<String> walksOf(List<YearPlan.Planned> planned) {
        TreeSet<String> made = new TreeSet<>();
        for (YearPlan.Planned p : planned) {
            request.growths().stream().filter(g -> g.id().equals(p.growth())).forEach(g -> made.add(g.walk()));
        }
        return List.copyOf(made);
    }

    private double sum(@Nullable Terms terms, double[] v) {
        return terms == null ? 0 : terms.sum(v);
    }

    private double used(@Nullable Terms terms, double[] v, double most) {
        return terms == null || most == 0 ? 0 : terms.sum(v) / most;
    }

    private YearPlan.Granted granted(int i, double[] v) {
        Wish wish = request.wishes().get(i);
        double wanted = wish.slices(request.today()).stream()
                .mapToDouble(Wish.Slice::amount)
                .sum();
        double missing = unmet.stream()
                .filter(u -> u.wish() == i)
                .mapToDouble(u -> v[u.variable()])
                .sum();
        Map<String, YearPlan.From> from = new LinkedHashMap<>();
        flows.stream()
                .filter(f -> f.wish() == i && v[f.variable()] > wanted * 1e-4)
                .sorted(Comparator.comparing(Flow::readyOn))
                .forEach(f -> from.merge(
                        f.kind() + f.of() + (f.pool() == null ? "" : f.pool().weeks()),
                        from(f, v),
                        YearProgramme::both));
        double met = wanted == 0 ? 1 : Math.max(0, Math.min(1, 1 - missing / wanted));
        return new YearPlan.Granted(
                wish.id(), wanted, met, List.copyOf(from.values()), met < 1 - 1e-3 ? why(i, wish, v) : List.of());
    }

    private YearPlan.From from(Flow f, double[] v) {
        Double dried = f.driedGPerUnit() == null ? null : Double.valueOf(v[f.variable()] * f.driedGPerUnit());
        List<Integer> made = f.pool() == null ? List.of() : weeksPicked(f.pool(), v);
        if (made.isEmpty()) {
            return new YearPlan.From(f.kind(), f.of(), v[f.variable()], dried, null, f.makeOn(), f.readyOn());
        }
        LocalDate dry = dry(java.util.Objects.requireNonNull(f.pool()).herb(), made.get(made.size() - 1));
        long lead = f.readyOn().toEpochDay() - f.makeOn().toEpochDay();
        return new YearPlan.From(f.kind(), f.of(), v[f.variable()], dried, week(made.get(0)), dry, dry.plusDays(lead));
    }

    private List<Integer> weeksPicked(Pool pool, double[] v) {
        return picks.stream()
                .filter(p -> p.growth().herb().equals(pool.herb().id())
                        && pool.weeks().contains(p.week())
                        && v[p.variable()] >= WORTH_G)
                .map(Pick::week)
                .sorted()
                .toList();
    }

    private static YearPlan.From both(YearPlan.From a, YearPlan.From b) {
        return new YearPlan.From(
                a.kind(),
                a.of(),
                a.amount() + b.amount(),
                a.driedG() == null || b.driedG() == null ? a.driedG() : Double.valueOf(a.driedG() + b.driedG()),
                a.on(),
                a.makeOn(),
                a.readyOn());
    }

    // ---- why not

    private List<YearPlan.Why> why(int i, Wish wish, double[] v) {
        if (wish.choices().isEmpty()) {
            return List.of(YearPlan.Why.NOTHING_ALLOWED);
        }
        List<Growth> growths = request.growths().stream()
                .filter(g -> wish.choices().stream().anyMatch(c -> c.herb().equals(g.herb())))
                .toList();
        if (growths.isEmpty()) {
            return List.of(YearPlan.Why.NO_STAND);
        }
        TreeSet<YearPlan.Why> why = new TreeSet<>();
        if (request.means().rackM2() == 0) {
            why.add(YearPlan.Why.RACK);
        }
        if (growths.stream().noneMatch(g -> doable(g, herb(g.herb())) > 0)
                && request.means().rackM2() > 0) {
            why.add(YearPlan.Why.HOURS);
        }
        if (!why.isEmpty()) {
            return List.copyOf(why);
        }
        boolean anyFlow = false;
        boolean anyLeft = false;
        Map<Taken, Double> taken = taken(v);
        for (Pick p : picks) {
            if (!growths.contains(p.growth())) {
                continue;
            }
            boolean serves = flows.stream()
                    .anyMatch(f -> f.wish() == i
                            && f.pool() != null
                            && f.of().equals(p.growth().herb())
                            && f.pool().weeks().contains(p.week()));
            if (!serves) {
                continue;
            }
            anyFlow = true;
            anyLeft |= left(taken(p), taken.getOrDefault(taken(p), 0.0));
            if (tight(rack.get(p.week()), v, request.means().rackM2() * DAYS)) {
                why.add(YearPlan.Why.RACK);
            }
            if (tight(hours.get(p.week()), v, request.means().hoursPerWeek())) {
                why.add(YearPlan.Why.HOURS);
            }
        }
        if (!anyFlow) {
            return List.of(spoils(wish, growths) ? YearPlan.Why.KEEPING : YearPlan.Why.TOO_LATE);
        }
        return why.isEmpty() || !anyLeft ? List.of(YearPlan.Why.STANDS) : List.copyOf(why);
    }

    /** Grams taken of each stand, by year. */
    private Map<Taken, Double> taken(double[] v) {
        Map<Taken, Double> taken = new HashMap<>();
        picks.forEach(p -> taken.merge(taken(p), v[p.variable()], Double::sum));
        return taken;
    }

    private Taken taken(Pick pick) {
        return new Taken(pick.growth(), yearOf(pick.week()) == request.today().getYear());
    }

    /** Whether more of it might still be taken. */
    private static boolean left(Taken of, double grams) {
        Growth g = of.growth();
        return grams < 0.99 * g.wholeG().mid() * (of.thisYear() ? g.share() : g.nextShare());
    }

    private int yearOf(int w) {
        return week(w).plusDays(DAYS / 2).getYear();
    }

    /** Whether it could be picked and made in time, and would not keep. */
    private boolean spoils(Wish wish, List<Growth> growths) {
        for (Pick p : picks) {
            if (!growths.contains(p.growth())) {
                continue;
            }
            Herb herb = herb(p.growth().herb());
            for (Wish.Choice c : wish.choices()) {
                LocalDate ready = dry(herb, p.week()).plusDays(c.leadDays());
                if (c.herb().equals(herb.id())
                        && wish.slices(request.today()).stream()
                                .anyMatch(s -> !ready.isAfter(wish.evenly() ? s.from() : s.until()))) {
                    return true;
                }
            }
        }
        return false;
    }

    private static boolean tight(@Nullable Terms terms, double[] v, double most) {
        return terms != null && terms.sum(v) >= most - Math.max(TOLERANCE, most * 1e-4);
    }
}
