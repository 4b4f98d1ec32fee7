package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.planning.Basket;

/**
 * Lives through a plan in seasons that are drawn: when things begin, how much grows, which mornings are dry, how much water is
 * in the herb. What can't be picked in its week is picked in one of the next, while it lasts; what there is goes to the first wish
 * first, the oldest herb first. How much a year's growth scatters is a working figure of this tool.
 */
public final class DrawnSeasons {

    /** Of the logarithm of what grows, from year to year. */
    private static final double GROWTH_SD = 0.35;

    /** Years are early or late for all plants together; the rest of a window's spread is each plant's own. */
    private static final double TOGETHER_DAYS = 7;

    private static final int DAYS = 7;
    private static final int WEEKS_MORE = 4;
    private static final double ENOUGH = 0.95;

    /**
     * @param sure share of the seasons in which at least 95 % of the wish was met, 0 to 1
     * @param met mean share of it that was
     */
    public record Sure(String wish, double sure, double met) {}

    private static final class Lot {
        final String herb;
        final Basket.@Nullable Product product;
        final LocalDate from;
        final @Nullable LocalDate until;
        double left;

        Lot(String herb, Basket.@Nullable Product product, LocalDate from, @Nullable LocalDate until, double left) {
            this.herb = herb;
            this.product = product;
            this.from = from;
            this.until = until;
            this.left = left;
        }
    }

    private final YearPlan.Request request;
    private final YearPlan plan;
    private final Map<String, Growth> growths = new HashMap<>();
    private final Map<String, Herb> herbs = new HashMap<>();

    private DrawnSeasons(YearPlan.Request request, YearPlan plan) {
        this.request = request;
        this.plan = plan;
        request.growths().forEach(g -> growths.put(g.id(), g));
        request.herbs().forEach(h -> herbs.put(h.id(), h));
    }

