package org.sallowbrook.core.dosing;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.making.vessel.BulkDensity;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.LotForm;

/**
 * What a dose of a product can be counted out in, by what it is and by the way it is taken. One of each is taken at its
 * largest, so that a dose in drops of a dropper nobody counted, or in spoons of a powder nobody weighed, is never more than it
 * was reckoned as.
 */
public final class DoseUnits {

    /** From so much at once a tea is drunk by the cup, mL; a working figure of this tool. */
    private static final double BY_THE_CUP_ML = 50;

    /**
     * Of a grown-up, squeezed from a tube: 0.49 g in men, 0.43 g in women, for 312 and 257 square centimetres. Long and Finlay,
     * Clinical and Experimental Dermatology 16 (1991) 444. The larger stands for all.
     */
    public static final double FINGERTIP_G = 0.5;

    /** Half a fingertip, for half as much skin. */
    private static final double PEA_G = FINGERTIP_G / 2;

    /** The most that ground herb weighs as it lies in a spoon, g per mL; a working figure of this tool. */
    private static final double POWDER_G_PER_ML = 0.6;

    /** More dried herb than this is never meant for one cup, g; a working figure of this tool. */
    private static final double MOST_PER_CUP_G = 50;

    /** Below this a drink counts as without alcohol, share by volume. */
    private static final double NO_ALCOHOL = 0.005;

    /**
     * This household's own measures, mL; null where one was never filled with water.
     *
     * @param dropMl of its dropper, the mean of those counted together
     */
    public record Kit(
            @Nullable Double teaspoonMl,
            @Nullable Double tablespoonMl,
            @Nullable Double cupMl,
            @Nullable Double dropMl,
            @Nullable Double squirtMl) {
        public static final Kit UNMEASURED = new Kit(null, null, null, null, null);
    }

    /**
     * A cup of tea made as it is drunk.
     *
     * @param herbG dried
     * @param how in words, as its card makes it; empty where no card says
     */
    public record Cup(double herbG, double volumeMl, String how) {
        public Cup {
            Checks.begin()
                    .that(isACupful(herbG), "perCup", "must be above 0 and at most " + Words.grams(MOST_PER_CUP_G))
                    .positive("cupMl", volumeMl)
                    .done();
        }
    }

    /**
     * How a cup of it is made: with what somebody says; else as the card of the plant that is most of it makes one; else with
     * what is proposed at a time. In this household's cup, where it was measured, else in the card's.
     *
     * @param saidG null where nobody says
     * @param proposedG a dose by the card; null where there is none
     * @return null where nothing is known of it
     */
    public static @Nullable Cup cup(Product product, Kit kit, @Nullable Double saidG, @Nullable Double proposedG) {
        Taxon.TeaAdvice card = product.herbs().stream()
                .max(Comparator.comparingDouble(Product.Herb::fraction))
                .flatMap(h -> h.taxon().usedPart(h.part()))
                .map(part -> part.using().tea())
                .orElse(null);
        double volume = kit.cupMl() != null ? kit.cupMl() : card != null ? card.cupMl() : Dose.CUP_ML;
        String how = card == null ? "" : how(card);
        if (saidG != null) {
            return new Cup(saidG, volume, how);
        }
        if (card != null) {
            return new Cup(card.gramsPerCup() * volume / card.cupMl(), volume, how);
        }
        return proposedG != null && isACupful(proposedG) ? new Cup(proposedG, volume, how) : null;
    }

    private static String how(Taxon.TeaAdvice card) {
        String lasting = card.minutes() < 120
                ? Words.figure(card.minutes()) + " minutes"
                : Words.figure(card.minutes() / 60) + " hours";
        return switch (card.method()) {
            case "INFUSION", "LONG_INFUSION" -> "steeped under a lid for " + lasting;
            case "DECOCTION" -> "simmered for " + lasting;
            case "COLD_MACERATION" -> "left in cold water for " + lasting;
            default -> "";
        };
    }

    /** @param each one of it in the product's own unit, mL or g */
    public record Offered(Dose.Unit unit, double each, String words) {}

    private DoseUnits() {}

