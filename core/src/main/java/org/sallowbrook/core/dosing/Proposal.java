package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.DoseRange;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.household.Schools;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;

/**
 * The card's dose as an amount of a product, by the household's schools: the low end or the middle of the range, and for a
 * child the fraction of its rule. Rounded down. A proposal passes the gates like any other dose.
 */
public final class Proposal {

    /**
     * @param perDose null where the card has no figure, or the household's school refers
     * @param cardPerDose what the card's range of a day comes to at a time, in the product's own unit; null where a proposal may
     *     only be rounded down
     */
    public record Result(
            @Nullable Double perDose,
            String words,
            @Nullable Interval cardPerDose) {

        private static Result none(String words) {
            return new Result(null, words, null);
        }
    }

    private static final int USUAL_DAYS = 21;

    /** A dose rounded down to a tenth is not called below the card for it. */
    private static final double ROUNDED_DOWN = 0.99;

    private Proposal() {}

    public static Result of(Product product, Person person, @Nullable String use, int timesPerDay, Schools schools) {
        Interval equivalent = product.driedGPerUnit();
        Optional<Product.Herb> lead = product.herbs().stream().max(Comparator.comparingDouble(Product.Herb::fraction));
        if (equivalent == null || !(equivalent.high() > 0) || lead.isEmpty()) {
            return Result.none("There is no figure to reckon a dose from.");
        }
        Product.Herb herb = lead.get();
        DoseRange range = range(product, herb, person, use).orElse(null);
        if (range == null) {
            return Result.none("The card has no dose for this use, form and age, so none is proposed.");
        }
        boolean small = schools.of(Question.DOSE_SIZE) == School.SMALL_DOSE;
        double perDay =
                small ? range.driedGPerDay().low() : range.driedGPerDay().mid();
        double adult = perDay / (equivalent.high() * herb.fraction()) / timesPerDay;
        String from = (small ? "The card's low end, " : "The middle of the card's range, ") + Words.grams(perDay)
                + " of dried " + herb.taxon().commonName() + " a day";
        // From the age the card itself names its dose is for that age as well.
        if (person.adult()) {
            Interval card = range.driedGPerDay().times(1 / (equivalent.high() * herb.fraction() * timesPerDay));
            return new Result(down(adult), from + ".", card);
        }
        School school = schools.of(Question.CHILD_DOSE);
        Dose.ChildRules rules = Dose.childRules(
                new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm()), new java.util.ArrayList<>());
        Double child = adult < 0.1 ? null : Dose.forChild(adult, rules, school);
        if (child != null && !(child > 0)) {
            return Result.none("A child's part of it is less than can be measured of so strong a product.");
        }
        return child == null
                ? Result.none(
                        school == School.REFER_CHILD
                                ? "For a child this household asks a professional first."
                                : "The household's rule for children does not apply, or lacks a weight or height.")
                : new Result(child, from + ", for a child " + school.words() + ".", null);
    }

    /**
     * On the skin a card gives no amount: of a salve as much as covers two hands, of what is made for once all of it.
     *
     * @param amount how much was made, in its own unit, above 0
     */
    public static Result onTheSkin(LotForm form, double amount) {
        Checks.begin().positive("amount", amount).done();
        String none = " The card gives no amount for the skin.";
        return switch (DoseUnits.usual(form, DosingGate.Way.SKIN, amount)) {
            case FINGERTIP ->
                new Result(
                        DoseUnits.FINGERTIP_G,
                        "A thin layer: a fingertip of it goes as far as two hands." + none,
                        null);
            case BATCH -> new Result(amount, "All that was made, used while it is fresh.", null);
            default -> Result.none("A thin layer." + none);
        };
    }

    /**
     * A grown-up's dose by the card.
     *
     * @param perDose null where the card has none for the use
     * @param fromAgeYears from which the card gives one; null where it gives none
     */
    public record Adult(@Nullable Double perDose, @Nullable Integer fromAgeYears) {}

    /** What the rules for children start from, whatever the age of whoever asks. */
    public static Adult adult(Product product, @Nullable String use, int timesPerDay, Schools schools) {
        Interval equivalent = product.driedGPerUnit();
        Product.Herb herb = product.herbs().stream()
                .max(Comparator.comparingDouble(Product.Herb::fraction))
                .orElse(null);
        if (equivalent == null || !(equivalent.high() > 0) || herb == null) {
            return new Adult(null, null);
        }
        return DoseGate.ofForm(
                        doses(herb.taxon(), herb.part()).stream()
                                .filter(d -> use == null || d.use().equalsIgnoreCase(use))
                                .toList(),
                        product.drawn())
                .stream()
                .min(Comparator.comparingDouble(d -> d.driedGPerDay().high()))
                .map(d -> new Adult(
                        (schools.of(Question.DOSE_SIZE) == School.SMALL_DOSE
                                        ? d.driedGPerDay().low()
                                        : d.driedGPerDay().mid())
                                / (equivalent.high() * herb.fraction())
                                / timesPerDay,
                        d.fromAgeYears()))
                .orElse(new Adult(null, null));
    }

    /**
     * How many days to propose: three weeks, fewer where the product does not keep or last so long or a card gives fewer; at
     * least one.
     *
     * @param remaining of the product, in its own unit, at least 0; so is {@code perDay}, above 0
     */
    public static int days(
            Product product, Person person, @Nullable String use, LocalDate start, double remaining, double perDay) {
        Checks.begin()
                .positive("perDay", perDay)
                .range("remaining", remaining, 0, 1e6)
                .done();
        long keeps = ChronoUnit.DAYS.between(start, product.bestBefore()) + 1;
        long lasts = (long) (remaining / perDay + 1e-9);
        int card = product.herbs().stream()
                .flatMap(h -> range(product, h, person, use).stream())
                .map(DoseRange::mostDays)
                .filter(Objects::nonNull)
                .mapToInt(Integer::intValue)
                .min()
                .orElse(USUAL_DAYS);
        return (int) Math.max(1, Math.min(Math.min(USUAL_DAYS, card), Math.min(keeps, lasts)));
    }

    /**
     * Where a day of it stands in the card's range, in one line; of the plant that is most of it.
     *
     * @param perDay the most in a day, in the product's own unit, above 0
     * @param others what the person takes by mouth besides
     */
    public static String stands(
            Product product, Person person, @Nullable String use, double perDay, List<Taking> others) {
        Checks.begin().positive("perDay", perDay).done();
        Interval equivalent = product.driedGPerUnit();
        Optional<Product.Herb> lead = product.herbs().stream().max(Comparator.comparingDouble(Product.Herb::fraction));
        if (equivalent == null || lead.isEmpty()) {
            return "There is no figure to hold it against.";
        }
        Product.Herb herb = lead.get();
        List<Taking> same = others.stream()
                .filter(o -> o.taxon().id().equals(herb.taxon().id()) && o.driedGPerDay() != null)
                .toList();
        double besides = same.stream()
                .mapToDouble(o -> Objects.requireNonNull(o.driedGPerDay()))
                .sum();
        Interval a = equivalent.times(herb.fraction() * perDay).plus(besides);
        String taken = Words.range(a, "g") + " of dried " + herb.taxon().commonName() + " on a full day"
                + (same.isEmpty() ? "" : ", with " + Words.grams(besides) + " from what else is taken");
        return range(product, herb, person, use)
                .map(range -> {
                    Interval card = range.driedGPerDay();
                    String where = a.high() > card.high()
                            ? "above"
                            : a.high() < card.low() * ROUNDED_DOWN ? "below" : "within";
                    return taken + ": " + where + " the card's " + Words.range(card, "g") + ".";
                })
                .orElse(taken + "; the card has no range for this use, form and age.");
    }

    private static Optional<DoseRange> range(Product product, Product.Herb herb, Person person, @Nullable String use) {
        List<DoseRange> all = doses(herb.taxon(), herb.part()).stream()
                .filter(d -> use == null || d.use().equalsIgnoreCase(use))
                .filter(d -> person.adult() || d.fromAgeYears() <= person.ageYears())
                .toList();
        return DoseGate.ofForm(all, product.drawn()).stream()
                .min(Comparator.comparingDouble(d -> d.driedGPerDay().high()));
    }

    private static List<DoseRange> doses(Taxon taxon, Taxon.Part part) {
        return taxon.usedPart(part).stream()
                .flatMap(p -> p.using().doses().stream())
                .filter(d -> d.route() == Taxon.Route.INTERNAL)
                .toList();
    }

    private static @Nullable Double down(double amount) {
        double rounded = Math.floor(amount * 10 + 1e-9) / 10;
        return rounded > 0 ? (Double) rounded : null;
    }
}
