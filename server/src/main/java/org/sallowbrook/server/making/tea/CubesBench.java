package org.sallowbrook.server.making.tea;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tea.CubesBatch;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** A tea of the house frozen in cubes. */
@Component
public class CubesBench implements Bench<CubesBench.Icing> {

    /** @param holeMl brimful volume of one hole of the tray */
    @JsonTypeName("ICE_CUBES")
    public record Icing(
            UUID id,
            String name,
            StockIn liquid,
            Double volumeMl,
            Double holeMl,
            Integer holes,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Icing> takes() {
        return Icing.class;
    }

    @Override
    public Outcome<CubesBatch> reckon(Icing request, Ingredients in) {
        Ingredients.Stock liquid = in.stock(request.liquid(), Set.of(LotForm.TEA), "liquid");
        in.draw(liquid.lot(), request.volumeMl());
        return CubesBatch.of(
                request.volumeMl(),
                request.holeMl(),
                request.holes(),
                liquid.name(),
                request.startedOn(),
                liquid.lot() == null || liquid.lot().driedGPerUnit() == null
                        ? null
                        : liquid.lot().driedGPerUnit().interval());
    }
}
