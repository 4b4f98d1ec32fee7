package org.sallowbrook.server.calendar;

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
        FIELD,
        /** When a part is likely ready at a stand: no task, a stretch of days. */
        READY,
        RACK,
        BENCH,
        SHELF,
        PEOPLE;

        /** Each kind belongs somewhere: a new one that does not is found when this is compiled. */
        private static Of of(Due.Kind kind) {
            return switch (kind) {
                case LOOK_AGAIN, RETURN, COME_BACK, GATHER, WEIGH_HARVEST -> FIELD;
                case RACK, WEIGH -> RACK;
                case SHAKE, PRESS, FILL -> BENCH;
                case CALL_BACK, USE_UP, DESICCANT, SET_ASIDE -> SHELF;
                case STOP_TAKING, DOSE, BETTER_YET, ASK_AFTER, FOLLOW_UP, DIARY -> PEOPLE;
            };
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
        return of.contains(Of.of(due.kind()));
    }

    boolean wants(Of one) {
        return of.contains(one);
    }
}