    /**
     * What is given.
     *
     * @param strength of alcohol, 0 to 1
     * @param batch how much of it was made, in its own unit, above 0
     * @param parts of plants that are in it
     * @param cup of tea made of it; null where nobody knows how one is made
     * @param spoonG what a level teaspoon of this very lot weighed; null where nobody weighed one
     * @param piece what one piece of it holds, in its own unit; null for what is not in pieces
     */
    public record Given(
            LotForm form,
            DosingGate.Way way,
            double strength,
            double batch,
            Set<Taxon.Part> parts,
            @Nullable Cup cup,
            @Nullable Double spoonG,
            @Nullable Double piece) {
        public Given {
            Checks checks = Checks.begin().range("strength", strength, 0, 1).positive("batch", batch);
            if (piece != null) {
                checks.positive("piece", piece);
            }
            if (spoonG != null) {
                checks.positive("spoonG", spoonG);
            }
            checks.done();
            parts = Set.copyOf(parts);
        }

        public Given(LotForm form, DosingGate.Way way, double strength, double batch, Set<Taxon.Part> parts) {
            this(form, way, strength, batch, parts, null, null, null);
        }

        private boolean swallowed() {
            return way == DosingGate.Way.MOUTH;
        }

        /** The most that cut herb for a tea weighs as it lies, g per mL. */
        private double heaviestCut() {
            return parts.stream()
                    .mapToDouble(p -> BulkDensity.general(p, false).high())
                    .max()
                    .orElse(BulkDensity.general(null, false).high());
        }
    }

    /** Whether so much dried herb, in grams, can be meant for one cup. */
    private static boolean isACupful(double herbG) {
        return herbG > 0 && herbG <= MOST_PER_CUP_G;
    }

    /** In the order in which they are offered: the first is the product's own. */
    public static List<Offered> of(Given given, Kit kit) {
        return switch (given.form()) {
            case SALVE, CREAM ->
                List.of(
                        scale(),
                        new Offered(
                                Dose.Unit.FINGERTIP,
                                FINGERTIP_G,
                                "about half a gram, for as much skin as two hands cover"),
                        new Offered(
                                Dose.Unit.PEA,
                                PEA_G,
                                "about a quarter of a gram, for as much skin as one hand covers"));
            case POWDER ->
                given.swallowed()
                        ? spoons(given, kit, POWDER_G_PER_ML, "stirred in water", "powder")
                        : List.of(scale(), whole(given));
            case TEA_MIXTURE -> given.swallowed() ? cups(given, kit) : List.of(scale(), whole(given));
            case HERB -> given.swallowed() ? cups(given, kit) : List.of(scale());
            case POULTICE -> List.of(whole(given), scale());
            case WASH -> List.of(whole(given), glass(), spoon(Dose.Unit.CUP, kit.cupMl(), Dose.CUP_ML));
            case PLANT,
                    HONEY,
                    WAX,
                    SUGAR,
                    SALT,
                    BUTTER,
                    EMULSIFIER,
                    PRESERVATIVE,
                    ESSENTIAL_OIL,
                    SALTED_HERB,
                    FROZEN_HERB -> List.of(scale());
            case HERBAL_HONEY, SYRUP, OXYMEL ->
                List.of(
                        glass(),
                        spoon(Dose.Unit.TEASPOON, kit.teaspoonMl(), Dose.TEASPOON_ML),
                        spoon(Dose.Unit.TABLESPOON, kit.tablespoonMl(), Dose.TABLESPOON_ML));
            case ICE_CUBES ->
                given.piece() == null
                        ? List.of(glass())
                        : List.of(
                                glass(),
                                new Offered(
                                        Dose.Unit.PIECE,
                                        given.piece(),
                                        "one cube, of " + Words.millilitres(given.piece()) + " before it froze"));
            case TEA ->
                List.of(
                        glass(),
                        spoon(Dose.Unit.TEASPOON, kit.teaspoonMl(), Dose.TEASPOON_ML),
                        spoon(Dose.Unit.TABLESPOON, kit.tablespoonMl(), Dose.TABLESPOON_ML),
                        spoon(Dose.Unit.CUP, kit.cupMl(), Dose.CUP_ML));
            case SPIRIT,
                    CARRIER_OIL,
                    VINEGAR,
                    GLYCERINE,
                    WINE,
                    TINCTURE,
                    MIXTURE,
                    HERBAL_VINEGAR,
                    GLYCERITE,
                    HERBAL_WINE,
                    INFUSED_OIL -> dropped(given.strength(), kit);
        };
    }

