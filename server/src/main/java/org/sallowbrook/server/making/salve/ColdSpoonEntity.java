package org.sallowbrook.server.making.salve;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.server.platform.Entry;

/** How a drop of a salve set on a cold spoon. */
@Entity
@Table(name = "cold_spoon")
class ColdSpoonEntity extends Entry {

    UUID batchId = new UUID(0, 0);
    String wax = "";
    double abovePlan;

    @Enumerated(EnumType.STRING)
    ColdSpoon.Verdict verdict = ColdSpoon.Verdict.RIGHT;

    String notedBy = "";
    LocalDate notedOn = LocalDate.EPOCH;

    protected ColdSpoonEntity() {}

    ColdSpoonEntity(UUID id) {
        super(id);
    }
}
