package org.sallowbrook.core.household;

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

/** Medicines by the generic name on the packet, and the classes the gates know them by. */
public final class Medicines {

    private static final int MOST_FOUND = 8;

    /** @param classes one at least */
    public record Named(String name, Set<MedicineClass> classes) {}

    private final Map<String, Set<MedicineClass>> byName = new TreeMap<>();

    /** @param names by class; a name may stand under several */
    public Medicines(Map<MedicineClass, ? extends Collection<String>> names) {
        names.forEach((medicine, all) ->
                all.forEach(name -> byName.computeIfAbsent(plain(name), n -> EnumSet.noneOf(MedicineClass.class))
                        .add(medicine)));
    }

    public int size() {
        return byName.size();
    }

    public Optional<Named> named(String name) {
        String plain = plain(name);
        Set<MedicineClass> classes = byName.get(plain);
        return classes == null ? Optional.empty() : Optional.of(new Named(plain, Set.copyOf(classes)));
    }

    /** Names that begin with the words, hold them, or are a typing error or two away, best first. */
    public List<Named> search(String words) {
        String wanted = plain(words);
        if (wanted.length() < 3) {
            return List.of();
        }
        int most = wanted.length() >= 8 ? 2 : wanted.length() >= 5 ? 1 : 0;
        return byName.keySet().stream()
                .filter(n -> far(n, wanted) <= most)
                .sorted(Comparator.comparing((String n) -> !n.startsWith(wanted))
                        .thenComparing(n -> far(n, wanted))
                        .thenComparing(Comparator.naturalOrder()))
                .limit(MOST_FOUND)
                .map(n -> new Named(n, Set.copyOf(byName.getOrDefault(n, Set.of()))))
                .toList();
    }

    private static int far(String name, String wanted) {
        return name.contains(wanted)
                ? 0
                : LevenshteinDistance.getDefaultInstance().apply(name, wanted);
    }

    private static String plain(String name) {
        return name.strip().toLowerCase(Locale.ROOT).replaceAll("\\s+", " ");
    }
}
