package org.sallowbrook.server.making.tincture;

import org.sallowbrook.core.making.tincture.Retention;
import org.sallowbrook.server.making.BatchReader;
import org.springframework.stereotype.Component;

/** What this household's own pressings have shown. */
@Component
class Learned {

    private final BatchReader batches;

    Learned(BatchReader batches) {
        this.batches = batches;
    }

    /** What the pressed marc keeps, as the latest pressings have it. */
    Retention retention() {
        return Retention.PRESSED.learnKept(batches.marcKept());
    }
}
