package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Caution;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.PlantFamily;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Trait;

/** Gates of the person: what the card says of their age, conditions, medicines and allergies, and what it is silent about. */
final class PersonGate {

    private static final int INDUCTION_LINGERS_DAYS = 14;
    private static final int INDUCTION_LINGERS_DAYS_CONTRACEPTIVE = 28;
    private static final Set<MedicineClass> CONTRACEPTION =
            Set.of(MedicineClass.CONTRACEPTIVE, MedicineClass.EMERGENCY_CONTRACEPTIVE);
    /** Their level rises when a plant that weakened them is left off. */
    private static final Set<MedicineClass> RISES_AFTER_INDUCTION =
            EnumSet.of(MedicineClass.ANTICOAGULANT, MedicineClass.IMMUNOSUPPRESSANT, MedicineClass.DIGOXIN);

    private static final Set<MedicineClass> UNLISTED = EnumSet.of(MedicineClass.OTHER, MedicineClass.NOT_SURE);
    private static final Set<Constituent> STRONG_IN = EnumSet.of(
            Constituent.SALICYLATE,
            Constituent.ANTHRANOID,
            Constituent.CARDIAC_GLYCOSIDE,
            Constituent.COUMARIN,
            Constituent.THUJONE);
    /** Medicines with so little room that silence on a card must count as a hold. */
    private static final Set<MedicineClass> NARROW = EnumSet.of(
            MedicineClass.ANTICOAGULANT,
            MedicineClass.IMMUNOSUPPRESSANT,
            MedicineClass.ANTIEPILEPTIC,
            MedicineClass.DIGOXIN,
            MedicineClass.LITHIUM,
            MedicineClass.HEART_RHYTHM,
            MedicineClass.CANCER,
            MedicineClass.ANTIRETROVIRAL,
            MedicineClass.HEPATITIS_C,
            MedicineClass.THEOPHYLLINE);

    /** Of which somebody can watch what may happen, and should; and what that is. */
    private static final Map<MedicineClass, String> WATCHED = Map.of(
            MedicineClass.ANTIPLATELET, "bruises, nosebleeds, black stool",
            MedicineClass.THYROID, "a racing or a slow pulse, weight, feeling hot or cold",
            MedicineClass.INSULIN_OR_SULFONYLUREA, "the sugar, more often than usual: it can fall too low");

    private final Case c;

    private PersonGate(Case c) {
        this.c = c;
    }

    static void of(Case c, Taxon taxon) {
        new PersonGate(c).cautions(taxon);
    }

    /** What an inducer did to this person's medicines, after it was last taken. */
    static void lingering(Case c) {
        new PersonGate(c).lingering();
    }

    /** What concerns them whatever is in it. */
    static void anyway(Case c) {
        PersonGate gate = new PersonGate(c);
        gate.blockedBowel();
        gate.infants();
    }

    private void cautions(Taxon taxon) {
        if (c.person.trimester() != null) {
            silent(taxon, Subject.PREGNANCY, String.valueOf(c.person.trimester()), "pregnancy");
        }
        if (c.person.breastFeeding()) {
            silent(taxon, Subject.BREAST_FEEDING, "", "breast-feeding");
        }
        underAge(taxon);
        for (Condition condition : c.person.conditions()) {
            taxon.caution(condition).ifPresent(caution -> c.present(taxon, caution, condition.words()));
        }
        for (MedicineClass medicine : c.person.medicines()) {
            if (c.stoppedBy.contains(medicine)) {
                continue;
            }
            Caution caution = taxon.caution(medicine).orElse(null);
            if (caution != null && caution.status() != CautionStatus.UNKNOWN) {
                c.present(taxon, caution, medicine.words());
            } else if (c.byMouth()) {
                silentOn(taxon, medicine);
            }
        }
        for (String family : c.person.allergyFamilies()) {
            PlantFamily known = PlantFamily.of(family).orElse(null);
            if (known == null) {
                c.hold(
                        "ALLERGY_UNREADABLE",
                        c.person.name() + " has an allergy noted as \"" + family + "\", which is no plant family known"
                                + " here.",
                        "Choose the family on the person's page.");
            } else if (PlantFamily.of(taxon.family()).equals(Optional.of(known))) {
                c.stop(
                        "ALLERGY",
                        c.person.name() + " is allergic to " + known.words() + ", the family of " + taxon.commonName()
                                + ".",
                        "Never.");
            }
        }
        unlisted(taxon);
        underTreatment(taxon);
        tryingToConceive(taxon);
        diabetes(taxon);
        everyday(taxon);
        operation(taxon);
        implied(taxon);
    }