    private static List<Offered> dropped(double strength, Kit kit) {
        List<Offered> offered = new ArrayList<>();
        offered.add(glass());
        offered.add(
                kit.dropMl() == null
                        ? new Offered(
                                Dose.Unit.DROP,
                                1 / Dose.DROPS_PER_ML.low(),
                                "nobody counted this dropper: reckoned at the largest drop, "
                                        + Words.figure(Dose.DROPS_PER_ML.low()) + " to the mL")
                        : new Offered(Dose.Unit.DROP, kit.dropMl(), "as counted with this household's dropper"));
        if (kit.squirtMl() != null) {
            offered.add(new Offered(Dose.Unit.SQUIRT, kit.squirtMl(), "as measured with this household's dropper"));
        }
        offered.add(spoon(Dose.Unit.TEASPOON, kit.teaspoonMl(), Dose.TEASPOON_ML));
        offered.add(spoon(Dose.Unit.TABLESPOON, kit.tablespoonMl(), Dose.TABLESPOON_ML));
        if (strength < NO_ALCOHOL) {
            offered.add(spoon(Dose.Unit.CUP, kit.cupMl(), Dose.CUP_ML));
        }
        return offered;
    }

    private static Offered glass() {
        return new Offered(Dose.Unit.ML, 1, "by a measuring glass or syringe");
    }

    private static Offered scale() {
        return new Offered(Dose.Unit.G, 1, "by a scale");
    }

    private static Offered whole(Given given) {
        return new Offered(Dose.Unit.BATCH, given.batch(), "all that was made at once");
    }

    /** Cups of a tea that is made as it is drunk, and the spoons it is measured with. */
    private static List<Offered> cups(Given given, Kit kit) {
        List<Offered> spoons = spoons(given, kit, given.heaviestCut(), "for tea", "herb");
        Offered heaped = spoons.get(spoons.size() - 1);
        Cup cup = given.cup() != null
                ? given.cup()
                : new Cup(heaped.each(), kit.cupMl() == null ? Dose.CUP_ML : kit.cupMl(), "");
        List<Offered> offered = new ArrayList<>(spoons);
        offered.add(
                1,
                new Offered(
                        Dose.Unit.CUP,
                        cup.herbG(),
                        "made fresh with " + Words.grams(cup.herbG()) + " to a cup of "
                                + Words.millilitres(cup.volumeMl())
                                + (cup.how().isEmpty() ? "" : ", " + cup.how())));
        return offered;
    }

    /** By the scale, and in level and heaped teaspoons; as one of this lot weighed, else at the heaviest. */
    private static List<Offered> spoons(Given given, Kit kit, double heaviestGPerMl, String how, String what) {
        Double weighed = given.spoonG();
        double level = weighed != null
                ? weighed
                : (kit.teaspoonMl() == null ? Dose.TEASPOON_ML : kit.teaspoonMl()) * heaviestGPerMl;
        String known = weighed != null ? "; one of it was weighed here" : "; " + what + " is reckoned at the heaviest";
        double heaps =
                Objects.requireNonNull(HouseMeasure.HEAPED_TEASPOON.volumeMl()).high() / Dose.TEASPOON_ML;
        return List.of(
                scale(),
                new Offered(Dose.Unit.TEASPOON, level, "level, " + how + known + ", " + Words.grams(level)),
                new Offered(Dose.Unit.HEAPED_TEASPOON, level * heaps, how + known + ", " + Words.grams(level * heaps)));
    }

    /** The unit somebody would use for so much of it. */
    public static Dose.Unit usual(Given given, double amount) {
        return given.piece() != null ? Dose.Unit.PIECE : usual(given.form(), given.way(), amount);
    }

