package org.sallowbrook.server.household;

import java.util.List;
import org.sallowbrook.core.measure.Checks;

/** Answered by the herbarium: the regions that the cards which ship cover. */
public interface Regions {

    List<String> known();

    /** @throws org.sallowbrook.core.measure.InvalidInput for a region that no card covers */
    default void check(String field, String region) {
        Checks.begin()
                .that(known().contains(region), field, "must be one of " + String.join(", ", known()))
                .done();
    }
}
