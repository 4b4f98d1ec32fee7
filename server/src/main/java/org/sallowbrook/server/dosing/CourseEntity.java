package org.sallowbrook.server.dosing;

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
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.server.platform.Versioned;

@Entity
@Table(name = "course")
class CourseEntity extends Versioned {

    enum Status {
        RUNNING,
        ENDED
    }

    UUID personId = new UUID(0, 0);
    UUID lotId = new UUID(0, 0);

    /** What it is taken for, in the card's words. */
    @Column(name = "purpose")
    @Nullable
    String purpose;

    @Enumerated(EnumType.STRING)
    DosingGate.Way way = DosingGate.Way.MOUTH;

    /** A {@link StoredCourse}. */
    @JdbcTypeCode(SqlTypes.JSON)
    String plan = "";

    LocalDate startOn = LocalDate.EPOCH;
    LocalDate lastDay = LocalDate.EPOCH;
    double total;

    /** Of all its amounts; the product's own. */
    @Enumerated(EnumType.STRING)
    Unit unit = Unit.ML;

    String coreVersion = "";

    @Enumerated(EnumType.STRING)
    Status status = Status.RUNNING;

    @Nullable
    LocalDate endedOn;

    /** The phase before it. */
    @Nullable
    UUID followsId;

    protected CourseEntity() {}

    CourseEntity(UUID id) {
        super(id);
    }
}
