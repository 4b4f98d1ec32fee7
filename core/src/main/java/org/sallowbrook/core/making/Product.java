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
 * @param driedGPerUnit grams of dried herb in one of its own unit, mL or g; null where it has no meaning, as in a salve
 * @param drawn how the herb was drawn out, by which a card gives its doses; null where nobody says
 */
public record Product(
        String name,
        Taxon.Route route,
        List<Herb> herbs,
        @Nullable Interval driedGPerUnit,
        Strength strength,
        LocalDate bestBefore,
        State state,
        Set<Trait> traits,
        @Nullable Drawn drawn) {

    /** What a dose on a card is meant for. */
    public enum Drawn {
        /** Tea or decoction. */
        WATER,
        /** Tincture. */
        SPIRIT,
        /** Swallowed whole, as powder. */
        WHOLE,
        OTHER,
        /** Nothing was drawn yet: the herb itself, as it lies in a jar. */
        NOT_YET
    }

    public Product(
            String name,
            Taxon.Route route,
            List<Herb> herbs,
            @Nullable Interval driedGPerUnit,
            Strength strength,
            LocalDate bestBefore,
            State state,
            Set<Trait> traits) {
        this(name, route, herbs, driedGPerUnit, strength, bestBefore, state, traits, null);
    }

    public Product {
        herbs = List.copyOf(herbs);
        traits = Set.copyOf(traits);
    }

    /** The same, taken in this form. */
    public Product drawn(Drawn as) {
        return new Product(name, route, herbs, driedGPerUnit, strength, bestBefore, state, traits, as);
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
