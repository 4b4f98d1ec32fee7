package org.sallowbrook.core.planning.year;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.planning.Basket;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Years small enough to be planned by hand, and many drawn ones of which every bound is looked at again. */
public class YearPlanTest {

    private static final LocalDate TODAY = LocalDate.of(2026, 4, 6);
    private static final LocalDate OCTOBER = LocalDate.of(2026, 10, 1);
    private static final LocalDate MARCH = LocalDate.of(2027, 3, 31);
    private static final List<Double> DRY = Collections.nCopies(12, 0.6);

    private static final Herb LIME =
            new Herb("lime FLOWER", "lime, flower", Taxon.Part.FLOWER, Interval.of(4, 4), 3, 0.5, 365, 0);

    /** Ripe for certain in June. */
    private static Growth growth(String id, double wholeG, double share) {
        LocalDate june = LocalDate.of(2026, 6, 1);
        return new Growth(
                id,
                "stand " + id,
                LIME.id(),
                "the lane",
                Interval.exactly(wholeG),
                share,
                share,
                0,
                List.of(new Growth.Window(june, june, june, june.plusDays(40))));
    }

    /** So many cups at 2 g. */
    private static Wish tea(String id, double cups) {
        return new Wish(
                id,
                "tea " + id,
                Basket.Product.TEA,
                cups,
                OCTOBER,
                MARCH,
                true,
                false,
                List.of(new Wish.Choice(LIME.id(), 2, 0, 0)));
    }

    private static Wish tincture(String id, double ml, LocalDate from) {
        return new Wish(
                id,
                "tincture " + id,
                Basket.Product.TINCTURE,
                ml,
                from,
                MARCH,
                false,
                false,
                List.of(new Wish.Choice(LIME.id(), 0.25, 28, 1000)));
    }

    private static Means means(double rackM2, double hours) {
        return new Means(rackM2, hours, Map.of("the lane", 0.5), DRY);
    }

    private static YearPlan.Request request(List<Wish> wishes, List<Growth> growths, List<Stock> stocks, Means means) {
        return new YearPlan.Request(TODAY, 52, wishes, growths, List.of(LIME), stocks, means, List.of());
    }

    private static double freshG(YearPlan plan) {
        return plan.weeks().stream()
                .flatMap(w -> w.picks().stream())
                .mapToDouble(YearPlan.Planned::freshG)
                .sum();
    }

    /** 100 cups of 2 g are 200 g dried and 800 g fresh; a quarter more is the reserve, which the stand just spares. */
    @Test
    public void whatIsWishedIsPickedAndNoMore() {
        YearPlan plan =
                YearPlan.of(request(List.of(tea("a", 100)), List.of(growth("g", 5000, 0.2)), List.of(), means(2, 8)));
        assertThat(plan.wishes().get(0).met()).isCloseTo(1, within(1e-6));
        assertThat(freshG(plan)).isCloseTo(1000, within(5.0));
        assertThat(plan.weeks())
                .allMatch(
                        w -> w.on().getMonthValue() == 5 || w.on().getMonthValue() == 6 || w.on().getMonthValue() == 7);
        assertThat(plan.gap()).isLessThanOrEqualTo(0.0101);
    }

    @Test
    public void aStandGivesItsShareAndTheRestIsUnmet() {
        YearPlan.Granted granted = YearPlan.of(
                        request(List.of(tea("a", 100)), List.of(growth("g", 2000, 0.2)), List.of(), means(2, 8)))
                .wishes()
                .get(0);
        assertThat(granted.met()).isCloseTo(0.5, within(0.01));
        assertThat(granted.why()).containsExactly(YearPlan.Why.STANDS);
    }

