package org.sallowbrook.core.dosing;

import java.util.List;
import java.util.stream.Stream;
import org.sallowbrook.core.dosing.DosingGate.Skin;
import org.sallowbrook.core.herbarium.GraveWords;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Trait;

/** Gates of the product: its state, its date, its way into the body, and what it was made for. */
final class ProductGate {

    private final Case c;

    private ProductGate(Case c) {
        this.c = c;
    }

    static void before(Case c) {
        ProductGate gate = new ProductGate(c);
        gate.product();
        gate.route();
        gate.grave();
        gate.otherPart();
    }

    /** What was let into it at the bench, and for whom. */
    static void traits(Case c) {
        ProductGate gate = new ProductGate(c);
        gate.essentialOils();
        gate.salted();
    }

    private void product() {
        switch (c.product.state()) {
            case QUARANTINED ->
                c.stop(
                        "QUARANTINED",
                        "Something this was made from is doubted.",
                        "Do not take it. Tell whoever has any of it.");
            case DESTROYED -> c.stop("DESTROYED", "This was thrown away.", "Choose another.");
            case HOLD -> c.stop("ON_HOLD", "This is on hold.", "Resolve what holds it first.");
            case USABLE -> {}
        }
        if (c.on.isAfter(c.product.bestBefore())) {
            c.stop(
                    "EXPIRED",
                    "It is past its date, " + Words.day(c.product.bestBefore()) + ".",
                    "Use another; compost this.");
        } else if (c.intake.lastDay() != null && c.intake.lastDay().isAfter(c.product.bestBefore())) {
            c.stop(
                    "EXPIRES_DURING",
                    "It keeps until " + Words.day(c.product.bestBefore()) + ", and the course runs until "
                            + Words.day(c.intake.lastDay()) + ".",
                    "Shorten the course, or make it fresh and plan each making.");
        }
    }

    private void route() {
        switch (c.intake.way()) {
            case MOUTH -> {
                if (c.product.route() == Taxon.Route.EXTERNAL) {
                    c.stop(
                            "OUTSIDE_ONLY",
                            c.product.name() + " is for the outside of the body only.",
                            "Never by mouth.");
                }
            }
            case SKIN -> {
                if (c.intake.skin() == Skin.WOUND) {
                    c.stop(
                            "WOUND",
                            "Nothing home-made goes on a wound that is deep, dirty, bitten, burnt, spreading or near"
                                    + " an eye.",
                            "Clean it with water, cover it, and see a doctor today.");
                }
                c.findings.add(Finding.note(
                        "INTACT_SKIN",
                        "For intact skin or a small clean cut only.",
                        "A wound that is deep, dirty, bitten, burnt, spreading or near an eye needs a doctor."));
            }
            case INCENSE ->
                c.findings.add(Finding.warn(
                        "SMOKE", "Smoke harms the lungs and can bring on asthma.", "Air the room; not with asthma."));
            case SMOKED ->
                refused(
                        "Smoke of any herb brings tar and carbon monoxide into the lungs.",
                        "For the chest drink it as a tea where its card allows that, or breathe plain steam.");
            case EYE ->
                refused(
                        "Nothing made at home is free of germs and grit, and an eye can be lost to either.",
                        "Rinse with clean water only. A red, hurting or clouded eye is for a doctor, today.");
            case EAR ->
                refused(
                        "Behind a torn ear drum drops reach the inner ear and can take hearing and balance.",
                        "Keep it dry and warm outside; let a doctor look into the ear first.");
            case INJECTION ->
                refused(
                        "Nothing made at home is free of germs; in the blood it can kill.",
                        "Not at all. Whoever had something injected goes to a doctor at once.");
            case ENEMA ->
                refused(
                        "The bowel takes up more and faster than the mouth, and can be burnt or torn.",
                        "Take it by mouth where its card allows that; a bowel that does not move is for a doctor.");
        }
    }

    private void refused(String why, String instead) {
        c.stop("ROUTE_REFUSED", "Sallowbrook plans nothing by this route. " + why, instead);
    }

    private void grave() {
        String named = Stream.of(c.intake.use(), c.product.name())
                .filter(java.util.Objects::nonNull)
                .flatMap(text -> GraveWords.in(text).stream())
                .findFirst()
                .orElse(null);
        if (named != null) {
            c.stop(
                    "GRAVE_ILLNESS",
                    "\"" + named + "\" names a grave illness; no course is built on such a claim.",
                    "See a doctor; treating it at home can hide what needs care.");
            return;
        }
        for (Product.Herb herb : c.product.herbs()) {
            boolean grave = herb.taxon().uses().stream()
                    .anyMatch(u -> u.grave() && u.name().equalsIgnoreCase(c.intake.use()));
            if (grave) {
                c.stop(
                        "GRAVE_ILLNESS",
                        "No course is built on a claim about a grave illness.",
                        "See a doctor; treating it at home can hide what needs care.");
            }
        }
    }

    /** What a source says of the leaf it does not say of the root. */
    private void otherPart() {
        String use = c.intake.use();
        if (use == null || c.product.herbs().stream().anyMatch(h -> h.taxon().uses(use, h.part()))) {
            return;
        }
        Product.Herb herb = c.product.herbs().get(0);
        c.findings.add(Finding.warn(
                "OTHER_PART",
                "What is known of " + use + " is known of another part of "
                        + herb.taxon().commonName() + ".",
                "Take a product of that part, or say why this one."));
    }

    /** What the bench let in for grown-ups must not reach a child, nor anybody expecting. */
    private void essentialOils() {
        if (!c.product.is(Trait.ESSENTIAL_OIL)) {
            return;
        }
        if (c.person.ageYears() < EssentialOil.NONE_BELOW_YEARS) {
            c.stop("ESSENTIAL_OIL_INFANT", "It holds essential oil: not under two years.", "Make one without.");
        } else if (c.person.ageYears() < EssentialOil.COOLING_FROM_YEARS && c.product.is(Trait.COOLING_OIL)) {
            c.stop(
                    "COOLING_OIL",
                    "Menthol, cineole or camphor can stop the breath of a small child.",
                    "Never on or near the face of a child under six; make one without.");
        } else if (c.person.ageYears() < EssentialOil.ADULT_FROM_YEARS
                && c.product.is(Trait.ESSENTIAL_OIL_FOR_ADULTS)) {
            c.stop(
                    "ESSENTIAL_OIL_CHILD",
                    "It holds more essential oil than a child's skin is given.",
                    "Make one for a child, with half a percent or none.");
        }
        if (c.person.pregnant()) {
            c.stop(
                    "ESSENTIAL_OIL_PREGNANT",
                    "It holds essential oil, which goes through the skin.",
                    "Use one without, or ask the midwife or a pharmacist.");
        }
    }

    private void salted() {
        if (!c.product.is(Trait.SALTED) || !c.byMouth()) {
            return;
        }
        for (Condition condition :
                List.of(Condition.HEART_FAILURE, Condition.KIDNEY_DISEASE, Condition.FLUID_RETENTION)) {
            if (c.person.conditions().contains(condition)) {
                c.stop(
                        "SALTED",
                        "It is kept by salt, which is not for " + condition.words() + ".",
                        "Use it dried or frozen.");
                return;
            }
        }
    }
}
