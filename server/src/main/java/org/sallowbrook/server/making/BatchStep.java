package org.sallowbrook.server.making;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

/** One step of a batch that is done. */
@Entity
@Table(name = "batch_step")
class BatchStep extends Entry {

    UUID batchId = new UUID(0, 0);
    int step;

    /** What was done instead of what the step says; empty where it was followed. */
    String really = "";

    Instant doneAt = Instant.EPOCH;
    String doneBy = "";

    protected BatchStep() {}

    BatchStep(UUID id) {
        super(id);
    }
}
