package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.Question;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.measure.Because;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/**
 * From a household measure to grams of dried herb and of alcohol. Where a measure is uncertain, the larger end is
 * compared with a ceiling.
 *
 * <p>Child rules: Clark weight kg / 68; Young age / (age + 12) and Cowling (age at the next birthday) / 24, both for 2
 * to 12 years; body surface by Mosteller (1987), sqrt(cm x kg / 3600) / 1.73 m2. Ethanol 0.789 g/mL.
 */
public final class Dose {

    public static final double ETHANOL_G_PER_ML = 0.789;

    static final Interval DROPS_PER_ML = Interval.of(20, 55);
    static final double TEASPOON_ML = 5;
    static final double TABLESPOON_ML = 15;
    static final double CUP_ML = 250;
    static final double ALCOHOL_STOP_MG_PER_KG = 75;
    private static final int DRIVES_FROM = 16;
    static final double ALCOHOL_STOP_UNDER_6_MG_PER_KG = 6;
    static final double ALCOHOL_WARN_MG_PER_KG = 15;

    public enum Unit {
        ML,
        DROP,
        TEASPOON,
        G,
        CUP,
        TABLESPOON,
        /** One press of the dropper's bulb; measured once. */
        SQUIRT,
        /** Of a salve or cream, as long as the last joint of the forefinger. */
        FINGERTIP,
        /** Of a salve or cream, half a fingertip. */
        PEA,
        /** Of a powder or a tea mixture; never of a liquid. */
        HEAPED_TEASPOON,
        /** All that was made at once: a wash, a bath, a poultice. */
        BATCH,
        /** One of what comes in pieces: a cube of frozen tea. */
        PIECE
    }

    /**
     * @param driedGPerUnit grams of dried herb in one of the product's own unit
     * @param dropsPerMl counted on this dropper; null when not
     * @param densityGPerMl needed for a dose in grams
     * @param teaspoonMl the household's; null for 5 mL
     * @param cupMl the household's; null for 250 mL
     * @param squirtMl of this dropper; null when never measured
     * @param weighed whether the product is counted in grams, a powder; its doses are then in grams
     */
    public record Measured(
            Interval driedGPerUnit,
            Strength strength,
            @Nullable Double dropsPerMl,
            @Nullable Double densityGPerMl,
            @Nullable Double teaspoonMl,
            @Nullable Double cupMl,
            @Nullable Double squirtMl,
            boolean weighed) {
        public Measured(
                Interval driedGPerUnit,
                Strength strength,
                @Nullable Double dropsPerMl,
                @Nullable Double densityGPerMl,
                @Nullable Double teaspoonMl,
                @Nullable Double cupMl,
                @Nullable Double squirtMl) {
            this(driedGPerUnit, strength, dropsPerMl, densityGPerMl, teaspoonMl, cupMl, squirtMl, false);
        }

        public Measured {
            Checks checks = Checks.begin().notNegative("product.driedEquivalentGPerMl.low", driedGPerUnit.low());
            if (dropsPerMl != null) {
                checks.range("product.dropsPerMl", dropsPerMl, 5, 100);
            }
            if (densityGPerMl != null) {
                checks.range("product.densityGPerMl", densityGPerMl, 0.5, 2);
            }
            if (teaspoonMl != null) {
                checks.range("product.teaspoonMl", teaspoonMl, 1, 15);
            }
            if (cupMl != null) {
                checks.range("product.cupMl", cupMl, 50, 1000);
            }
            if (squirtMl != null) {
                checks.range("product.squirtMl", squirtMl, 0.1, 5);
            }
            checks.done();
        }

        /** A product of which nothing was calibrated. */
        public static Measured plain(Interval driedGPerUnit, Strength strength) {
            return new Measured(driedGPerUnit, strength, null, null, null, null, null);
        }

        /** A powder, or whatever else is weighed; without spirit. */
        public static Measured ofGrams(Interval driedEquivalentGPerG) {
            return new Measured(driedEquivalentGPerG, Strength.NONE, null, null, null, null, null, true);
        }

        private String own() {
            return weighed ? "g" : "mL";
        }
    }

