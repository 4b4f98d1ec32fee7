package org.sallowbrook.server.making;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.SalveBatch;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Oil and wax, into tins. */
@Component
class SalveBench implements Bench<SalveBench.Salving> {

    private static final double WASTE = 0.04;

    record TinIn(Double capacityMl, Integer count) {}

    @JsonTypeName("SALVE")
    record Salving(
            UUID id,
            String name,
            StockIn oil,
            StockIn wax,
            List<TinIn> tins,
            Salve.Firmness firmness,
            Double storageTemperatureC,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {

        /** Never anything else. */
        @Override
        public Taxon.Route route() {
            return Taxon.Route.EXTERNAL;
        }
    }

    private final Materials materials;
    private final Learned learned;

    SalveBench(Materials materials, Learned learned) {
        this.materials = materials;
        this.learned = learned;
    }

    @Override
    public Class<Salving> takes() {
        return Salving.class;
    }

    @Override
    public Outcome<SalveBatch> reckon(Salving request, Ingredients in) {
        Ingredients.Stock oil =
                in.stock(request.oil(), LotForm.inOrder(LotForm.CARRIER_OIL, LotForm.INFUSED_OIL), "oil");
        Ingredients.Stock wax = in.stock(request.wax(), Set.of(LotForm.WAX), "wax");
        Wax kind = materials.wax(wax.name());
        Outcome<SalveBatch> outcome = SalveBatch.of(
                new Salve.Recipe(
                        request.tins().stream()
                                .map(t -> new Salve.Tin(t.capacityMl(), t.count()))
                                .toList(),
                        request.firmness(),
                        kind,
                        request.storageTemperatureC(),
                        WASTE,
                        null,
                        0,
                        0,
                        0,
                        18,
                        learned.spoons(kind)),
                oil.bestBefore() == null ? List.of() : List.of(new Keeping.Input(oil.name(), oil.bestBefore())));
        if (outcome instanceof Outcome.Feasible<SalveBatch> feasible) {
            in.draw(oil.lot(), feasible.plan().oilMl());
            in.draw(wax.lot(), feasible.plan().plan().waxG());
        }
        return outcome;
    }

    @Override
    public List<Lesson> lessons(Salving request, Batchable plan) {
        Salve.Recipe recipe = ((SalveBatch) plan).recipe();
        return List.of(new Lesson.Spoon(recipe.wax().name(), ColdSpoon.correction(recipe.trials())));
    }
}
