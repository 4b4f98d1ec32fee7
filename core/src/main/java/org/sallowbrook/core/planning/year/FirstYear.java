package org.sallowbrook.core.planning.year;

import java.time.LocalDate;
import java.time.YearMonth;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.ToIntBiFunction;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.planning.Basket;

/**
 * A first year, for whoever knows no stand yet: few plants that are safe to begin with, one after the other through the months,
 * and one thing to make of each. Nothing is dug up or peeled, nothing is said to decline, nothing has a deadly look-alike on its
 * card, and what is picked can be made certain by looking at the very stage at which it is picked. It confirms nothing.
 */
public final class FirstYear {

    /** So many cards can be learnt in a year beside everything else. */
    public static final int MOST = 10;

    private static final int MOST_IN_A_MONTH = 2;

    /** What takes the plant with it, or wounds it, is for whoever knows it. */
    private static final Set<Taxon.Part> NOT_YET =
            EnumSet.of(Taxon.Part.ROOT, Taxon.Part.BARK, Taxon.Part.THALLUS, Taxon.Part.FRUIT_BODY);

    /** A small beginning, a working figure of this tool: two cups a week for each through half a year. */
    private static final double CUPS_EACH = 52;

    /** Two small bottles; four small tins. */
    private static final double TINCTURE_ML = 50;

    private static final double SALVE_G = 120;

    /** Drying and steeping, from the first walk on. */
    private static final int MAKING_DAYS = 60;

    /**
     * A part of a plant as it comes here.
     *
     * @param from when its gathering begins, or began; until: when it is likely over, not before today
     * @param certain stages at which looking can make the plant certain
     */
    public record Comes(Taxon taxon, Taxon.UsedPart part, LocalDate from, LocalDate until, Set<LifeStage> certain) {}

    /**
     * @param stages at which it is picked and can be made certain
     * @param uses what its card says it is used for
     * @param besides ids of poisonous plants it must be told from
     * @param make what to begin with; amount: of it, in its unit
     * @param wantedFrom when it is used; wantedUntil: until when
     */
    public record Learn(
            Comes what,
            Set<LifeStage> stages,
            List<String> uses,
            List<String> besides,
            Basket.Product make,
            double amount,
            LocalDate wantedFrom,
            LocalDate wantedUntil) {}

    private FirstYear() {}

    /**
     * In the order in which they come.
     *
     * @param all what grows in the region
     * @param dangers of all plants there is a card of, by id
     * @param mayHave how many of the household may have a plant by a route; what nobody may is left out
     * @param southern whether the cold months lie in the middle of the calendar year
     */
    public static List<Learn> of(
            List<Comes> all,
            Map<String, Danger> dangers,
            ToIntBiFunction<Taxon, Taxon.Route> mayHave,
            boolean southern) {
        List<Learn> safe = new ArrayList<>();
        for (Comes c : all) {
            Learn learn = learn(c, dangers, mayHave, southern);
            if (learn != null) {
                safe.add(learn);
            }
        }
        safe.sort(Comparator.comparing((Learn l) -> l.besides().size())
                .thenComparing(l -> -l.uses().size())
                .thenComparing(l -> l.what().from())
                .thenComparing(l -> l.what().taxon().id()));
        Map<YearMonth, Integer> begun = new HashMap<>();
        Set<String> taken = new HashSet<>();
        List<Learn> year = new ArrayList<>();
        for (Learn l : safe) {
            YearMonth month = YearMonth.from(l.what().from());
            if (year.size() < MOST
                    && begun.getOrDefault(month, 0) < MOST_IN_A_MONTH
                    && taken.add(l.what().taxon().id())) {
                begun.merge(month, 1, Integer::sum);
                year.add(l);
            }
        }
        year.sort(Comparator.comparing((Learn l) -> l.what().from())
                .thenComparing(l -> l.what().taxon().id()));
        return year;
    }

    private static @Nullable Learn learn(
            Comes c, Map<String, Danger> dangers, ToIntBiFunction<Taxon, Taxon.Route> mayHave, boolean southern) {
        Taxon taxon = c.taxon();
        Set<LifeStage> stages = EnumSet.noneOf(LifeStage.class);
        stages.addAll(c.part().gathering().stages());
        stages.retainAll(c.certain());
        List<String> besides = new ArrayList<>();
        boolean deadly = false;
        for (Taxon.LookAlike likeness : taxon.lookAlikes()) {
            Danger danger = dangers.get(likeness.taxon());
            deadly |= danger == Danger.DEADLY;
            if (danger != null && danger.dangerous()) {
                besides.add(likeness.taxon());
            }
        }
        Basket.Product make = make(taxon, c.part(), mayHave);
        if (taxon.draft()
                || taxon.harmsWhenTaken()
                || deadly
                || NOT_YET.contains(c.part().part())
                || taxon.halfParasite()
                || !taxon.plentiful()
                || stages.isEmpty()
                || make == null) {
            return null;
        }
        Wish.ColdMonths cold = Wish.ColdMonths.of(c.from(), southern);
        if (!cold.from().isAfter(c.from())) {
            cold = Wish.ColdMonths.of(cold.until().plusDays(1), southern);
        }
        LocalDate made = c.from().plusDays(MAKING_DAYS);
        return new Learn(
                c,
                stages,
                uses(taxon, c.part(), make),
                besides,
                make,
                amount(make, mayHave.applyAsInt(taxon, make.route())),
                make == Basket.Product.TEA ? cold.from() : made,
                make == Basket.Product.TEA ? cold.until() : made.plusYears(1));
    }

    /** The simplest that the card allows and knows a use of, and somebody may have: a tea before a salve before a tincture. */
    private static Basket.@Nullable Product make(
            Taxon taxon, Taxon.UsedPart part, ToIntBiFunction<Taxon, Taxon.Route> mayHave) {
        for (Basket.Product p : List.of(Basket.Product.TEA, Basket.Product.SALVE, Basket.Product.TINCTURE)) {
            if (Basket.driedFor(p, part, 1).isPresent()
                    && !uses(taxon, part, p).isEmpty()
                    && mayHave.applyAsInt(taxon, p.route()) > 0) {
                return p;
            }
        }
        return null;
    }

    private static List<String> uses(Taxon taxon, Taxon.UsedPart part, Basket.Product make) {
        return taxon.uses().stream()
                .filter(u ->
                        !u.grave() && u.route() == make.route() && u.parts().contains(part.part()))
                .map(Taxon.Use::name)
                .distinct()
                .toList();
    }

    private static double amount(Basket.Product make, int people) {
        return switch (make) {
            case TEA -> CUPS_EACH * people;
            case TINCTURE -> TINCTURE_ML * people;
            default -> SALVE_G;
        };
    }
}
