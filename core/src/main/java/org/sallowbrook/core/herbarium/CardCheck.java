package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Herbarium.Problem;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.household.PlantFamily;
import org.sallowbrook.core.measure.Interval;

/** Everything a card may have wrong, all of it at once. */
final class CardCheck {

    private static final int LEAST_CHARACTERS = 6;

    private final Herbarium herbarium;
    /** Wet basis. Nothing that grows is drier than a ripe seed, or wetter than a cucumber by more than a little. */
    private static final double LEAST_FRESH_MOISTURE = 0.05;

    private static final double MOST_FRESH_MOISTURE = 0.97;

    /** No monograph gives more of any dried herb. */
    private static final double MOST_G_A_DAY = 100;

    private final List<Problem> problems = new ArrayList<>();

    CardCheck(Herbarium herbarium) {
        this.herbarium = herbarium;
    }

    List<Problem> problems(Taxon taxon) {
        names(taxon);
        typed(taxon);
        characters(taxon);
        lookAlikes(taxon);
        use(taxon);
        if (!taxon.draft()) {
            missing(taxon).forEach(m -> wrong(taxon, "draft", m + ": a card without it is a draft"));
        }
        return List.copyOf(problems);
    }

    private void names(Taxon taxon) {
        if (!taxon.id().matches("[a-z][a-z0-9-]{1,78}[a-z0-9]")) {
            wrong(taxon, "id", "the id must be lower case with hyphens, 3 to 80 letters");
        }
        if (taxon.commonNames().isEmpty()) {
            wrong(taxon, "commonNames", "has no common name");
        }
        if (!new HashSet<>(taxon.commonNames()).containsAll(taxon.ambiguousNames())) {
            wrong(taxon, "ambiguousNames", "an ambiguous name must be one of the common names");
        }
    }

    /** Values that a gate reads must be what it can read. */
    private void typed(Taxon taxon) {
        if (taxon.group() == Group.PLANT && PlantFamily.of(taxon.family()).isEmpty()) {
            wrong(taxon, "family", taxon.family() + " is no plant family known here; write it as Asteraceae");
        }
        taxon.months().forEach((stage, months) -> months(taxon, stage.name(), months));
        taxon.parts().forEach(p -> months(taxon, p.part().name(), p.gathering().months()));
        for (Taxon.Caution caution : taxon.cautions()) {
            String value = caution.value();
            boolean read = switch (caution.subject()) {
                case PREGNANCY -> value.isEmpty() || value.matches("[123]");
                case UNDER_AGE -> value.isEmpty() || value.matches("\\d{1,2}");
                case CONDITION -> isOneOf(Condition.class, value);
                case MEDICINE -> isOneOf(MedicineClass.class, value);
                case ALLERGY_FAMILY -> value.isEmpty() || PlantFamily.of(value).isPresent();
                case BREAST_FEEDING, OPERATION, SUN, DRIVING -> value.isEmpty();
            };
            if (!read) {
                wrong(
                        taxon,
                        caution.subject().name(),
                        caution.subject() + " can't have the value \"" + value + "\": no rule could read it");
            }
        }
    }

    private void months(Taxon taxon, String where, Set<Integer> months) {
        if (!months.stream().allMatch(m -> m >= 1 && m <= 12)) {
            wrong(taxon, where, where + " has a month that is not from 1 to 12");
        }
    }

    private static <E extends Enum<E>> boolean isOneOf(Class<E> type, String value) {
        return value.isEmpty()
                || EnumSet.allOf(type).stream().anyMatch(e -> e.name().equals(value));
    }

    private void characters(Taxon taxon) {
        Set<String> seen = new HashSet<>();
        for (Taxon.Shown shown : taxon.characters()) {
            CharacterDefinition definition = herbarium.character(shown.character());
            if (definition == null) {
                wrong(taxon, shown.character(), "unknown character " + shown.character());
                continue;
            }
            if (!definition.groups().contains(taxon.group())) {
                wrong(taxon, shown.character(), shown.character() + " does not exist in the group " + taxon.group());
            }
            states(taxon, shown, definition);
            for (LifeStage stage : shown.stages()) {
                if (!definition.stages().contains(stage)) {
                    wrong(taxon, shown.character(), shown.character() + " can't be seen at " + stage);
                }
                if (!seen.add(shown.character() + "@" + stage + shown.under())) {
                    wrong(taxon, shown.character(), shown.character() + " is described twice at " + stage);
                }
            }
        }
    }

