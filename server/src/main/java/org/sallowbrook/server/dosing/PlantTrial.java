package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.server.platform.Entry;

/** A person's first small trial of a plant and how it went. */
@Entity
@Table(name = "plant_trial")
class PlantTrial extends Entry {

    UUID personId = new UUID(0, 0);
    String taxonId = "";
    /** For which it speaks; null for either, of those noted before it was asked. */
    @Enumerated(EnumType.STRING)
    DosingGate.@Nullable Way way;

    LocalDate onDay = LocalDate.EPOCH;
    String reaction = "";
    boolean well;

    protected PlantTrial() {}

    PlantTrial(UUID id) {
        super(id);
    }
}
