package org.sallowbrook.core.herbarium;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.sallowbrook.core.herbarium.Herbarium.Problem;

/**
 * What a household may not do to a card that ships: make a plant look safer than the card says. Names, places, months,
 * figures and further cautions are its own.
 */
public final class OwnCardRules {

    private OwnCardRules() {}

    /** Everything in the household's card that would weaken the shipped one. */
    public static List<Problem> weakened(Taxon shipped, Taxon own) {
        List<Problem> problems = new ArrayList<>();
        if (own.danger().ordinal() < shipped.danger().ordinal()) {
            wrong(problems, own, "danger", "may not be called less dangerous than " + shipped.danger());
        }
        if (!own.family().equals(shipped.family()) || own.group() != shipped.group()) {
            wrong(problems, own, "family", "the family is " + shipped.family() + ": allergies are judged by it");
        }
        if (!own.name().equals(shipped.name())) {
            wrong(
                    problems,
                    own,
                    "name",
                    "is the card of " + shipped.name() + "; another plant needs a card of its own");
        }
        if (!own.characters().equals(shipped.characters())) {
            wrong(problems, own, "characters", "its characters are fixed: verdicts rest on them");
        }
        if (!own.regions().equals(shipped.regions())) {
            wrong(problems, own, "regions", "its regions are fixed: what it must be told from follows from them");
        }
        if (!own.lifeForm().equals(shipped.lifeForm())) {
            wrong(
                    problems,
                    own,
                    "lifeForm",
                    "it is known as \"" + shipped.lifeForm() + "\": how long a staked plant is known goes by that");
        }
        if (own.genusEnough() && !shipped.genusEnough()) {
            wrong(problems, own, "genusEnough", "the genus is not enough for this plant");
        }
        if (own.lookAlikesChecked() && !shipped.lookAlikesChecked()) {
            wrong(problems, own, "lookAlikesChecked", "the list of look-alikes was not checked");
        }
        if (shipped.halfParasite() && !own.halfParasite()) {
            wrong(problems, own, "halfParasite", "it stays a half-parasite");
        }
        if (!own.hazards().keySet().containsAll(shipped.hazards().keySet())) {
            wrong(problems, own, "hazards", "hazards must stay");
        }
        if (own.draft() != shipped.draft()) {
            wrong(problems, own, "draft", "a card that ships can't be made a draft, nor a draft whole");
        }
        for (Taxon.LookAlike likeness : shipped.lookAlikes()) {
            Taxon.LookAlike kept = own.lookAlike(likeness.taxon()).orElse(null);
            if (kept == null || !likeness.decisive().containsAll(kept.decisive())) {
                wrong(
                        problems,
                        own,
                        kept == null ? "lookAlikes" : likeness.taxon(),
                        "the look-alike " + likeness.taxon() + " must stay, with no further decisive characters");
            }
        }
        if (!own.constituents().containsAll(shipped.constituents())) {
            wrong(problems, own, "constituents", "constituents must stay: safety rules follow from them");
        }
        Set<String> actions =
                Set.copyOf(own.actions().stream().map(Taxon.Action::name).toList());
        if (!actions.containsAll(
                shipped.actions().stream().map(Taxon.Action::name).toList())) {
            wrong(problems, own, "actions", "actions must stay: cautions follow from them");
        }
        cautions(shipped, own, problems);
        uses(shipped, own, problems);
        return problems;
    }

    private static void cautions(Taxon shipped, Taxon own, List<Problem> problems) {
        for (Taxon.Caution caution : shipped.cautions()) {
            boolean kept = own.cautions().stream()
                    .anyMatch(c -> c.subject() == caution.subject()
                            && c.value().equals(caution.value())
                            && asStrict(c, caution));
            if (!kept) {
                wrong(
                        problems,
                        own,
                        caution.subject().name(),
                        ("the caution about "
                                                + caution.subject()
                                                        .name()
                                                        .toLowerCase(Locale.ROOT)
                                                        .replace('_', ' ') + " "
                                                + caution.value())
                                        .strip()
                                + " must stay as strict as it is");
            }
        }
    }

