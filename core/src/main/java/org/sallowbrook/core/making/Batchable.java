package org.sallowbrook.core.making;

import java.util.List;
import java.util.Set;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Trait;

/**
 * A preparation once it is reckoned: all that is asked of every kind, so that it can be begun, kept, labelled, traced and
 * dosed without anybody knowing which kind it is.
 */
public interface Batchable {

    LotForm form();

    /** What is expected of it, in the unit of its form. */
    Interval yield();

    /** Of what is counted in grams and filled by volume, as a salve into tins. */
    default double gPerMl() {
        return 1;
    }

    /** Alcohol by volume at the end, 0..1. */
    default Interval strength() {
        return Interval.exactly(0);
    }

    /** Grams of dried herb in one unit of it; null where it has no meaning, as in a salve. */
    @Nullable
    Interval driedGPerUnit();

    /** What one piece of it holds, in the form's own unit; null for what is not counted in pieces. */
    default @Nullable Double piece() {
        return null;
    }

    /** Has no default: what forgets its own life keeps like something else. */
    Life keeps();

    /** When it is finished, and what is done with it until then. */
    Readiness ready();

    /** What it brings beside what its ingredients bring. */
    default Set<Trait> adds() {
        return Set.of();
    }

    /** What goes in, in the order in which it does. */
    List<Portion> portions();

    List<Step> steps();

    Vessel vessel();

    /** What the page shows large: oil and wax, menstruum, water to put on. */
    List<Fact> facts();
}
