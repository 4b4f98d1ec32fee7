package org.sallowbrook.core.making.vessel;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * The thing it is made in, as it is drawn: to scale, with what is in it from the bottom up.
 *
 * @param capacityMl brimful, of one of them
 * @param count how many alike, 1 or more
 * @param contents of one of them, the lowest first
 * @param fits whether all of it goes in with its headspace
 */
public record Vessel(Shape shape, double capacityMl, int count, List<Content> contents, boolean fits) {

    public enum Shape {
        JAR,
        POT,
        CUP,
        TINS,
        BOTTLES,
        BOWL,
        TRAY,
        CONE,
        CLOTH,
        TUB
    }

    public enum Stuff {
        HERB,
        POWDER,
        SPIRIT,
        WATER,
        OIL,
        WAX,
        VINEGAR,
        HONEY,
        SUGAR,
        GLYCERINE,
        CREAM,
        SALT
    }

    /**
     * @param ml room it takes
     * @param looseMl how far it reaches up as it lies, air and liquid between the pieces; that of herb is much more
     */
    public record Content(Stuff stuff, String name, double ml, double looseMl) {
        public Content {
            Checks.begin()
                    .notNegative("contents.ml", ml)
                    .notNegative("contents.looseMl", looseMl)
                    .done();
        }

        public Content(Stuff stuff, String name, double ml) {
            this(stuff, name, ml, ml);
        }

        /** Herb as it lies: its own volume, and how far it reaches by its bulk density. */
        public static Content herb(
                String name, double massG, double moisture, @Nullable String part, @Nullable Double bulkGPerMl) {
            double bulk = bulkGPerMl != null
                    ? bulkGPerMl
                    : BulkDensity.general(BulkDensity.part(part), moisture > FRESH_ABOVE)
                            .mid();
            return new Content(Stuff.HERB, name, HerbRoom.millilitres(massG, moisture), massG / bulk);
        }

        private static final double FRESH_ABOVE = 0.4;
    }

    public Vessel {
        Checks.begin()
                .positive("capacityMl", capacityMl)
                .range("count", count, 1, 10_000)
                .done();
        contents = List.copyOf(contents);
    }

    /** The smallest that would do: what is in it, or what lies loose, under a twentieth of headspace. */
    public double leastMl() {
        return filledMl(contents) / (1 - HEADSPACE);
    }

    private static double filledMl(List<Content> contents) {
        return Math.max(
                contents.stream().mapToDouble(Content::ml).sum(),
                contents.stream().mapToDouble(Content::looseMl).max().orElse(0));
    }

    private static final double HEADSPACE = 0.05;

    /** One that is large enough for what goes in, to the next size of 50 mL, with a tenth of headspace. */
    public static Vessel roomFor(Shape shape, List<Content> contents) {
        return new Vessel(shape, Math.max(100, Math.ceil(filledMl(contents) / 0.9 / 50) * 50), 1, contents, true);
    }
}
