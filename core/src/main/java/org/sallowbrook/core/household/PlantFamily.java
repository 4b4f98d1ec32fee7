package org.sallowbrook.core.household;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Plant families that somebody may be allergic to, with the name people know and the older one still printed in books. */
public enum PlantFamily {
    ADOXACEAE("elder family", ""),
    AMARANTHACEAE("amaranth and goosefoot family", "Chenopodiaceae"),
    AMARYLLIDACEAE("onion and daffodil family", "Alliaceae"),
    ANACARDIACEAE("cashew and sumac family", ""),
    APIACEAE("carrot family", "Umbelliferae"),
    APOCYNACEAE("dogbane family", "Asclepiadaceae"),
    AQUIFOLIACEAE("holly family", ""),
    ARACEAE("arum family", ""),
    ARALIACEAE("ivy and ginseng family", ""),
    ARECACEAE("palm family", "Palmae"),
    ASPARAGACEAE("asparagus and lily-of-the-valley family", "Convallariaceae"),
    ASTERACEAE("daisy family", "Compositae"),
    BALSAMINACEAE("balsam family", ""),
    BERBERIDACEAE("barberry family", ""),
    BETULACEAE("birch and hazel family", ""),
    BORAGINACEAE("borage family", ""),
    BRASSICACEAE("cabbage family", "Cruciferae"),
    CAMPANULACEAE("bellflower family", ""),
    CANNABACEAE("hop family", ""),
    CAPRIFOLIACEAE("honeysuckle and valerian family", "Valerianaceae"),
    CARYOPHYLLACEAE("pink family", ""),
    CELASTRACEAE("spindle family", ""),
    COLCHICACEAE("autumn crocus family", ""),
    CONVOLVULACEAE("bindweed family", ""),
    CRASSULACEAE("stonecrop family", ""),
    CUCURBITACEAE("gourd family", ""),
    CUPRESSACEAE("cypress and juniper family", ""),
    CYPERACEAE("sedge family", ""),
    DIPSACACEAE("teasel family", ""),
    DROSERACEAE("sundew family", ""),
    ELAEAGNACEAE("sea buckthorn family", ""),
    EQUISETACEAE("horsetail family", ""),
    ERICACEAE("heath and bilberry family", ""),
    EUPHORBIACEAE("spurge family", ""),
    FABACEAE("pea family", "Leguminosae"),
    FAGACEAE("oak and beech family", ""),
    GENTIANACEAE("gentian family", ""),
    GERANIACEAE("cranesbill family", ""),
    GINKGOACEAE("ginkgo family", ""),
    GROSSULARIACEAE("currant family", ""),
    HYPERICACEAE("St John's-wort family", "Guttiferae"),
    IRIDACEAE("iris family", ""),
    JUGLANDACEAE("walnut family", ""),
    LAMIACEAE("mint family", "Labiatae"),
    LAURACEAE("laurel family", ""),
    LILIACEAE("lily family", ""),
    LINACEAE("flax family", ""),
    LYTHRACEAE("loosestrife family", ""),
    MALVACEAE("mallow and lime family", "Tiliaceae"),
    MELANTHIACEAE("herb-Paris family", "Trilliaceae"),
    MENYANTHACEAE("bogbean family", ""),
    MORACEAE("mulberry family", ""),
    MYRICACEAE("bog-myrtle family", ""),
    MYRTACEAE("myrtle family", ""),
    NYMPHAEACEAE("water-lily family", ""),
    OLEACEAE("olive and ash family", ""),
    ONAGRACEAE("willowherb family", ""),
    ORCHIDACEAE("orchid family", ""),
    OROBANCHACEAE("broomrape and eyebright family", ""),
    OXALIDACEAE("wood-sorrel family", ""),
    PAPAVERACEAE("poppy family", "Fumariaceae"),
    PARMELIACEAE("Iceland moss family", ""),
    PINACEAE("pine family", ""),
    PLANTAGINACEAE("plantain and foxglove family", ""),
    POACEAE("grass family", "Gramineae"),
    POLYGONACEAE("dock family", ""),
    POLYPODIACEAE("polypody family", ""),
    POLYPORACEAE("bracket fungus family", ""),
    PRIMULACEAE("primrose family", ""),
    RANUNCULACEAE("buttercup family", ""),
    RHAMNACEAE("buckthorn family", ""),
    ROSACEAE("rose family", ""),
    RUBIACEAE("bedstraw family", ""),
    RUTACEAE("rue and citrus family", ""),
    SALICACEAE("willow family", ""),
    SAPINDACEAE("maple and horse-chestnut family", "Hippocastanaceae"),
    SAXIFRAGACEAE("saxifrage family", ""),
    SCROPHULARIACEAE("figwort and mullein family", ""),
    SOLANACEAE("nightshade family", ""),
    STEREACEAE("false turkey-tail family", ""),
    TAXACEAE("yew family", ""),
    TROPAEOLACEAE("nasturtium family", ""),
    TYPHACEAE("reedmace family", ""),
    ULMACEAE("elm family", ""),
    URTICACEAE("nettle family", ""),
    VERBENACEAE("vervain family", ""),
    VIOLACEAE("violet family", ""),
    VITACEAE("vine family", ""),
    ZINGIBERACEAE("ginger family", "");

    private final String words;
    private final String older;

    PlantFamily(String words, String older) {
        this.words = words;
        this.older = older;
    }

    /** As people call it: the daisy family. */
    public String words() {
        return "the " + words;
    }

    /** Botanical Latin: Asteraceae. */
    public String latin() {
        return name().charAt(0) + name().substring(1).toLowerCase(Locale.ROOT);
    }

    /** By its Latin, older or plain name, in any case, with or without "family"; empty for what is none of these. */
    public static Optional<PlantFamily> of(String name) {
        String wanted = plain(name);
        return Arrays.stream(values())
                .filter(f -> wanted.equals(plain(f.name()))
                        || wanted.equals(plain(f.words))
                        || !f.older.isEmpty() && wanted.equals(plain(f.older)))
                .findFirst();
    }

    private static String plain(String name) {
        String plain = name.toLowerCase(Locale.ROOT).strip().replaceAll("\\s+", " ");
        plain = plain.startsWith("the ") ? plain.substring(4) : plain;
        return plain.endsWith(" family") ? plain.substring(0, plain.length() - 7) : plain;
    }
}
