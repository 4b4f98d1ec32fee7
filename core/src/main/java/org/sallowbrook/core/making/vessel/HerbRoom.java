package org.sallowbrook.core.making.vessel;

import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Moisture;

/** Room that herb takes in a jar, the air between the pieces not counted: water and solid each by its density. */
public final class HerbRoom {

    /** Of the water within a plant, rounded: the room of herb is never known as closely. */
    public static final double WATER_G_PER_ML = 0.998;

    /** Of the solid of a plant; a working figure of this tool. */
    public static final double SOLID_G_PER_ML = 1.5;

    private HerbRoom() {}

    /** mL = m (w / 0.998 + (1 - w) / 1.5). @param moisture wet basis, 0..0.98 */
    public static double millilitres(double massG, double moisture) {
        Checks.begin()
                .notNegative("massG", massG)
                .range("moisture", moisture, 0, Moisture.MOST)
                .done();
        return massG * (moisture / WATER_G_PER_ML + (1 - moisture) / SOLID_G_PER_ML);
    }
}
