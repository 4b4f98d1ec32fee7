package org.sallowbrook.bench;

import java.io.IOException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.DrawnSeasons;
import org.sallowbrook.core.planning.year.Growth;
import org.sallowbrook.core.planning.year.Herb;
import org.sallowbrook.core.planning.year.Means;
import org.sallowbrook.core.planning.year.Stock;
import org.sallowbrook.core.planning.year.Wish;
import org.sallowbrook.core.planning.year.YearPlan;

/**
 * How long the planning of a year takes, and whether its plans bring more than two rules that people use now: to gather what is
 * ripe until the rack is full, and to gather what is on last year's list. The seasons they are lived through in are of another make
 * than the planner's: stands that fail, wet spells that last, windows that are shorter or longer, weeks in which nobody goes.
 */
public final class PlanSimulation {

    private static final LocalDate TODAY = LocalDate.of(2026, 4, 6);
    private static final int WEEKS = 52;
    private static final int SEASONS = 200;
    private static final int HOUSES = 4;
    private static final int REPLANNED_SEASONS = 6;
    private static final int REPLANNED_WEEKS = 4;
    private static final double[] DRY = {0.4, 0.4, 0.5, 0.5, 0.6, 0.6, 0.6, 0.6, 0.5, 0.5, 0.4, 0.4};

    private PlanSimulation() {}

    public static void main(String[] args) throws IOException {
        StringBuilder text = new StringBuilder("## Plan\n\n`./sallowbrook bench plan`; invented households.\n\n"
                + "| stands / wishes | rack m², hours a week | first answer, s | from the bound | 200 drawn seasons, s |\n"
                + "|---|---|---|---|---|\n");
        // The solver is loaded once for all.
        YearPlan.of(house(5, 3, 1, 1, 6));
        for (int[] size : new int[][] {{10, 6}, {30, 20}, {60, 40}, {100, 60}}) {
            for (double[] means : new double[][] {{1.5, 8}, {0.5, 5}}) {
                YearPlan.Request request = house(size[0], size[1], 7, means[0], means[1]);
                long begin = System.nanoTime();
                YearPlan plan = YearPlan.of(request);
                long planned = System.nanoTime();
                DrawnSeasons.of(request, plan, SEASONS, 1);
                text.append(String.format(
                        Locale.ROOT,
                        "| %d / %d | %.1f, %.0f | %.2f | %.2f %% | %.2f |%n",
                        size[0],
                        size[1],
                        means[0],
                        means[1],
                        (planned - begin) / 1e9,
                        100 * plan.gap(),
                        (System.nanoTime() - planned) / 1e9));
                System.out.println(text.substring(text.lastIndexOf("\n", text.length() - 2) + 1));
            }
        }
        text.append("\nAgainst two rules, ")
                .append(HOUSES)
                .append(" households of 30 stands and 20 wishes, ")
                .append(SEASONS)
                .append(" seasons each (6 where the plan is made anew), of another make than the planner's own.\n\n"
                        + "| rack m², hours a week | rule | wishes met | first five wishes | stands weakened | dried herb left over, g |"
                        + " hours a year |\n|---|---|---|---|---|---|---|\n");
        for (double[] means : new double[][] {{1.5, 8}, {0.5, 5}}) {
            for (Rule rule : Rule.values()) {
                double[] sum = new double[5];
                for (int h = 0; h < HOUSES; h++) {
                    YearPlan.Request request = house(30, 20, 100 + h, means[0], means[1]);
                    YearPlan plan = YearPlan.of(request);
                    int seasons = rule == Rule.AGAIN ? REPLANNED_SEASONS : SEASONS;
                    for (int s = 0; s < seasons; s++) {
                        double[] lived = new Season(request, plan, rule, new Random(1000L * h + s)).live();
                        for (int i = 0; i < sum.length; i++) {
                            sum[i] += lived[i] / seasons / HOUSES;
                        }
                    }
                }
                text.append(String.format(
                        Locale.ROOT,
                        "| %.1f, %.0f | %s | %.1f %% | %.1f %% | %.1f %% | %.0f | %.0f |%n",
                        means[0],
                        means[1],
                        rule.words,
                        100 * sum[0],
                        100 * sum[1],
                        100 * sum[2],
                        sum[3],
                        sum[4]));
                System.out.println(text.substring(text.lastIndexOf("\n", text.length() - 2) + 1));
            }
        }
        Measurements.write("plan", text.toString());
    }

    enum Rule {
        AGAIN("the plan, made anew every four weeks"),
        PLAN("the plan of April, never made anew"),
        RIPE("what is ripe, until the rack is full"),
        LIST("last year's list");

        private final String words;

        Rule(String words) {
            this.words = words;
        }
    }

