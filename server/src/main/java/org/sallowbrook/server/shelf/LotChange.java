package org.sallowbrook.server.shelf;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Entry;

/** What came into a lot or went out of it, in its unit. */
@Entity
@Table(name = "lot_change")
class LotChange extends Entry {

    enum What {
        /** What there was when such lines began to be kept. */
        BEFORE,
        PUT,
        TAKEN,
        PRESSED,
        FILLED,
        DOSE,
        DRIED,
        FINISHED,
        THROWN_AWAY,
        COMPOSTED,
        /** Put into another jar, or poured back out of it. */
        SPLIT,
        /** Poured into one with another. */
        TOGETHER,
        /** Handed to somebody, and come back from them: nothing goes in or out by it. */
        GIVEN,
        BACK,
        /** What was found when it was looked at. */
        COUNTED
    }

    UUID lotId = new UUID(0, 0);

    @Enumerated(EnumType.STRING)
    What what = What.PUT;

    /** More than 0 for what came in. */
    double delta;

    /** The batch, bottle or dose it went into; null for none. */
    @Nullable
    UUID subjectId;

    LocalDate onDay = LocalDate.EPOCH;
    Instant at = Instant.EPOCH;
    String notedBy = "";

    /** Why, where it was asked; empty else. */
    String reason = "";

    protected LotChange() {}

    LotChange(UUID id) {
        super(id);
    }
}