    /** @param heightCm null when not known, likewise the weight */
    public record Taker(
            double ageYears,
            @Nullable Double weightKg,
            @Nullable Double heightCm) {
        public Taker {
            Checks checks = Checks.begin().range("person.ageYears", ageYears, 0, 130);
            if (weightKg != null) {
                checks.range("person.weightKg", weightKg, 1, 400);
            }
            if (heightCm != null) {
                checks.range("person.heightCm", heightCm, 30, 250);
            }
            checks.done();
        }
    }

    /** @param cardGPerDay of dried herb; null when the card has no figure */
    public record Request(
            Measured product,
            double amount,
            Unit unit,
            int timesPerDay,
            @Nullable Interval cardGPerDay,
            Taker taker) {
        public Request {
            Checks.begin()
                    .positive("perDose.amount", amount)
                    .range("timesPerDay", timesPerDay, 1, 48)
                    .that(
                            unit != Unit.G && unit != Unit.FINGERTIP && unit != Unit.PEA
                                    || product.densityGPerMl() != null
                                    || product.weighed(),
                            "product.densityGPerMl",
                            "is needed for a dose in grams")
                    .that(
                            unit != Unit.HEAPED_TEASPOON && unit != Unit.BATCH && unit != Unit.PIECE,
                            "perDose.unit",
                            "is for a powder, a piece or a whole batch; say how much of it that is")
                    .that(
                            unit == Unit.G || !product.weighed(),
                            "perDose.unit",
                            "must be G for a product that is weighed")
                    .that(
                            unit != Unit.SQUIRT || product.squirtMl() != null,
                            "product.squirtMl",
                            "must be measured once for a dose in squirts")
                    .that(cardGPerDay == null || cardGPerDay.low() >= 0, "card.lowGPerDay", "must be at least 0")
                    .done();
        }
    }

    public enum WithinCard {
        BELOW,
        WITHIN,
        ABOVE,
        NO_FIGURE
    }

    /** Fractions of an adult dose; null where a rule does not apply. */
    public record ChildRules(
            @Nullable Double clark,
            @Nullable Double young,
            @Nullable Double cowling,
            @Nullable Double surface) {}

    /**
     * @param perDose in the product's own unit, mL or g
     * @param alcoholMgPerKg null without a weight
     */
    public record Result(
            Interval perDose,
            Interval driedGPerDose,
            Interval driedGPerDay,
            double alcoholGPerDose,
            @Nullable Double alcoholMgPerKg,
            WithinCard withinCard,
            ChildRules childRules,
            List<Finding> findings,
            List<String> because) {}

    private Dose() {}

    public static Result reckon(Request request) {
        List<Finding> findings = new ArrayList<>();
        Because because = new Because();
        Measured product = request.product();
        Interval amount = inOwnUnit(request, findings);
        Interval equivalent = product.driedGPerUnit();
        Interval perDose = Interval.of(amount.low() * equivalent.low(), amount.high() * equivalent.high());
        Interval perDay = perDose.times(request.timesPerDay());
        because.equation(
                "Dried herb in a dose",
                Words.exact(amount.low(), product.own()) + " × " + Words.exact(equivalent.low(), "g/" + product.own()),
                Words.exact(amount.high(), product.own()) + " × "
                        + Words.exact(equivalent.high(), "g/" + product.own()),
                perDose,
                "g");
        because.equation(
                "A day",
                Words.exact(perDose.low(), "g") + " × " + request.timesPerDay(),
                Words.exact(perDose.high(), "g") + " × " + request.timesPerDay(),
                perDay,
                "g");
        WithinCard within = compare(perDay, request.cardGPerDay(), findings);
        double alcohol = amount.high() * product.strength().fraction() * ETHANOL_G_PER_ML;
        Double perKg = request.taker().weightKg() == null
                ? null
                : alcohol * 1000 / request.taker().weightKg();
        if (product.weighed()) {
            return new Result(
                    amount,
                    perDose,
                    perDay,
                    0,
                    null,
                    within,
                    childRules(request.taker(), findings),
                    findings,
                    because.lines());
        }
        because.equation(
                "Alcohol in a dose",
                Words.exact(amount.high(), "mL") + " × "
                        + Words.exact(product.strength().fraction()) + " × " + Words.exact(ETHANOL_G_PER_ML, "g/mL"),
                alcohol,
                "g");
        if (perKg != null) {
            because.equation(
                    "For each kg of body",
                    Words.exact(alcohol, "g") + " × 1000 / "
                            + Words.exact(request.taker().weightKg(), "kg"),
                    perKg,
                    "mg");
        }
        alcohol(alcohol, perKg, request.taker().ageYears(), findings);
        return new Result(
                amount,
                perDose,
                perDay,
                alcohol,
                perKg,
                within,
                childRules(request.taker(), findings),
                findings,
                because.lines());
    }

