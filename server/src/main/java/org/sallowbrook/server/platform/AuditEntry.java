package org.sallowbrook.server.platform;

import jakarta.persistence.Entity;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.UUID;

/** Who acknowledged what, and why. Never changed. */
@Entity
@Table(name = "audit_entry")
class AuditEntry extends Owned {

    Instant at = Instant.EPOCH;
    String member = "";
    String what = "";
    UUID subjectId = new UUID(0, 0);
    String code = "";
    String reason = "";
    String message = "";

    protected AuditEntry() {}

    AuditEntry(
            UUID id,
            Instant at,
            String member,
            String what,
            UUID subjectId,
            String code,
            String reason,
            String message) {
        super(id);
        this.at = at;
        this.member = member;
        this.what = what;
        this.subjectId = subjectId;
        this.code = code;
        this.reason = reason;
        this.message = message;
    }
}
