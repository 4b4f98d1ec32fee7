package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Caution;
import org.sallowbrook.core.herbarium.Taxon.CautionStatus;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.DoseRange;
import org.sallowbrook.core.herbarium.Taxon.Subject;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.household.PlantFamily;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Trait;

/**
 * Every gate between a bottle and a person: product, person, medicine, constituent, silence, dose, first time. Run when a
 * course is saved and again at each dose; returns all findings, not the first.
 */
public final class DosingGate {

    private static final int ADULT = 18;
    private static final int BEFORE_OPERATION_DAYS = 14;
    private static final int COMFREY_MOST_DAYS = 10;
    private static final int INDUCTION_LINGERS_DAYS = 14;
    private static final int INDUCTION_LINGERS_DAYS_CONTRACEPTIVE = 28;

    private static final Set<MedicineClass> CLOTTING = Set.of(MedicineClass.ANTICOAGULANT, MedicineClass.ANTIPLATELET);
    private static final Set<MedicineClass> CONTRACEPTION =
            Set.of(MedicineClass.CONTRACEPTIVE, MedicineClass.EMERGENCY_CONTRACEPTIVE);
    private static final Set<MedicineClass> WEAKENED_BY_INDUCTION = EnumSet.of(
            MedicineClass.ANTICOAGULANT,
            MedicineClass.CONTRACEPTIVE,
            MedicineClass.EMERGENCY_CONTRACEPTIVE,
            MedicineClass.IMMUNOSUPPRESSANT,
            MedicineClass.ANTIRETROVIRAL,
            MedicineClass.HEPATITIS_C,
            MedicineClass.DIGOXIN,
            MedicineClass.HEART_RHYTHM,
            MedicineClass.CALCIUM_BLOCKER,
            MedicineClass.STATIN,
            MedicineClass.CANCER,
            MedicineClass.ANTIEPILEPTIC,
            MedicineClass.SEDATIVE,
            MedicineClass.OPIOID,
            MedicineClass.ANTIFUNGAL,
            MedicineClass.THEOPHYLLINE,
            MedicineClass.DIABETES,
            MedicineClass.STOMACH_ACID);

    /** Dangerous together with a plant that raises serotonin itself. */
    private static final Set<MedicineClass> SEROTONERGIC = EnumSet.of(
            MedicineClass.ANTIDEPRESSANT,
            MedicineClass.TRIPTAN,
            MedicineClass.SEROTONERGIC_PAIN_KILLER,
            MedicineClass.LITHIUM);

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

    private static final Set<Condition> NO_SALICYLATE = EnumSet.of(
            Condition.BLEEDING_DISORDER, Condition.KIDNEY_DISEASE, Condition.LIVER_DISEASE, Condition.G6PD_DEFICIENCY);
    private static final Set<MedicineClass> SALICYLATE_ADDS = EnumSet.of(
            MedicineClass.ANTI_INFLAMMATORY,
            MedicineClass.ANTIDEPRESSANT,
            MedicineClass.LITHIUM,
            MedicineClass.DIURETIC,
            MedicineClass.STEROID);

    /** Medicines with so little room that silence on a card must count as a hold. */
    private static final Set<MedicineClass> NARROW = Set.of(
            MedicineClass.ANTICOAGULANT,
            MedicineClass.IMMUNOSUPPRESSANT,
            MedicineClass.ANTIEPILEPTIC,
            MedicineClass.DIGOXIN,
            MedicineClass.LITHIUM);

    public enum Way {
        MOUTH,
        SKIN,
        INCENSE,
        SMOKED,
        EYE,
        EAR,
        INJECTION,
        ENEMA
    }

