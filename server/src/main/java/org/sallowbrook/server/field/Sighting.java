package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.server.platform.Entry;

/** A stage that was seen to begin at a stand. It says when, never what: that is a look's. */
@Entity
@Table(name = "sighting")
class Sighting extends Entry {

    UUID standId = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    LifeStage stage = LifeStage.LEAFY;

    LocalDate onDay = LocalDate.EPOCH;
    String seenBy = "";

    protected Sighting() {}

    Sighting(UUID id, UUID standId, LifeStage stage, LocalDate onDay, String seenBy) {
        super(id);
        this.standId = standId;
        this.stage = stage;
        this.onDay = onDay;
        this.seenBy = seenBy;
    }
}
