package org.sallowbrook.core.making;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import org.jspecify.annotations.Nullable;

/** How often what steeps is shaken; working figures of this tool. */
public final class Shaking {

    /** Days a batch is shaken daily; then weekly, then monthly. */
    private static final int DAILY = 14;

    private static final int WEEKLY = 60;

    private Shaking() {}

    /**
     * Every day for two weeks, then every week; what is left on the herb for years is looked at every month.
     *
     * @param last when it was shaken last; null for not yet
     */
    public static LocalDate next(LocalDate begun, @Nullable LocalDate last) {
        LocalDate from = last == null ? begun : last;
        long day = ChronoUnit.DAYS.between(begun, from);
        return from.plusDays(day < DAILY ? 1 : day < WEEKLY ? 7 : 30);
    }
}
