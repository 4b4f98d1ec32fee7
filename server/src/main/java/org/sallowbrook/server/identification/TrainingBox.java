package org.sallowbrook.server.identification;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Owned;

/** Where a pair of look-alikes stands for one member. */
@Entity
@Table(name = "training_box")
class TrainingBox extends Owned {

    UUID accountId = new UUID(0, 0);
    String a = "";
    String b = "";
    int box = 1;
    LocalDate dueOn = LocalDate.EPOCH;
    int asked;
    int wrong;

    protected TrainingBox() {}

    TrainingBox(UUID id) {
        super(id);
    }
}
