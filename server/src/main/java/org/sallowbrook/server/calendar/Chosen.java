package org.sallowbrook.server.calendar;

import java.util.EnumSet;
import java.util.Set;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.platform.Due;

/**
 * What somebody wants in a calendar.
 *
 * @param inFull whether plants, people and places stand in the titles; else only what is to be done
 */
record Chosen(Set<Of> of, boolean inFull, Alarm alarm) {

    enum Of {
        FIELD(Due.Kind.LOOK_AGAIN, Due.Kind.RETURN, Due.Kind.COME_BACK, Due.Kind.GATHER, Due.Kind.WEIGH_HARVEST),
        /** When a part is likely ready at a stand: no task, a stretch of days. */
        READY,
        RACK(Due.Kind.RACK, Due.Kind.WEIGH),
        BENCH(Due.Kind.SHAKE, Due.Kind.PRESS, Due.Kind.FILL),
        SHELF(Due.Kind.USE_UP, Due.Kind.DESICCANT, Due.Kind.SET_ASIDE),
        PEOPLE(
                Due.Kind.STOP_TAKING,
                Due.Kind.DOSE,
                Due.Kind.BETTER_YET,
                Due.Kind.ASK_AFTER,
                Due.Kind.FOLLOW_UP,
                Due.Kind.DIARY);

        private final Set<Due.Kind> kinds;

        Of(Due.Kind... kinds) {
            this.kinds = EnumSet.noneOf(Due.Kind.class);
            this.kinds.addAll(Set.of(kinds));
        }
    }

    enum Alarm {
        NONE,
        /** At its hour; what has none, at eight in the morning. */
        THEN,
        /** At six in the evening of the day before. */
        EVENING_BEFORE
    }

    Chosen {
        Checks.begin().that(!of.isEmpty(), "of", "must name at least one thing").done();
        of = Set.copyOf(of);
    }

    boolean wants(Due due) {
        return of.stream().anyMatch(o -> o.kinds.contains(due.kind()));
    }

    boolean wants(Of one) {
        return of.contains(one);
    }
}
