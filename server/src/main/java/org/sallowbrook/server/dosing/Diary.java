package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** A complaint in the person's own words, scored day by day beside a course; its id is the course's. */
@Entity
@Table(name = "diary")
class Diary extends Owned {

    String complaint = "";
    LocalDate begunOn = LocalDate.EPOCH;

    protected Diary() {}

    Diary(UUID courseId) {
        super(courseId);
    }
}