    /**
     * @param use what it is taken for, in the card's words; null when not said
     * @param mostMlPerDose the largest single dose; 0 on the skin
     * @param mostMlPerDay the largest day
     * @param others everything else the person takes by mouth: other courses, food, nibbling
     * @param trialDone whether this person had a first small trial of every plant in it
     * @param forTrial whether this is that trial
     * @param skin what it is put on; null when not on the skin, or not said
     * @param daysBefore days just before on which it was taken already, by {@link Exposure}
     * @param lastDay of the course; null when only a day is judged
     * @param inducerLastOn when this person last took a plant that weakens medicines; null when never, as far as known
     */
    public record Intake(
            Way way,
            @Nullable String use,
            double mostMlPerDose,
            double mostMlPerDay,
            int courseDays,
            List<Taking> others,
            boolean trialDone,
            boolean forTrial,
            @Nullable Skin skin,
            int daysBefore,
            @Nullable LocalDate lastDay,
            @Nullable LocalDate inducerLastOn) {
        public Intake {
            Checks.begin()
                    .notNegative("mostMlPerDose", mostMlPerDose)
                    .notNegative("mostMlPerDay", mostMlPerDay)
                    .range("courseDays", courseDays, 1, Course.MOST_DAYS)
                    .that(daysBefore >= 0, "daysBefore", "must be at least 0")
                    .done();
            others = List.copyOf(others);
        }

        /** By mouth, beside nothing else, tried before. */
        public static Intake mouth(double mostMlPerDose, double mostMlPerDay, int courseDays) {
            return new Intake(
                    Way.MOUTH,
                    null,
                    mostMlPerDose,
                    mostMlPerDay,
                    courseDays,
                    List.of(),
                    true,
                    false,
                    null,
                    0,
                    null,
                    null);
        }
    }

    /** What something is put on. */
    public enum Skin {
        INTACT,
        SMALL_CLEAN_CUT,
        /** Deep, dirty, bitten, burnt, spreading, or near an eye. */
        WOUND
    }

    /** Signs at which to stop and get help; shown with every course. */
    public static final List<String> DANGER_SIGNS = List.of(
            "trouble breathing",
            "swelling of face or throat",
            "fainting",
            "yellow skin or eyes",
            "a rash that spreads",
            "bleeding that is not usual",
            "confusion",
            "chest pain",
            "three days of fever");

    private final Product product;
    private final Person person;
    private final Intake intake;
    private final LocalDate on;
    private final List<Finding> findings = new ArrayList<>();

    /** Medicines a constituent already stopped, so that the card need not say it again. */
    private final Set<MedicineClass> stoppedBy = EnumSet.noneOf(MedicineClass.class);

    private DosingGate(Product product, Person person, Intake intake, LocalDate on) {
        this.product = product;
        this.person = person;
        this.intake = intake;
        this.on = on;
    }

    public static List<Finding> check(Product product, Person person, Intake intake, LocalDate on) {
        DosingGate gate = new DosingGate(product, person, intake, on);
        gate.product();
        gate.route();
        gate.grave();
        for (Product.Herb herb : product.herbs()) {
            gate.constituents(herb.taxon());
            gate.intactOnly(herb);
            gate.cautions(herb.taxon());
            gate.dose(herb);
        }
        gate.lingering();
        gate.classes();
        gate.alcohol();
        gate.blockedBowel();
        gate.infants();
        gate.essentialOils();
        gate.salted();
        gate.firstTime();
        return gate.findings;
    }

    private int allDays() {
        return intake.courseDays() + intake.daysBefore();
    }

    private String withBefore() {
        return intake.daysBefore() == 0
                ? ""
                : ", with the " + intake.daysBefore() + " days before (a pause of under " + Exposure.PAUSE_DAYS
                        + " days counts as one course)";
    }

    private boolean byMouth() {
        return intake.way() == Way.MOUTH;
    }

    private void product() {
        switch (product.state()) {
            case QUARANTINED ->
                stop(
                        "QUARANTINED",
                        "Something this was made from is doubted.",
                        "Do not take it. Tell whoever has any of it.");
            case DESTROYED -> stop("DESTROYED", "This was thrown away.", "Choose another.");
            case HOLD -> stop("ON_HOLD", "This is on hold.", "Resolve what holds it first.");
            case USABLE -> {}
        }
        if (on.isAfter(product.bestBefore())) {
            stop(
                    "EXPIRED",
                    "It is past its date, " + Words.day(product.bestBefore()) + ".",
                    "Use another; compost this.");
        } else if (intake.lastDay() != null && intake.lastDay().isAfter(product.bestBefore())) {
            stop(
                    "EXPIRES_DURING",
                    "It keeps until " + Words.day(product.bestBefore()) + ", and the course runs until "
                            + Words.day(intake.lastDay()) + ".",
                    "Shorten the course, or make it fresh and plan each making.");
        }
    }

