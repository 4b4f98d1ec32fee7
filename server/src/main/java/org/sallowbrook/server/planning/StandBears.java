package org.sallowbrook.server.planning;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Versioned;

/** How much of a part grows at a stand, as somebody who knows it says. */
@Entity
@Table(name = "stand_bears")
class StandBears extends Versioned {

    UUID standId = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    Taxon.Part part = Taxon.Part.HERB;

    @Column(name = "fresh_g")
    double freshG;

    protected StandBears() {}

    StandBears(UUID id) {
        super(id);
    }
}
