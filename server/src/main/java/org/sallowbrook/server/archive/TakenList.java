package org.sallowbrook.server.archive;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Owned;

/** A list that was read in, so that it can be taken back as a whole. */
@Entity
@Table(name = "taken_list")
class TakenList extends Owned {

    String list = "";
    String file = "";
    int lines;
    Instant takenAt = Instant.EPOCH;
    String takenBy = "";

    @Nullable
    Instant backAt;

    @Nullable
    String backBy;

    protected TakenList() {}

    TakenList(UUID id) {
        super(id);
    }
}
