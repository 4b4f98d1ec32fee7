package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.server.platform.Owned;

/** What was seen of a stand on a day and what the engine made of it. Never changed. */
@Entity
@Table(name = "stand_identification")
class StandIdentification extends Owned {

    UUID standId = new UUID(0, 0);
    LocalDate onDay = LocalDate.EPOCH;

    @Enumerated(EnumType.STRING)
    LifeStage stage = LifeStage.LEAFY;

    @Enumerated(EnumType.STRING)
    Identification.Status status = Identification.Status.NOT_YET;

    @Nullable
    String taxonId;

    String conditions = "";
    String observations = "";
    String verdict = "";
    String coreVersion = "";
    String identifiedBy = "";

    @Nullable
    String secondObserver;

    @Nullable
    String book;

    protected StandIdentification() {}

    StandIdentification(UUID id) {
        super(id);
    }
}
