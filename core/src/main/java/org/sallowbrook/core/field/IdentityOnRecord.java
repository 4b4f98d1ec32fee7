package org.sallowbrook.core.field;

import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Danger;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.identification.Identification;

/**
 * What the looks at a stand say of it on a day. A verdict belongs to the plant that was asked about, the day it claims and the
 * moment it was kept; of two that differ the later speaks, and a STOP kept after a CONFIRMED speaks whatever day it claims.
 */
public final class IdentityOnRecord {

    /**
     * One look.
     *
     * @param forTaxon what the stand was said to be when it was looked at
     * @param on the day it claims
     * @param keptAt when the server kept it
     * @param by who looked; null when it is not on record
     * @param otherPlants whether other plants of the stand were looked at than in the look before
     */
    public record Look(
            String forTaxon,
            LocalDate on,
            Instant keptAt,
            LifeStage stage,
            Identification.Status status,
            @Nullable String by,
            boolean otherPlants) {

        /** Certain by itself, or with another that agrees. */
        boolean halfway() {
            return status == Identification.Status.CONFIRMED || status == Identification.Status.SECOND_WANTED;
        }
    }

    /** Whether a plant was looked at twice, where something deadly is taken for it or one look did not tell it alone. */
    public enum SecondLook {
        NOT_NEEDED,
        WANTED,
        DONE
    }

    private static final Duration ONE_SITTING = Duration.ofHours(6);

    private static final Comparator<Look> LATER = Comparator.comparing(Look::on).thenComparing(Look::keptAt);

    private IdentityOnRecord() {}

    /**
     * The look that speaks for a stand on a day; null when none does.
     *
     * @param taxon what the stand is said to be now
     */
    public static @Nullable Look on(LocalDate day, String taxon, List<Look> looks) {
        List<Look> before = looks.stream().filter(l -> !l.on().isAfter(day)).toList();
        Look newest = before.stream().max(LATER).orElse(null);
        if (newest == null || !newest.forTaxon().equals(taxon)) {
            return null;
        }
        return before.stream()
                .filter(l ->
                        l.status() == Identification.Status.STOP && l.keptAt().isAfter(newest.keptAt()))
                .max(Comparator.comparing(Look::keptAt))
                .orElse(newest);
    }

    /** Whether a look says what a plant is, by itself or with the other that it wants. */
    public static boolean certain(@Nullable Look speaking, SecondLook second) {
        return speaking != null
                && (speaking.status() == Identification.Status.CONFIRMED
                        || (speaking.status() == Identification.Status.SECOND_WANTED && second == SecondLook.DONE));
    }

    /** Whether a look is recent enough on a day: one round of the year and the season it began in, as of a tag. */
    public static boolean fresh(Look look, LocalDate day) {
        return !day.isAfter(look.on().plusDays(Tag.VALID_DAYS));
    }

    /**
     * One pair of eyes that hopes sees what it hopes for, twice if need be. Where something deadly is taken for the plant,
     * or a look did not tell it alone, it counts when another bears it out: of the same plant and stage, fresh, by another
     * person, or by the same on another day and on other plants, with no STOP kept since the older of the two.
     *
     * @param speaking the look that speaks on the day
     */
    public static SecondLook second(
            Taxon taxon, List<Taxon> takenFor, @Nullable Look speaking, LocalDate day, List<Look> looks) {
        boolean halfOnly = speaking != null && speaking.status() == Identification.Status.SECOND_WANTED;
        if (!halfOnly && takenFor.stream().noneMatch(t -> t.danger() == Danger.DEADLY)) {
            return SecondLook.NOT_NEEDED;
        }
        if (speaking == null || !speaking.halfway()) {
            return SecondLook.WANTED;
        }
        boolean borneOut = looks.stream()
                .filter(l -> l.halfway()
                        && l.forTaxon().equals(taxon.id())
                        && l.stage() == speaking.stage()
                        && fresh(l, day)
                        && !l.on().isAfter(day))
                .filter(l -> byAnother(l, speaking) || anotherTime(l, speaking))
                .anyMatch(l -> looks.stream()
                        .noneMatch(s -> s.status() == Identification.Status.STOP
                                && !s.keptAt().isBefore(l.keptAt())));
        return borneOut ? SecondLook.DONE : SecondLook.WANTED;
    }

    /** Known to be another person; of a look whose member is not on record nobody knows. */
    private static boolean byAnother(Look a, Look b) {
        return a.by() != null && b.by() != null && !a.by().equals(b.by());
    }

    /** A claimed day is not enough: two looks kept at one sitting are one look. */
    private static boolean anotherTime(Look a, Look b) {
        return !a.on().equals(b.on())
                && (a.otherPlants() || b.otherPlants())
                && Duration.between(a.keptAt(), b.keptAt()).abs().compareTo(ONE_SITTING) >= 0;
    }
}
