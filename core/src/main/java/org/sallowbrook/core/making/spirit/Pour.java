package org.sallowbrook.core.making.spirit;

import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Strength;

/** A volume in mL at 20 °C of spirit or, at strength 0, of water. */
public record Pour(double volumeMl, Strength strength) {

    public Pour {
        Checks.begin().notNegative("volumeMl", volumeMl).done();
    }

    public static Pour ofGrams(double massG, Strength strength) {
        return new Pour(massG / EthanolWater.gramsPerMl(strength), strength);
    }

    public double massG() {
        return volumeMl * EthanolWater.gramsPerMl(strength);
    }

    public double ethanolG() {
        double p = EthanolWater.massFraction(strength);
        return volumeMl * EthanolWater.gramsPerMl(p) * p;
    }
}