    private static boolean asStrict(Taxon.Caution own, Taxon.Caution shipped) {
        if (shipped.status() != Taxon.CautionStatus.PRESENT) {
            return true;
        }
        return own.status() == Taxon.CautionStatus.PRESENT
                && own.severity() != null
                && shipped.severity() != null
                && own.severity().ordinal() <= shipped.severity().ordinal();
    }

    private static void uses(Taxon shipped, Taxon own, List<Problem> problems) {
        for (Taxon.UsedPart part : own.parts()) {
            Taxon.UsedPart known = shipped.usedPart(part.part()).orElse(null);
            if (known != null) {
                PartField.refusals(known, part)
                        .forEach(why -> wrong(problems, own, part.part().name(), why));
            }
            if (known == null && part.using().routes().contains(Taxon.Route.INTERNAL) && outsideOnly(shipped)) {
                wrong(problems, own, part.part().name(), "nothing of this plant may be taken by mouth");
            }
            if (shipped.danger().dangerous()) {
                wrong(problems, own, "parts", "a dangerous plant may not have parts to use");
            }
        }
        for (Taxon.Use use : shipped.uses()) {
            if (use.grave() && own.uses().stream().anyMatch(u -> u.name().equalsIgnoreCase(use.name()) && !u.grave())) {
                wrong(problems, own, use.name(), use.name() + " is a grave illness and stays marked so");
            }
        }
    }

    /**
     * The household's version of a shipped card as the rules see it: of every two statements the stricter one, so that neither
     * a card saved before a rule was known nor a shipped card that has since become stricter weakens anything.
     */
    public static Taxon strictest(Taxon shipped, Taxon own) {
        List<Taxon.LookAlike> likenesses = new ArrayList<>(shipped.lookAlikes());
        own.lookAlikes().stream()
                .filter(l -> shipped.lookAlike(l.taxon()).isEmpty())
                .forEach(likenesses::add);
        Map<Taxon.Hazard, String> hazards = new LinkedHashMap<>(own.hazards());
        hazards.putAll(shipped.hazards());
        List<Taxon.Caution> cautions = new ArrayList<>(own.cautions());
        shipped.cautions().stream().filter(c -> !cautions.contains(c)).forEach(cautions::add);
        List<Taxon.Action> actions = new ArrayList<>(own.actions());
        shipped.actions().stream()
                .filter(a -> actions.stream().noneMatch(o -> o.name().equals(a.name())))
                .forEach(actions::add);
        return new Taxon(
                shipped.id(),
                shipped.draft(),
                new Taxon.Naming(
                        shipped.name(),
                        shipped.author(),
                        union(shipped.olderNames(), own.olderNames()),
                        shipped.danger().dangerous()
                                ? union(shipped.commonNames(), own.commonNames())
                                : union(own.commonNames(), shipped.commonNames()),
                        Set.copyOf(union(List.copyOf(shipped.ambiguousNames()), List.copyOf(own.ambiguousNames()))),
                        shipped.family(),
                        shipped.group(),
                        shipped.genusEnough() && own.genusEnough()),
                new Taxon.Growth(
                        shipped.lifeForm(),
                        own.origin(),
                        shipped.regions(),
                        own.habitat(),
                        own.protection().isBlank() ? shipped.protection() : own.protection(),
                        shipped.halfParasite() || own.halfParasite(),
                        own.sexes(),
                        own.winterTells()),
                new Taxon.Harm(
                        own.danger().ordinal() > shipped.danger().ordinal() ? own.danger() : shipped.danger(),
                        hazards,
                        own.washing().isBlank() ? shipped.washing() : own.washing()),
                new Taxon.Looks(
                        own.months(),
                        shipped.characters(),
                        likenesses,
                        shipped.lookAlikesChecked() && own.lookAlikesChecked()),
                new Taxon.Usage(
                        parts(shipped, own),
                        Set.copyOf(union(List.copyOf(shipped.constituents()), List.copyOf(own.constituents()))),
                        actions,
                        own.uses().stream()
                                .map(u -> new Taxon.Use(
                                        u.name(),
                                        u.route(),
                                        u.potency(),
                                        u.parts(),
                                        u.grave()
                                                || shipped.uses().stream()
                                                        .anyMatch(s -> s.grave()
                                                                && s.name().equalsIgnoreCase(u.name())),
                                        u.source()))
                                .toList(),
                        own.foods()),
                cautions,
                own.source());
    }