    @Test
    public void theFirstOfTheListComesFirst() {
        List<Growth> growths = List.of(growth("g", 2000, 0.2));
        YearPlan plan = YearPlan.of(request(List.of(tea("a", 40), tea("b", 40)), growths, List.of(), means(2, 8)));
        assertThat(plan.wishes().get(0).met()).isCloseTo(1, within(1e-6));
        assertThat(plan.wishes().get(1).met()).isCloseTo(0.25, within(0.01));
        YearPlan turned = YearPlan.of(request(List.of(tea("b", 40), tea("a", 40)), growths, List.of(), means(2, 8)));
        assertThat(turned.wishes().get(0).wish()).isEqualTo("b");
        assertThat(turned.wishes().get(0).met()).isCloseTo(1, within(1e-6));
    }

    /** However small the one at the end, and however much nearer its end it is. */
    @Test
    public void aSmallWishAtTheEndTakesNothingFromALargeOneAtTheHead() {
        YearPlan plan = YearPlan.of(
                request(List.of(tea("a", 100), tea("b", 5)), List.of(growth("g", 2000, 0.2)), List.of(), means(2, 8)));
        assertThat(plan.wishes().get(0).met()).isCloseTo(0.5, within(0.01));
        assertThat(plan.wishes().get(1).met()).isCloseTo(0, within(0.01));
    }

    /** What is there is used before anything is picked, the older first, and nothing after its date. */
    @Test
    public void theShelfServesFirstAndTheOlderBeforeTheNewer() {
        Stock old = new Stock("old", "old jar", LIME.id(), Basket.Product.DRIED, 100, TODAY, MARCH.plusDays(10));
        Stock young = new Stock("young", "young jar", LIME.id(), Basket.Product.DRIED, 100, TODAY, MARCH.plusDays(200));
        Stock stale = new Stock("stale", "stale jar", LIME.id(), Basket.Product.DRIED, 900, TODAY, OCTOBER);
        YearPlan plan = YearPlan.of(request(
                List.of(tea("a", 60)), List.of(growth("g", 5000, 0.2)), List.of(young, old, stale), means(2, 8)));
        assertThat(plan.weeks()).isEmpty();
        Map<String, Double> used = new HashMap<>();
        plan.wishes().get(0).from().forEach(f -> used.merge(f.of(), f.driedG(), Double::sum));
        assertThat(used.get("old")).isCloseTo(100, within(0.1));
        assertThat(used.get("young")).isCloseTo(50, within(0.1));
        assertThat(used).doesNotContainKey("stale");
    }

    @DataProvider
    public Object[][] reasons() {
        Growth plenty = growth("g", 50_000, 0.5);
        Wish none = new Wish("a", "a", Basket.Product.TEA, 10, OCTOBER, MARCH, true, false, List.of());
        Wish tooSoon = new Wish(
                "a",
                "a",
                Basket.Product.TEA,
                30,
                TODAY,
                TODAY.plusDays(30),
                true,
                false,
                tea("x", 1).choices());
        return new Object[][] {
            {none, List.of(plenty), means(2, 8), YearPlan.Why.NOTHING_ALLOWED},
            {tea("a", 10), List.of(), means(2, 8), YearPlan.Why.NO_STAND},
            {tooSoon, List.of(plenty), means(2, 8), YearPlan.Why.TOO_LATE},
            {tea("a", 4000), List.of(plenty), means(0.05, 40), YearPlan.Why.RACK},
            {tea("a", 4000), List.of(plenty), means(0, 40), YearPlan.Why.RACK},
            {tea("a", 4000), List.of(plenty), means(40, 1), YearPlan.Why.HOURS},
            {tea("a", 4000), List.of(plenty), means(40, 0), YearPlan.Why.HOURS},
            {tea("a", 50_000), List.of(plenty), means(400, 160), YearPlan.Why.STANDS},
        };
    }

    @Test(dataProvider = "reasons")
    public void whatCantBeHadSaysWhy(Wish wish, List<Growth> growths, Means means, YearPlan.Why why) {
        YearPlan.Granted granted = YearPlan.of(request(List.of(wish), growths, List.of(), means))
                .wishes()
                .get(0);
        assertThat(granted.met()).isLessThan(1);
        assertThat(granted.why()).contains(why);
    }

