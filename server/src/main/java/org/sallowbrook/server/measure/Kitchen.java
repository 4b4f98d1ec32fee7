package org.sallowbrook.server.measure;

import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import javax.measure.MetricPrefix;
import javax.measure.Unit;
import org.jspecify.annotations.Nullable;
import systems.uom.common.Imperial;
import systems.uom.common.USCustomary;
import tech.units.indriya.unit.Units;

/**
 * Whose cups and spoons are meant. Metric ones are 250, 15 and 5 mL; imperial ones follow the gill of 5 fl oz, with a cup of
 * half a pint, a tablespoon of 5/8 and a teaspoon of 5/24 fl oz.
 */
enum Kitchen {
    METRIC,
    US,
    IMPERIAL;

    private static final Unit<?> MILLILITRE = MetricPrefix.MILLI(Units.LITRE);

    private final Map<String, Unit<?>> volumes = new HashMap<>();

    static {
        METRIC.volume(MILLILITRE.multiply(5), "tsp", "teaspoon");
        METRIC.volume(MILLILITRE.multiply(15), "tbsp", "tablespoon");
        METRIC.volume(MILLILITRE.multiply(250), "cup");

        US.volume(USCustomary.TEASPOON, "tsp", "teaspoon");
        US.volume(USCustomary.TABLESPOON, "tbsp", "tablespoon");
        US.volume(USCustomary.CUP, "cup");
        US.volume(USCustomary.FLUID_OUNCE, "floz", "fluidounce");
        US.volume(USCustomary.FLUID_DRAM, "fldr", "fluiddram");
        US.volume(USCustomary.PINT, "pt", "pint");
        US.volume(USCustomary.PINT.multiply(2), "qt", "quart");
        US.volume(USCustomary.GALLON_LIQUID, "gal", "gallon");

        IMPERIAL.volume(Imperial.FLUID_OUNCE.multiply(5).divide(24), "tsp", "teaspoon");
        IMPERIAL.volume(Imperial.FLUID_OUNCE.multiply(5).divide(8), "tbsp", "tablespoon");
        IMPERIAL.volume(Imperial.PINT.divide(2), "cup");
        IMPERIAL.volume(Imperial.FLUID_OUNCE, "floz", "fluidounce");
        IMPERIAL.volume(Imperial.FLUID_DRACHM, "fldr", "fluiddram", "fluiddrachm");
        IMPERIAL.volume(Imperial.PINT, "pt", "pint");
        IMPERIAL.volume(Imperial.QUART, "qt", "quart");
        IMPERIAL.volume(Imperial.GALLON_UK, "gal", "gallon");
        for (Kitchen kitchen : values()) {
            kitchen.volume(MILLILITRE, "ml", "millilitre", "milliliter", "cc");
            kitchen.volume(MILLILITRE.multiply(10), "cl", "centilitre", "centiliter");
            kitchen.volume(MILLILITRE.multiply(100), "dl", "decilitre", "deciliter");
            kitchen.volume(Units.LITRE, "l", "litre", "liter");
        }
    }

    private void volume(Unit<?> unit, String... names) {
        for (String name : names) {
            volumes.put(name, unit);
        }
    }

    /** A volume by its name in the singular, without blanks; null when this kitchen has none of it. */
    @Nullable
    Unit<?> volume(String name) {
        return volumes.get(name);
    }

    String words() {
        return name().toLowerCase(Locale.ROOT);
    }
}