    /**
     * What a child would be given by a household's school, in the unit of the grown-up's dose; rounded down to a tenth.
     *
     * @return null where the school refers, or its rule does not apply or lacks a weight or height
     */
    public static @Nullable Double forChild(double adult, ChildRules rules, School school) {
        Checks.begin()
                .positive("adult", adult)
                .that(school.question() == Question.CHILD_DOSE, "school", "must be one of child doses")
                .done();
        Double fraction = switch (school) {
            case CHILD_BY_WEIGHT -> rules.clark();
            case CHILD_BY_AGE -> smaller(rules.young(), rules.cowling());
            case CHILD_BY_SURFACE -> rules.surface();
            default -> null;
        };
        return fraction == null ? null : (Double) (Math.floor(adult * fraction * 10 + 1e-9) / 10);
    }

    /**
     * What each rule makes of an adult's dose.
     *
     * @param rule its name
     * @param fraction null where it does not apply, or a weight or height is lacking
     * @param perDose in the product's own unit, rounded down to a tenth; null as the fraction
     */
    public record ByRule(
            String rule,
            @Nullable Double fraction,
            @Nullable Double perDose) {}

    /** Side by side, for whoever must decide; none under two years and none for a grown-up. */
    public static List<ByRule> sideBySide(double adult, Taker child) {
        Checks.begin().positive("adult", adult).done();
        ChildRules rules = childRules(child, new ArrayList<>());
        return List.of(
                byRule("by weight, weight / 68 (Clark)", rules.clark(), adult),
                byRule("by age, age / (age + 12) (Young)", rules.young(), adult),
                byRule("by age at the next birthday / 24 (Cowling)", rules.cowling(), adult),
                byRule("by surface of the body / 1.73 m² (Mosteller)", rules.surface(), adult));
    }

    private static ByRule byRule(String rule, @Nullable Double fraction, double adult) {
        return new ByRule(
                rule, fraction, fraction == null ? null : (Double) (Math.floor(adult * fraction * 10 + 1e-9) / 10));
    }

    private static @Nullable Double smaller(@Nullable Double a, @Nullable Double b) {
        return a == null || b == null ? null : (Double) Math.min(a, b);
    }

    private static Interval inOwnUnit(Request request, List<Finding> findings) {
        Measured product = request.product();
        double amount = request.amount();
        return switch (request.unit()) {
            case ML -> Interval.exactly(amount);
            case TEASPOON ->
                Interval.exactly(amount * (product.teaspoonMl() == null ? TEASPOON_ML : product.teaspoonMl()));
            case TABLESPOON -> Interval.exactly(amount * TABLESPOON_ML);
            case SQUIRT -> Interval.exactly(amount * java.util.Objects.requireNonNull(product.squirtMl()));
            case CUP -> Interval.exactly(amount * (product.cupMl() == null ? CUP_ML : product.cupMl()));
            case G -> Interval.exactly(product.weighed() ? amount : amount / product.densityGPerMl());
            case FINGERTIP -> Interval.exactly(amount * DoseUnits.FINGERTIP_G / product.densityGPerMl());
            case PEA -> Interval.exactly(amount * DoseUnits.FINGERTIP_G / 2 / product.densityGPerMl());
            case HEAPED_TEASPOON, BATCH, PIECE -> throw new IllegalStateException("refused at the door");
            case DROP -> {
                if (product.dropsPerMl() != null) {
                    yield Interval.exactly(amount / product.dropsPerMl());
                }
                findings.add(Finding.note(
                        "DROPPER_UNCALIBRATED",
                        "An uncounted dropper gives 20 to 55 drops to the mL; ceilings are tested at 20.",
                        "Count the drops in 5 mL once."));
                yield Interval.of(amount / DROPS_PER_ML.high(), amount / DROPS_PER_ML.low());
            }
        };
    }

