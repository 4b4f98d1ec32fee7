package org.sallowbrook.core.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Set;
import java.util.function.BiConsumer;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.Person;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.core.measure.Words;

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
     * @param mostPerDose the largest single dose; 0 on the skin
     * @param mostPerDay the largest day
     * @param others everything else the person takes by mouth: other courses, food, nibbling
     * @param trialDone whether this person had a first small trial of every plant in it
     * @param forTrial whether this is that trial
     * @param skin what it is put on; null when not on the skin, or not said
     * @param daysBefore days just before on which it was taken already, by {@link Exposure}
     * @param lastDay of the course; null when only a day is judged
     * @param inducerLastOn when this person last took a plant that weakens medicines; null when never, as far as known
     * @param answered plants of which a prescriber or pharmacist has said that they go with what this person takes
     */
    public record Intake(
            Way way,
            @Nullable String use,
            double mostPerDose,
            double mostPerDay,
            int courseDays,
            List<Taking> others,
            boolean trialDone,
            boolean forTrial,
            @Nullable Skin skin,
            int daysBefore,
            @Nullable LocalDate lastDay,
            @Nullable LocalDate inducerLastOn,
            Set<String> answered) {
        public Intake {
            Checks.begin()
                    .notNegative("mostPerDose", mostPerDose)
                    .notNegative("mostPerDay", mostPerDay)
                    .range("courseDays", courseDays, 1, Course.MOST_DAYS)
                    .that(daysBefore >= 0, "daysBefore", "must be at least 0")
                    .done();
            others = List.copyOf(others);
            answered = Set.copyOf(answered);
        }

        /** Nobody was asked about any plant. */
        public Intake(
                Way way,
                @Nullable String use,
                double mostPerDose,
                double mostPerDay,
                int courseDays,
                List<Taking> others,
                boolean trialDone,
                boolean forTrial,
                @Nullable Skin skin,
                int daysBefore,
                @Nullable LocalDate lastDay,
                @Nullable LocalDate inducerLastOn) {
            this(
                    way,
                    use,
                    mostPerDose,
                    mostPerDay,
                    courseDays,
                    others,
                    trialDone,
                    forTrial,
                    skin,
                    daysBefore,
                    lastDay,
                    inducerLastOn,
                    Set.of());
        }

        /** By mouth, beside nothing else, tried before. */
        public static Intake mouth(double mostPerDose, double mostPerDay, int courseDays) {
            return new Intake(
                    Way.MOUTH,
                    null,
                    mostPerDose,
                    mostPerDay,
                    courseDays,
                    List.of(),
                    true,
                    false,
                    null,
                    0,
                    null,
                    null,
                    Set.of());
        }
    }

    /** What something is put on. */
    public enum Skin {
        INTACT,
        SMALL_CLEAN_CUT,
        /** Deep, dirty, bitten, burnt, spreading, or near an eye. */
        WOUND
    }

    /** Of a day's dose; a working figure of this tool, no source says how small a first trial is. */
    private static final double TRIAL_SHARE = 0.1;

    /** Of dried herb, where the card has no dose; a working figure of this tool. */
    private static final double TRIAL_WITHOUT_A_DOSE_G = 0.2;

    private DosingGate() {}

    public static List<Finding> check(Product product, Person person, Intake intake, LocalDate on) {
        return check(new Case(product, person, intake, on, false), DoseGate::of);
    }

    /**
     * What was taken in the weeks before, judged for somebody of whom something new is known: a medicine, an illness, a child
     * on the way.
     *
     * @param taken each product by mouth, with when it was last taken
     * @param inducerLastOn as of an intake
     */
    public static List<Finding> takenBefore(
            Collection<Product> taken, Person person, @Nullable LocalDate inducerLastOn, LocalDate on) {
        Intake nothing =
                new Intake(Way.MOUTH, null, 0, 0, 1, List.of(), true, false, null, 0, null, inducerLastOn, Set.of());
        List<Finding> findings = new ArrayList<>();
        for (Product product : taken) {
            Case c = new Case(product, person, nothing, on, false);
            for (Product.Herb herb : product.herbs()) {
                ConstituentGate.of(c, herb);
                PersonGate.of(c, herb.taxon());
            }
            c.findings.stream()
                    .filter(f -> f.severity() == Severity.STOP || f.severity() == Severity.HOLD)
                    .filter(f -> findings.stream().noneMatch(k -> k.message().equals(f.message())))
                    .forEach(findings::add);
        }
        if (!taken.isEmpty() || inducerLastOn != null) {
            Product any = taken.stream().findFirst().orElse(null);
            if (any != null) {
                Case c = new Case(any, person, nothing, on, false);
                PersonGate.lingering(c);
                findings.addAll(c.findings);
            }
        }
        return findings;
    }

    /** Of what is eaten as food: a card's dose is no measure of a meal, all else holds. */
    static List<Finding> checkFood(Product product, Person person, Intake intake, LocalDate on) {
        return check(new Case(product, person, intake, on, true), FoodGate::of);
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
        if (c.intake.forTrial()) {
            trial(c);
            return;
        }
        // Nobody is asked to try what is stopped for them.
        if (!c.intake.trialDone() && !Finding.any(c.findings, Severity.STOP)) {
            c.hold(
                    "FIRST_TIME",
                    c.person.name() + " has not had a first small trial of every plant in it.",
                    c.byMouth()
                            ? "Take one small dose, wait a day, and record how it went."
                            : "Try it on a small patch of skin, wait a day, and record how it went.");
        }
    }

    /** It passes what an untried plant is held by, so it has to be small: a trial is no way to a full dose. */
    private static void trial(Case c) {
        if (!c.byMouth()) {
            if (c.intake.skin() != Skin.INTACT) {
                c.stop(
                        "TRIAL_ON_A_CUT",
                        "A first trial is made on whole skin: on a cut nobody can tell what the plant did.",
                        "Take a patch of whole skin, the size of a coin.");
            }
            return;
        }
        Interval equivalent = c.product.driedGPerUnit();
        for (Product.Herb herb : c.product.herbs()) {
            // Of what nobody knows the water of, the larger end: as if all of it were dried herb.
            double dried = c.intake.mostPerDay() * (equivalent == null ? 1 : equivalent.high()) * herb.fraction();
            // Many small ones in a day are no small one.
            if (!c.intake.trialDone()) {
                dried += c.intake.others().stream()
                        .filter(o -> o.taxon().id().equals(herb.taxon().id()) && o.driedGPerDay() != null)
                        .mapToDouble(Taking::driedGPerDay)
                        .sum();
            }
            double most = mostForTrialG(herb);
            if (!(dried > 0)) {
                c.findings.add(Finding.note(
                        "TRIAL_UNWEIGHED",
                        "How much of " + herb.taxon().commonName() + " the trial is was not weighed.",
                        "One bite, the size of a fingernail, not a handful; then wait a day."));
            } else if (dried > most) {
                c.stop(
                        "TRIAL_TOO_MUCH",
                        "A first trial is at most " + Words.grams(most) + " of dried "
                                + herb.taxon().commonName() + "; this comes to " + Words.grams(dried) + ".",
                        "Take less, a sip of the cup or a crumb, wait a day, and record how it went.");
            }
        }
    }

    /** A tenth of the least that the card gives for a day, or a working figure of this tool where it gives nothing. */
    private static double mostForTrialG(Product.Herb herb) {
        return herb.taxon().usedPart(herb.part()).stream()
                        .flatMap(p -> p.using().doses().stream())
                        .filter(d -> d.route() == Taxon.Route.INTERNAL)
                        .mapToDouble(d -> d.driedGPerDay().low())
                        .filter(g -> g > 0)
                        .min()
                        .orElse(TRIAL_WITHOUT_A_DOSE_G / TRIAL_SHARE)
                * TRIAL_SHARE;
    }
}
