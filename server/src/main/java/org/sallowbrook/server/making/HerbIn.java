package org.sallowbrook.server.making;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.vessel.HouseMeasure;

/**
 * Herb that goes in: a lot of the shelf, or one that is only described, to reckon before it is there.
 *
 * @param lotId null for one that is described
 * @param taxonId of a described one; null for "dried herb" of whatever kind
 * @param state of a described one; null for dried
 * @param massG weighed; null where it was measured without a scale
 * @param measure spoons, cups, handfuls; null where it was weighed
 */
public record HerbIn(
        @Nullable UUID lotId,
        @Nullable String taxonId,
        Taxon.@Nullable Part part,
        Tincture.@Nullable State state,
        @Nullable Double massG,
        @Nullable Spoons measure) {

    record Spoons(HouseMeasure unit, Double amount) {}
}
