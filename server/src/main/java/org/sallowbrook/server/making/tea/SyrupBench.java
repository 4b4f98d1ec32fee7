package org.sallowbrook.server.making.tea;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tea.SyrupBatch;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** A tea or decoction of the house kept by sugar or honey. */
@Component
public class SyrupBench implements Bench<SyrupBench.Sweetening> {

    /** @param sugarPercent of the syrup, by mass; 65 keeps */
    @JsonTypeName("SYRUP")
    public record Sweetening(
            UUID id,
            String name,
            StockIn liquid,
            Double liquidMl,
            StockIn sweet,
            Boolean honey,
            Double sugarPercent,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Sweetening> takes() {
        return Sweetening.class;
    }

    @Override
    public Outcome<SyrupBatch> reckon(Sweetening request, Ingredients in) {
        Ingredients.Stock liquid = in.stock(request.liquid(), Set.of(LotForm.TEA), "liquid");
        Ingredients.Stock sweet =
                in.stock(request.sweet(), Set.of(request.honey() ? LotForm.HONEY : LotForm.SUGAR), "sweet");
        Outcome<SyrupBatch> outcome = SyrupBatch.of(
                request.liquidMl(),
                liquid.name(),
                request.sugarPercent(),
                request.honey(),
                liquid.lot() == null || liquid.lot().driedGPerUnit() == null
                        ? null
                        : liquid.lot().driedGPerUnit().interval());
        in.draw(liquid.lot(), request.liquidMl());
        if (outcome instanceof Outcome.Feasible<SyrupBatch> feasible) {
            in.draw(sweet.lot(), feasible.plan().plan().sugarG());
        }
        return outcome;
    }
}
