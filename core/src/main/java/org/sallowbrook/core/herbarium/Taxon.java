package org.sallowbrook.core.herbarium;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Condition;
import org.sallowbrook.core.household.MedicineClass;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Severity;

/**
 * The card of one plant, by what is asked of it. Figures that nobody could source are null; null never reads as safe.
 *
 * @param id lower case with hyphens
 * @param draft visible and tellable, not harvestable
 */
public record Taxon(
        String id,
        boolean draft,
        Naming naming,
        Growth growth,
        Harm harm,
        Looks looks,
        Usage usage,
        List<Caution> cautions,
        Source source) {

    /**
     * How it is called and where it stands among plants.
     *
     * @param ambiguousNames those of the common names that other plants bear as well
     * @param group which organs it can have at all
     * @param genusEnough whether the whole genus serves
     */
    public record Naming(
            String name,
            String author,
            List<String> olderNames,
            List<String> commonNames,
            Set<String> ambiguousNames,
            String family,
            Group group,
            boolean genusEnough) {
        public Naming {
            ambiguousNames = sorted(ambiguousNames);
        }
    }

    /**
     * Where and how it grows.
     *
     * @param sexes how male and female plants differ in use; empty when they do not
     * @param winterTells what shows the place when it has died back; empty when unknown
     */
    public record Growth(
            String lifeForm,
            Origin origin,
            Set<String> regions,
            String habitat,
            String protection,
            boolean halfParasite,
            String sexes,
            String winterTells) {
        public Growth {
            regions = sorted(regions);
        }
    }

    /**
     * What it does to whoever meets or mistakes it.
     *
     * @param hazards by kind
     * @param washing how it is washed off; empty when there is nothing to wash
     */
    public record Harm(Danger danger, Map<Hazard, String> hazards, String washing) {}

    /**
     * What it looks like, and what it is taken for.
     *
     * @param months by stage, the calendar months in which it is seen at the reference latitude
     * @param checked whether somebody went through the list of look-alikes for completeness
     */
    public record Looks(
            Map<LifeStage, Set<Integer>> months, List<Shown> characters, List<LookAlike> lookAlikes, boolean checked) {

        Looks also(LookAlike likeness) {
            List<LookAlike> all = new java.util.ArrayList<>(lookAlikes);
            all.add(likeness);
            return new Looks(months, characters, all, checked);
        }
    }

    /** What it is gathered for, and what it holds. */
    public record Usage(
            List<UsedPart> parts,
            Set<Constituent> constituents,
            List<Action> actions,
            List<Use> uses,
            List<Food> foods) {}

    private static Set<String> sorted(Set<String> words) {
        return java.util.Collections.unmodifiableSet(new java.util.TreeSet<>(words));
    }

    /** PRESENT before UNKNOWN before NONE_FOUND; of those present the severest first. */
    static final Comparator<Caution> STRICTEST = Comparator.comparing((Caution c) -> switch (c.status()) {
                case PRESENT -> 0;
                case UNKNOWN -> 1;
                case NONE_FOUND -> 2;
            })
            .thenComparing(c -> c.severity() == null ? Severity.NOTE : c.severity());

    public enum Origin {
        NATIVE,
        INTRODUCED,
        /** Take all of it, and dispose of it so that it can't regrow. */
        INVASIVE,
        CULTIVATED
    }

    public enum Hazard {
        SWALLOWED,
        SKIN,
        DUST,
        POLLEN,
        LIVESTOCK,
        PETS
    }

    /**
     * The states one character takes at some stages.
     *
     * @param under conditions of looking that all must hold; empty for ordinary ones
     * @param never why no individual shows anything else, the card's own second reading; empty for none
     */
    public record Shown(
            String character,
            Set<LifeStage> stages,
            Set<LookingCondition> under,
            Map<String, Frequency> states,
            String never) {

        public Shown(
                String character, Set<LifeStage> stages, Set<LookingCondition> under, Map<String, Frequency> states) {
            this(character, stages, under, states, "");
        }

        /**
         * The line as a dangerous card may be relied on. "Never" is a promise about every individual, the young, the
         * shaded, the grazed and the withered too. Where neither the vocabulary nor the card says why it holds, what is
         * not listed stays possible and excludes nothing.
         */
        public Shown asPromised(CharacterDefinition definition) {
            int open = definition.states().size() - states.size();
            if (open <= 0 || !definition.fixed().isEmpty() || !never.isEmpty()) {
                return this;
            }
            Map<String, Frequency> all = new java.util.LinkedHashMap<>();
            states.forEach((s, f) -> all.put(s, f.word() == Frequency.Word.ALWAYS ? Frequency.usual(1) : f));
            definition.states().forEach(s -> all.putIfAbsent(s.id(), Frequency.possible(open)));
            return new Shown(character, stages, under, all, never);
        }
    }

    /**
     * @param decisive characters that tell the two apart for sure where they can be seen
     * @param tellable stages at which six characters or more tell them apart; none: never alone by looking
     */
    public record LookAlike(String taxon, List<String> decisive, Set<LifeStage> tellable, String tells) {}

    public enum Part {
        TOPS,
        LEAF,
        FLOWER,
        FLOWER_HEAD,
        HERB,
        ROOT,
        BARK,
        FRUIT,
        SEED,
        SHOOT,
        THALLUS,
        FRUIT_BODY
    }

    /** When fruit is picked. */
    public enum Frost {
        BEFORE,
        AFTER,
        EITHER
    }

    public enum Route {
        INTERNAL,
        EXTERNAL
    }

    /**
     * When it is gathered, how, and how much of it.
     *
     * @param sharePerPlant of the part on each plant, 0..1
     * @param shareOfStand of the plants of a stand, 0..1
     * @param degreeDays window of warmth since 1 January, base 5 degrees C; null when unknown
     * @param leastAgeYears of the plant; null when it does not matter
     * @param frost null when it does not matter
     */
    public record Gathering(
            String moment,
            Set<LifeStage> stages,
            Set<Integer> months,
            double sharePerPlant,
            double shareOfStand,
            @Nullable Interval degreeDays,
            @Nullable Integer leastAgeYears,
            @Nullable Frost frost,
            String method,
            String tools) {}

    /**
     * As it comes in, and how it is dried.
     *
     * @param freshMoisture wet basis; null when unknown
     * @param freshBulkDensityGPerMl null when unknown
     * @param dryAtC nominal temperature; null when unknown
     */
    public record Drying(
            @Nullable Interval freshMoisture,
            @Nullable Interval freshBulkDensityGPerMl,
            @Nullable Double dryAtC,
            boolean aromatic) {}

    /**
     * In the jar.
     *
     * @param bulkDensityGPerMl dried and cut; null when unknown
     * @param storageMonths of the dried part; null for the form's own life
     * @param ageingMonths held back after drying before use; null for none
     */
    public record Keeping(
            @Nullable Interval bulkDensityGPerMl,
            @Nullable Integer storageMonths,
            @Nullable Integer ageingMonths) {}

    /** What is made of it and how much is taken. */
    public record Using(
            Set<Route> routes,
            @Nullable SpiritAdvice spirit,
            @Nullable TeaAdvice tea,
            List<DoseRange> doses,
            List<Content> contents) {}

    /** A part that is used. What a household's card may make of each field is in {@link PartField}. */
    public record UsedPart(
            Part part, Gathering gathering, Drying drying, Keeping keeping, Using using, Source source) {}

    /**
     * How much of a constituent class the dried part holds.
     *
     * @param mgPerG of dried part
     * @param mostMgPerDay from everything taken together; null when the source sets none
     * @param mostMgPerKgPerDay the same for each kg of body; null when the source sets none
     */
    public record Content(
            Constituent constituent,
            Interval mgPerG,
            @Nullable Double mostMgPerDay,
            @Nullable Double mostMgPerKgPerDay,
            Source source) {}

    /** @param menstruumPercent by volume, as poured */
    public record SpiritAdvice(double ratio, double menstruumPercent, Source source) {}

    /** @param method INFUSION, DECOCTION, LONG_INFUSION or COLD_MACERATION */
    public record TeaAdvice(String method, double minutes, double gramsPerCup, double cupMl, Source source) {}

    /**
     * @param driedGPerDay grams of dried herb a day
     * @param mostDays longest course; null when the source sets none
     */
    public record DoseRange(
            String use,
            Route route,
            String form,
            int fromAgeYears,
            Interval driedGPerDay,
            @Nullable Integer mostDays,
            Source source) {}

    public enum Constituent {
        SALICYLATE,
        PYRROLIZIDINE,
        HYPERFORIN,
        TANNIN,
        MUCILAGE,
        VOLATILE_OIL,
        CARDIAC_GLYCOSIDE,
        COUMARIN,
        BITTER,
        SAPONIN,
        ANTHRANOID,
        THUJONE,
        FLAVONOID,
        SESQUITERPENE_LACTONE,
        /** Of arnica: poisonous swallowed, harmless enough on whole skin. */
        HELENALIN,
        IRIDOID;

        /** Whether taking a plant that holds it does harm, however harmless the plant is to the touch. */
        public boolean harmsWhenTaken() {
            return this == PYRROLIZIDINE || this == HELENALIN;
        }
    }

    public record Action(String name, Source source) {}

    /** How strongly a use acts: what is tried first is gentle. */
    public enum Potency {
        GENTLE,
        MODERATE,
        STRONG
    }

    /** @param limit how much is too much and what to throw away; empty when the source sets none */
    public record Food(String what, String limit, Source source) {}

    /**
     * @param parts that are used for it, as far as the source says; what is known of a root says nothing of the leaf
     * @param grave a claim about grave illness: kept, attributed, and never built on
     */
    public record Use(String name, Route route, Potency potency, Set<Part> parts, boolean grave, Source source) {

        /** With another source, or its review. */
        Use from(Source other) {
            return new Use(name, route, potency, parts, grave, other);
        }

        boolean called(String other) {
            return name.equalsIgnoreCase(other);
        }
    }

    /** Three-state. What a card does not list is {@link #UNKNOWN}. */
    public enum CautionStatus {
        NONE_FOUND,
        UNKNOWN,
        PRESENT
    }

    public enum Subject {
        PREGNANCY,
        BREAST_FEEDING,
        UNDER_AGE,
        CONDITION,
        MEDICINE,
        ALLERGY_FAMILY,
        OPERATION,
        SUN,
        DRIVING
    }

    /**
     * @param value trimester, age in years, condition or medicine class; empty for all
     * @param severity what the gate raises when PRESENT; null otherwise
     */
    public record Caution(
            Subject subject,
            String value,
            CautionStatus status,
            @Nullable Severity severity,
            String effect,
            Source source) {}

    public Optional<UsedPart> usedPart(Part part) {
        return parts().stream().filter(p -> p.part() == part).findFirst();
    }

    /** Whether the card tells this use of this part; also when it does not know the use at all. */
    public boolean uses(String use, Part part) {
        List<Use> named = uses().stream().filter(u -> u.called(use)).toList();
        return named.isEmpty() || named.stream().anyMatch(u -> u.parts().contains(part));
    }

    public Optional<LookAlike> lookAlike(String taxon) {
        return lookAlikes().stream().filter(l -> l.taxon().equals(taxon)).findFirst();
    }

    /** The states a character takes at a stage under ordinary conditions; null when the card does not describe it. */
    public @Nullable Map<String, Frequency> statesOf(String character, LifeStage stage) {
        return statesOf(character, stage, Set.of());
    }

    /** As {@link #statesOf(String, LifeStage)}; the line that names most of the conditions wins. */
    public @Nullable Map<String, Frequency> statesOf(
            String character, LifeStage stage, Set<LookingCondition> conditions) {
        Shown best = null;
        for (Shown shown : characters()) {
            if (shown.character().equals(character)
                    && shown.stages().contains(stage)
                    && conditions.containsAll(shown.under())
                    && (best == null || shown.under().size() > best.under().size())) {
                best = shown;
            }
        }
        return best == null ? null : best.states();
    }

    /** The state most often shown of each character at a stage: what a picture of it shows. */
    public Map<String, String> usual(LifeStage stage) {
        Map<String, String> usual = new java.util.LinkedHashMap<>();
        for (Shown shown : characters()) {
            if (shown.under().isEmpty() && shown.stages().contains(stage)) {
                shown.states().entrySet().stream()
                        .max(java.util.Comparator.comparingDouble(
                                e -> e.getValue().share()))
                        .ifPresent(e -> usual.putIfAbsent(shown.character(), e.getKey()));
            }
        }
        return usual;
    }

    /** This card with one more look-alike, as a household's own card names it. */
    Taxon alsoLikened(LookAlike likeness) {
        return new Taxon(id, draft, naming, growth, harm, looks.also(likeness), usage, cautions, source);
    }

    /** Equal cards have one id; to hash all of a card for each set it stands in takes longer than what is asked of the set. */
    @Override
    public int hashCode() {
        return id.hashCode();
    }

    /** Poisonous, deadly, or rich in a poison that taking it brings out: a risk to whatever is gathered for the mouth. */
    public boolean harmsWhenTaken() {
        return danger().dangerous() || constituents().stream().anyMatch(Constituent::harmsWhenTaken);
    }

    /**
     * Whether this one must not be mistaken for the other. What is only ever gathered for the skin need not be told from
     * what is harmful only when swallowed.
     */
    public boolean mustBeToldFrom(Taxon other) {
        boolean skinOnly = !parts().isEmpty()
                && parts().stream().noneMatch(p -> p.using().routes().contains(Route.INTERNAL));
        return other.danger().dangerous() || (other.harmsWhenTaken() && !skinOnly);
    }

    /** Whether its card says that it is not protected in most places, or it is grown: then its stands bear a beginner. */
    public boolean plentiful() {
        return protection().startsWith("Not protected") || origin() == Origin.CULTIVATED;
    }

    /** First word of the name. */
    public String genus() {
        int end = name().indexOf(' ');
        return end < 0 ? name() : name().substring(0, end);
    }

    public String commonName() {
        return commonNames().isEmpty() ? name() : commonNames().get(0);
    }

    /** What the card says of a subject: of several entries the strictest, whatever their order. */
    public Optional<Caution> caution(Subject subject, String value) {
        return cautions.stream()
                .filter(c -> c.subject() == subject
                        && (c.value().isEmpty() || c.value().equals(value)))
                .min(STRICTEST);
    }

    /** The strictest entry on age that speaks of somebody so old; empty when none does. */
    public Optional<Caution> underAge(int ageYears) {
        List<Caution> all =
                cautions.stream().filter(c -> c.subject() == Subject.UNDER_AGE).toList();
        Optional<Caution> speaks = all.stream()
                .filter(c -> c.status() == CautionStatus.PRESENT)
                .filter(c -> c.value().isEmpty() || ageYears < Integer.parseInt(c.value()))
                .min(STRICTEST);
        // An age from which it is allowed has been looked up; silence about the rest is not unknown.
        return speaks.isPresent()
                ? speaks
                : all.stream()
                        .filter(c -> c.status() != CautionStatus.PRESENT)
                        .min(STRICTEST)
                        .or(() -> all.stream()
                                .findFirst()
                                .map(c -> new Caution(
                                        c.subject(),
                                        c.value(),
                                        CautionStatus.NONE_FOUND,
                                        null,
                                        c.effect(),
                                        c.source())));
    }

    public Optional<Caution> caution(MedicineClass medicine) {
        return caution(Subject.MEDICINE, medicine.name());
    }

    public Optional<Caution> caution(Condition condition) {
        return caution(Subject.CONDITION, condition.name());
    }

    // What is asked so often that the way there would only be in the way.

    public String name() {
        return naming.name();
    }

    public String author() {
        return naming.author();
    }

    public List<String> olderNames() {
        return naming.olderNames();
    }

    public List<String> commonNames() {
        return naming.commonNames();
    }

    public Set<String> ambiguousNames() {
        return naming.ambiguousNames();
    }

    public String family() {
        return naming.family();
    }

    public Group group() {
        return naming.group();
    }

    public boolean genusEnough() {
        return naming.genusEnough();
    }

    /** Leaves in the first year, flowers and seed in the second, then dead. */
    public boolean biennial() {
        return lifeForm().equals("biennial herb");
    }

    public String lifeForm() {
        return growth.lifeForm();
    }

    public Origin origin() {
        return growth.origin();
    }

    public Set<String> regions() {
        return growth.regions();
    }

    public String habitat() {
        return growth.habitat();
    }

    public String protection() {
        return growth.protection();
    }

    public boolean halfParasite() {
        return growth.halfParasite();
    }

    public String sexes() {
        return growth.sexes();
    }

    public String winterTells() {
        return growth.winterTells();
    }

    public Danger danger() {
        return harm.danger();
    }

    public Map<Hazard, String> hazards() {
        return harm.hazards();
    }

    public String washing() {
        return harm.washing();
    }

    public Map<LifeStage, Set<Integer>> months() {
        return looks.months();
    }

    public List<Shown> characters() {
        return looks.characters();
    }

    public List<LookAlike> lookAlikes() {
        return looks.lookAlikes();
    }

    public List<UsedPart> parts() {
        return usage.parts();
    }

    public Set<Constituent> constituents() {
        return usage.constituents();
    }

    public List<Action> actions() {
        return usage.actions();
    }

    public List<Use> uses() {
        return usage.uses();
    }

    public List<Food> foods() {
        return usage.foods();
    }

    public boolean lookAlikesChecked() {
        return looks.checked();
    }
}
