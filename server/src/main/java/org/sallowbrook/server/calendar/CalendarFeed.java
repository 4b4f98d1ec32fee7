package org.sallowbrook.server.calendar;

import jakarta.persistence.Entity;
import jakarta.persistence.EnumType;
import jakarta.persistence.Enumerated;
import jakarta.persistence.Table;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.platform.Versioned;

/** An address at which a calendar program reads what is due. Ended it stays in its row and answers nobody. */
@Entity
@Table(name = "calendar_feed")
class CalendarFeed extends Versioned {

    /** Whoever made it: it ends with that account. */
    UUID accountId = new UUID(0, 0);

    String madeBy = "";
    Instant madeAt = Instant.EPOCH;

    /** SHA-256 of the secret, in hexadecimal. */
    String secretDigest = "";

    /** Names of {@link Chosen.Of}, with blanks between. */
    String ofWhat = "";

    boolean inFull;

    @Enumerated(EnumType.STRING)
    Chosen.Alarm alarm = Chosen.Alarm.NONE;

    @Nullable
    Instant lastReadAt;

    @Nullable
    Instant endedAt;

    protected CalendarFeed() {}

    CalendarFeed(UUID id, Chosen chosen) {
        super(id);
        ofWhat = chosen.of().stream().map(Enum::name).sorted().collect(Collectors.joining(" "));
        inFull = chosen.inFull();
        alarm = chosen.alarm();
    }

    Chosen chosen() {
        Set<Chosen.Of> of = EnumSet.noneOf(Chosen.Of.class);
        for (String name : ofWhat.split(" ")) {
            of.add(Chosen.Of.valueOf(name));
        }
        return new Chosen(of, inFull, alarm);
    }
}
