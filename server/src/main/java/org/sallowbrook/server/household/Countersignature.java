package org.sallowbrook.server.household;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Owned;

/** A second account's word, given with its own password, for one thing that another account does. */
@Entity
@Table(name = "countersignature")
class Countersignature extends Owned {

    UUID signedBy = new UUID(0, 0);
    String signedName = "";
    UUID forAccount = new UUID(0, 0);
    Instant at = Instant.EPOCH;

    /** What it was used for; null while unused. */
    @Nullable
    UUID usedFor;

    protected Countersignature() {}

    Countersignature(UUID id, UUID signedBy, String signedName, UUID forAccount, Instant at) {
        super(id);
        this.signedBy = signedBy;
        this.signedName = signedName;
        this.forAccount = forAccount;
        this.at = at;
    }
}