    private void states(Taxon taxon, Taxon.Shown shown, CharacterDefinition definition) {
        for (String state : shown.states().keySet()) {
            if (!definition.has(state)) {
                wrong(taxon, shown.character(), "unknown state " + state + " of " + shown.character());
            }
        }
        if (shown.states().isEmpty()) {
            wrong(taxon, shown.character(), shown.character() + " has no state");
        }
        if (shown.states().size() > 1 && shown.states().containsValue(Frequency.ALWAYS)) {
            wrong(taxon, shown.character(), shown.character() + " has a state 'always' beside others");
        }
    }

    private void lookAlikes(Taxon taxon) {
        for (Taxon.LookAlike likeness : taxon.lookAlikes()) {
            Taxon other = herbarium.taxon(likeness.taxon()).orElse(null);
            if (other == null) {
                wrong(taxon, likeness.taxon(), "unknown look-alike " + likeness.taxon());
                continue;
            }
            Taxon.LookAlike back = other.lookAlike(taxon.id()).orElse(null);
            // A draft stands in nobody's way, and nobody names it.
            if (!taxon.draft() && herbarium.taxon(taxon.id()).isPresent() && back == null) {
                wrong(taxon, likeness.taxon(), likeness.taxon() + " does not name it as a look-alike back");
            }
            for (String character : likeness.decisive()) {
                if (herbarium.character(character) == null) {
                    wrong(taxon, character, "unknown decisive character " + character);
                }
            }
            for (LifeStage stage : taxon.months().keySet()) {
                contradictions(taxon, other, likeness, stage);
            }
            if (taxon.mustBeToldFrom(other) || other.mustBeToldFrom(taxon)) {
                tellable(taxon, other, likeness);
            }
        }
    }

    /** A character can't be said to decide between two plants that both may show the same of it. */
    private void contradictions(Taxon taxon, Taxon other, Taxon.LookAlike likeness, LifeStage stage) {
        for (String character : likeness.decisive()) {
            var of = taxon.statesOf(character, stage);
            var its = other.statesOf(character, stage);
            if (of != null && its != null && of.keySet().stream().anyMatch(its::containsKey)) {
                wrong(
                        taxon,
                        likeness.taxon(),
                        character + " is called decisive against " + other.id() + ", but both may show "
                                + of.keySet().stream().filter(its::containsKey).toList() + " at " + stage);
            }
        }
    }

    /** What the card says about telling a dangerous pair must be what its characters bear out, no more and no less. */
    private void tellable(Taxon taxon, Taxon other, Taxon.LookAlike likeness) {
        Set<LifeStage> found = EnumSet.noneOf(LifeStage.class);
        for (LifeStage stage : taxon.months().keySet()) {
            if (Telling.enough(herbarium, taxon, other, stage)) {
                found.add(stage);
            }
        }
        Set<LifeStage> said = EnumSet.noneOf(LifeStage.class);
        said.addAll(likeness.tellable());
        said.retainAll(taxon.months().keySet());
        if (!said.equals(found)) {
            wrong(
                    taxon,
                    likeness.taxon(),
                    "says it can be told from " + other.id() + " when " + said + "; its characters tell it when "
                            + found);
        }
    }

