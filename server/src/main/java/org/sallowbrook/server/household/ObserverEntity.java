package org.sallowbrook.server.household;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.SecondObserver;
import org.sallowbrook.server.platform.Owned;

/** Somebody without an account whose eyes the keeper trusts. */
@Entity
@Table(name = "second_observer")
class ObserverEntity extends Owned {

    String name = "";
    String why = "";
    Instant namedAt = Instant.EPOCH;
    String namedBy = "";

    @Nullable
    LocalDate endedOn;

    protected ObserverEntity() {}

    ObserverEntity(UUID id) {
        super(id);
    }

    SecondObserver toCore() {
        return new SecondObserver(name, namedAt);
    }
}
