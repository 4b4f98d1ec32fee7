package org.sallowbrook.server.field;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.platform.Owned;

/** What was picked of a stand in a year before anything was written down here. Nothing of it is in the house any more. */
@Entity
@Table(name = "past_harvest")
class PastHarvest extends Owned {

    UUID standId = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    Taxon.Part part = Taxon.Part.LEAF;

    int inYear;

    @Nullable
    @Column(name = "mass_g")
    Double massG;

    /** Of all that the stand had of it. */
    @Nullable
    Double shareTaken;

    String words = "";
    String notedBy = "";

    protected PastHarvest() {}

    PastHarvest(UUID id) {
        super(id);
    }
}
