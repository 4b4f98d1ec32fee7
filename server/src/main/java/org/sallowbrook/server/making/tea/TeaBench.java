package org.sallowbrook.server.making.tea;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.tea.MethodChoice;
import org.sallowbrook.core.making.tea.Tea;
import org.sallowbrook.core.making.tea.TeaBatch;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.platform.Gatekeeper;
import org.springframework.stereotype.Component;

/** Herbs in water, milk, or vinegar and water, to be drunk: one or several in one pot. */
@Component
public class TeaBench implements Bench<TeaBench.Brewing> {

    /** What the herbs are put in. */
    enum Liquid {
        WATER("water"),
        MILK("milk"),
        VINEGAR_AND_WATER("vinegar and water, one part to three");

        private final String words;

        Liquid(String words) {
            this.words = words;
        }
    }

    /**
     * @param method null for what the part asks for; minutes null for the method's usual
     * @param cut null for cut herb
     */
    public record TeaHerb(
            HerbIn herb,
            Tea.@Nullable Method method,
            @Nullable Double minutes,
            MethodChoice.@Nullable Cut cut) {}

    @JsonTypeName("TEA")
    public record Brewing(
            UUID id,
            String name,
            List<TeaHerb> herbs,
            Double wantedMl,
            @Nullable Liquid liquid,
            @Nullable Boolean honey,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    private final SchoolService schools;

    TeaBench(SchoolService schools) {
        this.schools = schools;
    }

    @Override
    public Class<Brewing> takes() {
        return Brewing.class;
    }

    @Override
    public Outcome<TeaBatch> reckon(Brewing request, Ingredients in) {
        return TeaBatch.of(
                recipe(
                        request.herbs(),
                        request.wantedMl(),
                        request.liquid() == null ? Liquid.WATER : request.liquid(),
                        Tea.Purpose.DRINK,
                        in),
                Boolean.TRUE.equals(request.honey()));
    }

    /** A pot of herbs, for whatever purpose; draws them. */
    Tea.Recipe recipe(List<TeaHerb> wanted, double wantedMl, Liquid liquid, Tea.Purpose purpose, Ingredients in) {
        List<Ingredients.Herb> herbs =
                in.herbs(wanted.stream().map(TeaHerb::herb).toList(), "herbs");
        List<Tea.Herb> core = new ArrayList<>();
        for (int i = 0; i < herbs.size(); i++) {
            Ingredients.Herb h = herbs.get(i);
            TeaHerb w = wanted.get(i);
            core.add(new Tea.Herb(
                    h.name(),
                    h.partName(),
                    w.cut() == null ? MethodChoice.Cut.CUT : w.cut(),
                    h.constituents(),
                    null,
                    h.massG(),
                    h.bulkDensityGPerMl(),
                    w.method(),
                    w.minutes(),
                    h.massRangeG()));
        }
        in.drawHerbs(herbs);
        return new Tea.Recipe(wantedMl, null, core, liquid.words, null, purpose, schools.chosen());
    }
}