    /** What no source says of a plant and a medicine, as far as anybody here has looked. */
    private void silentOn(Taxon taxon, MedicineClass medicine) {
        String unknown =
                "Whether " + taxon.commonName() + " goes with " + medicine.words() + " is unknown: nobody has checked.";
        if (c.intake.answered().contains(taxon.id())) {
            return;
        }
        if (NARROW.contains(medicine)) {
            String ask = "Ask the prescriber or pharmacist; their answer is noted with their name and the day.";
            c.findings.add(
                    c.food
                            ? Finding.warn("NOT_CHECKED", unknown, "As food now and then only. " + ask)
                            : Finding.hold("NOT_CHECKED", unknown, ask));
        } else if (WATCHED.containsKey(medicine) && !c.food) {
            c.findings.add(Finding.warn(
                    "WATCH_MEDICINE",
                    unknown,
                    "Tell the prescriber or pharmacist, and watch for: " + WATCHED.get(medicine) + "."));
        }
    }

    /** A caution that reads STOP where nobody has checked, by mouth. */
    private void silent(Taxon taxon, Subject subject, String value, String words) {
        Caution caution = taxon.caution(subject, value).orElse(null);
        if (caution != null && caution.status() != CautionStatus.UNKNOWN) {
            c.present(taxon, caution, words);
        } else if (c.byMouth()) {
            notChecked(
                    "Whether " + taxon.commonName() + " is safe in " + words + " is unknown: nobody has checked.",
                    "Ask the midwife, doctor or pharmacist.");
        }
    }

    /** Of a dose a STOP; of a kitchen herb in a meal a warning, or people learn to click past the one that matters. */
    private void notChecked(String message, String action) {
        c.findings.add(
                c.food
                        ? Finding.warn("NOT_CHECKED", message, "As food now and then only. " + action)
                        : Finding.stop("NOT_CHECKED", message, action));
    }

    private void underAge(Taxon taxon) {
        if (c.person.adult()) {
            return;
        }
        // Of several entries the strictest that speaks of this age; silence only where none does.
        Caution caution = taxon.underAge(c.person.ageYears()).orElse(null);
        if (caution == null || caution.status() == CautionStatus.UNKNOWN) {
            if (c.byMouth()) {
                notChecked(
                        "Whether " + taxon.commonName() + " is safe under 18 is unknown: nobody has checked.",
                        "Ask a doctor or pharmacist.");
            }
        } else {
            c.present(taxon, caution, "an age of " + c.person.ageYears());
        }
    }

    /** What nobody could place can't be checked, and silence would read as leave. */
    private void unlisted(Taxon taxon) {
        // What is stopped with any medicine has said so already.
        if (!c.byMouth()
                || c.person.medicines().stream().noneMatch(UNLISTED::contains)
                || taxon.constituents().contains(Constituent.HYPERFORIN)) {
            return;
        }
        boolean strong = taxon.uses().stream().anyMatch(u -> u.potency() == Taxon.Potency.STRONG)
                || taxon.constituents().stream().anyMatch(STRONG_IN::contains);
        String message = c.person.name() + " takes a medicine that is in no class here; whether " + taxon.commonName()
                + " goes with it is unknown.";
        String action = "Ask the pharmacist, with the packet in hand, and enter what it is on the person's page.";
        c.findings.add(
                strong
                        ? Finding.hold("UNLISTED_MEDICINE", message, action)
                        : Finding.warn("UNLISTED_MEDICINE", message, action));
    }

    /** Held for everyone under treatment with so little room that silence on a card is no leave. */
    private void underTreatment(Taxon taxon) {
        for (Condition condition : List.of(Condition.TRANSPLANT, Condition.HORMONE_SENSITIVE_TUMOUR)) {
            if (c.byMouth()
                    && !c.intake.answered().contains(taxon.id())
                    && c.person.conditions().contains(condition)
                    && taxon.caution(condition).isEmpty()) {
                c.hold(
                        "NOT_CHECKED",
                        "Whether " + taxon.commonName() + " goes with " + condition.words()
                                + " is unknown: nobody has checked.",
                        "Ask the doctor who treats it; their answer is noted with their name and the day.");
            }
        }
    }

    /** A child may be on the way before anybody knows. */
    private void tryingToConceive(Taxon taxon) {
        if (c.byMouth() && c.person.conditions().contains(Condition.TRYING_TO_CONCEIVE) && !c.person.pregnant()) {
            taxon.caution(Subject.PREGNANCY, "1")
                    .filter(caution -> caution.status() == CautionStatus.PRESENT)
                    .ifPresent(caution -> c.findings.add(Finding.warn(
                            "TRYING_TO_CONCEIVE",
                            taxon.commonName() + " is not for pregnancy (" + caution.effect()
                                    + "), which begins before it is known.",
                            "Ask the midwife, doctor or pharmacist first.")));
        }
    }