    static YearPlan.Request house(int stands, int wishes, long seed, double rack, double hours) {
        Random r = new Random(seed);
        int kinds = Math.max(4, stands * 2 / 3);
        Taxon.Part[] parts = {Taxon.Part.LEAF, Taxon.Part.FLOWER, Taxon.Part.HERB, Taxon.Part.ROOT, Taxon.Part.FRUIT};
        List<Herb> herbs = new ArrayList<>();
        int[] begin = new int[kinds];
        int[] length = new int[kinds];
        for (int i = 0; i < kinds; i++) {
            Taxon.Part part = parts[r.nextInt(parts.length)];
            herbs.add(new Herb(
                    "h" + i,
                    "herb " + i,
                    part,
                    Interval.of(4, 6),
                    Herb.usualDryingDays(part),
                    0.5,
                    part == Taxon.Part.ROOT ? 730 : 365,
                    0));
            begin[i] = r.nextInt(180);
            length[i] = 21 + r.nextInt(60);
        }
        List<Growth> growths = new ArrayList<>();
        for (int i = 0; i < stands; i++) {
            int kind = i < kinds ? i : r.nextInt(kinds);
            LocalDate from = TODAY.plusDays(begin[kind] + r.nextInt(10));
            growths.add(new Growth(
                    "g" + i,
                    "stand " + i,
                    "h" + kind,
                    "walk " + i % 6,
                    Interval.exactly(300 + r.nextInt(4000)),
                    0.3,
                    0.3,
                    r.nextDouble() < 0.3 ? 1 : 0.2,
                    List.of(new Growth.Window(
                            from.minusDays(10), from, from.plusDays(10), from.plusDays(length[kind])))));
        }
        List<Wish> wanted = new ArrayList<>();
        for (int i = 0; i < wishes; i++) {
            Basket.Product product = Basket.Product.values()[r.nextInt(4)];
            double rate = product == Basket.Product.TEA ? 2 : product == Basket.Product.DRIED ? 1 : 0.25;
            int lead = product == Basket.Product.TINCTURE ? 28 : product == Basket.Product.OIL ? 42 : 0;
            int first = r.nextInt(kinds);
            int second = r.nextInt(kinds);
            List<Wish.Choice> choices = new ArrayList<>();
            choices.add(new Wish.Choice("h" + first, rate, lead, 1000));
            if (second != first && r.nextBoolean()) {
                choices.add(new Wish.Choice("h" + second, rate * 1.2, lead, 1000));
            }
            wanted.add(new Wish(
                    "w" + i,
                    "wish " + i,
                    product,
                    product == Basket.Product.TEA ? 60 + r.nextInt(120) : 100 + r.nextInt(300),
                    LocalDate.of(2026, 10, 1),
                    LocalDate.of(2027, 3, 31),
                    product == Basket.Product.TEA || product == Basket.Product.DRIED,
                    false,
                    choices));
        }
        List<Stock> stocks = new ArrayList<>();
        for (int i = 0; i < kinds; i += 3) {
            stocks.add(new Stock(
                    "s" + i,
                    "jar " + i,
                    "h" + i,
                    Basket.Product.DRIED,
                    20 + r.nextInt(100),
                    TODAY,
                    TODAY.plusDays(100 + r.nextInt(400))));
        }
        Map<String, Double> walks = new HashMap<>();
        for (int i = 0; i < 6; i++) {
            walks.put("walk " + i, 0.5 + r.nextDouble() * 2);
        }
        List<Double> dry = new ArrayList<>();
        for (double d : DRY) {
            dry.add(d);
        }
        return new YearPlan.Request(
                TODAY, WEEKS, wanted, growths, herbs, stocks, new Means(rack, hours, walks, dry), List.of());
    }

    /** One season lived through by a rule. */
    private static final class Season {

        private static final double SKIPPED = 0.2;
        private static final double FAILS = 0.1;
        private static final double STAYS_WET = 0.65;
        private static final int WAITS = 4;

        private record Lot(String herb, LocalDate from, LocalDate until, double[] left) {}

        private final YearPlan.Request request;
        private YearPlan plan;
        private final Rule rule;
        private final Random random;
        private final Map<String, Herb> herbs = new HashMap<>();
        private final Map<String, Double> grows = new HashMap<>();
        private final Map<String, LocalDate[]> open = new HashMap<>();
        private final Map<String, Double> taken = new HashMap<>();
        private final Map<String, Double> listed = new HashMap<>();
        private final List<Lot> lots = new ArrayList<>();
        private final List<double[]> waiting = new ArrayList<>();
        private double hours;

