package org.sallowbrook.core.herbarium;

import java.util.ArrayList;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.CharacterDefinition.Organ;
import org.sallowbrook.core.herbarium.Taxon.Caution;
import org.sallowbrook.core.herbarium.Taxon.Constituent;
import org.sallowbrook.core.herbarium.Taxon.DoseRange;
import org.sallowbrook.core.herbarium.Taxon.Route;
import org.sallowbrook.core.measure.Interval;

/** Invented cards for tests of the rules; nothing here is a plant. */
public final class Cards {

    public static final Source SOURCE =
            new Source("An invented book", 2020, Source.Evidence.OFFICIAL_MONOGRAPH, Source.Review.STARTER);

    private static final Organ[] ORGANS = {Organ.LEAF, Organ.STEM, Organ.FLOWER, Organ.FRUIT};

    private Cards() {}

    /** Characters c0..cn-1 with states a, b, c on four organs in turn. */
    public static List<CharacterDefinition> vocabulary(int n) {
        List<CharacterDefinition> all = new ArrayList<>();
        for (int i = 0; i < n; i++) {
            all.add(character("c" + i, ORGANS[i % ORGANS.length], false));
        }
        all.add(character("smell", Organ.SCENT, true));
        return all;
    }

    public static CharacterDefinition character(String id, Organ organ, boolean scent) {
        return new CharacterDefinition(
                id,
                id,
                organ,
                "look",
                EnumSet.allOf(LifeStage.class),
                Set.of(Group.PLANT),
                Set.of(),
                scent,
                1,
                0.03,
                "part of its build",
                List.of(
                        new CharacterDefinition.State("a", "state a"),
                        new CharacterDefinition.State("b", "state b"),
                        new CharacterDefinition.State("c", "state c")));
    }

    /** A leaf character that is not counted on a wet plant. */
    public static CharacterDefinition hiddenWhenWet(String id) {
        CharacterDefinition c = character(id, Organ.LEAF, false);
        return new CharacterDefinition(
                c.id(),
                c.name(),
                c.organ(),
                c.howToLook(),
                c.stages(),
                c.groups(),
                Set.of(LookingCondition.WET),
                c.scent(),
                c.cost(),
                c.error(),
                c.fixed(),
                c.states());
    }

    /** A card being written. */
    public static final class Builder {
        private final String id;
        private Danger danger = Danger.HARMLESS;
        private boolean draft;
        private boolean genusEnough;
        private Group group = Group.PLANT;
        private boolean checked = true;
        private final List<Taxon.Shown> shown = new ArrayList<>();
        private final List<Taxon.LookAlike> lookAlikes = new ArrayList<>();
        private final List<Taxon.UsedPart> parts = new ArrayList<>();
        private final List<Taxon.Content> contents = new ArrayList<>();
        private @Nullable Interval moisture;
        private Taxon.@Nullable TeaAdvice tea;
        private String lifeForm = "herb";
        private String family = "Poaceae";
        private Taxon.Origin origin = Taxon.Origin.NATIVE;
        private boolean halfParasite;
        private String sexes = "";
        private final List<Taxon.Food> foods = new ArrayList<>();
        private Set<Constituent> constituents = Set.of();
        private final List<Taxon.Action> actions = new ArrayList<>();
        private final List<Taxon.Use> uses = new ArrayList<>();
        private final List<Caution> cautions = new ArrayList<>();
        private final Map<LifeStage, Set<Integer>> months = new HashMap<>(Map.of(LifeStage.FLOWERING, Set.of(6, 7)));

        private Builder(String id) {
            this.id = id;
        }

        private @org.jspecify.annotations.Nullable String name;
        private @org.jspecify.annotations.Nullable String commonName;

        public Builder named(String value) {
            name = value;
            return this;
        }

        public Builder called(String value) {
            commonName = value;
            return this;
        }

        public Builder danger(Danger value) {
            danger = value;
            return this;
        }

        public Builder genusEnough(boolean value) {
            genusEnough = value;
            return this;
        }

        public Builder group(Group value) {
            group = value;
            return this;
        }

        public Builder draft() {
            draft = true;
            return this;
        }

        public Builder lookAlikesUnchecked() {
            checked = false;
            return this;
        }

        public Builder always(String state, String... characters) {
            for (String character : characters) {
                shown.add(new Taxon.Shown(
                        character, Set.of(LifeStage.FLOWERING), Set.of(), Map.of(state, Frequency.ALWAYS)));
            }
            return this;
        }

        public Builder showsAt(LifeStage stage, String state, String... characters) {
            for (String character : characters) {
                shown.add(new Taxon.Shown(character, Set.of(stage), Set.of(), Map.of(state, Frequency.ALWAYS)));
            }
            return this;
        }

        public Builder months(LifeStage stage, Set<Integer> when) {
            months.put(stage, when);
            return this;
        }

        public Builder shows(String character, Map<String, Frequency> states) {
            shown.add(new Taxon.Shown(character, Set.of(LifeStage.FLOWERING), Set.of(), states));
            return this;
        }

