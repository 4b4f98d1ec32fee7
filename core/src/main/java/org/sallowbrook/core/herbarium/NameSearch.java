package org.sallowbrook.core.herbarium;

import java.text.Normalizer;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import org.apache.commons.text.similarity.LevenshteinDistance;

/** Finds taxa by any name, typing errors tolerated: one in four letters, two in eight or more. */
final class NameSearch {

    private NameSearch() {}

    static List<Found> search(Collection<Taxon> taxa, String words) {
        String wanted = plain(words);
        if (wanted.isEmpty()) {
            return List.of();
        }
        List<Found> found = new ArrayList<>();
        for (Taxon taxon : taxa) {
            best(taxon, wanted).ifPresent(found::add);
        }
        found.sort(Comparator.comparingInt(Found::slips)
                .thenComparing(f -> !plain(f.name()).startsWith(wanted))
                .thenComparing(Found::name));
        return found;
    }

    private static java.util.Optional<Found> best(Taxon taxon, String wanted) {
        List<Found> all = new ArrayList<>();
        all.add(new Found(taxon, taxon.name(), Found.Kind.ACCEPTED, slips(taxon.name(), wanted)));
        for (String name : taxon.olderNames()) {
            all.add(new Found(taxon, name, Found.Kind.OLDER, slips(name, wanted)));
        }
        for (String name : taxon.commonNames()) {
            Found.Kind kind = taxon.ambiguousNames().contains(name) ? Found.Kind.AMBIGUOUS : Found.Kind.COMMON;
            all.add(new Found(taxon, name, kind, slips(name, wanted)));
        }
        int most = wanted.length() >= 8 ? 2 : wanted.length() >= 4 ? 1 : 0;
        return all.stream().filter(f -> f.slips() <= most).min(Comparator.comparingInt(Found::slips));
    }

    /** 0 where the name holds the words, in any order; else the fewest slips against the whole name or any of its words. */
    private static int slips(String name, String wanted) {
        String plain = plain(name);
        // Any of its words in any order, as it comes to mind.
        if (Arrays.stream(wanted.split(" ")).allMatch(plain::contains)) {
            return 0;
        }
        LevenshteinDistance distance = LevenshteinDistance.getDefaultInstance();
        int least = distance.apply(plain, wanted);
        for (String word : plain.split(" ")) {
            least = Math.min(least, distance.apply(word, wanted));
        }
        return least;
    }

    private static String plain(String words) {
        return Normalizer.normalize(words, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", " ")
                .strip();
    }
}
