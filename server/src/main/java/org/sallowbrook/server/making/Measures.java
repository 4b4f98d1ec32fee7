package org.sallowbrook.server.making;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.vessel.HouseMeasure;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** This household's own spoons, cups and handfuls: weighed once, and kept. */
@Service
@Transactional
public class Measures {

    private static final int MOST = 200;

    /** What is measured by the spoon and lies dry in it. */
    private static final Set<LotForm> WEIGHED = Set.of(LotForm.HERB, LotForm.TEA_MIXTURE, LotForm.POWDER);

    /**
     * @param lotId the herb that was weighed; null where the measure was filled with water
     * @param count how many of them were weighed together
     * @param grams what they weighed; of water so many mL
     */
    record MeasureRequest(
            UUID id, HouseMeasure measure, @Nullable UUID lotId, Double count, Double grams) {}

    /** @param of the herb's name; null for water */
    record MeasureView(
            UUID id, HouseMeasure measure, @Nullable String of, Double ofOne, LocalDate on, String by) {}

    private final MeasuredOnces measures;
    private final ShelfService shelf;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    Measures(
            MeasuredOnces measures,
            ShelfService shelf,
            HerbariumService herbarium,
            PeopleService people,
            Once once,
            Clock clock) {
        this.measures = measures;
        this.shelf = shelf;
        this.herbarium = herbarium;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<MeasureView> all() {
        return measures.findAllByOrderByNotedOnDescIdDesc(Limit.of(MOST)).stream()
                .map(this::view)
                .toList();
    }

    MeasureView add(MeasureRequest request) {
        if (once.repeated("measure", request.id(), measures::existsById, request)) {
            return view(find(request.id()));
        }
        Checks checks = Checks.begin()
                .range("count", request.count(), 1, 1000)
                .range("grams", request.grams(), 0.05, 20_000)
                .that(
                        request.lotId() != null || request.measure().volumeMl() != null,
                        "lotId",
                        "must name the herb: this measure holds no water");
        checks.that(
                request.lotId() == null || !request.measure().ofDropper(),
                "lotId",
                "must be left out: a dropper is filled with water");
        checks.done();
        double ofOne = request.grams() / request.count();
        MeasuredOnce m = new MeasuredOnce(request.id());
        m.measure = request.measure();
        m.ofOne = ofOne;
        m.notedOn = people.today();
        m.notedBy = Member.current().displayName();
        if (request.lotId() == null) {
            Interval usual = java.util.Objects.requireNonNull(request.measure().volumeMl());
            Checks.begin()
                    .that(
                            ofOne > usual.low() / 4 && ofOne < usual.high() * 4,
                            "grams",
                            "are far from what such a measure holds; weigh it again, empty scale at zero")
                    .done();
        } else {
            LotView lot = shelf.lot(request.lotId());
            Checks.begin()
                    .that(
                            WEIGHED.contains(lot.form()),
                            "lotId",
                            "must name a jar or a basket of herb, a tea mixture or a powder")
                    .done();
            m.lotId = lot.id();
            if (lot.form() == LotForm.HERB) {
                // A spoon of it speaks for the plant elsewhere as well; one of a powder or a mixture for this lot only.
                m.taxonId = lot.taxonId();
                m.part = lot.part();
            }
            m.fresh = lot.stage() == Stage.HARVEST;
        }
        return view(measures.saveAndFlush(m));
    }

    /** A weighing that was wrong leaves every reckoning. */
    List<MeasureView> strike(UUID id, StrikeRequest request) {
        String reason = request.checked();
        MeasuredOnce m = find(id);
        m.strike(clock.instant(), reason);
        measures.saveAndFlush(m);
        return all();
    }

    /** How many grams so many of a measure are: of this very lot, else of the plant's part, else by volume. */
    Interval grams(
            HouseMeasure measure,
            double amount,
            @Nullable UUID lot,
            @Nullable String taxon,
            Taxon.@Nullable Part part,
            boolean fresh,
            Interval bulkGPerMl) {
        List<MeasuredOnce> known = measures.findAllByMeasureOrderByNotedOnDescIdDesc(measure, Limit.of(MOST));
        List<Double> ofLot = of(known, m -> lot != null && lot.equals(m.lotId));
        List<Double> weighed = !ofLot.isEmpty()
                ? ofLot
                : of(known, m -> taxon != null && taxon.equals(m.taxonId) && m.part == part && m.fresh == fresh);
        return measure.grams(amount, weighed, of(known, m -> m.taxonId == null && m.lotId == null), bulkGPerMl);
    }

    /** By lot, what one of it weighed, the most that was found; a lot nobody weighed one of is not in it. */
    @Transactional(readOnly = true)
    public Map<UUID, Double> mostG(HouseMeasure measure) {
        return measures.mostByLot(measure).stream()
                .collect(Collectors.toMap(MeasuredOnces.OfLot::lot, MeasuredOnces.OfLot::g));
    }

    /** What one of each holds of water, the largest that was measured; a measure nobody filled is not in it. */
    @Transactional(readOnly = true)
    public Map<HouseMeasure, Double> mostMl(Collection<HouseMeasure> which) {
        return measures.mostOfWater(which).stream()
                .collect(Collectors.toMap(MeasuredOnces.Most::measure, MeasuredOnces.Most::ml));
    }

    private static List<Double> of(List<MeasuredOnce> known, Predicate<MeasuredOnce> which) {
        return known.stream().filter(which).map(m -> m.ofOne).toList();
    }

    private MeasuredOnce find(UUID id) {
        return measures.findById(id).filter(m -> !m.struck()).orElseThrow(() -> new Problem.NotFound("measure"));
    }

    private MeasureView view(MeasuredOnce m) {
        String taxon = m.taxonId;
        return new MeasureView(
                m.id,
                m.measure,
                taxon != null
                        ? herbarium.taxon(taxon).commonName() + (m.fresh ? ", fresh" : "")
                        : m.lotId != null ? shelf.lot(m.lotId).name() : null,
                m.ofOne,
                m.notedOn,
                m.notedBy);
    }
}
