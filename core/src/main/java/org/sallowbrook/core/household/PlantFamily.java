package org.sallowbrook.core.household;

import java.util.Arrays;
import java.util.Locale;
import java.util.Optional;

/** Plant families that somebody may be allergic to, with the name people know and the older one still printed in books. */
public enum PlantFamily {
    ADOXACEAE("elder family", ""),
    AMARANTHACEAE("amaranth and goosefoot family", "Chenopodiaceae"),
    AMARYLLIDACEAE("onion and daffodil family", "Alliaceae", "onion, garlic, ramsons, daffodil"),
    ANACARDIACEAE("cashew and sumac family", "", "cashew, mango, sumac"),
    APIACEAE("carrot family", "Umbelliferae", "carrot, celery, caraway, fennel"),
    APOCYNACEAE("dogbane family", "Asclepiadaceae"),
    AQUIFOLIACEAE("holly family", ""),
    ARACEAE("arum family", ""),
    ARALIACEAE("ivy and ginseng family", ""),
    ARECACEAE("palm family", "Palmae"),
    ASPARAGACEAE("asparagus and lily-of-the-valley family", "Convallariaceae"),
    ASTERACEAE("daisy family", "Compositae", "chamomile, marigold, arnica, ragweed, mugwort"),
    BALSAMINACEAE("balsam family", ""),
    BERBERIDACEAE("barberry family", ""),
    BETULACEAE("birch and hazel family", "", "birch, hazel, alder"),
    BORAGINACEAE("borage family", "", "comfrey, borage, lungwort"),
    BRASSICACEAE("cabbage family", "Cruciferae", "cabbage, mustard, cress"),
    CAMPANULACEAE("bellflower family", ""),
    CANNABACEAE("hop family", ""),
    CAPRIFOLIACEAE("honeysuckle and valerian family", "Valerianaceae", "valerian, honeysuckle"),
    CARYOPHYLLACEAE("pink family", ""),
    CELASTRACEAE("spindle family", ""),
    COLCHICACEAE("autumn crocus family", ""),
    CONVOLVULACEAE("bindweed family", ""),
    CRASSULACEAE("stonecrop family", ""),
    CUCURBITACEAE("gourd family", ""),
    CUPRESSACEAE("cypress and juniper family", "", "juniper, cypress"),
    CYPERACEAE("sedge family", ""),
    DIPSACACEAE("teasel family", ""),
    DROSERACEAE("sundew family", ""),
    ELAEAGNACEAE("sea buckthorn family", ""),
    EQUISETACEAE("horsetail family", ""),
    ERICACEAE("heath and bilberry family", "", "bilberry, heather"),
    EUPHORBIACEAE("spurge family", ""),
    FABACEAE("pea family", "Leguminosae", "pea, bean, peanut, soya, melilot"),
    FAGACEAE("oak and beech family", "", "oak, beech, chestnut"),
    GENTIANACEAE("gentian family", ""),
    GERANIACEAE("cranesbill family", ""),
    GINKGOACEAE("ginkgo family", ""),
    GROSSULARIACEAE("currant family", ""),
    HYPERICACEAE("St John's-wort family", "Guttiferae", "St John's-wort"),
    IRIDACEAE("iris family", ""),
    JUGLANDACEAE("walnut family", ""),
    LAMIACEAE("mint family", "Labiatae", "mint, thyme, lemon balm, marjoram, sage"),
    LAURACEAE("laurel family", ""),
    LILIACEAE("lily family", ""),
    LINACEAE("flax family", ""),
    LYTHRACEAE("loosestrife family", ""),
    MALVACEAE("mallow and lime family", "Tiliaceae", "mallow, lime tree, hibiscus"),
    MELANTHIACEAE("herb-Paris family", "Trilliaceae"),
    MENYANTHACEAE("bogbean family", ""),
    MORACEAE("mulberry family", ""),
    MYRICACEAE("bog-myrtle family", ""),
    MYRTACEAE("myrtle family", ""),
    NYMPHAEACEAE("water-lily family", ""),
    OLEACEAE("olive and ash family", "", "olive, ash, privet"),
    ONAGRACEAE("willowherb family", ""),
    ORCHIDACEAE("orchid family", ""),
    OROBANCHACEAE("broomrape and eyebright family", ""),
    OXALIDACEAE("wood-sorrel family", ""),
    PAPAVERACEAE("poppy family", "Fumariaceae"),
    PARMELIACEAE("Iceland moss family", ""),
    PINACEAE("pine family", "", "pine, spruce, fir"),
    PLANTAGINACEAE("plantain and foxglove family", "", "plantain, speedwell, foxglove"),
    POACEAE("grass family", "Gramineae", "meadow grasses, wheat, rye"),
    POLYGONACEAE("dock family", ""),
    POLYPODIACEAE("polypody family", ""),
    POLYPORACEAE("bracket fungus family", ""),
    PRIMULACEAE("primrose family", ""),
    RANUNCULACEAE("buttercup family", "", "buttercup"),
    RHAMNACEAE("buckthorn family", ""),
    ROSACEAE("rose family", "", "rose, apple, plum, raspberry, meadowsweet"),
    RUBIACEAE("bedstraw family", ""),
    RUTACEAE("rue and citrus family", ""),
    SALICACEAE("willow family", "", "willow, poplar"),
    SAPINDACEAE("maple and horse-chestnut family", "Hippocastanaceae"),
    SAXIFRAGACEAE("saxifrage family", ""),
    SCROPHULARIACEAE("figwort and mullein family", ""),
    SOLANACEAE("nightshade family", ""),
    STEREACEAE("false turkey-tail family", ""),
    TAXACEAE("yew family", ""),
    TROPAEOLACEAE("nasturtium family", ""),
    TYPHACEAE("reedmace family", ""),
    ULMACEAE("elm family", ""),
    URTICACEAE("nettle family", "", "nettle, pellitory"),
    VERBENACEAE("vervain family", ""),
    VIOLACEAE("violet family", ""),
    VITACEAE("vine family", ""),
    ZINGIBERACEAE("ginger family", "");

    private final String words;
    private final String older;
    private final String examples;

    PlantFamily(String words, String older) {
        this(words, older, "");
    }

    PlantFamily(String words, String older, String examples) {
        this.words = words;
        this.older = older;
        this.examples = examples;
    }

    /** As people call it: the daisy family. */
    public String words() {
        return "the " + words;
    }

    /** Plants by which somebody knows whether it is theirs: chamomile, marigold; empty for a family that few react to. */
    public String examples() {
        return examples;
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
