package org.sallowbrook.server.making.tea;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tea.WashBatch;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Herbs in water, for the skin, the bath, the steam bowl or the mouth to be rinsed. */
@Component
public class WashBench implements Bench<WashBench.Washing> {

    @JsonTypeName("WASH")
    public record Washing(
            UUID id,
            String name,
            List<TeaBench.TeaHerb> herbs,
            Double wantedMl,
            WashBatch.Use use,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {

        /** Something of a gargle is always swallowed. */
        @Override
        public Taxon.Route route() {
            return use == WashBatch.Use.GARGLE ? Taxon.Route.INTERNAL : Taxon.Route.EXTERNAL;
        }
    }

    private final TeaBench teas;

    WashBench(TeaBench teas) {
        this.teas = teas;
    }

    @Override
    public Class<Washing> takes() {
        return Washing.class;
    }

    @Override
    public Outcome<WashBatch> reckon(Washing request, Ingredients in) {
        return WashBatch.of(
                teas.recipe(
                        request.herbs(),
                        request.wantedMl(),
                        TeaBench.Liquid.WATER,
                        request.use().purpose(),
                        in),
                request.use());
    }
}
