package org.sallowbrook.core.household;

import java.text.Normalizer;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.apache.commons.text.similarity.LevenshteinDistance;
import org.jspecify.annotations.Nullable;

/** Medicines by the name of the substance on the packet, and the classes the gates know them by. */
public final class Medicines {

    private static final int MOST_FOUND = 8;

    /** @param classes one at least */
    public record Named(String name, Set<MedicineClass> classes) {}

    /**
     * @param known the medicine of just this name, or of which this is another name or a usual short form; null where none is
     * @param holding whose name holds what was typed
     * @param like that are written much like it: another medicine, until somebody has looked at the packet
     */
    public record Found(@Nullable Named known, List<Named> holding, List<Named> like) {}

    /** What is added to a substance and changes nothing for any gate: sertraline hydrochloride. */
    private static final Set<String> SALTS = Set.of(
            "hydrochloride",
            "hcl",
            "sodium",
            "potassium",
            "calcium",
            "magnesium",
            "sulfate",
            "sulphate",
            "tartrate",
            "maleate",
            "fumarate",
            "citrate",
            "phosphate",
            "mesylate",
            "mesilate",
            "besylate",
            "besilate",
            "acetate",
            "succinate",
            "bromide",
            "hydrobromide",
            "tablets",
            "tablet",
            "capsules",
            "capsule",
            "pills",
            "mg");

    private final Map<String, Set<MedicineClass>> byName = new TreeMap<>();
    private final Map<String, String> synonyms = new TreeMap<>();

    /**
     * @param names by class; a name may stand under several
     * @param others other names and usual short forms, by the name that stands there
     */
    public Medicines(
            Map<MedicineClass, ? extends Collection<String>> names, Map<String, ? extends Collection<String>> others) {
        names.forEach((medicine, all) ->
                all.forEach(name -> byName.computeIfAbsent(plain(name), n -> EnumSet.noneOf(MedicineClass.class))
                        .add(medicine)));
        others.forEach((name, all) -> {
            if (!byName.containsKey(plain(name))) {
                throw new IllegalArgumentException("no medicine is called " + name);
            }
            all.forEach(other -> synonyms.put(plain(other), plain(name)));
        });
    }

    /** Substances and groups of them, without their other names. */
    public int size() {
        return byName.size();
    }

    public Optional<Named> named(String name) {
        String plain = plain(name);
        return direct(plain).or(() -> direct(withoutSalt(plain)));
    }

    private Optional<Named> direct(String plain) {
        String name = byName.containsKey(plain) ? plain : synonyms.getOrDefault(plain, "");
        Set<MedicineClass> classes = byName.get(name);
        return classes == null ? Optional.empty() : Optional.of(new Named(name, Set.copyOf(classes)));
    }

    /** Never a name that is only written alike in the place of what was typed. */
    public Found search(String words) {
        String wanted = plain(words);
        Named known = named(wanted).orElse(null);
        if (wanted.length() < 3) {
            return new Found(known, List.of(), List.of());
        }
        List<Named> holding = byName.keySet().stream()
                .filter(n -> n.contains(wanted) && (known == null || !n.equals(known.name())))
                .sorted(Comparator.comparing((String n) -> !n.startsWith(wanted))
                        .thenComparing(Comparator.naturalOrder()))
                .limit(MOST_FOUND)
                .flatMap(n -> direct(n).stream())
                .toList();
        int most = wanted.length() >= 8 ? 2 : wanted.length() >= 5 ? 1 : 0;
        List<Named> like = known != null || !holding.isEmpty() || most == 0
                ? List.of()
                : byName.keySet().stream()
                        .filter(n -> far(n, wanted) <= most)
                        .sorted(Comparator.comparing((String n) -> far(n, wanted))
                                .thenComparing(Comparator.naturalOrder()))
                        .limit(MOST_FOUND)
                        .flatMap(n -> direct(n).stream())
                        .toList();
        return new Found(known, holding, like);
    }

    private static int far(String name, String wanted) {
        return LevenshteinDistance.getDefaultInstance().apply(name, wanted);
    }

    private static String withoutSalt(String plain) {
        String left = plain.replaceAll("[0-9.,]+", " ").strip();
        while (left.contains(" ") && SALTS.contains(left.substring(left.lastIndexOf(' ') + 1))) {
            left = left.substring(0, left.lastIndexOf(' ')).strip();
        }
        return left;
    }

    private static String plain(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .strip()
                .toLowerCase(Locale.ROOT)
                .replaceAll("\\s+", " ");
    }
}