        public Builder lookAlike(String taxon, String... decisive) {
            lookAlikes.add(new Taxon.LookAlike(taxon, List.of(decisive), Set.of(LifeStage.FLOWERING), "differs"));
            return this;
        }

        /** Water of the next parts as they are picked, wet basis. */
        public Builder moisture(Interval value) {
            moisture = value;
            return this;
        }

        /** Of the next part. */
        public Builder content(Taxon.Content content) {
            contents.add(content);
            return this;
        }

        public Builder part(double perPlant, double ofStand, Set<Route> routes, DoseRange... doses) {
            return part(Taxon.Part.HERB, null, null, perPlant, ofStand, routes, doses);
        }

        /** A part that wants plants of an age, or a frost. */
        public Builder part(Taxon.Part part, @Nullable Integer leastAgeYears, Taxon.@Nullable Frost frost) {
            return part(part, leastAgeYears, frost, 0.5, 0.4, Set.of(Route.INTERNAL));
        }

        private Builder part(
                Taxon.Part part,
                @Nullable Integer leastAgeYears,
                Taxon.@Nullable Frost frost,
                double perPlant,
                double ofStand,
                Set<Route> routes,
                DoseRange... doses) {
            parts.add(new Taxon.UsedPart(
                    part,
                    new Taxon.Gathering(
                            "in flower",
                            Set.of(LifeStage.FLOWERING),
                            Set.of(6, 7),
                            perPlant,
                            ofStand,
                            null,
                            leastAgeYears,
                            frost,
                            "cut",
                            "a knife"),
                    new Taxon.Drying(moisture, null, null, false),
                    new Taxon.Keeping(null, null, null),
                    new Taxon.Using(routes, null, tea, List.of(doses), List.copyOf(contents)),
                    SOURCE));
            return this;
        }

        /** Of the parts that are named after it. */
        public Builder tea(Taxon.@Nullable TeaAdvice value) {
            tea = value;
            return this;
        }

        public Builder food(String what, String limit) {
            foods.add(new Taxon.Food(what, limit, SOURCE));
            return this;
        }

        public Builder origin(Taxon.Origin value) {
            origin = value;
            return this;
        }

        public Builder halfParasite() {
            halfParasite = true;
            return this;
        }

        public Builder sexes(String how) {
            sexes = how;
            return this;
        }

        public Builder family(String latin) {
            family = latin;
            return this;
        }

        public Builder lifeForm(String form) {
            lifeForm = form;
            return this;
        }

        public Builder holds(Constituent... all) {
            constituents = Set.of(all);
            return this;
        }

        public Builder acts(String action) {
            actions.add(new Taxon.Action(action, SOURCE));
            return this;
        }

        /** Known of these parts only. */
        public Builder useOf(String name, Taxon.Part... of) {
            uses.add(new Taxon.Use(
                    name,
                    Route.INTERNAL,
                    Taxon.Potency.GENTLE,
                    Set.of(of),
                    false,
                    new Source("A book", 2020, Source.Evidence.OFFICIAL_MONOGRAPH, Source.Review.STARTER)));
            return this;
        }

        public Builder use(String name, Taxon.Potency potency, Source.Evidence evidence) {
            uses.add(new Taxon.Use(
                    name,
                    Route.INTERNAL,
                    potency,
                    EnumSet.allOf(Taxon.Part.class),
                    false,
                    new Source("A book", 2020, evidence, Source.Review.STARTER)));
            return this;
        }

        public Builder grave(String use) {
            uses.add(new Taxon.Use(
                    use, Route.INTERNAL, Taxon.Potency.GENTLE, EnumSet.allOf(Taxon.Part.class), true, SOURCE));
            return this;
        }

        public Builder caution(
                Taxon.Subject subject,
                String value,
                Taxon.CautionStatus status,
                org.sallowbrook.core.measure.Severity severity) {
            cautions.add(new Caution(subject, value, status, severity, "an effect", SOURCE));
            return this;
        }

        public Taxon build() {
            return new Taxon(
                    id,
                    draft,
                    new Taxon.Naming(
                            name == null ? "Genus " + id : name,
                            "Auth.",
                            List.of("Oldgenus " + id),
                            List.of(commonName == null ? "common " + id : commonName),
                            Set.of(),
                            family,
                            group,
                            genusEnough),
                    new Taxon.Growth(lifeForm, origin, Set.of("isle"), "anywhere", "", halfParasite, sexes, ""),
                    new Taxon.Harm(danger, Map.of(), ""),
                    new Taxon.Looks(months, shown, lookAlikes, checked),
                    new Taxon.Usage(parts, constituents, actions, uses, foods),
                    cautions,
                    SOURCE);
        }
    }

    public static Builder card(String id) {
        return new Builder(id);
    }

    public static DoseRange dose(String use, int fromAge, double low, double high, Integer mostDays) {
        return new DoseRange(use, Route.INTERNAL, "tincture", fromAge, Interval.of(low, high), mostDays, SOURCE);
    }
}
