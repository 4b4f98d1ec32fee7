package org.sallowbrook.server.planning;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.herbarium.ByNeed;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.Wish;
import org.sallowbrook.core.planning.year.YearPlan;
import org.sallowbrook.server.dosing.ReactionService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.shelf.StockTake;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What a household wants in hand, in the order in which it matters. */
@Service
@Transactional
public class WishService {

    public record HerbRequest(String taxonId, Taxon.Part part) {}

    /**
     * @param amount in the unit of the product
     * @param evenly whether it is used a little at a time from the first day to the last
     * @param personId for whom; null for the house
     * @param herbs of which it may be made
     */
    public record WishRequest(
            UUID id,
            String words,
            Basket.Product product,
            Double amount,
            LocalDate from,
            LocalDate until,
            Boolean evenly,
            Boolean mayBuy,
            @Nullable UUID personId,
            List<HerbRequest> herbs) {}

    /** @param against why it is not planned of this plant; null where it is */
    public record HerbOfView(
            String taxonId,
            String commonName,
            Taxon.Part part,
            @Nullable String against) {}

    public record WishView(
            UUID id,
            Long version,
            String words,
            Basket.Product product,
            String unit,
            Double amount,
            LocalDate from,
            LocalDate until,
            Boolean evenly,
            Boolean mayBuy,
            @Nullable UUID personId,
            @Nullable String person,
            List<HerbOfView> herbs) {}

    /** A part of a plant, and what may be wished of it. */
    public record OfferView(String taxonId, String commonName, Taxon.Part part, List<Basket.Product> products) {}

    /** @param coldFrom the cold months that are on, or the next: the first and the last day of them */
    public record OffersView(List<OfferView> herbs, LocalDate coldFrom, LocalDate coldUntil) {}

    /** What went of a plant in the past year, which somebody may want again. */
    public record AgainView(
            Basket.Product product,
            String unit,
            String taxonId,
            String commonName,
            Taxon.Part part,
            Double used,
            Double thrownAway) {}

    public record OrderRequest(List<UUID> ids) {}

    /** From herb to what can be used: steeping and settling, the household's usual times. */
    private static final Map<Basket.Product, Integer> LEAD_DAYS =
            Map.of(Basket.Product.TINCTURE, 28, Basket.Product.OIL, 42, Basket.Product.SALVE, 43);

    private static final int TINCTURE_KEEPS = 36 * 30;
    private static final int OIL_KEEPS = 365;
    private static final int MOST_HERBS = 8;
    private static final int MOST_FOR_A_NEED = 4;
    private static final int MOST_YEARS = 2;

    private final Wishes wishes;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final ReactionService reactions;
    private final StockTake stockTake;
    private final Once once;
    private final Clock clock;

