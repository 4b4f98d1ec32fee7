package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Life;
import org.sallowbrook.core.making.Readiness;
import org.sallowbrook.core.making.Step;
import org.sallowbrook.core.making.vessel.Vessel;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.VesselService;

/**
 * What the page shows of a plan, whatever kind it is.
 *
 * @param plan null where it can't be made
 * @param fits the household's own vessels it would go into, the smallest first
 * @param missing what was only described, and must be on the shelf before it is begun
 */
record PlanView(
        Boolean feasible,
        @Nullable Planned plan,
        List<Ingredients.Missing> missing,
        List<VesselService.VesselView> fits,
        List<Finding> findings,
        List<String> because) {

    /**
     * @param finalPercent alcohol by volume; null without
     * @param spoilsBelowPercent below which alcohol alone does not keep it; null without alcohol
     * @param driedGPerUnit null where it has no meaning
     * @param keepsUntil if it is begun on the day asked about, and pressed when planned
     * @param hours of what is counted in hours; null else
     */
    record Planned(
            LotForm form,
            String unit,
            Range yield,
            @Nullable Range finalPercent,
            @Nullable Double spoilsBelowPercent,
            @Nullable Range driedGPerUnit,
            LocalDate keepsUntil,
            Life.@Nullable Hours hours,
            Readiness ready,
            List<FactView> facts,
            List<PortionView> portions,
            Vessel vessel,
            List<Step> steps) {}

    /** @param note a second look at it; empty for none */
    record FactView(String label, Range value, String unit, String note) {}

    record PortionView(String name, Double massG, @Nullable Double volumeMl) {}
}
