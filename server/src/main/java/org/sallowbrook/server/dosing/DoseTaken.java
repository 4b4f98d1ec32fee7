package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Entry;

@Entity
@Table(name = "dose_taken")
class DoseTaken extends Entry {

    UUID courseId = new UUID(0, 0);
    LocalDate onDay = LocalDate.EPOCH;
    int slot;

    /** In the course's unit. */
    double amount;

    /** How slowly it was drunk; null where nobody said. */
    @Nullable
    Integer overMinutes;

    String tickedBy = "";
    Instant tickedAt = Instant.EPOCH;

    protected DoseTaken() {}

    DoseTaken(UUID id) {
        super(id);
    }
}