    private void route() {
        switch (intake.way()) {
            case MOUTH -> {
                if (product.route() == Taxon.Route.EXTERNAL) {
                    stop("OUTSIDE_ONLY", product.name() + " is for the outside of the body only.", "Never by mouth.");
                }
            }
            case SKIN -> {
                if (intake.skin() == Skin.WOUND) {
                    stop(
                            "WOUND",
                            "Nothing home-made goes on a wound that is deep, dirty, bitten, burnt, spreading or near"
                                    + " an eye.",
                            "Clean it with water, cover it, and see a doctor today.");
                }
                findings.add(Finding.note(
                        "INTACT_SKIN",
                        "For intact skin or a small clean cut only.",
                        "A wound that is deep, dirty, bitten, burnt, spreading or near an eye needs a doctor."));
            }
            case INCENSE ->
                findings.add(Finding.warn(
                        "SMOKE", "Smoke harms the lungs and can bring on asthma.", "Air the room; not with asthma."));
            case SMOKED, EYE, EAR, INJECTION, ENEMA ->
                stop("ROUTE_REFUSED", "Sallowbrook plans nothing by this route.", "Ask a doctor.");
        }
    }

    private void grave() {
        for (Product.Herb herb : product.herbs()) {
            boolean grave = herb.taxon().uses().stream()
                    .anyMatch(u -> u.grave() && u.name().equalsIgnoreCase(intake.use()));
            if (grave) {
                stop(
                        "GRAVE_ILLNESS",
                        "No course is built on a claim about a grave illness.",
                        "See a doctor; treating it at home can hide what needs care.");
            }
        }
    }

    private void constituents(Taxon taxon) {
        if (taxon.constituents().contains(Constituent.PYRROLIZIDINE)) {
            pyrrolizidine(taxon);
        }
        if (taxon.constituents().contains(Constituent.SALICYLATE) && byMouth()) {
            salicylate(taxon);
        }
        if (taxon.constituents().contains(Constituent.HYPERFORIN) && byMouth()) {
            person.medicines().stream().sorted().forEach(m -> inducer(taxon, m));
        }
    }

    /** St John's-wort and its like: by mouth with no prescribed medicine at all. */
    private void inducer(Taxon taxon, MedicineClass medicine) {
        stoppedBy.add(medicine);
        String advice = "Do not take it. If it was already taken, tell the prescriber or pharmacist; do not change the"
                + " medicine yourself.";
        if (SEROTONERGIC.contains(medicine)) {
            stop(
                    "SEROTONIN",
                    taxon.commonName() + " together with " + medicine.words()
                            + " can raise serotonin to a dangerous height.",
                    advice);
        } else if (WEAKENED_BY_INDUCTION.contains(medicine)) {
            stop("WEAKENS_MEDICINE", taxon.commonName() + " makes " + medicine.words() + " work less.", advice);
        } else {
            stop(
                    "WITH_ANY_MEDICINE",
                    taxon.commonName() + " changes how the body deals with most medicines; with " + medicine.words()
                            + " it is not taken.",
                    advice);
        }
    }

    private void pyrrolizidine(Taxon taxon) {
        if (byMouth()) {
            stop(
                    "PYRROLIZIDINE",
                    taxon.commonName() + " holds pyrrolizidine alkaloids, which destroy the liver.",
                    "Never by mouth.");
            return;
        }
        if (person.pregnant() || person.breastFeeding()) {
            stop("PYRROLIZIDINE", "Not in pregnancy or breast-feeding, on the skin either.", "Use another herb.");
        }
        if (person.ageYears() < ADULT) {
            stop("PYRROLIZIDINE", "Not on the skin of anyone under 18.", "Use another herb.");
        }
        if (allDays() > COMFREY_MOST_DAYS) {
            stop("PYRROLIZIDINE", "At most 10 days on the skin" + withBefore() + ".", "Shorten the course.");
        }
    }

