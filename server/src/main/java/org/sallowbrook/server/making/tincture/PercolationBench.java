package org.sallowbrook.server.making.tincture;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tincture.Percolation;
import org.sallowbrook.core.making.tincture.PercolationBatch;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Spirit dripped through a dry powder. */
@Component
public class PercolationBench implements Bench<PercolationBench.Percolating> {

    /** @param ratio mL of finished product per g */
    @JsonTypeName("PERCOLATION")
    public record Percolating(
            UUID id,
            String name,
            HerbIn herb,
            Double ratio,
            Double strengthPercent,
            List<StockIn> spirits,
            Double dropsPerMl,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Percolating> takes() {
        return Percolating.class;
    }

    @Override
    public Outcome<PercolationBatch> reckon(Percolating request, Ingredients in) {
        Ingredients.Herb herb = in.herb(request.herb(), "herb");
        Checks.begin()
                .that(herb.state() == Tincture.State.DRIED, "herb", "must be dry: nothing runs through a wet powder")
                .done();
        List<Ingredients.Stock> spirits = in.stocks(request.spirits(), Set.of(LotForm.SPIRIT), "spirits");
        Outcome<PercolationBatch> outcome = PercolationBatch.of(
                new Percolation.Recipe(
                        herb.massG(),
                        request.ratio(),
                        Strength.ofPercent(request.strengthPercent()),
                        request.dropsPerMl()),
                herb.name(),
                herb.moisture(),
                spirits.stream().map(TinctureBench::bottle).toList());
        in.drawHerbs(List.of(herb));
        if (outcome instanceof Outcome.Feasible<PercolationBatch> feasible) {
            in.drawPours(feasible.plan().pours(), spirits);
        }
        return outcome;
    }
}
