package org.sallowbrook.server.making;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

@Entity
@Table(name = "shake")
class Shake extends Entry {

    UUID batchId = new UUID(0, 0);
    LocalDate onDay = LocalDate.EPOCH;
    String shakenBy = "";

    protected Shake() {}

    Shake(UUID id, UUID batchId, LocalDate onDay, String shakenBy) {
        super(id);
        this.batchId = batchId;
        this.onDay = onDay;
        this.shakenBy = shakenBy;
    }
}
