package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.List;
import java.util.function.Predicate;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;

/**
 * Cautions that follow from what a plant does or holds, whether or not anyone recorded an interaction. By mouth only.
 * General pharmacology, on the careful side; a card's own caution says more.
 */
final class ImpliedCaution {

    private static final String ASK = "Ask the prescriber or pharmacist.";

    /**
     * @param action of the card, or null when a constituent is what matters
     * @param concerns whom it concerns
     */
    private record Rule(
            @Nullable String action,
            @Nullable Constituent constituent,
            Predicate<Person> concerns,
            Severity severity,
            String code,
            String message,
            String advice) {
        boolean holds(Taxon taxon, Person person) {
            boolean plant = action != null
                    ? taxon.actions().stream().anyMatch(a -> a.name().equals(action))
                    : taxon.constituents().contains(constituent);
            return plant && concerns.test(person);
        }

        Finding finding(Taxon taxon) {
            return new Finding(code, severity, message.formatted(taxon.commonName()), advice);
        }
    }

    private static final List<Rule> RULES = List.of(
            action(
                    "sedative",
                    p -> true,
                    Severity.NOTE,
                    "MAKES_SLEEPY",
                    "%s can make sleepy.",
                    "Not before driving or machines."),
            adds("sedative", MedicineClass.SEDATIVE, "ADDS_TO_SEDATIVE"),
            adds("sedative", MedicineClass.ANTIEPILEPTIC, "ADDS_TO_SEDATIVE"),
            adds("diuretic", MedicineClass.DIURETIC, "ADDS_TO_DIURETIC"),
            adds("diuretic", MedicineClass.BLOOD_PRESSURE, "ADDS_TO_DIURETIC"),
            action(
                    "diuretic",
                    p -> p.medicines().contains(MedicineClass.LITHIUM),
                    Severity.WARN,
                    "RAISES_LITHIUM",
                    "%s drives water out, and lithium may rise with what is left.",
                    ASK),
            action(
                    "diuretic",
                    p -> has(p, Condition.LOW_POTASSIUM, Condition.KIDNEY_DISEASE, Condition.FLUID_RETENTION),
                    Severity.WARN,
                    "DIURETIC_WITH_CONDITION",
                    "%s drives water out, which needs a doctor's eye with low potassium, kidney disease or fluid retention.",
                    "Ask a doctor first."),
            action(
                    "diuretic",
                    p -> has(p, Condition.LOW_BLOOD_PRESSURE),
                    Severity.WARN,
                    "DIURETIC_WITH_LOW_PRESSURE",
                    "%s drives water out, which lowers a low blood pressure further.",
                    "Ask a doctor first; sit down when dizzy."),
            action(
                    "bitter",
                    p -> has(p, Condition.ACTIVE_ULCER, Condition.STOMACH_INFLAMMATION),
                    Severity.WARN,
                    "BITTER_WITH_STOMACH",
                    "%s is bitter and brings on stomach acid.",
                    "Not with an ulcer or an inflamed stomach."),
            action(
                    "bitter",
                    p -> has(p, Condition.GALLSTONES),
                    Severity.WARN,
                    "BITTER_WITH_GALLSTONES",
                    "%s is bitter and makes bile flow, which can move a stone.",
                    "Ask a doctor first."),
            action(
                    "astringent",
                    p -> !p.medicines().isEmpty(),
                    Severity.NOTE,
                    "SPACE_FROM_MEDICINE",
                    "Tannins, as in %s, can bind medicines in the stomach.",
                    "Take it two hours apart from any medicine."),
            action(
                    "demulcent",
                    p -> !p.medicines().isEmpty(),
                    Severity.NOTE,
                    "SPACE_FROM_MEDICINE",
                    "Mucilage, as in %s, can slow what is swallowed with it.",
                    "Take it an hour apart from any medicine."),
            constituent(
                    Constituent.COUMARIN,
                    p -> p.medicines().contains(MedicineClass.ANTICOAGULANT),
                    Severity.WARN,
                    "COUMARIN_WITH_BLOOD_THINNER",
                    "%s holds coumarins; with some of them, and in spoilt melilot above all, blood clots less.",
                    ASK),
            constituent(
                    Constituent.COUMARIN,
                    p -> has(p, Condition.LIVER_DISEASE),
                    Severity.WARN,
                    "COUMARIN_WITH_LIVER",
                    "%s holds coumarin, which some livers do not bear.",
                    "Ask a doctor first."),
            constituent(
                    Constituent.ANTHRANOID,
                    p -> has(p, Condition.BOWEL_OBSTRUCTION),
                    Severity.STOP,
                    "LAXATIVE_WITH_OBSTRUCTION",
                    "%s drives the bowel, which must not be done when it is blocked.",
                    "See a doctor today."),
            constituent(
                    Constituent.ANTHRANOID,
                    p -> p.medicines().contains(MedicineClass.DIGOXIN)
                            || p.medicines().contains(MedicineClass.DIURETIC)
                            || has(p, Condition.LOW_POTASSIUM),
                    Severity.WARN,
                    "LAXATIVE_LOSES_POTASSIUM",
                    "%s loses potassium through the bowel.",
                    ASK),
            constituent(
                    Constituent.CARDIAC_GLYCOSIDE,
                    p -> p.medicines().contains(MedicineClass.DIGOXIN)
                            || p.medicines().contains(MedicineClass.HEART_RHYTHM),
                    Severity.STOP,
                    "ADDS_TO_HEART_MEDICINE",
                    "%s acts on the heart as the medicine does.",
                    "Do not take it."),
            constituent(
                    Constituent.THUJONE,
                    p -> p.medicines().contains(MedicineClass.ANTIEPILEPTIC),
                    Severity.WARN,
                    "THUJONE_WITH_FITS",
                    "%s holds thujone, which can bring on fits.",
                    ASK),
            constituent(
                    Constituent.THUJONE,
                    p -> has(p, Condition.EPILEPSY),
                    Severity.STOP,
                    "THUJONE_WITH_FITS",
                    "%s holds thujone, which can bring on fits.",
                    "Do not take it."),
            constituent(
                    Constituent.HYPERFORIN,
                    p -> has(p, Condition.DEPRESSION),
                    Severity.STOP,
                    "DEPRESSION",
                    "%s acts on the mind; depression and bipolar illness are not treated at home.",
                    "See a doctor, today if there are thoughts of death."),
            constituent(
                    Constituent.HYPERFORIN,
                    p -> has(p, Condition.TRANSPLANT),
                    Severity.STOP,
                    "WEAKENS_MEDICINE",
                    "%s makes the medicines that keep a transplant work less.",
                    "Never."),
            action(
                    "diuretic",
                    p -> has(p, Condition.HEART_FAILURE),
                    Severity.STOP,
                    "DIURETIC_WITH_HEART_FAILURE",
                    "%s drives water out, and flushing wants much drink; a failing heart bears neither.",
                    "Ask the doctor who treats the heart."),
            constituent(
                    Constituent.ANTHRANOID,
                    p -> p.medicines().contains(MedicineClass.STEROID)
                            || has(p, Condition.HEART_RHYTHM_DISORDER, Condition.HEART_FAILURE),
                    Severity.WARN,
                    "LAXATIVE_LOSES_POTASSIUM",
                    "%s loses potassium through the bowel.",
                    ASK),
            constituent(
                    Constituent.CARDIAC_GLYCOSIDE,
                    p -> has(p, Condition.HEART_RHYTHM_DISORDER, Condition.HEART_FAILURE),
                    Severity.STOP,
                    "ADDS_TO_HEART_MEDICINE",
                    "%s acts on the heart.",
                    "Do not take it."),
            action(
                    "sedative",
                    p -> p.medicines().contains(MedicineClass.OPIOID),
                    Severity.WARN,
                    "ADDS_TO_SEDATIVE",
                    "%s adds to the sleepiness an opioid makes.",
                    ASK),
            constituent(
                    Constituent.TANNIN,
                    p -> p.medicines().contains(MedicineClass.THYROID),
                    Severity.WARN,
                    "BINDS_THYROID_MEDICINE",
                    "Tannins, as in %s, bind thyroid tablets in the gut.",
                    "Four hours apart, and tell the doctor."),
            constituent(
                    Constituent.TANNIN,
                    p -> p.medicines().contains(MedicineClass.IRON),
                    Severity.WARN,
                    "BINDS_IRON",
                    "Tannins, as in %s, bind iron in the gut.",
                    "Three hours apart."),
            action(
                    "diuretic",
                    p -> has(p, Condition.KIDNEY_DISEASE),
                    Severity.WARN,
                    "FLUSHING_WITH_KIDNEY_DISEASE",
                    "Flushing with %s wants much drink, which a diseased kidney may not get rid of.",
                    "Not where drink must be limited; ask the doctor who treats it."),
            constituent(
                    Constituent.SAPONIN,
                    p -> has(p, Condition.STOMACH_INFLAMMATION, Condition.ACTIVE_ULCER),
                    Severity.WARN,
                    "SAPONIN_WITH_STOMACH",
                    "%s holds saponins, which irritate an inflamed stomach.",
                    "Ask a doctor first."));

    private ImpliedCaution() {}

    static List<Finding> of(Taxon taxon, Person person) {
        List<Finding> findings = new ArrayList<>();
        RULES.stream()
                .filter(r -> r.holds(taxon, person))
                .map(r -> r.finding(taxon))
                .forEach(findings::add);
        return findings;
    }

    private static boolean has(Person person, Condition... conditions) {
        for (Condition condition : conditions) {
            if (person.conditions().contains(condition)) {
                return true;
            }
        }
        return false;
    }

    private static Rule adds(String action, MedicineClass medicine, String code) {
        return action(
                action,
                p -> p.medicines().contains(medicine),
                Severity.WARN,
                code,
                "%s adds to " + medicine.words() + ".",
                ASK);
    }

    private static Rule action(
            String action, Predicate<Person> who, Severity severity, String code, String message, String advice) {
        return new Rule(action, null, who, severity, code, message, advice);
    }

    private static Rule constituent(
            Constituent constituent,
            Predicate<Person> who,
            Severity severity,
            String code,
            String message,
            String advice) {
        return new Rule(null, constituent, who, severity, code, message, advice);
    }
}