    /** Comfrey and its kin, and arnica: through broken skin what poisons gets in. What nobody said counts as broken. */
    private void intactOnly(Product.Herb herb) {
        Set<Constituent> holds = herb.taxon().constituents();
        boolean outsideOnly = herb.taxon()
                .usedPart(herb.part())
                .map(p -> !p.routes().contains(Taxon.Route.INTERNAL))
                .orElse(true);
        boolean getsIn = holds.contains(Constituent.PYRROLIZIDINE)
                || holds.contains(Constituent.SESQUITERPENE_LACTONE) && outsideOnly;
        if (intake.way() == Way.SKIN && getsIn && intake.skin() != Skin.INTACT) {
            stop(
                    "INTACT_ONLY",
                    herb.taxon().commonName() + " goes on whole skin only: through a cut its poison gets in.",
                    intake.skin() == null ? "Say how the skin is." : "Use another herb, or wait until it is closed.");
        }
    }

    private void salicylate(Taxon taxon) {
        String name = taxon.commonName() + " holds salicylates";
        if (person.ageYears() < ADULT) {
            stop("SALICYLATE", name + ": not under 18 years, for fear of Reye's syndrome.", "Use another herb.");
        }
        if (person.trimester() != null && person.trimester() == 3) {
            stop("SALICYLATE", name + ": not in the last third of pregnancy.", "Ask the midwife or doctor.");
        }
        if (person.conditions().contains(Condition.SALICYLATE_ALLERGY)) {
            stop("SALICYLATE", name + ", to which " + person.name() + " is allergic.", "Never.");
        }
        if (person.conditions().contains(Condition.ACTIVE_ULCER)) {
            stop("SALICYLATE", name + ", which can make an ulcer bleed.", "Ask the doctor.");
        }
        if (person.conditions().contains(Condition.SALICYLATE_ASTHMA)) {
            stop("SALICYLATE", name + ", which can bring on an attack of this asthma.", "Never.");
        } else if (person.conditions().contains(Condition.ASTHMA)) {
            findings.add(Finding.warn(
                    "SALICYLATE_ASTHMA",
                    name + ", which bring on attacks in some who have asthma.",
                    "Ask the doctor."));
        }
        for (Condition condition : person.conditions().stream().sorted().toList()) {
            if (NO_SALICYLATE.contains(condition)) {
                stop("SALICYLATE", name + ": not with " + condition.words() + ".", "Ask the doctor.");
            }
        }
        if (beforeOperation()) {
            stop(
                    "SALICYLATE",
                    name + ": not in the two weeks before an operation.",
                    "Tell the surgeon if it was taken.");
        }
        if (person.medicines().contains(MedicineClass.METHOTREXATE)) {
            stoppedBy.add(MedicineClass.METHOTREXATE);
            stop(
                    "SALICYLATE",
                    name + ", which keep methotrexate in the body.",
                    "Do not take it. Ask the prescriber or pharmacist; do not change the medicine.");
        }
        for (MedicineClass medicine : person.medicines().stream().sorted().toList()) {
            if (SALICYLATE_ADDS.contains(medicine)) {
                findings.add(Finding.warn(
                        "SALICYLATE_ADDS",
                        name + ", which act together with " + medicine.words() + ".",
                        "Ask the prescriber or pharmacist first."));
            }
            if (CLOTTING.contains(medicine)) {
                stoppedBy.add(medicine);
                stop(
                        "SALICYLATE",
                        name + ", which add to " + medicine.words() + ": bleeding becomes more likely.",
                        "Do not take it. Ask the prescriber or pharmacist; do not change the medicine.");
            }
        }
    }