    @Test
    public void whatWouldSpoilBeforeItIsUsedIsNotPickedForIt() {
        Herb shortLived = new Herb(LIME.id(), "lime", Taxon.Part.FLOWER, Interval.of(4, 4), 3, 0.5, 60, 0);
        YearPlan.Request request = new YearPlan.Request(
                TODAY,
                52,
                List.of(tea("a", 10)),
                List.of(growth("g", 5000, 0.5)),
                List.of(shortLived),
                List.of(),
                means(2, 8),
                List.of());
        YearPlan plan = YearPlan.of(request);
        assertThat(plan.weeks()).isEmpty();
        assertThat(plan.wishes().get(0).why()).containsExactly(YearPlan.Why.KEEPING);
    }

    /** A tincture steeps for four weeks; wanted sooner than it can be ready it comes late, and says when. */
    @Test
    public void whatIsWantedTooSoonComesWhenItCan() {
        YearPlan.Granted granted = YearPlan.of(request(
                        List.of(tincture("a", 100, TODAY.plusDays(10))),
                        List.of(growth("g", 5000, 0.5)),
                        List.of(),
                        means(2, 8)))
                .wishes()
                .get(0);
        assertThat(granted.met()).isCloseTo(1, within(1e-6));
        assertThat(granted.from().get(0).readyOn())
                .isAfter(LocalDate.of(2026, 6, 28))
                .isBefore(LocalDate.of(2026, 7, 20));
    }

    @Test
    public void whatMayBeBoughtIsBoughtOnlyForWhatCantBePicked() {
        Wish wish = new Wish(
                "a",
                "a",
                Basket.Product.TEA,
                100,
                OCTOBER,
                MARCH,
                true,
                true,
                tea("x", 1).choices());
        YearPlan.Granted granted = YearPlan.of(
                        request(List.of(wish), List.of(growth("g", 2000, 0.2)), List.of(), means(2, 8)))
                .wishes()
                .get(0);
        assertThat(granted.met()).isCloseTo(1, within(1e-6));
        assertThat(granted.from().stream()
                        .filter(f -> f.kind() == YearPlan.Kind.BOUGHT)
                        .mapToDouble(YearPlan.From::amount)
                        .sum())
                .isBetween(50.0, 62.0);
    }

    @Test
    public void theStrongerStandIsPreferred() {
        Growth weak = new Growth(
                "weak",
                "weak",
                LIME.id(),
                "the lane",
                Interval.exactly(5000),
                0.2,
                0.2,
                1,
                growth("x", 1, 1).windows());
        YearPlan plan = YearPlan.of(
                request(List.of(tea("a", 90)), List.of(weak, growth("strong", 5000, 0.2)), List.of(), means(2, 8)));
        assertThat(plan.weeks().stream().flatMap(w -> w.picks().stream()))
                .allMatch(p -> p.growth().equals("strong"));
    }

    /** All that may be taken is taken in a week that is full as well: an hour more would bring nothing. */
    @Test
    public void whereAStandGivesNoMoreNoHourIsBlamed() {
        YearPlan plan =
                YearPlan.of(request(List.of(tea("a", 400)), List.of(growth("g", 5000, 0.2)), List.of(), means(2, 3.5)));
        assertThat(plan.weeks()).anyMatch(w -> w.hours() > 3.49);
        assertThat(plan.wishes().get(0).met()).isLessThan(1);
        assertThat(plan.wishes().get(0).why()).containsExactly(YearPlan.Why.STANDS);
    }

    @Test
    public void aPlanThatIsRunningIsStayedWith() {
        List<Growth> growths = List.of(growth("a", 5000, 0.1), growth("b", 5000, 0.1), growth("c", 5000, 0.1));
        YearPlan.Request first = request(List.of(tea("a", 100)), growths, List.of(), means(2, 8));
        YearPlan plan = YearPlan.of(first);
        List<YearPlan.Planned> running =
                plan.weeks().stream().flatMap(w -> w.picks().stream()).toList();
        YearPlan.Request again = new YearPlan.Request(
                TODAY, 52, List.of(tea("a", 102)), growths, first.herbs(), List.of(), first.means(), running);
        Map<String, Double> before = byPick(running);
        Map<String, Double> after = byPick(YearPlan.of(again).weeks().stream()
                .flatMap(w -> w.picks().stream())
                .toList());
        double moved = before.entrySet().stream()
                .mapToDouble(e -> Math.max(0, e.getValue() - after.getOrDefault(e.getKey(), 0.0)))
                .sum();
        assertThat(moved).isLessThan(20);
    }

