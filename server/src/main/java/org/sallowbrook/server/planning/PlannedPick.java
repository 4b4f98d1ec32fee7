package org.sallowbrook.server.planning;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Owned;

/** What the plan that the household goes by picks in a week. */
@Entity
@Table(name = "planned_pick")
class PlannedPick extends Owned {

    UUID standId = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    Taxon.Part part = Taxon.Part.HERB;

    /** Its first day. */
    LocalDate weekOf = LocalDate.EPOCH;

    @Column(name = "fresh_g")
    double freshG;

    protected PlannedPick() {}

    PlannedPick(UUID id) {
        super(id);
    }
}