        Season(YearPlan.Request request, YearPlan plan, Rule rule, Random random) {
            this.request = request;
            this.plan = plan;
            this.rule = rule;
            this.random = random;
            request.herbs().forEach(h -> herbs.put(h.id(), h));
            int together = random.nextInt(29) - 14;
            for (Growth g : request.growths()) {
                double year = 0.5 + random.nextDouble();
                grows.put(g.id(), g.wholeG().mid() * (random.nextDouble() < FAILS ? 0.2 : year));
                Growth.Window w = g.windows().get(0);
                long shift = together + random.nextInt(15) - 7;
                long length = Math.round(
                        (w.until().toEpochDay() - w.from().toEpochDay()) * (0.6 + 0.7 * random.nextDouble()));
                LocalDate from = w.from().plusDays(shift);
                open.put(g.id(), new LocalDate[] {from, from.plusDays(length)});
            }
            request.stocks().forEach(s -> lots.add(new Lot(s.herb(), s.from(), s.until(), new double[] {s.amount()})));
            // Last year's list: what each wish took of its first plant.
            request.wishes().forEach(w -> {
                if (!w.choices().isEmpty()) {
                    Wish.Choice c = w.choices().get(0);
                    listed.merge(c.herb(), w.amount() * c.driedGPerUnit(), Double::sum);
                }
            });
            request.stocks().forEach(s -> listed.computeIfPresent(s.herb(), (k, v) -> v - s.amount()));
        }

        /** Wishes met, the first five of them, stands weakened, dried herb left over, hours. */
        double[] live() {
            boolean wet = random.nextBoolean();
            for (int w = 0; w < WEEKS; w++) {
                LocalDate mid = TODAY.plusDays(7L * w + 3);
                double dry = DRY[mid.getMonthValue() - 1];
                wet = random.nextDouble() < (wet ? STAYS_WET : (1 - dry) * 0.7);
                int mornings = random.nextDouble() < SKIPPED ? 0 : wet ? 1 : 4;
                week(w, mid, mornings);
            }
            double[] met = new double[request.wishes().size()];
            lots.sort(Comparator.comparing(l -> l.until() == null ? LocalDate.MAX : l.until()));
            for (int i = 0; i < met.length; i++) {
                met[i] = grant(request.wishes().get(i));
            }
            long weakened = request.growths().stream()
                    .filter(g -> taken.getOrDefault(g.id(), 0.0) > grows.getOrDefault(g.id(), 0.0) * g.share() * 1.001)
                    .count();
            double left = lots.stream().mapToDouble(l -> l.left()[0]).sum();
            double first = 0;
            for (int i = 0; i < 5; i++) {
                first += met[i] / 5;
            }
            return new double[] {
                java.util.Arrays.stream(met).average().orElse(0),
                first,
                (double) weakened / request.growths().size(),
                left,
                hours
            };
        }

        private void week(int w, LocalDate mid, int mornings) {
            List<Growth> order = new ArrayList<>(request.growths());
            Map<String, Double> wanted = wanted(w);
            if (rule == Rule.RIPE) {
                Collections.shuffle(order, random);
            } else {
                order.removeIf(g -> wanted.getOrDefault(g.id(), 0.0) <= 0);
            }
            Set<String> walked = new HashSet<>();
            double rack = request.means().rackM2() * 7;
            double left = request.means().hoursPerWeek();
            for (Growth g : order) {
                LocalDate[] window = open.get(g.id());
                if (mid.isBefore(window[0]) || mid.isAfter(window[1])) {
                    continue;
                }
                double walk = walked.contains(g.walk())
                        ? 0
                        : request.means().walkHours().get(g.walk());
                Herb herb = herbs.get(g.herb());
                double perG = herb.areaM2PerKg() / 1000 * Math.min(7, herb.dryingDays());
                // By eye nobody knows to a gram what a third of it is: the share is seen within a fifth.
                double seen = grows.get(g.id()) * g.share() * (0.9 + 0.2 * random.nextDouble());
                double may = Math.max(0, seen - taken.getOrDefault(g.id(), 0.0));
                double fresh = Math.min(may, rack / perG);
                if (rule != Rule.RIPE) {
                    fresh = Math.min(fresh, wanted.get(g.id()));
                }
                double picking = herb.part() == Taxon.Part.FLOWER ? 4 : herb.part() == Taxon.Part.ROOT ? 2 : 1;
                fresh = Math.min(fresh, Math.max(0, left - walk) / picking * 1000);
                if (fresh < 20 || walk > 0 && walked.size() >= mornings) {
                    continue;
                }
                walked.add(g.walk());
                left -= walk + fresh / 1000 * picking;
                hours += walk + fresh / 1000 * picking;
                rack -= fresh * perG;
                taken.merge(g.id(), fresh, Double::sum);
                picked(g, fresh);
                double basket = fresh;
                double ratio = (herb.freshToDry().low()
                                + random.nextDouble()
                                        * (herb.freshToDry().high()
                                                - herb.freshToDry().low()))
                        * (0.9 + 0.2 * random.nextDouble());
                lots.add(new Lot(
                        g.herb(),
                        mid.plusDays((long) Math.ceil(herb.dryingDays())),
                        mid.plusDays(herb.keepsDays()),
                        new double[] {fresh / ratio}));
                listed.computeIfPresent(g.herb(), (k, v) -> v - basket / ratio);
            }
        }

