package org.sallowbrook.server.drying;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.sallowbrook.core.drying.Drying;
import org.sallowbrook.server.platform.Entry;

/** A stem or leaf of a drying lot that was tried. */
@Entity
@Table(name = "dry_test")
class DryTest extends Entry {

    UUID runId = new UUID(0, 0);
    Instant at = Instant.EPOCH;
    double rackHours;

    @Enumerated(EnumType.STRING)
    Drying.PhysicalTest test = Drying.PhysicalTest.BENDS;

    String triedBy = "";

    protected DryTest() {}

    DryTest(UUID id) {
        super(id);
    }
}
