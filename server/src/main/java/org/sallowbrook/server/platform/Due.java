package org.sallowbrook.server.platform;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that waits to be done. Kept nowhere: it is done when its room says so.
 *
 * @param landing where on the brook it is done
 * @param at when it falls due, to the minute where that matters
 * @param version of what it is about, for If-Match
 * @param slot which of several of its kind and subject: a dose of the day, a part of a stand; null where there is but one
 * @param amount suggested, in the unit: a dose, what a press should give, the last weight
 */
public record Due(
        Kind kind,
        String landing,
        UUID subjectId,
        String title,
        String detail,
        LocalDate due,
        Instant at,
        Boolean overdue,
        @Nullable Long version,
        @Nullable Integer slot,
        @Nullable Double amount,
        @Nullable String unit) {

    /** What must stop, then in the order of the work. */
    public enum Kind {
        STOP_TAKING,
        CALL_BACK,
        LOOK_AGAIN,
        RETURN,
        COME_BACK,
        GATHER,
        WEIGH_HARVEST,
        RACK,
        WEIGH,
        SHAKE,
        PRESS,
        FILL,
        DOSE,
        BETTER_YET,
        ASK_AFTER,
        FOLLOW_UP,
        DIARY,
        USE_UP,
        DESICCANT,
        SET_ASIDE
    }
}
