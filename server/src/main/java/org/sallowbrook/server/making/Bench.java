package org.sallowbrook.server.making;

import java.util.List;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Outcome;

/** Reckons one kind of preparation from what stands on the shelf. */
public interface Bench<R extends BatchRequest> {

    Class<R> takes();

    /** Loads what goes in, reckons, and says by {@link Ingredients#draw} how much of each lot is used. */
    Outcome<? extends Batchable> reckon(R request, Ingredients in);

    /** What its pressing or its cold spoon will teach; empty where nothing. */
    default List<Lesson> lessons(R request, Batchable plan) {
        return List.of();
    }
}
