package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.DoseRange;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;

/** Gates of the dose: the card's range, the sums of what is taken, alcohol. */
final class DoseGate {

    /** Of a day's most; no card here gives a day's amount in fewer than two portions. A working figure of this tool. */
    private static final double SINGLE_SHARE = 0.5;

    /** Of the card's least, reckoned at the strongest the product can be; our own choice of when to ask. */
    private static final double FAR_BELOW = 0.5;

    private final Case c;

    private DoseGate(Case c) {
        this.c = c;
    }

    static void of(Case c, Product.Herb herb) {
        new DoseGate(c).dose(herb);
    }

    /** Over everything that is taken. */
    static void sums(Case c) {
        DoseGate gate = new DoseGate(c);
        gate.classes();
        gate.alcohol();
    }

    /** The same constituent class from everything taken is added up. */
    private void classes() {
        if (!c.byMouth()) {
            return;
        }
        List<Taking> all = new ArrayList<>(c.intake.others());
        Interval equivalent = c.product.driedGPerUnit();
        for (Product.Herb herb : c.product.herbs()) {
            all.add(new Taking(
                    herb.taxon(),
                    herb.part(),
                    equivalent == null
                            ? null
                            : (Double) (c.intake.mostPerDay() * equivalent.high() * herb.fraction())));
        }
        c.findings.addAll(ConstituentSum.check(all, c.person.weightKg()));
    }

    /** The sum over everything taken is what is compared; where the card gives no figure none is given. */
    private void dose(Product.Herb herb) {
        if (!c.byMouth()) {
            return;
        }
        Interval equivalent = c.product.driedGPerUnit();
        DoseRange range = range(herb).orElse(null);
        if (range == null || equivalent == null) {
            c.stop(
                    "NO_CARD_FIGURE",
                    "The card of " + herb.taxon().commonName()
                            + " has no dose by mouth for this part, form and age, so none is given.",
                    "Ask a pharmacist or registered herbalist.");
            return;
        }
        double perDay = c.intake.mostPerDay() * equivalent.high() * herb.fraction()
                + c.intake.others().stream()
                        .filter(o -> o.taxon().id().equals(herb.taxon().id()) && o.driedGPerDay() != null)
                        .mapToDouble(Taking::driedGPerDay)
                        .sum();
        double perDose = c.intake.mostPerDose() * equivalent.high() * herb.fraction();
        if (perDose > SINGLE_SHARE * range.driedGPerDay().high() * (1 + 1e-9)) {
            c.stop(
                    "SINGLE_DOSE_TOO_LARGE",
                    "One dose holds up to " + Words.grams(perDose) + " of dried "
                            + herb.taxon().commonName() + "; the card's "
                            + Words.grams(range.driedGPerDay().high())
                            + " are those of a whole day, taken in portions.",
                    "At most " + Words.grams(SINGLE_SHARE * range.driedGPerDay().high()) + " at a time.");
        }
        otherForm(herb, range);
        if (perDay > range.driedGPerDay().high() * (1 + 1e-9)) {
            c.stop(
                    "DOSE_ABOVE_CARD",
                    "Up to " + Words.grams(perDay) + " of dried " + herb.taxon().commonName()
                            + " a day, all products together, is above the card's "
                            + Words.grams(range.driedGPerDay().high()) + ".",
                    "Take less at a time, or fewer times.");
        } else if (perDay < FAR_BELOW * range.driedGPerDay().low()) {
            c.findings.add(Finding.note(
                    "DOSE_FAR_BELOW_CARD",
                    "At most " + Words.grams(perDay) + " of dried "
                            + herb.taxon().commonName()
                            + " a day is far below the card's "
                            + Words.grams(range.driedGPerDay().low()) + "; little is to be expected of it.",
                    "Look whether the amount is meant so."));
        }
        if (range.mostDays() != null && c.allDays() > range.mostDays()) {
            c.stop(
                    "COURSE_TOO_LONG",
                    c.allDays() + " days" + c.withBefore() + " is longer than the card's " + range.mostDays() + ".",
                    "Shorten it; see a doctor if the trouble lasts.");
        }
        c.findings.add(Finding.note(
                "STARTER_FIGURE",
                "The dose of " + herb.taxon().commonName() + " is from "
                        + range.source().title() + ", " + range.source().year()
                        + ", and not yet checked by this household.",
                "Check it in your own book and note the page."));
    }

