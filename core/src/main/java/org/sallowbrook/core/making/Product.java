package org.sallowbrook.core.making;

import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.Trait;

/**
 * Something finished that a person may be given.
 *
 * @param route the narrowest route of anything that went into it, through any chain of batches
 * @param driedEquivalentGPerMl grams of dried herb in 1 mL; null where it has no meaning, as in a salve
 */
public record Product(
        String name,
        Taxon.Route route,
        List<Herb> herbs,
        @Nullable Interval driedEquivalentGPerMl,
        Strength strength,
        LocalDate bestBefore,
        State state,
        Set<Trait> traits) {

    public Product {
        herbs = List.copyOf(herbs);
        traits = Set.copyOf(traits);
    }

    public boolean is(Trait trait) {
        return traits.contains(trait);
    }

    /** @param fraction of the dried herb in it, 0..1 */
    public record Herb(Taxon taxon, Taxon.Part part, double fraction) {}

    public enum State {
        USABLE,
        HOLD,
        QUARANTINED,
        DESTROYED
    }
}
