package org.sallowbrook.core.field.years;

import org.hipparchus.analysis.solvers.BrentSolver;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;

/**
 * What a yearly take does to the growth of a stand, by life form. Two stages, young and grown (a Lefkovitch matrix, Caswell,
 * Matrix Population Models, 2nd edition 2001, chapter 4): of the grown a share S lives on, and what they seed grows up at
 * F; the growth a year is the larger root of x² - S x - F = 0. Untouched it stands still, F = 1 - S. A dug root or peeled
 * bark kills its plant, so S falls by what is taken; any other part takes from the seed, so F falls. What fruits once falls by what is taken of it.
 *
 * <p>The shares that live on are generic working figures of this tool, one for a life form, and no measurement of a kind: an
 * annual or biennial dies after its fruit (0), of perennial herbs 0.85 live on, of shrubs 0.95, of trees 0.99.
 */
public enum Bearing {
    ONCE(0),
    HERB(0.85),
    SHRUB(0.95),
    TREE(0.99);

    private static final double ACCURACY = 1e-6;
    private static final int TRIES = 200;

    private final double livesOn;

    Bearing(double livesOn) {
        this.livesOn = livesOn;
    }

    /** @param lifeForm as on a card; what is unknown is taken for a perennial herb */
    public static Bearing of(String lifeForm) {
        if (lifeForm.contains("tree")) {
            return TREE;
        }
        if (lifeForm.contains("shrub")) {
            return SHRUB;
        }
        return lifeForm.startsWith("annual") || lifeForm.startsWith("biennial") ? ONCE : HERB;
    }

    /** Of the grown plants, a year. */
    public double livesOn() {
        return livesOn;
    }

    /** Whether taking the part kills the plant. */
    public static boolean kills(Taxon.Part part) {
        return part == Taxon.Part.ROOT || part == Taxon.Part.BARK;
    }

    /**
     * Growth a year, as a factor, when this share of the stand's part is taken every year; 1 when nothing is.
     *
     * @param share 0 to 1
     */
    public double growth(Taxon.Part part, double share) {
        Checks.begin().range("share", share, 0, 1).done();
        if (livesOn == 0) {
            return 1 - share;
        }
        double s = kills(part) ? livesOn * (1 - share) : livesOn;
        double f = (1 - livesOn) * (kills(part) ? 1 : 1 - share);
        return (s + Math.sqrt(s * s + 4 * f)) / 2;
    }

    /**
     * The largest share of the part that a stand bears which grows by this factor when nothing is taken; 0 where it shrinks by
     * itself, 1 where it bears anything.
     */
    public double bears(Taxon.Part part, double untouched) {
        Checks.begin().positive("untouched", untouched).done();
        if (untouched <= 1) {
            return 0;
        }
        if (untouched * growth(part, 1) >= 1) {
            return 1;
        }
        return new BrentSolver(ACCURACY).solve(TRIES, share -> untouched * growth(part, share) - 1, 0, 1);
    }
}
