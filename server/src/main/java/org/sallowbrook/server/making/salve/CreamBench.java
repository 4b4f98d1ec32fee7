package org.sallowbrook.server.making.salve;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.salve.Cream;
import org.sallowbrook.core.making.salve.CreamBatch;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Water and oil, held together by an emulsifier. */
@Component
public class CreamBench implements Bench<CreamBench.Creaming> {

    /**
     * @param water null for plain boiled water
     * @param preservative null for none
     * @param youngestAgeYears of whoever it is for; null for grown-ups only
     * @param forExpecting whether somebody expecting will use it; null for no
     */
    @JsonTypeName("CREAM")
    public record Creaming(
            UUID id,
            String name,
            Double totalG,
            StockIn oil,
            Double oilPercent,
            StockIn emulsifier,
            Double emulsifierPercent,
            @Nullable StockIn water,
            @Nullable StockIn preservative,
            @Nullable Double preservativePercent,
            @Nullable List<EssentialIn> essentialOils,
            @Nullable Double youngestAgeYears,
            @Nullable Boolean forExpecting,
            Double jarMl,
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

    CreamBench(Materials materials) {
        this.materials = materials;
    }

    @Override
    public Class<Creaming> takes() {
        return Creaming.class;
    }

    @Override
    public Outcome<CreamBatch> reckon(Creaming request, Ingredients in) {
        Ingredients.Stock oil =
                in.stock(request.oil(), LotForm.inOrder(LotForm.INFUSED_OIL, LotForm.CARRIER_OIL), "oil");
        Ingredients.Stock emulsifier = in.stock(request.emulsifier(), Set.of(LotForm.EMULSIFIER), "emulsifier");
        Ingredients.Stock water = request.water() == null
                ? null
                : in.stock(request.water(), LotForm.inOrder(LotForm.TEA, LotForm.WASH), "water");
        Ingredients.Stock preservative = request.preservative() == null
                ? null
                : in.stock(request.preservative(), Set.of(LotForm.PRESERVATIVE), "preservative");
        List<Keeping.Input> inputs = new ArrayList<>();
        if (oil.bestBefore() != null) {
            inputs.add(new Keeping.Input(oil.name(), oil.bestBefore()));
        }
        double preserved =
                preservative == null || request.preservativePercent() == null ? 0 : request.preservativePercent() / 100;
        Outcome<CreamBatch> outcome = CreamBatch.of(
                new Cream.Recipe(
                        request.totalG(), request.oilPercent() / 100, request.emulsifierPercent() / 100, preserved),
                oil.name(),
                water == null ? "boiled water" : water.name(),
                request.jarMl(),
                EssentialIn.all(request.essentialOils(), in, materials),
                request.youngestAgeYears() == null ? EssentialOil.ADULT_FROM_YEARS : request.youngestAgeYears(),
                Boolean.TRUE.equals(request.forExpecting()),
                inputs);
        if (outcome instanceof Outcome.Feasible<CreamBatch> feasible) {
            Cream.Plan plan = feasible.plan().plan();
            in.draw(oil.lot(), feasible.plan().oilMl());
            in.draw(emulsifier.lot(), plan.emulsifierG());
            if (water != null) {
                in.draw(water.lot(), plan.waterG());
            }
            if (preservative != null) {
                in.draw(preservative.lot(), plan.preservativeG());
            }
        }
        return outcome;
    }
}
