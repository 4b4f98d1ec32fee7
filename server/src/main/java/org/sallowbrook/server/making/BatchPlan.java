package org.sallowbrook.server.making;

import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.making.Steps;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.platform.Range;
import org.sallowbrook.server.shelf.ShelfService.HerbView;

/**
 * What every kind of batch has in common once reckoned; stored as it was.
 *
 * @param yield expected, in the unit of the product
 * @param strengthPercent upper end of the final strength; 0 without spirit
 * @param driedGPerUnit grams of dried herb per mL; null for a salve
 * @param jar null for what is no tincture
 * @param spooned null for what is no salve
 * @param withHoney whether honey went in; null in plans from before it was asked
 * @param keepsUntil fixed by the plan; null when it is reckoned at pressing
 */
public record BatchPlan(
        List<Steps.Step> steps,
        Range yield,
        String unit,
        Double strengthPercent,
        @Nullable Range finalPercent,
        @Nullable Range driedGPerUnit,
        List<HerbView> herbs,
        @Nullable LocalDate keepsUntil,
        @Nullable Integer keepsDays,
        List<Finding> findings,
        List<String> because,
        @Nullable Jar jar,
        @Nullable Spooned spooned,
        @Nullable Boolean withHoney) {

    boolean honey() {
        return Boolean.TRUE.equals(withHoney);
    }

    /** What a tincture was made from, so that its pressing can teach. */
    public record Jar(List<JarHerb> herbs, Double menstruumMl, Double menstruumPercent) {}

    public record JarHerb(String name, Double massG, Range moisture) {}

    /**
     * The wax of a salve, so that its cold spoon can teach.
     *
     * @param correction share of beeswax that earlier spoons had moved the rule by
     */
    public record Spooned(String wax, Double correction) {}
}
