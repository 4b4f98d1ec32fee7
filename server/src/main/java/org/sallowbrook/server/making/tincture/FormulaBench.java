package org.sallowbrook.server.making.tincture;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tincture.Formula;
import org.sallowbrook.core.making.tincture.FormulaBatch;
import org.sallowbrook.core.making.vessel.Bottling;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.Products;
import org.springframework.stereotype.Component;

/** Several tinctures into one, split over the bottles at hand. */
@Component
public class FormulaBench implements Bench<FormulaBench.Mixing> {

    private static final Set<LotForm> PARTS = LotForm.inOrder(
            LotForm.TINCTURE, LotForm.MIXTURE, LotForm.GLYCERITE, LotForm.HERBAL_VINEGAR, LotForm.OXYMEL);

    public record PartIn(
            StockIn from,
            Double volumeMl,
            Formula.@Nullable Role role,
            Formula.@Nullable Potency potency,
            Set<Formula.Taste> tastes,
            @Nullable Double costPerMl) {}

    public record BottleIn(Double capacityMl, Integer count) {}

    /** @param dailyMl what will be taken a day; null when not known yet */
    @JsonTypeName("FORMULA")
    public record Mixing(
            UUID id,
            String name,
            List<PartIn> parts,
            @Nullable Double dailyMl,
            List<BottleIn> bottles,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    private final Products products;

    FormulaBench(Products products) {
        this.products = products;
    }

    @Override
    public Class<Mixing> takes() {
        return Mixing.class;
    }

    @Override
    public Outcome<FormulaBatch> reckon(Mixing request, Ingredients in) {
        Checks.begin()
                .that(!request.parts().isEmpty() && request.parts().size() <= 40, "parts", "must hold from 1 to 40")
                .done();
        List<Formula.Part> parts = new ArrayList<>();
        List<Keeping.Input> until = new ArrayList<>();
        for (int i = 0; i < request.parts().size(); i++) {
            PartIn p = request.parts().get(i);
            Ingredients.Stock from = in.stock(p.from(), PARTS, "parts[" + i + "].from");
            LotView lot = from.lot();
            in.draw(lot, p.volumeMl());
            boolean alcohol = from.form().alcoholic();
            parts.add(new Formula.Part(
                    from.label(),
                    p.volumeMl(),
                    alcohol ? Strength.ofPercent(from.strengthPercent()) : Strength.NONE,
                    alcohol ? Strength.ofPercent(from.weakestPercent()) : Strength.NONE,
                    from.driedGPerUnit(),
                    p.role(),
                    p.potency(),
                    p.tastes(),
                    lot == null
                            ? Set.of()
                            : products.constituents(lot).stream()
                                    .map(Enum::name)
                                    .collect(Collectors.toSet()),
                    p.costPerMl()));
            if (from.bestBefore() != null) {
                until.add(new Keeping.Input(from.label(), from.bestBefore()));
            }
        }
        return FormulaBatch.of(
                parts,
                until,
                request.dailyMl(),
                request.bottles().stream()
                        .map(b -> new Bottling.Size(b.capacityMl(), b.count()))
                        .toList());
    }
}