    /** The unit somebody would use for so much of it: cups of a tea, spoons of a powder or honey, else its own. */
    static Dose.Unit usual(LotForm form, DosingGate.Way way, double amount) {
        return switch (form) {
            case SALVE, CREAM -> Dose.Unit.FINGERTIP;
            case POULTICE -> Dose.Unit.BATCH;
            case WASH -> way == DosingGate.Way.MOUTH ? Dose.Unit.ML : Dose.Unit.BATCH;
            case POWDER -> way == DosingGate.Way.MOUTH ? Dose.Unit.TEASPOON : Dose.Unit.BATCH;
            case TEA_MIXTURE -> way == DosingGate.Way.MOUTH ? Dose.Unit.CUP : Dose.Unit.BATCH;
            case HERB -> way == DosingGate.Way.MOUTH ? Dose.Unit.CUP : Dose.Unit.G;
            case HERBAL_HONEY, SYRUP, OXYMEL -> Dose.Unit.TEASPOON;
            case TEA -> amount >= BY_THE_CUP_ML ? Dose.Unit.CUP : Dose.Unit.ML;
            case PLANT,
                    SPIRIT,
                    CARRIER_OIL,
                    WAX,
                    VINEGAR,
                    GLYCERINE,
                    HONEY,
                    SUGAR,
                    SALT,
                    WINE,
                    BUTTER,
                    EMULSIFIER,
                    PRESERVATIVE,
                    ESSENTIAL_OIL,
                    TINCTURE,
                    MIXTURE,
                    HERBAL_VINEGAR,
                    GLYCERITE,
                    HERBAL_WINE,
                    ICE_CUBES,
                    SALTED_HERB,
                    FROZEN_HERB,
                    INFUSED_OIL -> form.unit() == Unit.G ? Dose.Unit.G : Dose.Unit.ML;
        };
    }

    private static Offered spoon(Dose.Unit unit, @Nullable Double own, double usual) {
        return own == null
                ? new Offered(unit, usual, "of " + Words.figure(usual) + " mL")
                : new Offered(unit, own, "of " + Words.figure(own) + " mL, as measured here");
    }

    /**
     * So much of it as can be counted out: whole drops, quarters of a cup or spoon, halves of a fingertip. Rounded down; up
     * only where down would be under the card's range and up is within it; left as it is where down would be nothing.
     *
     * @param card what its range comes to at a time, in the product's own unit; null where it may only be rounded down
     */
    public static double countable(double amount, Offered in, @Nullable Interval card) {
        Checks.begin().positive("amount", amount).done();
        double part = switch (in.unit()) {
            case DROP, SQUIRT, PIECE -> 1;
            case TEASPOON, HEAPED_TEASPOON, TABLESPOON, CUP, BATCH -> 0.25;
            case FINGERTIP, PEA -> 0.5;
            case ML, G -> 0.1;
        };
        double step = part * in.each();
        double rounded = Math.floor(amount / step + 1e-9) * step;
        double up = Math.ceil(amount / step - 1e-9) * step;
        if (card != null && rounded < card.low() && up <= card.high() * (1 + 1e-9)) {
            return up;
        }
        return rounded > 0 ? rounded : amount;
    }

    /** Where somebody begins who has nothing to go by: half of one, of what is measured 2 mL or g. */
    public static double start(Offered in) {
        return in.unit() == Dose.Unit.ML || in.unit() == Dose.Unit.G ? 2 : in.each() / 2;
    }

    /** "40 drops", "half a cup" as figures: so much of a product's own unit in another one. */
    public static String words(double amount, Offered in) {
        double n = amount / in.each();
        String figure = Words.figure(n);
        boolean one = figure.equals("1");
        return figure + " "
                + switch (in.unit()) {
                    case ML -> "mL";
                    case G -> "g";
                    case DROP -> one ? "drop" : "drops";
                    case SQUIRT -> one ? "squirt" : "squirts";
                    case TEASPOON -> one ? "teaspoon" : "teaspoons";
                    case TABLESPOON -> one ? "tablespoon" : "tablespoons";
                    case CUP -> one ? "cup" : "cups";
                    case FINGERTIP -> one ? "fingertip" : "fingertips";
                    case HEAPED_TEASPOON -> one ? "heaped teaspoon" : "heaped teaspoons";
                    case PEA -> one ? "pea" : "peas";
                    case PIECE -> one ? "piece" : "pieces";
                    case BATCH -> one ? "batch" : "batches";
                };
    }
}