    private void diabetes(Taxon taxon) {
        if (!c.byMouth() || !c.person.conditions().contains(Condition.DIABETES)) {
            return;
        }
        taxon.caution(MedicineClass.DIABETES)
                .ifPresent(caution -> c.present(taxon, caution, Condition.DIABETES.words()));
        if (c.product.is(Trait.HONEY)) {
            c.findings.add(
                    Finding.warn("SUGAR", "It holds honey, which is sugar.", "Count it in, or make it without."));
        }
    }

    /** What the card says of sun and of driving concerns everybody. */
    private void everyday(Taxon taxon) {
        for (Subject subject : List.of(Subject.SUN, Subject.DRIVING)) {
            taxon.caution(subject, "")
                    .ifPresent(caution ->
                            c.present(taxon, caution, subject == Subject.SUN ? "strong sun" : "driving or machines"));
        }
    }

    private void operation(Taxon taxon) {
        if (c.person.operationOn() == null) {
            return;
        }
        if (!c.beforeOperation()) {
            return;
        }
        Caution caution = taxon.caution(Subject.OPERATION, "").orElse(null);
        if (caution != null && caution.status() != CautionStatus.UNKNOWN) {
            c.present(taxon, caution, "an operation");
        } else if (c.byMouth()) {
            c.hold(
                    "NOT_CHECKED",
                    "An operation is planned on " + Words.day(c.person.operationOn()) + "; whether "
                            + taxon.commonName() + " matters for it is unknown.",
                    "Stop it two weeks before, or ask the surgeon.");
        }
    }

    /** What follows from a plant's actions and constituents even where no interaction is on record. */
    private void implied(Taxon taxon) {
        if (c.byMouth()) {
            c.findings.addAll(ImpliedCaution.of(taxon, c.person));
        }
    }

    /** What an inducer did lasts for weeks after it was last taken: a medicine weakened, and serotonin raised. */
    private void lingering() {
        LocalDate last = c.intake.inducerLastOn();
        if (last == null) {
            return;
        }
        c.person.medicines().stream()
                .filter(m -> m != MedicineClass.PLAIN && m != MedicineClass.IRON && m != MedicineClass.SSRI)
                .sorted()
                .forEach(medicine -> lingering(medicine, last));
    }

    private void lingering(MedicineClass medicine, LocalDate last) {
        int days = CONTRACEPTION.contains(medicine) ? INDUCTION_LINGERS_DAYS_CONTRACEPTIVE : INDUCTION_LINGERS_DAYS;
        if (c.on.isAfter(last.plusDays(days))) {
            return;
        }
        boolean serotonin = ConstituentGate.SEROTONERGIC.contains(medicine);
        c.hold(
                serotonin ? "SEROTONIN_LINGERS" : "INDUCTION_LINGERS",
                serotonin
                        ? "A plant that raises serotonin was taken until " + Words.day(last) + "; together with "
                                + medicine.words() + " it can rise to a dangerous height for about " + days / 7
                                + " weeks more."
                        : "A plant that changes how the body deals with most medicines, "
                                + (ConstituentGate.WEAKENED_BY_INDUCTION.contains(medicine)
                                        ? "and weakens " + medicine.words()
                                        : medicine.words() + " perhaps among them")
                                + ", was taken until " + Words.day(last) + "; its effect lasts about " + days / 7
                                + " weeks more"
                                + (RISES_AFTER_INDUCTION.contains(medicine)
                                        ? ", and the level of the medicine may rise as it wears off."
                                        : "."),
                "Tell the prescriber or pharmacist now, before the next tablet; a medicine is changed by the prescriber"
                        + " alone. Start nothing new before " + Words.day(last.plusDays(days + 1L)) + ".");
    }

    private void blockedBowel() {
        if (c.byMouth() && c.person.conditions().contains(Condition.BOWEL_OBSTRUCTION)) {
            c.stop(
                    "BLOCKED_BOWEL",
                    "With a blocked bowel nothing home-made goes by mouth.",
                    "See a doctor today; with pain and vomiting call for help now.");
        }
    }

    private void infants() {
        if (c.byMouth() && c.person.ageYears() < 2) {
            boolean named = c.product.herbs().stream()
                    .allMatch(h -> h.taxon().usedPart(h.part()).stream()
                            .flatMap(p -> p.using().doses().stream())
                            .anyMatch(
                                    d -> d.route() == Taxon.Route.INTERNAL && d.fromAgeYears() <= c.person.ageYears()));
            if (!named) {
                c.stop("UNDER_TWO", "Nothing by mouth under two years.", "Ask a doctor.");
            }
        }
        if (c.product.is(Trait.HONEY) && c.person.ageYears() < 1 && c.byMouth()) {
            c.stop("HONEY", "No honey under one year: infant botulism.", "Never.");
        }
    }
}
