package org.sallowbrook.server.platform;

import jakarta.persistence.Column;
import jakarta.persistence.Id;
import jakarta.persistence.MappedSuperclass;
import java.util.UUID;
import org.hibernate.annotations.TenantId;
import org.hibernate.id.uuid.UuidVersion7Strategy;

/** A row of one household, with a time-ordered id made by the client or here. */
@MappedSuperclass
public abstract class Owned {

    @Id
    public UUID id;

    @TenantId
    @Column(name = "household_id", updatable = false)
    public UUID householdId;

    @SuppressWarnings("NullAway.Init")
    protected Owned() {}

    protected Owned(UUID id) {
        this.id = id;
    }

    /** A new UUID version 7. */
    public static UUID newId() {
        return UuidVersion7Strategy.INSTANCE.generateUuid(null);
    }
}
