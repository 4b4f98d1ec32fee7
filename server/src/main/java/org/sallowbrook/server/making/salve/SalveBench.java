package org.sallowbrook.server.making.salve;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.salve.ColdSpoon;
import org.sallowbrook.core.making.salve.EssentialOil;
import org.sallowbrook.core.making.salve.Salve;
import org.sallowbrook.core.making.salve.SalveBatch;
import org.sallowbrook.core.making.salve.Wax;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.Lesson;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Oil and wax, into tins. */
@Component
public class SalveBench implements Bench<SalveBench.Salving> {

    private static final double WASTE = 0.04;

    public record TinIn(Double capacityMl, Integer count) {}

    /** @param parts by mass, beside the other oils */
    public record OilIn(StockIn stock, Double parts) {}

    /**
     * @param butter shea, cocoa and their like; null for none
     * @param butterPercent of everything that is neither wax nor essential oil; 0 or null without butter
     * @param youngestAgeYears of whoever it is for; null for grown-ups only
     * @param forExpecting whether somebody expecting will use it; null for no
     */
    @JsonTypeName("SALVE")
    public record Salving(
            UUID id,
            String name,
            List<OilIn> oils,
            StockIn wax,
            @Nullable StockIn butter,
            @Nullable Double butterPercent,
            @Nullable List<EssentialIn> essentialOils,
            @Nullable Double youngestAgeYears,
            @Nullable Boolean forExpecting,
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
    private final ColdSpoonService spoons;

    SalveBench(Materials materials, ColdSpoonService spoons) {
        this.materials = materials;
        this.spoons = spoons;
    }

    @Override
    public Class<Salving> takes() {
        return Salving.class;
    }

    @Override
    public Outcome<SalveBatch> reckon(Salving request, Ingredients in) {
        Checks.begin()
                .that(!request.oils().isEmpty() && request.oils().size() <= 10, "oils", "must name from 1 to 10 oils")
                .that(
                        (request.butter() == null) == (request.butterPercent() == null || request.butterPercent() == 0),
                        "butterPercent",
                        "is needed with a butter, and only there")
                .done();
        List<Ingredients.Stock> oils = new ArrayList<>();
        List<SalveBatch.OilPart> parts = new ArrayList<>();
        List<Keeping.Input> inputs = new ArrayList<>();
        for (int i = 0; i < request.oils().size(); i++) {
            OilIn oil = request.oils().get(i);
            String field = "oils[" + i + "]";
            Checks.begin().range(field + ".parts", oil.parts(), 0.1, 100).done();
            Ingredients.Stock stock =
                    in.stock(oil.stock(), LotForm.inOrder(LotForm.CARRIER_OIL, LotForm.INFUSED_OIL), field + ".stock");
            oils.add(stock);
            parts.add(new SalveBatch.OilPart(stock.label(), oil.parts()));
            if (stock.bestBefore() != null) {
                inputs.add(new Keeping.Input(stock.name(), stock.bestBefore()));
            }
        }
        Ingredients.Stock wax = in.stock(request.wax(), Set.of(LotForm.WAX), "wax");
        Ingredients.Stock butter =
                request.butter() == null ? null : in.stock(request.butter(), Set.of(LotForm.BUTTER), "butter");
        if (butter != null && butter.bestBefore() != null) {
            inputs.add(new Keeping.Input(butter.name(), butter.bestBefore()));
        }
        List<EssentialOil.Used> essential = EssentialIn.all(request.essentialOils(), in, materials);
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
                        request.butterPercent() == null ? 0 : request.butterPercent() / 100,
                        0,
                        essential.stream().mapToDouble(EssentialOil.Used::massG).sum(),
                        request.youngestAgeYears() == null ? EssentialOil.ADULT_FROM_YEARS : request.youngestAgeYears(),
                        spoons.learned(kind)),
                parts,
                butter == null ? null : butter.name(),
                essential,
                Boolean.TRUE.equals(request.forExpecting()),
                inputs);
        if (outcome instanceof Outcome.Feasible<SalveBatch> feasible) {
            SalveBatch batch = feasible.plan();
            for (int i = 0; i < oils.size(); i++) {
                in.draw(oils.get(i).lot(), batch.oilMl(parts.get(i)));
            }
            in.draw(wax.lot(), batch.plan().waxG());
            if (butter != null) {
                in.draw(butter.lot(), batch.plan().butterG());
            }
        }
        return outcome;
    }

    @Override
    public List<Lesson> lessons(Salving request, Batchable plan) {
        Salve.Recipe recipe = ((SalveBatch) plan).recipe();
        return List.of(new Lesson.Spoon(recipe.wax().name(), ColdSpoon.correction(recipe.trials())));
    }
}
