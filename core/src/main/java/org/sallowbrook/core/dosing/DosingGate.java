package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.List;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Severity;

/**
 * Every gate between a bottle and a person: product, person, medicine, constituent, silence, dose, first time. Run when a
 * course is saved and again at each dose; returns all findings, not the first.
 */
public final class DosingGate {

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

    private DosingGate() {}

    public static List<Finding> check(Product product, Person person, Intake intake, LocalDate on) {
        return check(new Case(product, person, intake, on), DoseGate::of);
    }

    /** Of what is eaten as food: a card's dose is no measure of a meal, all else holds. */
    static List<Finding> checkFood(Product product, Person person, Intake intake, LocalDate on) {
        return check(new Case(product, person, intake, on), FoodGate::of);
    }

    private static List<Finding> check(Case c, BiConsumer<Case, Product.Herb> amount) {
        ProductGate.before(c);
        for (Product.Herb herb : c.product.herbs()) {
            ConstituentGate.of(c, herb);
            PersonGate.of(c, herb.taxon());
            amount.accept(c, herb);
        }
        PersonGate.lingering(c);
        DoseGate.sums(c);
        PersonGate.anyway(c);
        ProductGate.traits(c);
        firstTime(c);
        return c.findings;
    }

    private static void firstTime(Case c) {
        // Nobody is asked to try what is stopped for them.
        if (!c.intake.trialDone() && !c.intake.forTrial() && !Finding.any(c.findings, Severity.STOP)) {
            c.hold(
                    "FIRST_TIME",
                    c.person.name() + " has not had a first small trial of every plant in it.",
                    c.byMouth()
                            ? "Take one small dose, wait a day, and record how it went."
                            : "Try it on a small patch of skin, wait a day, and record how it went.");
        }
    }
}
