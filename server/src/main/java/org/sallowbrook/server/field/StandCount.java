package org.sallowbrook.server.field;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.core.field.years.Count;
import org.sallowbrook.server.platform.Entry;

@Entity
@Table(name = "stand_count")
class StandCount extends Entry {

    UUID standId = new UUID(0, 0);
    LocalDate onDay = LocalDate.EPOCH;
    int plants;
    boolean drought;
    boolean pickedByOthers;
    String words = "";
    String countedBy = "";

    protected StandCount() {}

    StandCount(UUID id) {
        super(id);
    }

    Count toCore() {
        return new Count(onDay, plants, drought, pickedByOthers);
    }
}
