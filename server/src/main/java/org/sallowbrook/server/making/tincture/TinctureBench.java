package org.sallowbrook.server.making.tincture;

import com.fasterxml.jackson.annotation.JsonTypeName;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.household.School;
import org.sallowbrook.core.making.Batchable;
import org.sallowbrook.core.making.Outcome;
import org.sallowbrook.core.making.spirit.Blend;
import org.sallowbrook.core.making.tincture.Tincture;
import org.sallowbrook.core.making.tincture.TinctureBatch;
import org.sallowbrook.core.measure.Strength;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.making.BatchRequest;
import org.sallowbrook.server.making.Bench;
import org.sallowbrook.server.making.HerbIn;
import org.sallowbrook.server.making.Ingredients;
import org.sallowbrook.server.making.Lesson;
import org.sallowbrook.server.making.StockIn;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Range;
import org.springframework.stereotype.Component;

/** Herb in spirit, by weight to volume. */
@Component
public class TinctureBench implements Bench<TinctureBench.Tincturing> {

    /** When to press, by school. */
    public enum PressSchool {
        EARLY(School.PRESS_EARLY),
        MEDIUM(School.PRESS_MEDIUM),
        LONG(School.PRESS_LONG),
        LEAVE(School.LEAVE_ON_HERB);

        final int days;

        PressSchool(School school) {
            this.days = Tincture.pressAfterDays(school);
        }
    }

    @JsonTypeName("TINCTURE")
    public record Tincturing(
            UUID id,
            String name,
            List<HerbIn> herbs,
            Double ratio,
            Boolean waterCounts,
            Tincture.Basis basis,
            Double strengthPercent,
            List<StockIn> spirits,
            @Nullable Double jarMl,
            PressSchool press,
            Taxon.Route route,
            LocalDate startedOn,
            @Nullable List<Gatekeeper.Acknowledgement> acknowledged)
            implements BatchRequest {}

    private final Learned learned;

    TinctureBench(Learned learned) {
        this.learned = learned;
    }

    @Override
    public Class<Tincturing> takes() {
        return Tincturing.class;
    }

    @Override
    public Outcome<TinctureBatch> reckon(Tincturing request, Ingredients in) {
        List<Ingredients.Herb> herbs = in.herbs(request.herbs(), "herbs");
        List<Ingredients.Stock> spirits =
                in.stocks(request.spirits().stream().distinct().toList(), Set.of(LotForm.SPIRIT), "spirits");
        Outcome<TinctureBatch> outcome = TinctureBatch.of(
                new Tincture.Recipe(
                        herbs.stream().map(TinctureBench::herb).toList(),
                        request.ratio(),
                        request.waterCounts(),
                        request.basis(),
                        Strength.ofPercent(request.strengthPercent()),
                        spirits.stream().map(TinctureBench::bottle).toList(),
                        request.jarMl(),
                        learned.retention()),
                request.press().days);
        in.drawHerbs(herbs);
        if (outcome instanceof Outcome.Feasible<TinctureBatch> feasible) {
            in.drawPours(feasible.plan().plan().pours(), spirits);
        }
        return outcome;
    }

    static Tincture.Herb herb(Ingredients.Herb h) {
        return new Tincture.Herb(h.name(), h.partName(), h.massG(), h.state(), h.moisture(), null, h.massRangeG());
    }

    static Blend.Bottle bottle(Ingredients.Stock s) {
        return new Blend.Bottle(s.label(), Strength.ofPercent(s.strengthPercent()), s.available(), s.open());
    }

    @Override
    public List<Lesson> lessons(Tincturing request, Batchable plan) {
        TinctureBatch batch = (TinctureBatch) plan;
        return List.of(new Lesson.Pressing(
                batch.recipe().herbs().stream()
                        .map(h -> new Lesson.JarHerb(
                                h.name(), h.massG(), Range.of(h.moisture().asInterval())))
                        .toList(),
                batch.plan().menstruumMl(),
                batch.plan().menstruum().percent()));
    }
}
