package org.sallowbrook.server.planning;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** How far the plan that the household goes by meets a wish, 0 to 1. */
@Entity
@Table(name = "planned_wish")
class PlannedWish extends Owned {

    UUID wishId = new UUID(0, 0);
    double met;
    LocalDate keptOn = LocalDate.EPOCH;

    protected PlannedWish() {}

    PlannedWish(UUID id) {
        super(id);
    }
}
