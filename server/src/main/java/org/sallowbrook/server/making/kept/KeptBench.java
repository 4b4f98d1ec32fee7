package org.sallowbrook.server.making.kept;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.kept.KeptBatch;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Fresh herb salted or frozen. */
@Component
public class KeptBench implements Bench<KeptBench.Keeping> {

    public enum By {
        SALT,
        FROST
    }

    /**
     * @param salt null where it is frozen
     * @param saltG null where it is frozen
     */
    @JsonTypeName("KEPT")
    public record Keeping(
            UUID id,
            String name,
            List<HerbIn> herbs,
            By by,
            @Nullable StockIn salt,
            @Nullable Double saltG,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Keeping> takes() {
        return Keeping.class;
    }

    @Override
    public Outcome<KeptBatch> reckon(Keeping request, Ingredients in) {
        boolean salted = request.by() == By.SALT;
        Checks.begin()
                .that(salted == (request.saltG() != null), "saltG", "is needed with salt, and only there")
                .that(salted == (request.salt() != null), "salt", "is needed with salt, and only there")
                .done();
        List<Ingredients.Herb> herbs = in.herbs(request.herbs(), "herbs");
        in.drawHerbs(herbs);
        if (salted) {
            in.draw(
                    in.stock(Objects.requireNonNull(request.salt()), Set.of(LotForm.SALT), "salt")
                            .lot(),
                    Objects.requireNonNull(request.saltG()));
        }
        return KeptBatch.of(herbs.stream().map(Ingredients.Herb::portion).toList(), request.saltG());
    }
}