        private void picked(Growth g, double fresh) {
            for (double[] due : waiting) {
                if ((int) due[0] == request.growths().indexOf(g)) {
                    double used = Math.min(due[1], fresh);
                    due[1] -= used;
                    fresh -= used;
                }
            }
        }

        /** Fresh grams by stand that the rule goes out for. */
        private Map<String, Double> wanted(int w) {
            Map<String, Double> wanted = new HashMap<>();
            if (rule == Rule.PLAN || rule == Rule.AGAIN) {
                if (rule == Rule.AGAIN && w > 0 && w % REPLANNED_WEEKS == 0) {
                    again(w);
                }
                waiting.removeIf(d -> d[1] < 1 || w - d[2] > WAITS);
                for (YearPlan.Week week : plan.weeks()) {
                    if ((week.on().toEpochDay() - TODAY.toEpochDay()) / 7 == w) {
                        week.picks().forEach(p -> waiting.add(new double[] {index(p.growth()), p.freshG(), w}));
                    }
                }
                waiting.forEach(
                        d -> wanted.merge(request.growths().get((int) d[0]).id(), d[1], Double::sum));
            } else if (rule == Rule.LIST) {
                for (Growth g : request.growths()) {
                    wanted.put(
                            g.id(),
                            listed.getOrDefault(g.herb(), 0.0)
                                    * herbs.get(g.herb()).freshToDry().mid());
                }
            }
            return wanted;
        }

        /** From what was really picked so far, and what lies on the shelf. */
        private void again(int w) {
            LocalDate today = TODAY.plusDays(7L * w);
            List<Growth> growths = request.growths().stream()
                    .map(g -> new Growth(
                            g.id(),
                            g.stand(),
                            g.herb(),
                            g.walk(),
                            g.wholeG(),
                            Math.max(
                                    0,
                                    g.share()
                                            - taken.getOrDefault(g.id(), 0.0)
                                                    / g.wholeG().mid()),
                            g.nextShare(),
                            g.weakness(),
                            g.windows()))
                    .toList();
            List<Stock> stocks = new ArrayList<>();
            for (int i = 0; i < lots.size(); i++) {
                Lot l = lots.get(i);
                stocks.add(
                        new Stock("lot " + i, "lot", l.herb(), Basket.Product.DRIED, l.left()[0], l.from(), l.until()));
            }
            List<YearPlan.Planned> running = waiting.stream()
                    .map(d -> new YearPlan.Planned(
                            request.growths().get((int) d[0]).id(), today, Math.max(0, d[1])))
                    .toList();
            plan = YearPlan.of(new YearPlan.Request(
                    today, WEEKS - w, request.wishes(), growths, request.herbs(), stocks, request.means(), running));
            waiting.clear();
        }

        private int index(String growth) {
            for (int i = 0; i < request.growths().size(); i++) {
                if (request.growths().get(i).id().equals(growth)) {
                    return i;
                }
            }
            throw new IllegalArgumentException(growth);
        }

        /** Month by month from October, of what is ready and keeps; what is made is made as soon as it may be. */
        private double grant(Wish wish) {
            double given = 0;
            int months = wish.evenly() ? 6 : 1;
            for (int m = 0; m < months; m++) {
                LocalDate from = wish.evenly() ? wish.from().plusMonths(m) : wish.from();
                LocalDate to = wish.evenly() ? from.plusMonths(1).minusDays(1) : wish.until();
                double missing = wish.amount() / months;
                for (Lot lot : lots) {
                    for (Wish.Choice c : wish.choices()) {
                        LocalDate ready = lot.from().plusDays(c.leadDays());
                        boolean keeps = c.leadDays() > 0
                                || lot.until() == null
                                || !lot.until().isBefore(to);
                        if (c.herb().equals(lot.herb())
                                && !ready.isAfter(wish.evenly() ? from : to)
                                && keeps
                                && missing > 0) {
                            double used = Math.min(missing, lot.left()[0] / c.driedGPerUnit());
                            lot.left()[0] -= used * c.driedGPerUnit();
                            missing -= used;
                        }
                    }
                }
                given += wish.amount() / months - missing;
            }
            return given / wish.amount();
        }
    }
}
