package org.sallowbrook.server.making.salve;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.salve.PoulticeBatch;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Crushed herb on a cloth. */
@Component
public class PoulticeBench implements Bench<PoulticeBench.Poulticing> {

    @JsonTypeName("POULTICE")
    public record Poulticing(
            UUID id,
            String name,
            List<HerbIn> herbs,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {

        /** Never anything else. */
        @Override
        public Taxon.Route route() {
            return Taxon.Route.EXTERNAL;
        }
    }

    @Override
    public Class<Poulticing> takes() {
        return Poulticing.class;
    }

    @Override
    public Outcome<PoulticeBatch> reckon(Poulticing request, Ingredients in) {
        List<Ingredients.Herb> herbs = in.herbs(request.herbs(), "herbs");
        in.drawHerbs(herbs);
        return PoulticeBatch.of(herbs.stream().map(Ingredients.Herb::portion).toList());
    }
}
