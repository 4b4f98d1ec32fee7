package org.sallowbrook.core.dosing;

import java.util.EnumSet;
import java.util.Set;
import org.sallowbrook.core.dosing.DosingGate.Skin;
import org.sallowbrook.core.dosing.DosingGate.Way;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;

/** What a plant holds, whatever its card says: pyrrolizidines, salicylates, inducers, and what gets in through a cut. */
final class ConstituentGate {

    private static final int COMFREY_MOST_DAYS = 10;
    private static final Set<MedicineClass> CLOTTING = Set.of(MedicineClass.ANTICOAGULANT, MedicineClass.ANTIPLATELET);
    /** By a plant that makes the liver break medicines down faster. */
    static final Set<MedicineClass> WEAKENED_BY_INDUCTION = EnumSet.of(
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
    static final Set<MedicineClass> SEROTONERGIC = EnumSet.of(
            MedicineClass.ANTIDEPRESSANT,
            MedicineClass.SSRI,
            MedicineClass.TRIPTAN,
            MedicineClass.SEROTONERGIC_PAIN_KILLER,
            MedicineClass.LITHIUM);

    private static final Set<Condition> NO_SALICYLATE = EnumSet.of(
            Condition.BLEEDING_DISORDER, Condition.KIDNEY_DISEASE, Condition.LIVER_DISEASE, Condition.G6PD_DEFICIENCY);
    private static final Set<MedicineClass> SALICYLATE_ADDS = EnumSet.of(
            MedicineClass.ANTI_INFLAMMATORY,
            MedicineClass.SSRI,
            MedicineClass.LITHIUM,
            MedicineClass.DIURETIC,
            MedicineClass.STEROID,
            MedicineClass.BLOOD_PRESSURE,
            MedicineClass.INSULIN_OR_SULFONYLUREA);

    private final Case c;

    private ConstituentGate(Case c) {
        this.c = c;
    }

    static void of(Case c, Product.Herb herb) {
        ConstituentGate gate = new ConstituentGate(c);
        gate.constituents(herb.taxon());
        gate.intactOnly(herb);
    }

    private void constituents(Taxon taxon) {
        if (taxon.constituents().contains(Constituent.PYRROLIZIDINE)) {
            pyrrolizidine(taxon);
        }
        if (taxon.constituents().contains(Constituent.SALICYLATE) && c.byMouth()) {
            salicylate(taxon);
        }
        if (taxon.constituents().contains(Constituent.HYPERFORIN) && c.byMouth()) {
            c.person.medicines().stream().sorted().forEach(m -> inducer(taxon, m));
        }
    }

    /** St John's-wort and its like: by mouth with no prescribed medicine at all. */
    private void inducer(Taxon taxon, MedicineClass medicine) {
        c.stoppedBy.add(medicine);
        String advice = "Do not take it. If it was already taken, tell the prescriber or pharmacist; do not change the"
                + " medicine yourself.";
        if (SEROTONERGIC.contains(medicine)) {
            c.stop(
                    "SEROTONIN",
                    taxon.commonName() + " together with " + medicine.words()
                            + " can raise serotonin to a dangerous height.",
                    advice);
        } else if (WEAKENED_BY_INDUCTION.contains(medicine)) {
            c.stop("WEAKENS_MEDICINE", taxon.commonName() + " makes " + medicine.words() + " work less.", advice);
        } else {
            c.stop(
                    "WITH_ANY_MEDICINE",
                    taxon.commonName() + " changes how the body deals with most medicines; with " + medicine.words()
                            + " it is not taken.",
                    advice);
        }
    }

    private void pyrrolizidine(Taxon taxon) {
        if (c.byMouth()) {
            c.stop(
                    "PYRROLIZIDINE",
                    taxon.commonName() + " holds pyrrolizidine alkaloids, which destroy the liver.",
                    "Never by mouth.");
            return;
        }
        if (c.person.pregnant() || c.person.breastFeeding()) {
            c.stop("PYRROLIZIDINE", "Not in pregnancy or breast-feeding, on the skin either.", "Use another herb.");
        }
        if (!c.person.adult()) {
            c.stop("PYRROLIZIDINE", "Not on the skin of anyone under 18.", "Use another herb.");
        }
        if (c.allDays() > COMFREY_MOST_DAYS) {
            c.stop("PYRROLIZIDINE", "At most 10 days on the skin" + c.withBefore() + ".", "Shorten the course.");
        }
    }

    /** Comfrey and its kin, and arnica: through broken skin what poisons gets in. What nobody said counts as broken. */
    private void intactOnly(Product.Herb herb) {
        Set<Constituent> holds = herb.taxon().constituents();
        boolean outsideOnly = herb.taxon()
                .usedPart(herb.part())
                .map(p -> !p.using().routes().contains(Taxon.Route.INTERNAL))
                .orElse(true);
        boolean getsIn = holds.contains(Constituent.PYRROLIZIDINE)
                || holds.contains(Constituent.SESQUITERPENE_LACTONE) && outsideOnly;
        if (c.intake.way() == Way.SKIN && getsIn && c.intake.skin() != Skin.INTACT) {
            c.stop(
                    "INTACT_ONLY",
                    herb.taxon().commonName() + " goes on whole skin only: through a cut its poison gets in.",
                    c.intake.skin() == null ? "Say how the skin is." : "Use another herb, or wait until it is closed.");
        }
    }

    private void salicylate(Taxon taxon) {
        String name = taxon.commonName() + " holds salicylates";
        if (!c.person.adult()) {
            c.stop("SALICYLATE", name + ": not under 18 years, for fear of Reye's syndrome.", "Use another herb.");
        }
        if (c.person.trimester() != null && c.person.trimester() == 3) {
            c.stop("SALICYLATE", name + ": not in the last third of pregnancy.", "Ask the midwife or doctor.");
        }
        if (c.person.conditions().contains(Condition.SALICYLATE_ALLERGY)) {
            c.stop("SALICYLATE", name + ", to which " + c.person.name() + " is allergic.", "Never.");
        }
        if (c.person.conditions().contains(Condition.ACTIVE_ULCER)) {
            c.stop("SALICYLATE", name + ", which can make an ulcer bleed.", "Ask the doctor.");
        }
        if (c.person.conditions().contains(Condition.SALICYLATE_ASTHMA)) {
            c.stop("SALICYLATE", name + ", which can bring on an attack of this asthma.", "Never.");
        } else if (c.person.conditions().contains(Condition.ASTHMA)) {
            c.findings.add(Finding.warn(
                    "SALICYLATE_ASTHMA",
                    name + ", which bring on attacks in some who have asthma.",
                    "Ask the doctor."));
        }
        for (Condition condition : c.person.conditions().stream().sorted().toList()) {
            if (NO_SALICYLATE.contains(condition)) {
                c.stop("SALICYLATE", name + ": not with " + condition.words() + ".", "Ask the doctor.");
            }
        }
        if (c.beforeOperation()) {
            c.stop(
                    "SALICYLATE",
                    name + ": not in the two weeks before an operation.",
                    "Tell the surgeon if it was taken.");
        }
        if (c.person.medicines().contains(MedicineClass.METHOTREXATE)) {
            c.stoppedBy.add(MedicineClass.METHOTREXATE);
            c.stop(
                    "SALICYLATE",
                    name + ", which keep methotrexate in the body.",
                    "Do not take it. Ask the prescriber or pharmacist; do not change the medicine.");
        }
        for (MedicineClass medicine : c.person.medicines().stream().sorted().toList()) {
            if (SALICYLATE_ADDS.contains(medicine)) {
                c.findings.add(Finding.warn(
                        "SALICYLATE_ADDS",
                        name + ", which act together with " + medicine.words() + ".",
                        "Ask the prescriber or pharmacist first."));
            }
            if (CLOTTING.contains(medicine)) {
                c.stoppedBy.add(medicine);
                c.stop(
                        "SALICYLATE",
                        name + ", which add to " + medicine.words() + ": bleeding becomes more likely.",
                        "Do not take it. Ask the prescriber or pharmacist; do not change the medicine.");
            }
        }
    }
}