    /** A part that would weaken the shipped one gives way to it. */
    private static List<Taxon.UsedPart> parts(Taxon shipped, Taxon own) {
        if (shipped.danger().dangerous()) {
            return List.of();
        }
        List<Taxon.UsedPart> parts = new ArrayList<>();
        for (Taxon.UsedPart part : own.parts()) {
            Taxon.UsedPart known = shipped.usedPart(part.part()).orElse(null);
            if (known != null) {
                parts.add(PartField.refusals(known, part).isEmpty() ? part : known);
            } else if (!(part.using().routes().contains(Taxon.Route.INTERNAL) && outsideOnly(shipped))) {
                parts.add(part);
            }
        }
        return parts;
    }

    private static <T> List<T> union(List<T> first, List<T> second) {
        Set<T> all = new LinkedHashSet<>(first);
        all.addAll(second);
        return List.copyOf(all);
    }

    /**
     * What a household's card may not be called: by a name of a plant that ships, in whatever spelling, or so nearly as a
     * dangerous one that a slip of the pen would do.
     */
    public static List<Problem> borrowedNames(Collection<Taxon> shipped, Taxon own) {
        List<Problem> problems = new ArrayList<>();
        for (Taxon other : shipped) {
            if (other.id().equals(own.id())) {
                continue;
            }
            for (String name : union(List.of(own.name()), own.olderNames())) {
                if (sameName(name, other)) {
                    wrong(
                            problems,
                            own,
                            name,
                            name + " is " + other.commonName() + ", whose card ships; look it up under that name");
                }
            }
            for (String name : own.commonNames()) {
                if (other.danger().dangerous()
                        && other.commonNames().stream().anyMatch(c -> plain(c).equals(plain(name)))) {
                    wrong(problems, own, name, name + " is what a dangerous plant is called; choose another name");
                }
            }
        }
        return problems;
    }

    /**
     * A plant of the household's own in a genus that holds poisonous species is one of them until the keeper names a book that
     * says otherwise, and then still not for the mouth.
     */
    public static List<Problem> poisonousGenus(Collection<Taxon> shipped, Taxon own) {
        List<Problem> problems = new ArrayList<>();
        if (shipped.stream().anyMatch(t -> t.id().equals(own.id()))) {
            return problems;
        }
        PoisonousGenera.of(own, shipped).ifPresent(genus -> {
            boolean book =
                    own.source().evidence().inABook() && !own.source().title().isBlank();
            if (!own.danger().dangerous() && !book) {
                wrong(
                        problems,
                        own,
                        "danger",
                        genus + " holds poisonous plants: it is poisonous until the card's own source names a book that"
                                + " says otherwise");
            }
            boolean byMouth =
                    own.parts().stream().anyMatch(p -> p.using().routes().contains(Taxon.Route.INTERNAL))
                            || !own.foods().isEmpty();
            if (byMouth) {
                wrong(
                        problems,
                        own,
                        "parts",
                        genus + " holds poisonous plants: nothing of it is taken by mouth, whatever a book says");
            }
        });
        return problems;
    }

    private static boolean sameName(String name, Taxon other) {
        LevenshteinDistance distance = LevenshteinDistance.getDefaultInstance();
        int slips = other.danger().dangerous() ? 2 : 0;
        return union(List.of(other.name()), other.olderNames()).stream()
                .anyMatch(n -> distance.apply(plain(n), plain(name)) <= slips);
    }

    /** Genus and epithet in lower case, without accents, hybrid sign, rank or author. */
    private static String plain(String name) {
        String[] words = Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replace("×", " ")
                .replaceAll("[^a-z' -]", " ")
                .strip()
                .split("[\\s-]+");
        return String.join(" ", Arrays.asList(words).subList(0, Math.min(2, words.length)));
    }

    private static boolean outsideOnly(Taxon shipped) {
        return !shipped.parts().isEmpty()
                && shipped.parts().stream().noneMatch(p -> p.using().routes().contains(Taxon.Route.INTERNAL));
    }

    private static void wrong(List<Problem> problems, Taxon own, String where, String message) {
        problems.add(new Problem(own.id(), where, message));
    }
}
