package org.sallowbrook.server.herbarium;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** Somebody of the household found a figure right in a book. */
@Entity
@Table(name = "figure_check")
class FigureCheck extends Owned {

    String taxonId = "";
    String figure = "";
    String book = "";
    String page = "";
    String checkedBy = "";
    Instant checkedAt = Instant.EPOCH;

    protected FigureCheck() {}

    FigureCheck(UUID id) {
        super(id);
    }
}
