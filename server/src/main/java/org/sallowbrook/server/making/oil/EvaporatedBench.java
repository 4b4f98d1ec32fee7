package org.sallowbrook.server.making.oil;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.oil.EvaporatedBatch;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.Lesson;
import org.sallowbrook.server.making.Materials;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** A decoction boiled away into oil. */
@Component
public class EvaporatedBench implements Bench<EvaporatedBench.Evaporating> {

    @JsonTypeName("EVAPORATED_OIL")
    public record Evaporating(
            UUID id,
            String name,
            StockIn decoction,
            Double decoctionMl,
            StockIn carrier,
            Double oilMl,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {

        /** Never to be eaten: nobody sees the last of the water. */
        @Override
        public Taxon.Route route() {
            return Taxon.Route.EXTERNAL;
        }
    }

    private final Materials materials;

    EvaporatedBench(Materials materials) {
        this.materials = materials;
    }

    @Override
    public Class<Evaporating> takes() {
        return Evaporating.class;
    }

    @Override
    public Outcome<EvaporatedBatch> reckon(Evaporating request, Ingredients in) {
        Ingredients.Stock decoction =
                in.stock(request.decoction(), LotForm.inOrder(LotForm.TEA, LotForm.WASH), "decoction");
        Ingredients.Stock carrier = in.stock(request.carrier(), Set.of(LotForm.CARRIER_OIL), "carrier");
        in.draw(decoction.lot(), request.decoctionMl());
        in.draw(carrier.lot(), request.oilMl());
        return EvaporatedBatch.of(
                decoction.label(),
                request.decoctionMl(),
                carrier.label(),
                request.oilMl(),
                materials
                        .carrier(carrier.name())
                        .bestBefore(request.startedOn(), carrier.bestBefore(), carrier.openedOn()));
    }

    @Override
    public List<Lesson> lessons(Evaporating request, Batchable plan) {
        return List.of(new Lesson.Pan(((EvaporatedBatch) plan).oilG()));
    }
}
