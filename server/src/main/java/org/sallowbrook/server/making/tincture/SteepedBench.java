package org.sallowbrook.server.making.tincture;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tincture.OtherMenstruum;
import org.sallowbrook.core.making.tincture.SteepedBatch;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Herb in vinegar, glycerine, honey, honey with vinegar, or fortified wine. */
@Component
public class SteepedBench implements Bench<SteepedBench.Steeping> {

    /** Water in honey where nothing else is said; the Codex Alimentarius allows 20 %. */
    private static final double HONEY_WATER_PERCENT = 18;

    /**
     * @param into what it is steeped in
     * @param vinegar for an oxymel; null else
     * @param vinegarFraction of the liquid, for an oxymel; null else
     */
    @JsonTypeName("STEEPED")
    public record Steeping(
            UUID id,
            String name,
            List<HerbIn> herbs,
            Double ratio,
            OtherMenstruum.Kind into,
            StockIn liquid,
            @Nullable StockIn vinegar,
            @Nullable Double vinegarFraction,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    @Override
    public Class<Steeping> takes() {
        return Steeping.class;
    }

    @Override
    public Outcome<SteepedBatch> reckon(Steeping request, Ingredients in) {
        List<Ingredients.Herb> herbs = in.herbs(request.herbs(), "herbs");
        Ingredients.Stock liquid = in.stock(request.liquid(), Set.of(form(request.into())), "liquid");
        StockIn vinegarIn = request.vinegar();
        Checks.begin()
                .that(
                        (vinegarIn == null) == (request.vinegarFraction() == null),
                        "vinegarFraction",
                        "goes with a vinegar")
                .done();
        Ingredients.Stock vinegar = vinegarIn == null ? null : in.stock(vinegarIn, Set.of(LotForm.VINEGAR), "vinegar");
        double figure = request.into() == OtherMenstruum.Kind.HONEY ? HONEY_WATER_PERCENT : liquid.strengthPercent();
        Outcome<SteepedBatch> outcome = SteepedBatch.of(
                new OtherMenstruum.Recipe(
                        request.into(),
                        herbs.stream().map(TinctureBench::herb).toList(),
                        request.ratio(),
                        figure / 100,
                        request.vinegarFraction() == null ? 0 : request.vinegarFraction(),
                        vinegar == null ? 0 : vinegar.strengthPercent() / 100),
                liquid.name());
        in.drawHerbs(herbs);
        if (outcome instanceof Outcome.Feasible<SteepedBatch> feasible) {
            SteepedBatch batch = feasible.plan();
            in.draw(
                    liquid.lot(),
                    request.into() == OtherMenstruum.Kind.HONEY
                            ? batch.liquidMl() * OtherMenstruum.HONEY_G_PER_ML
                            : batch.liquidMl());
            if (vinegar != null) {
                in.draw(vinegar.lot(), batch.vinegarMl());
            }
        }
        return outcome;
    }

    private static LotForm form(OtherMenstruum.Kind kind) {
        return switch (kind) {
            case VINEGAR -> LotForm.VINEGAR;
            case GLYCERINE -> LotForm.GLYCERINE;
            case HONEY -> LotForm.HONEY;
            case WINE -> LotForm.WINE;
        };
    }
}
