package org.sallowbrook.server.household;

import jakarta.persistence.Column;
import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Id;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Member;

/** A sign-in. Not filtered by household: whoever signs in has none yet. */
@Entity
@Table(name = "account")
class Account {

    @Id
    UUID id = new UUID(0, 0);

    @Column(name = "household_id")
    UUID householdId = new UUID(0, 0);

    String username = "";
    String displayName = "";
    String passwordHash = "";

    @Enumerated(EnumType.STRING)
    Member.Role role = Member.Role.READER;

    boolean disabled;

    /** Of the code with which a forgotten password is set anew; null when none was given out. */
    @Nullable
    String resetHash;

    @Nullable
    Instant resetUntil;

    protected Account() {}

    Account(UUID id, UUID householdId, String username, String displayName, String passwordHash, Member.Role role) {
        this.id = id;
        this.householdId = householdId;
        this.username = username;
        this.displayName = displayName;
        this.passwordHash = passwordHash;
        this.role = role;
    }
}
