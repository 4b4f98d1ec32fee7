package org.sallowbrook.server.making.tincture;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tincture.JoinedBatch;
import org.sallowbrook.core.making.tincture.TwoExtractions;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** A tincture and a decoction poured together. */
@Component
public class JoinedBench implements Bench<JoinedBench.Joining> {

    /**
     * One of the two is given, the other follows.
     *
     * @param targetPercent by volume, at the end
     */
    @JsonTypeName("JOINED")
    public record Joining(
            UUID id,
            String name,
            StockIn tincture,
            Double tinctureMl,
            StockIn decoction,
            @Nullable Double decoctionMl,
            @Nullable Double targetPercent,
            TwoExtractions.Order order,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Joining> takes() {
        return Joining.class;
    }

    @Override
    public Outcome<JoinedBatch> reckon(Joining request, Ingredients in) {
        Ingredients.Stock tincture = in.stock(request.tincture(), Set.of(LotForm.TINCTURE), "tincture");
        Ingredients.Stock decoction = in.stock(request.decoction(), Set.of(LotForm.TEA), "decoction");
        Checks.begin()
                .that(
                        (request.decoctionMl() == null) != (request.targetPercent() == null),
                        "decoctionMl",
                        "or the strength wanted is needed, not both")
                .that(
                        tincture.strengthPercent() > 0,
                        "tincture.strengthPercent",
                        "is needed for a tincture that is not on the shelf")
                .done();
        Strength strength = Strength.ofPercent(tincture.strengthPercent());
        Strength weakest = Strength.ofPercent(tincture.weakestPercent());
        TwoExtractions.Joined plan = request.decoctionMl() != null
                ? TwoExtractions.join(request.tinctureMl(), weakest, strength, request.decoctionMl())
                : TwoExtractions.joinTo(
                        request.tinctureMl(),
                        weakest,
                        strength,
                        Strength.ofPercent(Objects.requireNonNull(request.targetPercent())));
        in.draw(tincture.lot(), request.tinctureMl());
        in.draw(decoction.lot(), plan.decoctionMl());
        return JoinedBatch.of(
                request.tinctureMl(),
                tincture.label(),
                decoction.label(),
                request.order(),
                plan,
                tincture.driedGPerUnit(),
                decoction.driedGPerUnit(),
                tincture.bestBefore() == null
                        ? List.of()
                        : List.of(new Keeping.Input(tincture.label(), tincture.bestBefore())));
    }
}
