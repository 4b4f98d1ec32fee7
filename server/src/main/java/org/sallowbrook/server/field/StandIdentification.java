package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.IdentityOnRecord;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.identification.Identification;
import org.sallowbrook.server.platform.Entry;

/** What was seen of a stand on a day and what the engine made of it. Never changed, at most struck out. */
@Entity
@Table(name = "stand_identification")
class StandIdentification extends Entry {

    UUID standId = new UUID(0, 0);

    /** What the stand was said to be when it was looked at. */
    String forTaxon = "";

    LocalDate onDay = LocalDate.EPOCH;
    Instant keptAt = Instant.EPOCH;

    @Enumerated(EnumType.STRING)
    LifeStage stage = LifeStage.LEAFY;

    @Enumerated(EnumType.STRING)
    Identification.Status status = Identification.Status.NOT_YET;

    @Nullable
    String taxonId;

    /** Whether that one led "none of these". */
    boolean leads = true;

    String conditions = "";

    /** {@link StoredLook}. */
    @JdbcTypeCode(SqlTypes.JSON)
    String look = "";

    String coreVersion = "";
    String identifiedBy = "";

    /** Account; null for looks kept before accounts were. */
    @Nullable
    UUID lookedBy;

    boolean otherPlants;

    @Nullable
    String secondObserver;

    @Nullable
    String book;

    /** The doubt about the stand that this look took away, which comes back when it is struck out; null for none. */
    @Nullable
    String clearedReason;

    @Nullable
    Instant clearedAt;

    protected StandIdentification() {}

    IdentityOnRecord.Look look() {
        return new IdentityOnRecord.Look(
                forTaxon, onDay, keptAt, stage, status, lookedBy == null ? null : lookedBy.toString(), otherPlants);
    }

    StandIdentification(UUID id) {
        super(id);
    }
}
