package org.sallowbrook.server.making.oil;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

/** What a pan of oil and decoction weighed, without the pan. */
@Entity
@Table(name = "pan_weighing")
class PanWeighing extends Entry {

    UUID batchId = new UUID(0, 0);

    @Column(name = "mass_g")
    double massG;

    Instant at = Instant.EPOCH;
    String weighedBy = "";

    protected PanWeighing() {}

    PanWeighing(UUID id) {
        super(id);
    }
}