    private static Map<String, Double> byPick(List<YearPlan.Planned> picks) {
        Map<String, Double> all = new HashMap<>();
        picks.forEach(p -> all.merge(p.growth() + p.on(), p.freshG(), Double::sum));
        return all;
    }

    @Test
    public void everyBoundHoldsInEveryPlan() {
        for (int seed = 0; seed < 25; seed++) {
            YearPlan.Request request = drawn(seed);
            YearPlan plan = YearPlan.of(request);
            Map<String, Double> taken = new HashMap<>();
            Map<String, Double> dried = new HashMap<>();
            double[] rack = new double[60];
            for (YearPlan.Week week : plan.weeks()) {
                assertThat(week.hours()).isLessThanOrEqualTo(request.means().hoursPerWeek() + 1e-4);
                assertThat(week.walks().size()).isLessThanOrEqualTo((int) Math.floor(7 * 0.6));
                for (YearPlan.Planned p : week.picks()) {
                    Growth g = request.growths().stream()
                            .filter(x -> x.id().equals(p.growth()))
                            .findFirst()
                            .orElseThrow();
                    Herb h = request.herbs().stream()
                            .filter(x -> x.id().equals(g.herb()))
                            .findFirst()
                            .orElseThrow();
                    taken.merge(g.id() + p.on().plusDays(3).getYear(), p.freshG(), Double::sum);
                    dried.merge(g.herb(), p.freshG() / h.freshToDry().mid(), Double::sum);
                    assertThat(g.ripe(p.on().plusDays(3))).isGreaterThanOrEqualTo(0.1);
                    int w = (int) ((p.on().toEpochDay() - TODAY.toEpochDay()) / 7);
                    for (double left = h.dryingDays(); left > 0 && w < 52; left -= 7, w++) {
                        rack[w] += p.freshG() / 1000 * h.areaM2PerKg() * Math.min(7, left);
                    }
                }
            }
            for (double used : rack) {
                assertThat(used).isLessThanOrEqualTo(request.means().rackM2() * 7 + 1e-3);
            }
            for (Growth g : request.growths()) {
                assertThat(taken.getOrDefault(g.id() + "2026", 0.0))
                        .isLessThanOrEqualTo(g.wholeG().mid() * g.share() + 1e-3);
            }
            used(plan, request, dried);
            assertThat(plan.cost()).isGreaterThanOrEqualTo(plan.bound() - 1e-6);
        }
    }

    /** No more herb is granted than was picked or there, and nothing before it is ready. */
    private static void used(YearPlan plan, YearPlan.Request request, Map<String, Double> dried) {
        Map<String, Double> picked = new HashMap<>();
        Map<String, Double> there = new HashMap<>();
        for (YearPlan.Granted g : plan.wishes()) {
            Wish wish = request.wishes().stream()
                    .filter(w -> w.id().equals(g.wish()))
                    .findFirst()
                    .orElseThrow();
            double sum = g.from().stream().mapToDouble(YearPlan.From::amount).sum();
            assertThat(sum).isBetween(g.met() * g.wanted() * 0.98 - 1e-6, g.wanted() * 1.251);
            for (YearPlan.From f : g.from()) {
                assertThat(f.readyOn()).isBeforeOrEqualTo(wish.until());
                if (f.kind() == YearPlan.Kind.PICKED) {
                    picked.merge(f.of(), f.driedG(), Double::sum);
                } else if (f.kind() == YearPlan.Kind.THERE) {
                    there.merge(f.of(), f.driedG() == null ? f.amount() : f.driedG(), Double::sum);
                }
            }
        }
        picked.forEach(
                (herb, g) -> assertThat(g).as(herb).isLessThanOrEqualTo(dried.getOrDefault(herb, 0.0) * 1.001 + 2));
        request.stocks()
                .forEach(s -> assertThat(there.getOrDefault(s.id(), 0.0)).isLessThanOrEqualTo(s.amount() + 1e-3));
    }

