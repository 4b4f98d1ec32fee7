package org.sallowbrook.server.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.platform.Versioned;

/** So many jars, bottles or tins of one size. */
@Entity
@Table(name = "vessel")
class OwnVessel extends Versioned {

    @Enumerated(EnumType.STRING)
    VesselKind kind = VesselKind.JAR;

    double capacityMl;
    int count;
    String note = "";

    protected OwnVessel() {}

    OwnVessel(UUID id) {
        super(id);
    }
}
