package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

/** How bad it was on one day, 0 to 10. */
@Entity
@Table(name = "diary_day")
class DiaryDay extends Entry {

    UUID courseId = new UUID(0, 0);
    LocalDate onDay = LocalDate.EPOCH;
    int score;
    String words = "";
    String notedBy = "";

    protected DiaryDay() {}

    DiaryDay(UUID id) {
        super(id);
    }
}
