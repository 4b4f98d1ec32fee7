package org.sallowbrook.server.platform;

import jakarta.persistence.MappedSuperclass;
import jakarta.persistence.PrePersist;
import jakarta.persistence.PreUpdate;
import jakarta.persistence.Version;
import java.time.Instant;
import java.util.UUID;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;
import org.springframework.security.core.context.SecurityContextHolder;

/** A row that two people may change at once; says who changed it last. */
@MappedSuperclass
public abstract class Versioned extends Owned {

    @Version
    public @Nullable Long version;

    public String changedBy = "";
    public Instant changedAt = Instant.EPOCH;

    protected Versioned() {}

    protected Versioned(UUID id) {
        super(id);
    }

    @PrePersist
    @PreUpdate
    void stamp() {
        var authentication = SecurityContextHolder.getContext().getAuthentication();
        changedBy = authentication != null && authentication.getPrincipal() instanceof Member member
                ? member.displayName()
                : "Sallowbrook";
        changedAt = Instant.now();
    }

    /**
     * Compares with the version a client has seen.
     *
     * @param ifMatch value of the If-Match header
     * @param current how it looks now, for whoever must see what changed
     * @throws Problem.Stale when somebody changed it meanwhile, Problem.NoVersion without a header
     */
    public void checkVersion(@Nullable String ifMatch, Supplier<? extends Object> current) {
        if (ifMatch == null) {
            throw new Problem.NoVersion();
        }
        String seen = ifMatch.replace("\"", "").replace("W/", "").strip();
        if (!seen.equals(String.valueOf(version))) {
            throw new Problem.Stale(changedBy, changedAt, version == null ? 0 : version, current.get());
        }
    }
}
