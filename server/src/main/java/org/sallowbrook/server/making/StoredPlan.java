package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Fact;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.HerbView;

/**
 * A plan as it is kept with its batch, so that an old batch can always be opened and explained. Never sent as it is; of
 * earlier schemas {@link PlanStore} makes this one.
 *
 * @param yield expected, in the unit of the form
 * @param gPerMl of what is counted in grams and filled by volume; 1 else
 * @param finalPercent alcohol by volume; null without spirit
 * @param driedGPerUnit null where it has no meaning
 */
record StoredPlan(
        Integer schema,
        LotForm form,
        List<Step> steps,
        List<Fact> facts,
        Range yield,
        Double gPerMl,
        @Nullable Range finalPercent,
        @Nullable Range driedGPerUnit,
        List<HerbView> herbs,
        Kept kept,
        Boolean shaken,
        List<Finding> findings,
        List<String> because,
        List<Lesson> lessons) {

    static final int SCHEMA = 2;

    /**
     * @param until fixed when it was planned, in earlier schemas; null where it follows from the rest
     * @param mostDays null for the form's own life
     */
    record Kept(
            Keeping.Form as,
            @Nullable Integer mostDays,
            List<Until> inputs,
            @Nullable LocalDate until) {}

    record Until(String name, LocalDate bestBefore) {}
}
