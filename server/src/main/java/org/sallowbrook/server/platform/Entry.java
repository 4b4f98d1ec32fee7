package org.sallowbrook.server.platform;

import jakarta.persistence.MappedSuperclass;
import java.time.Instant;
import java.util.UUID;
import org.hibernate.annotations.Filter;
import org.hibernate.annotations.FilterDef;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened and was noted: a weighing, a shake, a dose. It is never erased; struck out with a reason it stays
 * in the record and leaves every reckoning, because no query finds it any more unless it asks for what was struck.
 */
@MappedSuperclass
@FilterDef(name = Entry.STANDING, autoEnabled = true)
@Filter(name = Entry.STANDING, condition = "struck_at is null")
public abstract class Entry extends Owned {

    public static final String STANDING = "standing";

    public @Nullable Instant struckAt;
    public @Nullable String struckBy;
    public @Nullable String struckReason;

    protected Entry() {}

    protected Entry(UUID id) {
        super(id);
    }

    /** @param reason in the member's own words */
    public void strike(Instant at, String reason) {
        struckAt = at;
        struckBy = Member.current().displayName();
        struckReason = reason.strip();
    }

    public boolean struck() {
        return struckAt != null;
    }
}
