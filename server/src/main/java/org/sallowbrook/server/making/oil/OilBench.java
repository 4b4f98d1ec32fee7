package org.sallowbrook.server.making.oil;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.oil.InfusedOil;
import org.sallowbrook.core.making.oil.OilBatch;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Herb in a fatty oil; by the mouth it is one to be eaten. */
@Component
public class OilBench implements Bench<OilBench.Infusing> {

    @JsonTypeName("INFUSED_OIL")
    public record Infusing(
            UUID id,
            String name,
            List<HerbIn> herbs,
            Double ratio,
            StockIn carrier,
            InfusedOil.Method method,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    private final Materials materials;
    private final SchoolService schools;

    OilBench(Materials materials, SchoolService schools) {
        this.materials = materials;
        this.schools = schools;
    }

    @Override
    public Class<Infusing> takes() {
        return Infusing.class;
    }

    @Override
    public Outcome<OilBatch> reckon(Infusing request, Ingredients in) {
        List<Ingredients.Herb> herbs = in.herbs(request.herbs(), "herbs");
        Ingredients.Stock carrier = in.stock(request.carrier(), Set.of(LotForm.CARRIER_OIL), "carrier");
        LocalDate until = materials
                .carrier(carrier.name())
                .bestBefore(request.startedOn(), carrier.bestBefore(), carrier.openedOn());
        Outcome<OilBatch> outcome = OilBatch.of(
                new InfusedOil.Recipe(
                        herbs.stream().map(Ingredients.Herb::portion).toList(),
                        request.ratio(),
                        carrier.name(),
                        (int) Math.max(0, ChronoUnit.MONTHS.between(request.startedOn(), until)),
                        request.method(),
                        request.route() == Taxon.Route.INTERNAL,
                        0),
                until,
                schools.chosen());
        in.drawHerbs(herbs);
        in.draw(
                carrier.lot(),
                outcome instanceof Outcome.Feasible<OilBatch> f
                        ? f.plan().plan().oilMl()
                        : 0);
        return outcome;
    }
}
