package org.sallowbrook.server.dosing;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.LocalDate;
import java.util.UUID;
import org.sallowbrook.server.platform.Entry;

/** Somebody who takes something was asked how it goes. */
@Entity
@Table(name = "asked_after")
class AskedAfter extends Entry {

    UUID courseId = new UUID(0, 0);
    LocalDate onDay = LocalDate.EPOCH;
    String words = "";
    String askedBy = "";

    protected AskedAfter() {}

    AskedAfter(UUID id) {
        super(id);
    }
}