    static YearPlan.Request drawn(long seed) {
        Random r = new Random(seed);
        List<Herb> herbs = new ArrayList<>();
        Taxon.Part[] parts = {Taxon.Part.LEAF, Taxon.Part.FLOWER, Taxon.Part.HERB, Taxon.Part.ROOT};
        for (int i = 0; i < 6; i++) {
            Taxon.Part part = parts[r.nextInt(parts.length)];
            herbs.add(new Herb(
                    "h" + i,
                    "herb " + i,
                    part,
                    Interval.of(4, 6),
                    Herb.usualDryingDays(part),
                    0.5,
                    365,
                    i == 5 ? 90 : 0));
        }
        List<Growth> growths = new ArrayList<>();
        for (int i = 0; i < 10; i++) {
            LocalDate from = TODAY.plusDays(r.nextInt(180));
            growths.add(new Growth(
                    "g" + i,
                    "stand " + i,
                    "h" + r.nextInt(6),
                    "walk " + i % 4,
                    Interval.of(400, 400 + r.nextInt(4000)),
                    0.3,
                    0.3,
                    r.nextDouble(),
                    List.of(new Growth.Window(from.minusDays(9), from, from.plusDays(9), from.plusDays(30)))));
        }
        List<Wish> wishes = new ArrayList<>();
        for (int i = 0; i < 7; i++) {
            boolean tea = r.nextBoolean();
            wishes.add(new Wish(
                    "w" + i,
                    "wish " + i,
                    tea ? Basket.Product.TEA : Basket.Product.OIL,
                    50 + r.nextInt(200),
                    OCTOBER,
                    MARCH,
                    tea,
                    false,
                    List.of(
                            new Wish.Choice("h" + r.nextInt(3), tea ? 2 : 0.2, tea ? 0 : 42, 365),
                            new Wish.Choice("h" + (3 + r.nextInt(3)), tea ? 3 : 0.3, tea ? 0 : 42, 365))));
        }
        List<Stock> stocks = List.of(
                new Stock("s", "jar", "h0", Basket.Product.DRIED, 60, TODAY, TODAY.plusDays(300)),
                new Stock("t", "bottle", "h1", Basket.Product.OIL, 60, TODAY, null));
        Means means = new Means(
                0.2 + r.nextDouble(),
                2 + r.nextInt(6),
                Map.of("walk 0", 0.5, "walk 1", 1.0, "walk 2", 1.5, "walk 3", 2.0),
                DRY);
        return new YearPlan.Request(TODAY, 52, wishes, growths, herbs, stocks, means, List.of());
    }

    /** Of ten things that are taken or left all ways are tried. */
    @Test
    public void theSolverFindsWhatTryingAllWaysFinds() {
        for (int seed = 0; seed < 30; seed++) {
            Random r = new Random(seed);
            Programme programme = new Programme();
            int n = 10;
            double[][] weight = new double[3][n];
            double[] most = new double[3];
            for (int i = 0; i < n; i++) {
                programme.whole("thing " + i, 1, -1 - r.nextInt(20));
            }
            for (int k = 0; k < 3; k++) {
                Programme.Terms terms = new Programme.Terms();
                for (int i = 0; i < n; i++) {
                    weight[k][i] = 1 + r.nextInt(9);
                    terms.add(i, weight[k][i]);
                }
                most[k] = 12 + r.nextInt(15);
                programme.atMost("room " + k, terms, most[k]);
            }
            double best = 0;
            for (int ways = 0; ways < 1 << n; ways++) {
                double cost = 0;
                double[] used = new double[3];
                for (int i = 0; i < n; i++) {
                    if ((ways >> i & 1) == 1) {
                        cost += programme.variables.get(i).cost();
                        for (int k = 0; k < 3; k++) {
                            used[k] += weight[k][i];
                        }
                    }
                }
                if (used[0] <= most[0] && used[1] <= most[1] && used[2] <= most[2]) {
                    best = Math.min(best, cost);
                }
            }
            assertThat(new OrTools().solve(programme, 0).cost())
                    .as("seed " + seed)
                    .isCloseTo(best, within(1e-6));
        }
    }

