package org.sallowbrook.server.drying;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

@Entity
@Table(name = "weighing")
class WeighingEntity extends Entry {

    UUID runId = new UUID(0, 0);
    Instant at = Instant.EPOCH;
    double rackHours;

    @Column(name = "mass_g")
    double massG;

    String weighedBy = "";

    @Enumerated(EnumType.STRING)
    WeighingSource source = WeighingSource.HAND;

    protected WeighingEntity() {}

    WeighingEntity(UUID id) {
        super(id);
    }
}
