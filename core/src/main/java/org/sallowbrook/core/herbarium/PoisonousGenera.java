package org.sallowbrook.core.herbarium;

import java.text.Normalizer;
import java.util.Collection;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.text.similarity.LevenshteinDistance;

/**
 * Genera with poisonous species that grow wild or in gardens of temperate Europe, whether or not a card of them ships. A
 * species of one of these that nobody here has read about is taken for poisonous. Genera in which people gather food as well
 * (cherries, elders, peas, nightshades with potatoes) are left out: there the card's own look-alikes speak.
 */
public final class PoisonousGenera {

    private static final Set<String> NAMES = Set.of(
            "Aconitum",
            "Actaea",
            "Adonis",
            "Aesculus",
            "Aethusa",
            "Anemone",
            "Anemonoides",
            "Anthriscus",
            "Apocynum",
            "Aquilegia",
            "Aristolochia",
            "Arum",
            "Asarum",
            "Asclepias",
            "Atropa",
            "Brugmansia",
            "Bryonia",
            "Buxus",
            "Caltha",
            "Chaerophyllum",
            "Chelidonium",
            "Cicuta",
            "Clematis",
            "Colchicum",
            "Conium",
            "Consolida",
            "Convallaria",
            "Coriaria",
            "Coronilla",
            "Corydalis",
            "Cotoneaster",
            "Cyclamen",
            "Cynoglossum",
            "Cytisus",
            "Daphne",
            "Datura",
            "Delphinium",
            "Dicentra",
            "Dieffenbachia",
            "Digitalis",
            "Dioscorea",
            "Echium",
            "Eranthis",
            "Euonymus",
            "Eupatorium",
            "Euphorbia",
            "Ficaria",
            "Frangula",
            "Fritillaria",
            "Galanthus",
            "Gelsemium",
            "Genista",
            "Gloriosa",
            "Gratiola",
            "Hedera",
            "Heliotropium",
            "Helleborus",
            "Heracleum",
            "Hyacinthus",
            "Hyoscyamus",
            "Ilex",
            "Jacobaea",
            "Kalmia",
            "Laburnum",
            "Lamprocapnos",
            "Lantana",
            "Ledum",
            "Leucojum",
            "Ligustrum",
            "Lobelia",
            "Lupinus",
            "Lysichiton",
            "Mandragora",
            "Menispermum",
            "Mercurialis",
            "Narcissus",
            "Nerium",
            "Nicotiana",
            "Oenanthe",
            "Ornithogalum",
            "Oxytropis",
            "Paris",
            "Petasites",
            "Phytolacca",
            "Pieris",
            "Polygonatum",
            "Pulsatilla",
            "Ranunculus",
            "Rhamnus",
            "Rhododendron",
            "Ricinus",
            "Robinia",
            "Scilla",
            "Scopolia",
            "Senecio",
            "Solandra",
            "Symphoricarpos",
            "Symphytum",
            "Tamus",
            "Taxus",
            "Thuja",
            "Toxicodendron",
            "Trollius",
            "Tussilago",
            "Veratrum",
            "Vinca",
            "Vincetoxicum",
            "Viscum",
            "Wisteria",
            "Zantedeschia",
            "Zigadenus",
            "Amanita",
            "Clitocybe",
            "Cortinarius",
            "Galerina",
            "Gyromitra",
            "Inocybe",
            "Lepiota",
            "Omphalotus",
            "Paxillus",
            "Rubroboletus");

    /** In a name of this length a slip of the pen is still the same genus. */
    private static final int LONG = 6;

    private PoisonousGenera() {}

    /**
     * @param shipped the genera of its dangerous plants count as well, unless one that is gathered is of the same genus
     * @return the poisonous genus a plant is of, in whatever spelling; empty for none
     */
    public static Optional<String> of(Taxon taxon, Collection<Taxon> shipped) {
        Set<String> gathered = shipped.stream()
                .filter(t -> !t.danger().dangerous() && !t.parts().isEmpty())
                .map(Taxon::genus)
                .collect(Collectors.toSet());
        Set<String> all = Stream.concat(
                        NAMES.stream(),
                        shipped.stream().filter(t -> t.danger().dangerous()).map(Taxon::genus))
                .filter(g -> !gathered.contains(g))
                .collect(Collectors.toSet());
        return Stream.concat(Stream.of(taxon.name()), taxon.olderNames().stream())
                .map(PoisonousGenera::genus)
                .flatMap(g -> all.stream().filter(a -> same(plain(a), g)))
                .findFirst();
    }

    private static String genus(String name) {
        return plain(name).split("[^a-z]+", 2)[0];
    }

    private static String plain(String name) {
        return Normalizer.normalize(name, Normalizer.Form.NFD)
                .replaceAll("\\p{M}", "")
                .toLowerCase(Locale.ROOT)
                .replace("×", "")
                .strip();
    }

    private static boolean same(String known, String said) {
        return known.equals(said)
                || Math.min(known.length(), said.length()) >= LONG
                        && LevenshteinDistance.getDefaultInstance().apply(known, said) <= 1;
    }
}