    private void cautions(Taxon taxon) {
        if (person.trimester() != null) {
            silent(taxon, Subject.PREGNANCY, String.valueOf(person.trimester()), "pregnancy");
        }
        if (person.breastFeeding()) {
            silent(taxon, Subject.BREAST_FEEDING, "", "breast-feeding");
        }
        underAge(taxon);
        for (Condition condition : person.conditions()) {
            taxon.caution(condition).ifPresent(c -> present(taxon, c, condition.words()));
        }
        for (MedicineClass medicine : person.medicines()) {
            if (stoppedBy.contains(medicine)) {
                continue;
            }
            Caution caution = taxon.caution(medicine).orElse(null);
            if (caution != null && caution.status() != CautionStatus.UNKNOWN) {
                present(taxon, caution, medicine.words());
            } else if (byMouth() && NARROW.contains(medicine)) {
                hold(
                        "NOT_CHECKED",
                        "Whether " + taxon.commonName() + " goes with " + medicine.words()
                                + " is unknown: nobody has checked.",
                        "Ask the prescriber or pharmacist and enter the answer on the card.");
            }
        }
        for (String family : person.allergyFamilies()) {
            PlantFamily known = PlantFamily.of(family).orElse(null);
            if (known == null) {
                hold(
                        "ALLERGY_UNREADABLE",
                        person.name() + " has an allergy noted as \"" + family + "\", which is no plant family known"
                                + " here.",
                        "Choose the family on the person's page.");
            } else if (PlantFamily.of(taxon.family()).equals(Optional.of(known))) {
                stop(
                        "ALLERGY",
                        person.name() + " is allergic to " + known.words() + ", the family of " + taxon.commonName()
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

    /** A caution that reads STOP where nobody has checked, by mouth. */
    private void silent(Taxon taxon, Subject subject, String value, String words) {
        Caution caution = taxon.caution(subject, value).orElse(null);
        if (caution != null && caution.status() != CautionStatus.UNKNOWN) {
            present(taxon, caution, words);
        } else if (byMouth()) {
            stop(
                    "NOT_CHECKED",
                    "Whether " + taxon.commonName() + " is safe in " + words + " is unknown: nobody has checked.",
                    "Ask the midwife, doctor or pharmacist.");
        }
    }

    private void underAge(Taxon taxon) {
        if (person.ageYears() >= ADULT) {
            return;
        }
        // Of several entries the strictest that speaks of this age; silence only where none does.
        Caution caution = taxon.underAge(person.ageYears()).orElse(null);
        if (caution == null || caution.status() == CautionStatus.UNKNOWN) {
            if (byMouth()) {
                stop(
                        "NOT_CHECKED",
                        "Whether " + taxon.commonName() + " is safe under 18 is unknown: nobody has checked.",
                        "Ask a doctor or pharmacist.");
            }
        } else {
            present(taxon, caution, "an age of " + person.ageYears());
        }
    }

    private boolean beforeOperation() {
        if (person.operationOn() == null) {
            return false;
        }
        long days = ChronoUnit.DAYS.between(on, person.operationOn());
        return days >= 0 && days <= BEFORE_OPERATION_DAYS;
    }

    /** What nobody could place can't be checked, and silence would read as leave. */
    private void unlisted(Taxon taxon) {
        // What is stopped with any medicine has said so already.
        if (!byMouth()
                || person.medicines().stream().noneMatch(UNLISTED::contains)
                || taxon.constituents().contains(Constituent.HYPERFORIN)) {
            return;
        }
        boolean strong = taxon.uses().stream().anyMatch(u -> u.potency() == Taxon.Potency.STRONG)
                || taxon.constituents().stream().anyMatch(STRONG_IN::contains);
        String message = person.name() + " takes a medicine that is in no class here; whether " + taxon.commonName()
                + " goes with it is unknown.";
        String action = "Ask the pharmacist, with the packet in hand, and enter what it is on the person's page.";
        findings.add(
                strong
                        ? Finding.hold("UNLISTED_MEDICINE", message, action)
                        : Finding.warn("UNLISTED_MEDICINE", message, action));
    }

    /** Held for everyone under treatment with so little room that silence on a card is no leave. */
    private void underTreatment(Taxon taxon) {
        for (Condition condition : List.of(Condition.TRANSPLANT, Condition.HORMONE_SENSITIVE_TUMOUR)) {
            if (byMouth()
                    && person.conditions().contains(condition)
                    && taxon.caution(condition).isEmpty()) {
                hold(
                        "NOT_CHECKED",
                        "Whether " + taxon.commonName() + " goes with " + condition.words()
                                + " is unknown: nobody has checked.",
                        "Ask the doctor who treats it and enter the answer on the card.");
            }
        }
    }

    /** A child may be on the way before anybody knows. */
    private void tryingToConceive(Taxon taxon) {
        if (byMouth() && person.conditions().contains(Condition.TRYING_TO_CONCEIVE) && !person.pregnant()) {
            taxon.caution(Subject.PREGNANCY, "1")
                    .filter(c -> c.status() == CautionStatus.PRESENT)
                    .ifPresent(c -> findings.add(Finding.warn(
                            "TRYING_TO_CONCEIVE",
                            taxon.commonName() + " is not for pregnancy (" + c.effect()
                                    + "), which begins before it is known.",
                            "Ask the midwife, doctor or pharmacist first.")));
        }
    }

    private void diabetes(Taxon taxon) {
        if (!byMouth() || !person.conditions().contains(Condition.DIABETES)) {
            return;
        }
        taxon.caution(MedicineClass.DIABETES).ifPresent(c -> present(taxon, c, Condition.DIABETES.words()));
        if (product.is(Trait.HONEY)) {
            findings.add(Finding.warn("SUGAR", "It holds honey, which is sugar.", "Count it in, or make it without."));
        }
    }

    /** What the card says of sun and of driving concerns everybody. */
    private void everyday(Taxon taxon) {
        for (Subject subject : List.of(Subject.SUN, Subject.DRIVING)) {
            taxon.caution(subject, "")
                    .ifPresent(c -> present(taxon, c, subject == Subject.SUN ? "strong sun" : "driving or machines"));
        }
    }

    private void operation(Taxon taxon) {
        if (person.operationOn() == null) {
            return;
        }
        if (!beforeOperation()) {
            return;
        }
        Caution caution = taxon.caution(Subject.OPERATION, "").orElse(null);
        if (caution != null && caution.status() != CautionStatus.UNKNOWN) {
            present(taxon, caution, "an operation");
        } else if (byMouth()) {
            hold(
                    "NOT_CHECKED",
                    "An operation is planned on " + Words.day(person.operationOn()) + "; whether " + taxon.commonName()
                            + " matters for it is unknown.",
                    "Stop it two weeks before, or ask the surgeon.");
        }
    }

    /** What follows from a plant's actions and constituents even where no interaction is on record. */
    private void implied(Taxon taxon) {
        if (byMouth()) {
            findings.addAll(ImpliedCaution.of(taxon, person));
        }
    }

    /** What induction did to a medicine lasts for weeks after the plant was last taken, and is then undone. */
    private void lingering() {
        LocalDate last = intake.inducerLastOn();
        if (last == null) {
            return;
        }
        person.medicines().stream()
                .filter(WEAKENED_BY_INDUCTION::contains)
                .sorted()
                .forEach(medicine -> lingering(medicine, last));
    }

    private void lingering(MedicineClass medicine, LocalDate last) {
        int days = CONTRACEPTION.contains(medicine) ? INDUCTION_LINGERS_DAYS_CONTRACEPTIVE : INDUCTION_LINGERS_DAYS;
        if (on.isAfter(last.plusDays(days))) {
            return;
        }
        hold(
                "INDUCTION_LINGERS",
                "A plant that weakens " + medicine.words() + " was taken until " + Words.day(last)
                        + "; its effect lasts about " + days / 7 + " weeks more"
                        + (RISES_AFTER_INDUCTION.contains(medicine)
                                ? ", and the level of the medicine may rise as it wears off."
                                : "."),
                "Tell the prescriber or pharmacist now; start nothing new before " + Words.day(last.plusDays(days + 1L))
                        + ".");
    }

    /** The same constituent class from everything taken is added up. */
    private void classes() {
        if (!byMouth()) {
            return;
        }
        List<Taking> all = new ArrayList<>(intake.others());
        Interval equivalent = product.driedEquivalentGPerMl();
        for (Product.Herb herb : product.herbs()) {
            all.add(new Taking(
                    herb.taxon(),
                    herb.part(),
                    equivalent == null
                            ? null
                            : (Double) (intake.mostMlPerDay() * equivalent.high() * herb.fraction())));
        }
        findings.addAll(ConstituentSum.check(all, person.weightKg()));
    }

    private void present(Taxon taxon, Caution caution, String about) {
        Severity severity = caution.severity();
        if (caution.status() == CautionStatus.PRESENT && severity != null) {
            findings.add(new Finding(
                    "CAUTION_" + caution.subject(),
                    severity,
                    taxon.commonName() + " with " + about + ": " + caution.effect(),
                    "Ask the prescriber or pharmacist. (" + caution.source().title() + ", "
                            + caution.source().year() + "; not checked by this household)"));
        }
    }

    /** The sum over everything taken is what is compared; where the card gives no figure none is given. */
    private void dose(Product.Herb herb) {
        if (!byMouth()) {
            return;
        }
        Interval equivalent = product.driedEquivalentGPerMl();
        DoseRange range = range(herb).orElse(null);
        if (range == null || equivalent == null) {
            stop(
                    "NO_CARD_FIGURE",
                    "The card of " + herb.taxon().commonName()
                            + " has no dose by mouth for this part and age, so none is given.",
                    "Ask a pharmacist or registered herbalist.");
            return;
        }
        double perDay = intake.mostMlPerDay() * equivalent.high() * herb.fraction()
                + intake.others().stream()
                        .filter(o -> o.taxon().id().equals(herb.taxon().id()) && o.driedGPerDay() != null)
                        .mapToDouble(Taking::driedGPerDay)
                        .sum();
        if (perDay > range.driedGPerDay().high() * (1 + 1e-9)) {
            stop(
                    "DOSE_ABOVE_CARD",
                    "Up to " + Words.grams(perDay) + " of dried " + herb.taxon().commonName()
                            + " a day, all products together, is above the card's "
                            + Words.grams(range.driedGPerDay().high()) + ".",
                    "Take less at a time, or fewer times.");
        }
        if (range.mostDays() != null && allDays() > range.mostDays()) {
            stop(
                    "COURSE_TOO_LONG",
                    allDays() + " days" + withBefore() + " is longer than the card's " + range.mostDays() + ".",
                    "Shorten it; see a doctor if the trouble lasts.");
        }
        findings.add(Finding.note(
                "STARTER_FIGURE",
                "The dose of " + herb.taxon().commonName() + " is from "
                        + range.source().title() + ", " + range.source().year()
                        + ", and not yet checked by this household.",
                "Check it in your own book and note the page."));
    }

    private Optional<DoseRange> range(Product.Herb herb) {
        return herb.taxon().usedPart(herb.part()).stream()
                .flatMap(p -> p.doses().stream())
                .filter(d -> d.route() == Taxon.Route.INTERNAL && person.ageYears() >= d.fromAgeYears())
                .filter(d -> intake.use() == null || d.use().equalsIgnoreCase(intake.use()))
                .min((a, b) ->
                        Double.compare(a.driedGPerDay().high(), b.driedGPerDay().high()));
    }

    private void alcohol() {
        Strength strength = product.strength();
        if (!byMouth() || strength.fraction() == 0) {
            return;
        }
        noAlcohol(person.pregnant(), "in pregnancy");
        noAlcohol(person.breastFeeding(), "while breast-feeding");
        for (Condition condition :
                List.of(Condition.RECOVERY_FROM_DRINK, Condition.LIVER_DISEASE, Condition.EPILEPSY)) {
            noAlcohol(person.conditions().contains(condition), "with " + condition.words());
        }
        for (MedicineClass medicine : List.of(
                MedicineClass.ALCOHOL_REACTING,
                MedicineClass.SEDATIVE,
                MedicineClass.ANTIEPILEPTIC,
                MedicineClass.OPIOID,
                MedicineClass.METHOTREXATE)) {
            noAlcohol(person.medicines().contains(medicine), "with " + medicine.words());
        }
        if (person.conditions().contains(Condition.HEART_RHYTHM_DISORDER)
                || person.conditions().contains(Condition.TRYING_TO_CONCEIVE)) {
            findings.add(Finding.warn(
                    "ALCOHOL",
                    "It holds alcohol, which is better left out with a disorder of the heart's rhythm, and when trying to"
                            + " conceive.",
                    "Use a tea, a vinegar or a glycerite."));
        }
        if (person.ageYears() < ADULT && person.weightKg() == null) {
            hold(
                    "WEIGHT_UNKNOWN",
                    "It holds alcohol, and what a child bears goes by weight; " + person.name() + "'s is not known.",
                    "Enter the weight, or use a tea.");
        }
        if (intake.mostMlPerDose() > 0) {
            Dose.Result dose = Dose.reckon(new Dose.Request(
                    Dose.Measured.plain(Interval.exactly(0), strength),
                    intake.mostMlPerDose(),
                    Dose.Unit.ML,
                    1,
                    Interval.exactly(0),
                    new Dose.Taker(person.ageYears(), person.weightKg(), person.heightCm())));
            findings.addAll(dose.findings());
        }
    }

    private void noAlcohol(boolean concerns, String whom) {
        if (concerns) {
            stop(
                    "ALCOHOL",
                    "It holds alcohol: not " + whom + ".",
                    "Use a tea, a vinegar or a glycerite, if the card allows it.");
        }
    }

    private void blockedBowel() {
        if (byMouth() && person.conditions().contains(Condition.BOWEL_OBSTRUCTION)) {
            stop(
                    "BLOCKED_BOWEL",
                    "With a blocked bowel nothing home-made goes by mouth.",
                    "See a doctor today; with pain and vomiting call for help now.");
        }
    }

    private void infants() {
        if (byMouth() && person.ageYears() < 2) {
            boolean named = product.herbs().stream()
                    .allMatch(h -> h.taxon().usedPart(h.part()).stream()
                            .flatMap(p -> p.doses().stream())
                            .anyMatch(d -> d.route() == Taxon.Route.INTERNAL && d.fromAgeYears() <= person.ageYears()));
            if (!named) {
                stop("UNDER_TWO", "Nothing by mouth under two years.", "Ask a doctor.");
            }
        }
        if (product.is(Trait.HONEY) && person.ageYears() < 1 && byMouth()) {
            stop("HONEY", "No honey under one year: infant botulism.", "Never.");
        }
    }

    private void salted() {
        if (!product.is(Trait.SALTED) || !byMouth()) {
            return;
        }
        for (Condition condition :
                List.of(Condition.HEART_FAILURE, Condition.KIDNEY_DISEASE, Condition.FLUID_RETENTION)) {
            if (person.conditions().contains(condition)) {
                stop(
                        "SALTED",
                        "It is kept by salt, which is not for " + condition.words() + ".",
                        "Use it dried or frozen.");
                return;
            }
        }
    }

    /** What the bench let in for grown-ups must not reach a child, nor anybody expecting. */
    private void essentialOils() {
        if (!product.is(Trait.ESSENTIAL_OIL)) {
            return;
        }
        if (person.ageYears() < EssentialOil.NONE_BELOW_YEARS) {
            stop("ESSENTIAL_OIL_INFANT", "It holds essential oil: not under two years.", "Make one without.");
        } else if (person.ageYears() < EssentialOil.COOLING_FROM_YEARS && product.is(Trait.COOLING_OIL)) {
            stop(
                    "COOLING_OIL",
                    "Menthol, cineole or camphor can stop the breath of a small child.",
                    "Never on or near the face of a child under six; make one without.");
        } else if (person.ageYears() < EssentialOil.ADULT_FROM_YEARS && product.is(Trait.ESSENTIAL_OIL_FOR_ADULTS)) {
            stop(
                    "ESSENTIAL_OIL_CHILD",
                    "It holds more essential oil than a child's skin is given.",
                    "Make one for a child, with half a percent or none.");
        }
        if (person.pregnant()) {
            stop(
                    "ESSENTIAL_OIL_PREGNANT",
                    "It holds essential oil, which goes through the skin.",
                    "Use one without, or ask the midwife or a pharmacist.");
        }
    }

    private void firstTime() {
        // Nobody is asked to try what is stopped for them.
        if (!intake.trialDone() && !intake.forTrial() && !Finding.any(findings, Severity.STOP)) {
            hold(
                    "FIRST_TIME",
                    person.name() + " has not had a first small trial of every plant in it.",
                    byMouth()
                            ? "Take one small dose, wait a day, and record how it went."
                            : "Try it on a small patch of skin, wait a day, and record how it went.");
        }
    }

    private void stop(String code, String message, String action) {
        findings.add(Finding.stop(code, message, action));
    }

    private void hold(String code, String message, String action) {
        findings.add(Finding.hold(code, message, action));
    }
}
