package org.sallowbrook.server.making;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.oil.Water;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.Versioned;

/** Something being made. Has the id of its lot. */
@Entity
@Table(name = "batch")
class Batch extends Versioned {

    @Enumerated(EnumType.STRING)
    LotForm kind = LotForm.TINCTURE;

    @Enumerated(EnumType.STRING)
    BatchStatus status = BatchStatus.STEEPING;

    LocalDate startedOn = LocalDate.EPOCH;

    @Nullable
    LocalDate pressOn;

    /** When it was to be pressed, whatever came of it; null for what does not steep. */
    @Nullable
    LocalDate plannedPressOn;

    /** {@link StoredPlan} as it was reckoned, so that it can be explained later. */
    @JdbcTypeCode(SqlTypes.JSON)
    String plan = "";

    String coreVersion = "";

    @Nullable
    Double yieldAmount;

    /** What the pressed marc kept, mL per g of dry matter; null before, and where it teaches nothing. */
    @Column(name = "marc_kept_ml_per_g")
    @Nullable
    Double marcKeptMlPerG;

    /** What lay under a pressed oil once it had settled; null for all else. */
    @Enumerated(EnumType.STRING)
    @Nullable
    Water water;

    /** When it was last filled from; null before. */
    @Nullable
    LocalDate filledOn;

    /** How often it was filled or poured off, so that each time makes a new version. */
    int fills;

    protected Batch() {}

    Batch(UUID id) {
        super(id);
    }
}