    /** @param seasons how many are drawn, 1 to 2000 */
    public static List<Sure> of(YearPlan.Request request, YearPlan plan, int seasons, long seed) {
        Checks.begin().range("seasons", seasons, 1, 2000).done();
        DrawnSeasons drawn = new DrawnSeasons(request, plan);
        int n = request.wishes().size();
        int[] enough = new int[n];
        double[] met = new double[n];
        Random random = new Random(seed);
        for (int s = 0; s < seasons; s++) {
            double[] of = drawn.live(random);
            for (int i = 0; i < n; i++) {
                enough[i] += of[i] >= ENOUGH ? 1 : 0;
                met[i] += of[i] / seasons;
            }
        }
        List<Sure> sure = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            sure.add(new Sure(request.wishes().get(i).id(), (double) enough[i] / seasons, met[i]));
        }
        return sure;
    }

    /** One season: the share of each wish that it meets. */
    private double[] live(Random random) {
        double together = TOGETHER_DAYS * random.nextGaussian();
        Map<String, Double> shift = new HashMap<>();
        Map<String, Double> grows = new HashMap<>();
        for (Growth g : request.growths()) {
            double sd = g.windows().stream()
                    .mapToDouble(Growth.Window::sdDays)
                    .average()
                    .orElse(0);
            double own = Math.sqrt(Math.max(0, sd * sd - TOGETHER_DAYS * TOGETHER_DAYS));
            shift.put(g.id(), together + own * random.nextGaussian());
            double whole = g.wholeG().low()
                    + random.nextDouble() * (g.wholeG().high() - g.wholeG().low());
            grows.put(g.id(), whole * Math.exp(GROWTH_SD * random.nextGaussian() - GROWTH_SD * GROWTH_SD / 2));
        }
        List<Lot> lots = new ArrayList<>();
        for (Stock s : request.stocks()) {
            lots.add(new Lot(
                    s.herb(),
                    s.product() == Basket.Product.DRIED ? null : s.product(),
                    s.from(),
                    s.until(),
                    s.amount()));
        }
        pick(random, shift, grows, lots);
        buy(lots);
        // What is made is used before anything is made of herb, the oldest first.
        lots.sort(Comparator.comparing((Lot l) -> l.product == null)
                .thenComparing(l -> l.until == null ? LocalDate.MAX : l.until));
        double[] met = new double[request.wishes().size()];
        for (int i = 0; i < met.length; i++) {
            met[i] = grant(request.wishes().get(i), lots);
        }
        return met;
    }

    private record Due(YearPlan.Planned planned, int since) {}

    private void pick(Random random, Map<String, Double> shift, Map<String, Double> grows, List<Lot> lots) {
        Map<Integer, List<YearPlan.Planned>> byWeek = new HashMap<>();
        plan.weeks().forEach(w -> byWeek.put(week(w.on()), w.picks()));
        Map<String, Double> taken = new HashMap<>();
        List<Due> waiting = new ArrayList<>();
        for (int w = 0; w < request.weeks(); w++) {
            LocalDate mid = request.today().plusDays((long) DAYS * w + DAYS / 2);
            for (YearPlan.Planned p : byWeek.getOrDefault(w, List.of())) {
                waiting.add(new Due(p, w));
            }
            int mornings = mornings(random, request.means().dryMornings().get(mid.getMonthValue() - 1));
            double rack = request.means().rackM2() * DAYS;
            List<String> walked = new ArrayList<>();
            List<Due> later = new ArrayList<>();
            for (Due due : waiting) {
                Growth g = java.util.Objects.requireNonNull(
                        growths.get(due.planned().growth()));
                Herb herb = java.util.Objects.requireNonNull(herbs.get(g.herb()));
                boolean walkable = walked.contains(g.walk()) || walked.size() < mornings;
                if (!walkable || !ripe(g, mid, shift.getOrDefault(g.id(), 0.0))) {
                    if (w - due.since() < WEEKS_MORE) {
                        later.add(due);
                    }
                    continue;
                }
                if (!walked.contains(g.walk())) {
                    walked.add(g.walk());
                }
                String year = g.id() + mid.getYear();
                double most =
                        grows.getOrDefault(g.id(), 0.0) * g.share(mid, request.today()) - taken.getOrDefault(year, 0.0);
                double perG = herb.areaM2PerKg() / 1000 * Math.min(DAYS, herb.dryingDays());
                double fresh = Math.max(
                        0, Math.min(Math.min(due.planned().freshG(), most), perG > 0 ? rack / perG : Double.MAX_VALUE));
                taken.merge(year, fresh, Double::sum);
                rack -= fresh * perG;
                lots.add(lot(herb, mid, fresh, random));
            }
            waiting = later;
        }
    }

    private int week(LocalDate on) {
        return (int) ((on.toEpochDay() - request.today().toEpochDay()) / DAYS);
    }

    private static int mornings(Random random, double share) {
        int dry = 0;
        for (int d = 0; d < DAYS; d++) {
            dry += random.nextDouble() < share ? 1 : 0;
        }
        return dry;
    }

    private static boolean ripe(Growth g, LocalDate on, double shift) {
        long days = Math.round(shift);
        return g.windows().stream()
                .anyMatch(w -> !on.isBefore(w.from().plusDays(days))
                        && !on.isAfter(w.until().plusDays(days)));
    }

    private static Lot lot(Herb herb, LocalDate on, double freshG, Random random) {
        double ratio = herb.freshToDry().low()
                + random.nextDouble()
                        * (herb.freshToDry().high() - herb.freshToDry().low());
        LocalDate dry = on.plusDays((long) Math.ceil(herb.dryingDays()));
        LocalDate aged = on.plusDays(herb.ageingDays());
        return new Lot(herb.id(), null, aged.isAfter(dry) ? aged : dry, on.plusDays(herb.keepsDays()), freshG / ratio);
    }

    private void buy(List<Lot> lots) {
        for (YearPlan.Granted g : plan.wishes()) {
            for (YearPlan.From f : g.from()) {
                if (f.kind() == YearPlan.Kind.BOUGHT && f.driedG() != null) {
                    lots.add(new Lot(f.of(), null, request.today(), null, f.driedG()));
                }
            }
        }
    }

    private double grant(Wish wish, List<Lot> lots) {
        double wanted = 0;
        double given = 0;
        for (Wish.Slice slice : wish.slices(request.today())) {
            wanted += slice.amount();
            double missing = slice.amount();
            for (Lot lot : lots) {
                for (Wish.Choice c : wish.choices()) {
                    if (missing > 0 && lot.left > 0 && c.herb().equals(lot.herb) && serves(wish, c, slice, lot)) {
                        double rate = lot.product == null ? c.driedGPerUnit() : 1;
                        double used = Math.min(missing, lot.left / rate);
                        lot.left -= used * rate;
                        missing -= used;
                    }
                }
            }
            given += slice.amount() - missing;
        }
        return wanted == 0 ? 1 : given / wanted;
    }

    private static boolean serves(Wish wish, Wish.Choice c, Wish.Slice slice, Lot lot) {
        LocalDate by = wish.evenly() ? slice.from() : slice.until();
        if (lot.product != null) {
            return lot.product == wish.product()
                    && !lot.from.isAfter(by)
                    && (lot.until == null || !lot.until.isBefore(slice.until()));
        }
        LocalDate ready = lot.from.plusDays(c.leadDays());
        boolean raw = wish.product() == Basket.Product.DRIED || wish.product() == Basket.Product.TEA;
        LocalDate until = raw ? lot.until : ready.plusDays(c.keepsDays());
        return !ready.isAfter(by) && (until == null || !until.isBefore(slice.until()));
    }
}
