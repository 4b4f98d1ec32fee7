package org.sallowbrook.server.planning;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.FreshDryRatio;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.Range;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** From a basket of one stand to what it makes, and from what is wanted back to the basket. */
@RestController
@RequestMapping("/api/planning/stands/{id}/basket")
class BasketController {

    record MakesView(Basket.Product product, Range amount, String unit, String how) {}

    /**
     * @param freshToDry grams fresh to one gram dried
     * @param makes each as if all of the basket went into it
     * @param ofStand the share of the stand's part that so much would be; null where nothing was weighed there yet
     * @param quota the most that may be taken of it in a year
     */
    record BasketView(
            Range freshToDry,
            Integer lots,
            Range freshG,
            List<MakesView> makes,
            @Nullable Range ofStand,
            Double quota,
            List<String> because) {}

    private static final double MOST_G = 100_000;

    private final HerbariumService herbarium;
    private final SchoolService schools;
    private final StandService stands;
    private final HarvestService harvests;
    private final DryingService drying;

    BasketController(
            HerbariumService herbarium,
            SchoolService schools,
            StandService stands,
            HarvestService harvests,
            DryingService drying) {
        this.herbarium = herbarium;
        this.schools = schools;
        this.stands = stands;
        this.harvests = harvests;
        this.drying = drying;
    }

    /** Either {@code freshG} is given, or a product and how much of it is wanted. */
    @GetMapping
    @Transactional(readOnly = true)
    BasketView basket(
            @PathVariable UUID id,
            @RequestParam Taxon.Part part,
            @RequestParam(required = false) @Nullable Double freshG,
            @RequestParam(required = false) Basket.@Nullable Product product,
            @RequestParam(required = false) @Nullable Double wanted) {
        StandService.StandView stand = stands.stand(id);
        if (stand.taxonId() == null) {
            throw new Problem.Conflict("Nobody knows what grows there; nothing is made of it.");
        }
        Taxon taxon = herbarium.taxon(stand.taxonId());
        Taxon.UsedPart used =
                taxon.usedPart(part).orElseThrow(() -> new Problem.Conflict("The card knows no use of this part."));
        boolean back = product != null && wanted != null;
        Checks.begin()
                .that(back != (freshG != null), "freshG", "is needed, or a product and how much of it is wanted")
                .done();
        FreshDryRatio ratio = drying.freshToDry(taxon.id(), part);
        Interval fresh;
        if (product != null && wanted != null) {
            Checks.begin().range("wanted", wanted, 0.1, MOST_G).done();
            fresh = Basket.freshFor(product, used, ratio.range(), wanted)
                    .orElseThrow(() -> new Problem.Conflict(
                            "The card does not allow this of " + taxon.commonName() + ", " + Words.lower(part) + "."));
        } else {
            double g = freshG == null ? 0 : freshG;
            Checks.begin().range("freshG", g, 0.1, MOST_G).done();
            fresh = Interval.exactly(g);
        }
        Double whole = harvests.wholeG(id, part);
        List<String> because = new ArrayList<>();
        because.add(Words.range(ratio.range(), "g") + " fresh to 1 g dried, "
                + (ratio.lots() > 0
                        ? "learned from " + ratio.lots() + " of your own lots."
                        : "by its water; your own lots will narrow it."));
        because.add(
                whole == null
                        ? "Nothing of this part was weighed at this stand yet, so its share can not be said."
                        : "By what was weighed here and the share it was, all of this part weighs about "
                                + Words.grams(whole) + ".");
        return new BasketView(
                Range.of(ratio.range()),
                ratio.lots(),
                Range.of(fresh),
                Basket.makes(used, ratio.range(), fresh.high()).stream()
                        .map(m -> new MakesView(
                                m.product(), Range.of(m.amount()), m.product().unit(), m.how()))
                        .toList(),
                whole == null ? null : Range.of(fresh.times(1 / whole)),
                HarvestGate.quota(used, schools.chosen()),
                because);
    }
}
