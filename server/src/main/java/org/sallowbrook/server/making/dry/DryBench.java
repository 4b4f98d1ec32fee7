package org.sallowbrook.server.making.dry;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.dry.DryBatch;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Tea mixtures and powders from the jars of the house. */
@Component
public class DryBench implements Bench<DryBench.Blending> {

    @JsonTypeName("DRY")
    public record Blending(
            UUID id,
            String name,
            List<HerbIn> herbs,
            Boolean ground,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Blending> takes() {
        return Blending.class;
    }

    @Override
    public Outcome<DryBatch> reckon(Blending request, Ingredients in) {
        List<Ingredients.Herb> herbs = in.herbs(request.herbs(), "herbs");
        in.drawHerbs(herbs);
        return DryBatch.of(
                herbs.stream().map(Ingredients.Herb::portion).toList(),
                request.ground(),
                herbs.stream()
                        .filter(h -> h.lot() != null && h.lot().bestBefore() != null)
                        .map(h -> new Keeping.Input(h.name(), h.lot().bestBefore()))
                        .toList());
    }
}
