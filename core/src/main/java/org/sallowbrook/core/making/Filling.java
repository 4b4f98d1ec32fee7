package org.sallowbrook.core.making;

import java.time.LocalDate;

/** When something may be bottled, and when nothing worth a bottle is left; working figures of this tool. */
public final class Filling {

    /** Most of what dissolves in spirit has, by then. */
    private static final int FIRST_POUR_DAYS = 14;

    /** Of the whole; what is less stays in the jug. */
    private static final double LAST_DROPS = 0.02;

    private Filling() {}

    public static LocalDate firstPour(LocalDate begun) {
        return begun.plusDays(FIRST_POUR_DAYS);
    }

    /**
     * @param whole what was there to fill, in its unit
     * @return by how much bottles may seem to hold more than there was, and what may be left of it, in the same unit
     */
    public static double lastDrops(double whole) {
        return whole * LAST_DROPS;
    }
}
