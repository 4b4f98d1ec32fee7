package org.sallowbrook.server.household;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.server.platform.Owned;

/** That something noted for safety was taken back. Never changed. */
@Entity
@Table(name = "loosened")
class Loosened extends Owned {

    /** The stand, lot, batch or person that is shown with it. */
    UUID subjectId = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    Loosening.Safeguard safeguard = Loosening.Safeguard.HOLD;

    String was = "";
    String reason = "";
    String loosenedBy = "";

    @Nullable
    String second;

    Instant at = Instant.EPOCH;

    /** Of what concerns a person: the plants, separated by commas; empty else. */
    String plants = "";

    protected Loosened() {}

    Loosened(UUID id) {
        super(id);
    }
}
