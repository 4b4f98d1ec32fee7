package org.sallowbrook.core.dosing;

import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;

/**
 * One herb that a person takes, from whatever product or as food.
 *
 * @param driedGPerDay on the fullest day, the larger end; null when nobody knows
 */
public record Taking(Taxon taxon, Taxon.Part part, @Nullable Double driedGPerDay) {}
