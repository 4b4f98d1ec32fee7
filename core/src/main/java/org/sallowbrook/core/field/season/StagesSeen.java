package org.sallowbrook.core.field.season;

import java.time.LocalDate;
import java.util.EnumMap;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.LifeStage;

/**
 * When each stage was first seen at a stand, by year: noted as beginning, or met at a look.
 *
 * @param noted the first day of a stage that somebody noted as its beginning, by stage and year
 * @param met the first look at a stage, by stage and year; it may have begun long before
 */
public record StagesSeen(Map<LifeStage, Map<Integer, LocalDate>> noted, Map<LifeStage, Map<Integer, LocalDate>> met) {

    public static final StagesSeen NONE = new StagesSeen(Map.of(), Map.of());

    /** Two looks farther apart say too little of the day between; a working figure of this tool. */
    static final int FARTHEST_DAYS = 30;

    /** A beginning that was noted may have been the day before. */
    private static final double NOTED_SD = 1;

    public StagesSeen {
        noted = copy(noted);
        met = copy(met);
    }

    private static Map<LifeStage, Map<Integer, LocalDate>> copy(Map<LifeStage, Map<Integer, LocalDate>> of) {
        Map<LifeStage, Map<Integer, LocalDate>> all = new EnumMap<>(LifeStage.class);
        of.forEach((stage, years) -> all.put(stage, new TreeMap<>(years)));
        return all;
    }

    /** @param sdDays how far off the day may be, as a standard deviation */
    public record Begun(LocalDate on, double sdDays) {}

    /** The day by which a stage had begun in a year; null when nobody saw it. */
    public @Nullable LocalDate first(LifeStage stage, int year) {
        LocalDate a = at(noted, stage, year);
        LocalDate b = at(met, stage, year);
        return a == null ? b : b == null || a.isBefore(b) ? a : b;
    }

    /** The last of a year's first looks at an earlier stage: then it had not begun. Null where nobody looked. */
    public @Nullable LocalDate notYet(LifeStage stage, int year) {
        LocalDate last = null;
        for (LifeStage before : LifeStage.values()) {
            LocalDate at = before.compareTo(stage) < 0 ? at(met, before, year) : null;
            if (at != null && (last == null || at.isAfter(last))) {
                last = at;
            }
        }
        return last;
    }

    /**
     * By year, when a stage began: the day that was noted, or the middle between a look that met it and one at most {@value
     * #FARTHEST_DAYS} days before that did not, uniform between the two.
     */
    public Map<Integer, Begun> begun(LifeStage stage) {
        Map<Integer, Begun> all = new TreeMap<>();
        met.getOrDefault(stage, Map.of()).forEach((year, on) -> {
            LocalDate before = notYet(stage, year);
            if (before != null
                    && before.isBefore(on)
                    && !before.plusDays(FARTHEST_DAYS).isBefore(on)) {
                long apart = on.toEpochDay() - before.toEpochDay();
                all.put(year, new Begun(before.plusDays(apart / 2), apart / Math.sqrt(12)));
            }
        });
        noted.getOrDefault(stage, Map.of()).forEach((year, on) -> all.put(year, new Begun(on, NOTED_SD)));
        return all;
    }

    private static @Nullable LocalDate at(Map<LifeStage, Map<Integer, LocalDate>> of, LifeStage stage, int year) {
        return of.getOrDefault(stage, Map.of()).get(year);
    }
}