    WishService(
            Wishes wishes,
            HerbariumService herbarium,
            PeopleService people,
            ReactionService reactions,
            StockTake stockTake,
            Once once,
            Clock clock) {
        this.wishes = wishes;
        this.herbarium = herbarium;
        this.people = people;
        this.reactions = reactions;
        this.stockTake = stockTake;
        this.once = once;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<WishView> all() {
        return standing().stream().map(this::view).toList();
    }

    List<WishEntity> standing() {
        return wishes.findAllByThrownAwayAtIsNullOrderByPlaceAscIdAsc();
    }

    /** Every part that the cards know a use of, by name. */
    @Transactional(readOnly = true)
    public OffersView offers() {
        Place place = people.place();
        Wish.ColdMonths cold = Wish.ColdMonths.of(people.today(), place != null && place.southern());
        return new OffersView(herbs(), cold.from(), cold.until());
    }

    /** So many plants for a need are enough to choose from: the likeliest that this can be made of. */
    List<OfferView> forNeed(List<ByNeed.Suggestion> suggestions, Basket.Product product) {
        List<OfferView> all = herbs();
        return suggestions.stream()
                .filter(s -> s.use() == null || s.use().route() == product.route())
                .flatMap(s -> all.stream()
                        .filter(o -> o.taxonId().equals(s.taxon().id())
                                && o.products().contains(product)
                                && (s.use() == null || s.use().parts().contains(o.part()))))
                .limit(MOST_FOR_A_NEED)
                .toList();
    }

    private List<OfferView> herbs() {
        List<OfferView> offers = new ArrayList<>();
        for (Taxon taxon : herbarium.herbarium().taxa()) {
            if (taxon.draft() || taxon.danger().dangerous()) {
                continue;
            }
            for (Taxon.UsedPart part : taxon.parts()) {
                List<Basket.Product> products = new ArrayList<>();
                for (Basket.Product product : Basket.Product.values()) {
                    if (Basket.driedFor(product, part, 1).isPresent()) {
                        products.add(product);
                    }
                }
                offers.add(new OfferView(taxon.id(), taxon.commonName(), part.part(), products));
            }
        }
        offers.sort(Comparator.comparing(OfferView::commonName, String.CASE_INSENSITIVE_ORDER)
                .thenComparing(OfferView::part));
        return offers;
    }

    /** What was used in the past year and is not wished for yet; nothing in a first year. */
    @Transactional(readOnly = true)
    public List<AgainView> proposals() {
        List<WishEntity> wished = standing();
        List<AgainView> proposals = new ArrayList<>();
        for (StockTake.Used u : stockTake.usedSince(people.today().minusYears(1))) {
            Basket.Product product = switch (u.form()) {
                case HERB -> Basket.Product.DRIED;
                case TINCTURE -> Basket.Product.TINCTURE;
                case INFUSED_OIL -> Basket.Product.OIL;
                case SALVE -> Basket.Product.SALVE;
                default -> null;
            };
            Taxon taxon = herbarium.taxon(u.taxonId());
            Taxon.UsedPart part = taxon.usedPart(u.part()).orElse(null);
            if (product == null
                    || part == null
                    || !(u.used() > 0)
                    || taxon.danger().dangerous()
                    || Basket.driedFor(product, part, 1).isEmpty()
                    || wished.stream()
                            .anyMatch(w -> w.product == product
                                    && w.herbs.stream()
                                            .anyMatch(h -> h.taxonId.equals(u.taxonId()) && h.part == u.part()))) {
                continue;
            }
            proposals.add(new AgainView(
                    product, product.unit(), taxon.id(), taxon.commonName(), u.part(), u.used(), u.thrownAway()));
        }
        return proposals;
    }

    public WishView add(WishRequest request) {
        if (once.repeated("wish", request.id(), wishes::existsById, request)) {
            return view(found(request.id()));
        }
        WishEntity wish = new WishEntity(request.id());
        List<WishEntity> before = standing();
        Checks.begin()
                .that(before.size() < YearPlan.MOST_WISHES, "words", "are too many wishes; give one up first")
                .done();
        wish.place = before.isEmpty() ? 0 : before.get(before.size() - 1).place + 1;
        set(wish, request);
        return view(wishes.saveAndFlush(wish));
    }

    public WishView change(UUID id, WishRequest request, @Nullable String ifMatch) {
        WishEntity wish = found(id);
        wish.checkVersion(ifMatch, () -> view(wish));
        set(wish, request);
        return view(wishes.saveAndFlush(wish));
    }

    private void set(WishEntity wish, WishRequest request) {
        LocalDate today = people.today();
        Checks checks = Checks.begin()
                .that(
                        !request.words().isBlank() && request.words().length() <= 200,
                        "words",
                        "must have 1 to 200 letters")
                .range("amount", request.amount(), 0.1, Wish.MOST)
                .that(!request.until().isBefore(request.from()), "until", "must not be before the first day")
                .that(!request.until().isBefore(today), "until", "lies in the past")
                .that(
                        !request.until().isAfter(today.plusYears(MOST_YEARS)),
                        "until",
                        "must be within " + MOST_YEARS + " years")
                .that(request.from().isAfter(today.minusYears(1)), "from", "must not be more than a year ago")
                .that(
                        !request.herbs().isEmpty() && request.herbs().size() <= MOST_HERBS,
                        "herbs",
                        "must be 1 to " + MOST_HERBS + " plants");
        checks.done();
        if (request.personId() != null) {
            people.one(request.personId());
        }
        List<WishEntity.HerbOf> herbs = new ArrayList<>();
        for (int i = 0; i < request.herbs().size(); i++) {
            HerbRequest h = request.herbs().get(i);
            Taxon taxon = herbarium.taxon(h.taxonId());
            Taxon.UsedPart part = taxon.usedPart(h.part()).orElse(null);
            Checks.begin()
                    .that(
                            part != null
                                    && !taxon.danger().dangerous()
                                    && !taxon.draft()
                                    && Basket.driedFor(request.product(), part, 1)
                                            .isPresent(),
                            "herbs[" + i + "].part",
                            "the card does not allow this of " + taxon.commonName() + ", " + Words.lower(h.part()))
                    .done();
            herbs.add(new WishEntity.HerbOf(h.taxonId(), h.part()));
        }
        wish.words = request.words().strip();
        wish.product = request.product();
        wish.amount = request.amount();
        wish.fromDay = request.from();
        wish.untilDay = request.until();
        wish.evenly = request.evenly();
        wish.mayBuy = request.mayBuy();
        wish.personId = request.personId();
        wish.herbs.clear();
        wish.herbs.addAll(herbs);
    }

    /** All that stand, the most important first. */
    public List<WishView> order(OrderRequest request) {
        Map<UUID, WishEntity> known = new HashMap<>();
        standing().forEach(w -> known.put(w.id, w));
        Checks.begin()
                .that(
                        known.keySet().equals(new HashSet<>(request.ids()))
                                && request.ids().size() == known.size(),
                        "ids",
                        "must name every wish once; load the page again")
                .done();
        for (int i = 0; i < request.ids().size(); i++) {
            java.util.Objects.requireNonNull(known.get(request.ids().get(i))).place = i;
        }
        wishes.saveAllAndFlush(known.values());
        return all();
    }

    public void throwAway(UUID id) {
        WishEntity wish = found(id);
        wish.thrownAwayAt = clock.instant();
        wishes.saveAndFlush(wish);
    }

    public WishView bringBack(UUID id) {
        WishEntity wish = wishes.findById(id).orElseThrow(() -> new Problem.NotFound("wish"));
        wish.thrownAwayAt = null;
        return view(wishes.saveAndFlush(wish));
    }

    private WishEntity found(UUID id) {
        return wishes.findById(id).filter(w -> w.thrownAwayAt == null).orElseThrow(() -> new Problem.NotFound("wish"));
    }

    /** Why it is not made of this plant; null where it may be. */
    private @Nullable String against(WishEntity wish, WishEntity.HerbOf h) {
        Taxon taxon = herbarium.taxon(h.taxonId);
        Taxon.UsedPart part = taxon.usedPart(h.part).orElse(null);
        if (part == null
                || taxon.danger().dangerous()
                || Basket.driedFor(wish.product, part, 1).isEmpty()) {
            return "its card does not allow it any more";
        }
        UUID person = wish.personId;
        if (person == null) {
            return null;
        }
        String notBorne = reactions.notBorne(person).get(h.taxonId);
        return notBorne != null
                ? notBorne
                : ByNeed.against(taxon, people.person(person), wish.product.route())
                        .orElse(null);
    }

    /** As it is planned: of what nobody may have nothing is. */
    Wish toCore(WishEntity wish) {
        List<Wish.Choice> choices = new ArrayList<>();
        for (WishEntity.HerbOf h : wish.herbs) {
            if (against(wish, h) == null) {
                Taxon.UsedPart part =
                        herbarium.taxon(h.taxonId).usedPart(h.part).orElseThrow();
                double dried =
                        Basket.driedFor(wish.product, part, 1).orElseThrow().high();
                choices.add(new Wish.Choice(
                        YearService.herbId(h.taxonId, h.part),
                        dried,
                        LEAD_DAYS.getOrDefault(wish.product, 0),
                        wish.product == Basket.Product.TINCTURE ? TINCTURE_KEEPS : OIL_KEEPS));
            }
        }
        return new Wish(
                wish.id.toString(),
                wish.words,
                wish.product,
                wish.amount,
                wish.fromDay,
                wish.untilDay,
                wish.evenly,
                wish.mayBuy,
                choices);
    }

    private WishView view(WishEntity wish) {
        return new WishView(
                wish.id,
                wish.version == null ? 0 : wish.version,
                wish.words,
                wish.product,
                wish.product.unit(),
                wish.amount,
                wish.fromDay,
                wish.untilDay,
                wish.evenly,
                wish.mayBuy,
                wish.personId,
                wish.personId == null ? null : people.one(wish.personId).name(),
                wish.herbs.stream()
                        .map(h -> new HerbOfView(
                                h.taxonId, herbarium.taxon(h.taxonId).commonName(), h.part, against(wish, h)))
                        .toList());
    }
}