    private static WithinCard compare(Interval perDay, @Nullable Interval card, List<Finding> findings) {
        if (card == null) {
            findings.add(Finding.warn(
                    "NO_CARD_FIGURE",
                    "The card has no dose for this use, form and age, so none is given.",
                    "Ask a pharmacist or registered herbalist."));
            return WithinCard.NO_FIGURE;
        }
        if (perDay.high() > card.high() * (1 + 1e-9)) {
            findings.add(Finding.stop(
                    "DOSE_ABOVE_CARD",
                    "Up to " + Words.grams(perDay.high()) + " of dried herb a day is above the card's "
                            + Words.grams(card.high()) + ".",
                    "Take less at a time, or fewer times."));
            return WithinCard.ABOVE;
        }
        if (perDay.high() < card.low()) {
            findings.add(Finding.note(
                    "DOSE_BELOW_CARD",
                    "At most " + Words.grams(perDay.high()) + " of dried herb a day is below the card's range of "
                            + Words.range(card, "g") + ".",
                    "A small dose is a choice; it may do nothing."));
            return WithinCard.BELOW;
        }
        return WithinCard.WITHIN;
    }

    private static void alcohol(double grams, @Nullable Double mgPerKg, double ageYears, List<Finding> findings) {
        if (grams == 0) {
            return;
        }
        if (mgPerKg == null) {
            findings.add(Finding.note(
                    "WEIGHT_UNKNOWN",
                    "A dose holds " + Words.grams(grams) + " of alcohol; without a weight it can't be judged.",
                    "Enter the person's weight."));
            return;
        }
        double stop = ageYears < 6 ? ALCOHOL_STOP_UNDER_6_MG_PER_KG : ALCOHOL_STOP_MG_PER_KG;
        if (mgPerKg > stop) {
            findings.add(Finding.stop(
                    "TOO_MUCH_ALCOHOL",
                    "A dose holds " + Words.figure(mgPerKg) + " mg of alcohol per kg of body; " + Words.figure(stop)
                            + " is the most.",
                    "Use a tea or a glycerite instead."));
        } else if (mgPerKg > ALCOHOL_WARN_MG_PER_KG) {
            findings.add(Finding.warn(
                    "ALCOHOL",
                    "A dose holds " + Words.figure(mgPerKg) + " mg of alcohol per kg of body.",
                    ageYears < DRIVES_FROM
                            ? "Better a tea, a vinegar or a glycerite; not with medicines that react with alcohol."
                            : "Not before driving; not with medicines that react with alcohol."));
        }
    }

    static ChildRules childRules(Taker taker, List<Finding> findings) {
        double age = taker.ageYears();
        if (age >= Person.ADULT_FROM_YEARS) {
            return new ChildRules(null, null, null, null);
        }
        if (age < 2) {
            findings.add(
                    Finding.stop("UNDER_TWO", "No rule gives a dose under two years.", "Ask a doctor or pharmacist."));
            return new ChildRules(null, null, null, null);
        }
        boolean to12 = age <= 12;
        Double clark = taker.weightKg() == null ? null : atMostOne("Clark", taker.weightKg() / 68, findings);
        Double young = to12 ? (Double) (age / (age + 12)) : null;
        Double cowling = to12 ? (Double) ((Math.floor(age) + 1) / 24) : null;
        Double surface = taker.weightKg() == null || taker.heightCm() == null
                ? null
                : atMostOne("body surface", Math.sqrt(taker.heightCm() * taker.weightKg() / 3600) / 1.73, findings);
        return new ChildRules(clark, young, cowling, surface);
    }

    private static double atMostOne(String rule, double fraction, List<Finding> findings) {
        if (fraction > 1) {
            findings.add(Finding.note(
                    "CHILD_RULE_ABOVE_ONE",
                    "The rule by " + rule + " gives " + Words.figure(fraction) + ", shown as 1.",
                    "A child never takes more than an adult."));
            return 1;
        }
        return fraction;
    }
}
