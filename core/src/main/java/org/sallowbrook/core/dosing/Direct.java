package org.sallowbrook.core.dosing;

import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate.Skin;
import org.sallowbrook.core.dosing.DosingGate.Way;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Moisture;
import org.sallowbrook.core.measure.Strength;

/**
 * A plant used as it is, without anything being made of it: a crushed leaf on a sting, a compress, powder on a scratch, a few
 * leaves eaten on the way, a piece chewed. Who may use it is judged as for anything out of a bottle.
 */
public final class Direct {

    public enum Manner {
        CRUSHED(Way.SKIN),
        COMPRESS(Way.SKIN),
        POWDER_ON_SKIN(Way.SKIN),
        /** As a dish or a handful on the way: what the card knows as food. */
        EATEN(Way.MOUTH),
        /** For what it does: its dose counts. */
        CHEWED(Way.MOUTH),
        POWDER_SWALLOWED(Way.MOUTH),
        /** Out of a bottle or jar, without a course, and down already: kept whatever it was. */
        SWALLOWED(Way.MOUTH);

        private final Way way;

        Manner(Way way) {
            this.way = way;
        }

        public Way way() {
            return way;
        }

        boolean asPowder() {
            return this == POWDER_ON_SKIN || this == POWDER_SWALLOWED;
        }
    }

    private Direct() {}

    /**
     * A fresh plant as a product, by the gram.
     *
     * @return its dried equivalent is null where the card has no moisture
     */
    public static Product fresh(Taxon taxon, Taxon.Part part, java.time.LocalDate on) {
        Interval moisture =
                taxon.usedPart(part).map(p -> p.drying().freshMoisture()).orElse(null);
        boolean inside = taxon.usedPart(part)
                .filter(p -> p.using().routes().contains(Taxon.Route.INTERNAL))
                .isPresent();
        return new Product(
                "fresh " + taxon.commonName(),
                inside ? Taxon.Route.INTERNAL : Taxon.Route.EXTERNAL,
                List.of(new Product.Herb(taxon, part, 1)),
                moisture == null
                        ? null
                        : Moisture.of(moisture.low(), moisture.high()).driedGPerG(),
                Strength.NONE,
                on,
                Product.State.USABLE,
                java.util.Set.of());
    }

    /** A jar or a harvest as something that is taken by the gram, reckoned as if all of it were dried herb: the larger end. */
    public static Product byTheGram(Product lot) {
        return lot.driedGPerUnit() != null
                ? lot
                : new Product(
                        lot.name(),
                        lot.route(),
                        lot.herbs(),
                        Interval.exactly(1),
                        lot.strength(),
                        lot.bestBefore(),
                        lot.state(),
                        lot.traits(),
                        lot.drawn());
    }

    /** A jar of dried herb as the tea that is made of it cup by cup; anything else as it is. */
    public static Product asTea(Product product) {
        return product.drawn() == Product.Drawn.NOT_YET ? byTheGram(product).drawn(Product.Drawn.WATER) : product;
    }

    /**
     * Beside the gates of any product.
     *
     * @param grams as it is used; null where nobody weighed it
     * @param skin what it is put on; null when not on the skin
     */
    public static List<Finding> check(
            Product product,
            org.sallowbrook.core.household.Person person,
            Manner manner,
            @Nullable Double grams,
            @Nullable Skin skin,
            DosingGate.Intake intake,
            java.time.LocalDate on) {
        Checks checks = Checks.begin()
                .that(intake.way() == manner.way(), "way", "must be that of the manner")
                .that(manner.way() != Way.SKIN || skin != null, "skin", "must be said: whole, or with a small cut?")
                .that(
                        manner.way() == Way.SKIN || manner == Manner.EATEN || grams != null,
                        "grams",
                        "must be given: what is taken for what it does is weighed");
        if (grams != null) {
            checks.positive("grams", grams);
        }
        checks.done();
        List<Finding> findings = manner == Manner.EATEN
                ? DosingGate.checkFood(product, person, intake, on)
                : DosingGate.check(
                        manner == Manner.POWDER_SWALLOWED ? product.drawn(Product.Drawn.WHOLE) : product,
                        person,
                        intake,
                        on);
        if (manner.way() == Way.SKIN) {
            onSkin(product, manner, skin, findings);
        }
        if (manner.asPowder()) {
            findings.add(Finding.note(
                    "POWDER",
                    "Fine powder is breathed in easily.",
                    manner == Manner.POWDER_SWALLOWED
                            ? "Stir it into something wet; never dry off the spoon."
                            : "Strew little, away from the face, and only what was dried clean and kept closed."));
        }
        return findings;
    }

    private static void onSkin(Product product, Manner manner, @Nullable Skin skin, List<Finding> findings) {
        for (Product.Herb herb : product.herbs()) {
            boolean known = herb.taxon()
                    .usedPart(herb.part())
                    .filter(p -> p.using().routes().contains(Taxon.Route.EXTERNAL))
                    .isPresent();
            if (!known) {
                findings.add(Finding.warn(
                        "NOT_KNOWN_ON_SKIN",
                        "The card knows no use of this part of " + herb.taxon().commonName() + " on the skin.",
                        "Take a plant that is used so, or say what you go by."));
            }
        }
        if (skin == Skin.SMALL_CLEAN_CUT && manner != Manner.POWDER_ON_SKIN) {
            findings.add(Finding.warn(
                    "FRESH_ON_CUT",
                    "A leaf from outside brings earth and what lives in it into a cut.",
                    "Wash cut and leaf with clean water, cover it for an hour at most, and look at it tomorrow: red, hot,"
                            + " swollen or throbbing belongs to a doctor. Is the tetanus protection in date?"));
        }
    }
}