    @Test
    public void aSeasonIsSureOfTheShelfAndLessSureOfTheLastGram() {
        Stock jar = new Stock("jar", "jar", LIME.id(), Basket.Product.TINCTURE, 500, TODAY, null);
        YearPlan.Request request = request(
                List.of(tincture("shelf", 100, OCTOBER), tea("ample", 20), tea("tight", 80)),
                List.of(growth("g", 5000, 0.2)),
                List.of(jar),
                means(2, 8));
        YearPlan plan = YearPlan.of(request);
        assertThat(plan.met()).isCloseTo(1, within(0.01));
        List<DrawnSeasons.Sure> sure = DrawnSeasons.of(request, plan, 200, 1);
        assertThat(sure.get(0).sure()).isEqualTo(1);
        assertThat(sure.get(1).sure()).isGreaterThan(0.9);
        assertThat(sure.get(2).sure()).isBetween(0.1, 0.85);
        assertThat(DrawnSeasons.of(request, plan, 200, 1)).isEqualTo(sure);
    }

    @Test
    public void oneMoreScreenHelpsWhereTheRackBinds() {
        YearPlan.Request request =
                request(List.of(tea("a", 800)), List.of(growth("g", 50_000, 0.5)), List.of(), means(0.1, 40));
        YearPlan plan = YearPlan.of(request);
        List<WouldHelp.Help> helps = WouldHelp.of(request, plan);
        assertThat(helps.get(0).kind()).isEqualTo(WouldHelp.Kind.SCREEN);
        assertThat(helps.get(0).gains().get(0).met()).isGreaterThan(0.1);
        // Where all is met nothing has to help.
        YearPlan.Request met = request(List.of(tea("a", 10)), request.growths(), List.of(), means(2, 8));
        assertThat(WouldHelp.of(met, YearPlan.of(met))).isEmpty();
    }

    @Test
    public void givingUpAWishHelpsTheOneItTakesFrom() {
        YearPlan.Request request =
                request(List.of(tea("a", 40), tea("b", 40)), List.of(growth("g", 2000, 0.2)), List.of(), means(2, 8));
        assertThat(WouldHelp.of(request, YearPlan.of(request)))
                .anyMatch(h -> h.of().equals("a") && h.gains().get(0).wish().equals("b"));
    }

    @DataProvider
    public Object[][] colds() {
        return new Object[][] {
            {"2026-07-15", false, "2026-10-01", "2027-03-31"},
            {"2026-10-01", false, "2026-10-01", "2027-03-31"},
            {"2027-03-31", false, "2026-10-01", "2027-03-31"},
            {"2027-04-01", false, "2027-10-01", "2028-03-31"},
            {"2026-07-15", true, "2026-04-01", "2026-09-30"},
            {"2026-12-01", true, "2027-04-01", "2027-09-30"},
        };
    }

    @Test(dataProvider = "colds")
    public void theColdMonthsAreThoseThatAreOnOrTheNext(String today, boolean southern, String from, String until) {
        assertThat(Wish.ColdMonths.of(LocalDate.parse(today), southern))
                .isEqualTo(new Wish.ColdMonths(LocalDate.parse(from), LocalDate.parse(until)));
    }

    @Test
    public void nonsenseIsRefusedAtTheDoor() {
        assertThatThrownBy(() -> tea("a", Double.NaN)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> tea("a", 1e9)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> means(-1, 3)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> means(1, Double.POSITIVE_INFINITY)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> growth("g", 100, 1.5)).isInstanceOf(InvalidInput.class);
        assertThatThrownBy(() -> new Wish("a", "a", Basket.Product.TEA, 1, MARCH, OCTOBER, true, false, List.of()))
                .isInstanceOf(InvalidInput.class);
    }
}