    private void use(Taxon taxon) {
        if (taxon.danger().dangerous() && !taxon.parts().isEmpty()) {
            wrong(taxon, "parts", "a dangerous plant may not have parts to use");
        }
        for (Taxon.Use use : taxon.uses()) {
            if (!use.grave()) {
                GraveWords.in(use.name())
                        .ifPresent(word -> wrong(
                                taxon,
                                use.name(),
                                "\"" + word
                                        + "\" names a grave illness; such a use is kept with grave: true, and nothing"
                                        + " is built on it"));
            }
        }
        for (Taxon.UsedPart part : taxon.parts()) {
            figures(taxon, part);
            if (part.using().routes().isEmpty()) {
                wrong(taxon, part.part().name(), part.part() + " allows no route");
            }
            if (part.using().doses().stream()
                    .anyMatch(d -> !part.using().routes().contains(d.route()))) {
                wrong(taxon, part.part().name(), part.part() + " has a dose by a route it does not allow");
            }
            if (!(part.gathering().sharePerPlant() > 0 && part.gathering().sharePerPlant() <= 1)
                    || !(part.gathering().shareOfStand() > 0 && part.gathering().shareOfStand() <= 1)) {
                wrong(taxon, part.part().name(), part.part() + " must have shares above 0 and at most 1");
            }
        }
        for (Taxon.Caution caution : taxon.cautions()) {
            if ((caution.status() == Taxon.CautionStatus.PRESENT) != (caution.severity() != null)) {
                wrong(taxon, caution.subject().name(), caution.subject() + " must have a severity only when present");
            }
        }
    }

    /** Figures by which everything else is reckoned must be such as a plant can have. */
    private void figures(Taxon taxon, Taxon.UsedPart part) {
        within(taxon, part, "fresh moisture", part.drying().freshMoisture(), LEAST_FRESH_MOISTURE, MOST_FRESH_MOISTURE);
        within(taxon, part, "bulk density", part.keeping().bulkDensityGPerMl(), 0.005, 1.5);
        within(taxon, part, "fresh bulk density", part.drying().freshBulkDensityGPerMl(), 0.005, 1.5);
        for (Taxon.DoseRange dose : part.using().doses()) {
            if (!(dose.driedGPerDay().high() > 0) || !(dose.driedGPerDay().high() <= MOST_G_A_DAY)) {
                wrong(
                        taxon,
                        part.part().name(),
                        part.part() + " has a dose that is not above 0 and at most " + MOST_G_A_DAY + " g a day");
            }
        }
    }

    private void within(
            Taxon taxon, Taxon.UsedPart part, String what, @Nullable Interval figure, double low, double high) {
        if (figure != null && !(figure.low() >= low && figure.high() <= high && figure.low() <= figure.high())) {
            wrong(
                    taxon,
                    part.part().name(),
                    part.part() + " has a " + what + " that no plant has: it must be from " + low + " to " + high);
        }
    }

    /** What keeps a card from being more than a draft. */
    static List<String> missing(Taxon taxon) {
        List<String> missing = new ArrayList<>(described(taxon));
        if (taxon.parts().isEmpty()) {
            return missing;
        }
        if (!taxon.lookAlikesChecked()) {
            missing.add("that what it is taken for was looked up");
        }
        missing.addAll(cautioned(taxon));
        return missing;
    }

    /** What its description lacks to be looked for. */
    static List<String> described(Taxon taxon) {
        List<String> missing = new ArrayList<>();
        if (taxon.months().isEmpty()) {
            missing.add("a month in which it is seen");
        }
        if (taxon.characters().stream().map(Taxon.Shown::character).distinct().count() < LEAST_CHARACTERS) {
            missing.add("at least " + LEAST_CHARACTERS + " characters");
        }
        return missing;
    }

    /** Of whom nothing is said who is always asked about. */
    static List<String> cautioned(Taxon taxon) {
        List<String> missing = new ArrayList<>();
        for (Taxon.Subject subject :
                List.of(Taxon.Subject.PREGNANCY, Taxon.Subject.BREAST_FEEDING, Taxon.Subject.UNDER_AGE)) {
            if (taxon.cautions().stream().noneMatch(c -> c.subject() == subject)) {
                missing.add("what is known of "
                        + subject.name().toLowerCase(java.util.Locale.ROOT).replace('_', ' '));
            }
        }
        return missing;
    }

    private void wrong(Taxon taxon, String where, String message) {
        problems.add(new Problem(taxon.id(), where, message));
    }

    /** Names the organs, for messages. */
    static Set<Organ> organs(Herbarium herbarium, List<String> characters) {
        Set<Organ> organs = EnumSet.noneOf(Organ.class);
        for (String character : characters) {
            CharacterDefinition definition = herbarium.character(character);
            if (definition != null && !definition.scent()) {
                organs.add(definition.organ().glance());
            }
        }
        return organs;
    }
}