    /** What a source says of a tea it does not say of a tincture; the dried herb in it is all that can be compared. */
    private void otherForm(Product.Herb herb, DoseRange range) {
        if (c.product.drawn() != null
                && c.product.drawn() != Product.Drawn.NOT_YET
                && c.product.drawn() != drawn(range.form())) {
            c.findings.add(Finding.note(
                    "OTHER_FORM",
                    "The card's dose of " + herb.taxon().commonName() + " is that of a " + range.form()
                            + "; of this form it gives none. Other liquids draw other things.",
                    "Begin at the low end, and ask a pharmacist or registered herbalist."));
        }
    }

    static Product.Drawn drawn(String form) {
        return switch (form) {
            case "tea", "decoction" -> Product.Drawn.WATER;
            case "tincture" -> Product.Drawn.SPIRIT;
            case "powder" -> Product.Drawn.WHOLE;
            default -> Product.Drawn.OTHER;
        };
    }

    /** Those of its own form where the card gives some; swallowed whole nothing is measured by a tea. */
    static List<DoseRange> ofForm(List<DoseRange> all, Product.@Nullable Drawn drawn) {
        List<DoseRange> same =
                all.stream().filter(d -> drawn == drawn(d.form())).toList();
        return same.isEmpty() && drawn != Product.Drawn.WHOLE ? all : same;
    }

    private Optional<DoseRange> range(Product.Herb herb) {
        List<DoseRange> all = herb.taxon().usedPart(herb.part()).stream()
                .flatMap(p -> p.using().doses().stream())
                .filter(d -> d.route() == Taxon.Route.INTERNAL && c.person.ageYears() >= d.fromAgeYears())
                .filter(d -> c.intake.use() == null || d.use().equalsIgnoreCase(c.intake.use()))
                .toList();
        return ofForm(all, c.product.drawn()).stream()
                .min((a, b) ->
                        Double.compare(a.driedGPerDay().high(), b.driedGPerDay().high()));
    }

    private void alcohol() {
        Strength strength = c.product.strength();
        if (!c.byMouth() || strength.fraction() == 0) {
            return;
        }
        noAlcohol(c.person.pregnant(), "in pregnancy");
        noAlcohol(c.person.breastFeeding(), "while breast-feeding");
        for (Condition condition :
                List.of(Condition.RECOVERY_FROM_DRINK, Condition.LIVER_DISEASE, Condition.EPILEPSY)) {
            noAlcohol(c.person.conditions().contains(condition), "with " + condition.words());
        }
        for (MedicineClass medicine : List.of(
                MedicineClass.ALCOHOL_REACTING,
                MedicineClass.SEDATIVE,
                MedicineClass.ANTIEPILEPTIC,
                MedicineClass.OPIOID,
                MedicineClass.METHOTREXATE)) {
            noAlcohol(c.person.medicines().contains(medicine), "with " + medicine.words());
        }
        if (c.person.conditions().contains(Condition.HEART_RHYTHM_DISORDER)
                || c.person.conditions().contains(Condition.TRYING_TO_CONCEIVE)) {
            c.findings.add(Finding.warn(
                    "ALCOHOL",
                    "It holds alcohol, which is better left out with a disorder of the heart's rhythm, and when trying to"
                            + " conceive.",
                    "Use a tea, a vinegar or a glycerite."));
        }
        if (!c.person.adult() && c.person.weightKg() == null) {
            c.hold(
                    "WEIGHT_UNKNOWN",
                    "It holds alcohol, and what a child bears goes by weight; " + c.person.name() + "'s is not known.",
                    "Enter the weight, or use a tea.");
        }
        if (c.intake.mostPerDose() > 0) {
            Dose.Result dose = Dose.reckon(new Dose.Request(
                    Dose.Measured.plain(Interval.exactly(0), strength),
                    c.intake.mostPerDose(),
                    Dose.Unit.ML,
                    1,
                    Interval.exactly(0),
                    new Dose.Taker(c.person.ageYears(), c.person.weightKg(), c.person.heightCm())));
            c.findings.addAll(dose.findings());
        }
    }

    private void noAlcohol(boolean concerns, String whom) {
        if (concerns) {
            c.stop(
                    "ALCOHOL",
                    "It holds alcohol: not " + whom + ".",
                    "Use a tea, a vinegar or a glycerite, if the card allows it.");
        }
    }
}
