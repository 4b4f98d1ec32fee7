package org.sallowbrook.server.making.tincture;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tincture.EyeBatch;
import org.sallowbrook.core.making.tincture.FillAndCover;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.vessel.BulkDensity;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** A jar filled with herb by eye and covered with one spirit. */
@Component
public class EyeBench implements Bench<EyeBench.Covering> {

    /** Any mass serves to load the herb; how much goes in follows from the jar. */
    public record EyeHerb(
            @Nullable UUID lotId,
            @Nullable String taxonId,
            Taxon.@Nullable Part part,
            Tincture.@Nullable State state) {}

    /** @param fillFraction of the jar that the loose herb fills */
    @JsonTypeName("FILL_AND_COVER")
    public record Covering(
            UUID id,
            String name,
            EyeHerb herb,
            Double jarMl,
            Double fillFraction,
            StockIn spirit,
            TinctureBench.PressSchool press,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Covering> takes() {
        return Covering.class;
    }

    @Override
    public Outcome<EyeBatch> reckon(Covering request, Ingredients in) {
        EyeHerb h = request.herb();
        Ingredients.Herb herb = in.herb(new HerbIn(h.lotId(), h.taxonId(), h.part(), h.state(), 1.0, null), "herb");
        Ingredients.Stock spirit = in.stock(request.spirit(), Set.of(LotForm.SPIRIT), "spirit");
        Interval bulk = herb.bulkDensityGPerMl() != null
                ? herb.bulkDensityGPerMl()
                : BulkDensity.general(herb.part(), herb.state() == Tincture.State.FRESH);
        Outcome<EyeBatch> outcome = EyeBatch.of(
                new FillAndCover.Recipe(
                        request.jarMl(),
                        request.fillFraction(),
                        bulk,
                        Strength.ofPercent(spirit.strengthPercent()),
                        herb.moisture()),
                herb.name(),
                spirit.label(),
                request.press().days);
        if (outcome instanceof Outcome.Feasible<EyeBatch> feasible) {
            in.draw(herb.lot(), feasible.plan().herbG());
            in.draw(spirit.lot(), feasible.plan().plan().menstruumMl().mid());
        }
        return outcome;
    }
}
