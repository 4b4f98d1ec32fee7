package org.sallowbrook.core.field;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.LifeStage;
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
     */
    public record Look(String forTaxon, LocalDate on, Instant keptAt, LifeStage stage, Identification.Status status) {}

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

    /** Whether a look is recent enough on a day: one round of the year and the season it began in, as of a tag. */
    public static boolean fresh(Look look, LocalDate day) {
        return !day.isAfter(look.on().plusDays(Tag.VALID_DAYS));
    }
}
