package org.sallowbrook.server.planning;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.DrawnSeasons;
import org.sallowbrook.core.planning.year.Herb;
import org.sallowbrook.core.planning.year.Wish;
import org.sallowbrook.core.planning.year.WouldHelp;
import org.sallowbrook.core.planning.year.YearPlan;
import org.sallowbrook.server.documents.Paper;
import org.sallowbrook.server.field.SeasonService;
import org.sallowbrook.server.platform.Kept;
import org.sallowbrook.server.platform.Problem;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

/** What we want in hand, and the year that brings it. */
@RestController
@RequestMapping("/api/planning")
class YearController {

    /**
     * @param what in words: a jar, or a plant and its part
     * @param of the lot it is taken from; null where it is picked or bought
     * @param amount in the unit of the wish
     * @param on first day of the week it is picked in
     */
    record FromView(
            YearPlan.Kind kind,
            String what,
            @Nullable String of,
            Double amount,
            @Nullable Double driedG,
            @Nullable LocalDate on,
            LocalDate makeOn,
            LocalDate readyOn) {}

    /** What is made for a wish takes so much beside the plant; spiritMl of spiritPercent by volume. */
    record TakesView(Double spiritMl, Double spiritPercent, Double oilMl, Double waxG) {}

    /**
     * @param metBefore by the plan that is kept; null where none is, or the wish is newer
     * @param takes null where it takes nothing but the plant
     * @param missingDriedG of herb, to be bought for what is missing; null where nothing is, or nothing may be made
     * @param still what can be had instead, where something is missing
     */
    record GrantedView(
            UUID wish,
            Double wanted,
            Double met,
            @Nullable Double metBefore,
            List<FromView> from,
            @Nullable TakesView takes,
            List<YearPlan.Why> why,
            @Nullable Double missingDriedG,
            List<StillView> still) {}

    /** Another part of the same plant that can still be had. */
    record StillView(UUID standId, String stand, String commonName, Taxon.Part part, LocalDate until) {}

    /** What all of it takes, and what of it is there. */
    record MaterialView(Material material, Double takes, Double there) {}

    record PickView(
            UUID standId,
            String stand,
            String place,
            String commonName,
            String taxonId,
            Taxon.Part part,
            Double freshG,
            Double driedG,
            List<UUID> wishes) {}

    /** @param begun things to begin at the bench in this week, by wish */
    record WeekView(
            LocalDate on, List<String> walks, List<PickView> picks, Double rack, Double hours, List<UUID> begun) {}

    /**
     * @param gap how far it may lie from the best, 0 to 1
     * @param keptOn since when the household goes by a plan
     */
    record PlannedYearView(
            LocalDate today,
            YearService.MeansView means,
            List<GrantedView> wishes,
            List<WeekView> weeks,
            List<YearService.UnknownView> unknown,
            List<MaterialView> materials,
            Double gap,
            @Nullable LocalDate keptOn) {}

    record SureView(UUID wish, Double sure, Double met) {}

    record SureOf(Integer seasons, List<SureView> wishes) {}

    record GainView(UUID wish, Double met, Double amount) {}

    record WouldHelpView(WouldHelp.Kind kind, @Nullable UUID of, List<GainView> gains) {}

    /** Met so far is met in full. */
    static final double ALL = 0.999;

    private static final int SEASONS = 200;
    private static final long SEED = 20_261_201L;

    /** A plan, and what is reckoned of it when somebody asks: of this one, whatever is wished meanwhile. */
    private static final class Planned {

        private final YearService.Told told;
        private final YearPlan plan;
        private @Nullable List<DrawnSeasons.Sure> sure;
        private @Nullable List<WouldHelp.Help> helps;

        Planned(YearService.Told told) {
            this.told = told;
            this.plan = YearPlan.of(told.request());
        }

        YearService.Told told() {
            return told;
        }

        YearPlan plan() {
            return plan;
        }

        synchronized List<DrawnSeasons.Sure> sure() {
            List<DrawnSeasons.Sure> known = sure;
            if (known == null) {
                known = DrawnSeasons.of(told.request(), plan, SEASONS, SEED);
                sure = known;
            }
            return known;
        }

        synchronized List<WouldHelp.Help> helps() {
            List<WouldHelp.Help> known = helps;
            if (known == null) {
                known = WouldHelp.of(told.request(), plan);
                helps = known;
            }
            return known;
        }
    }

    private final WishService wishes;
    private final YearService years;
    private final FirstYearService first;
    private final Kept kept;
    private final Clock clock;

    YearController(WishService wishes, YearService years, FirstYearService first, Kept kept, Clock clock) {
        this.wishes = wishes;
        this.years = years;
        this.first = first;
        this.kept = kept;
        this.clock = clock;
    }

    @GetMapping("/wishes")
    List<WishService.WishView> wishes() {
        return wishes.all();
    }

    @GetMapping("/wishes/offers")
    WishService.OffersView offers() {
        return wishes.offers();
    }

    @GetMapping("/wishes/proposals")
    List<WishService.AgainView> proposals() {
        return wishes.proposals();
    }

    @PostMapping("/wishes")
    WishService.WishView add(@RequestBody WishService.WishRequest request) {
        return wishes.add(request);
    }

    @PutMapping("/wishes/{id}")
    WishService.WishView change(
            @PathVariable UUID id,
            @RequestBody WishService.WishRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return wishes.change(id, request, ifMatch);
    }

    @PutMapping("/wishes/order")
    List<WishService.WishView> order(@RequestBody WishService.OrderRequest request) {
        return wishes.order(request);
    }

    @DeleteMapping("/wishes/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void throwAway(@PathVariable UUID id) {
        wishes.throwAway(id);
    }

    @PostMapping("/wishes/{id}/bring-back")
    WishService.WishView bringBack(@PathVariable UUID id) {
        return wishes.bringBack(id);
    }

    @PutMapping("/year/means")
    YearService.MeansView say(
            @RequestBody YearService.MeansRequest request,
            @RequestHeader(value = HttpHeaders.IF_MATCH, required = false) @Nullable String ifMatch) {
        return years.say(request, ifMatch);
    }

    @PutMapping("/year/bears")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    void say(@RequestBody YearService.BearsRequest request) {
        years.say(request);
    }

    /** Planned anew when something has changed, once for all who ask. No connection is held while it is reckoned. */
    private synchronized Planned planned() {
        return kept.answer("year", clock.instant(), () -> new Planned(years.told()));
    }

    @GetMapping("/year")
    PlannedYearView year() {
        Planned now = planned();
        YearPlan plan = now.plan();
        Map<String, Double> before = years.keptMet();
        return new PlannedYearView(
                now.told().request().today(),
                now.told().means(),
                plan.wishes().stream()
                        .map(g -> granted(g, now, before.get(g.wish())))
                        .toList(),
                plan.weeks().stream().map(w -> week(w, now)).toList(),
                now.told().unknown(),
                materials(now),
                plan.gap(),
                years.keptOn());
    }

    /** On paper, to take along. */
    @GetMapping(value = "/year.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> onPaper() {
        return Paper.response(YearSheet.of(year(), wishes.all()), "enough-for-winter");
    }

    @GetMapping("/year/first")
    List<FirstYearService.LearnView> first() {
        return first.learn();
    }

    @GetMapping("/year/sure")
    SureOf sure() {
        return new SureOf(
                SEASONS,
                planned().sure().stream()
                        .map(s -> new SureView(UUID.fromString(s.wish()), s.sure(), s.met()))
                        .toList());
    }

    @GetMapping("/year/helps")
    List<WouldHelpView> helps() {
        Planned now = planned();
        Map<String, Double> wanted = now.plan().wishes().stream()
                .collect(java.util.stream.Collectors.toMap(YearPlan.Granted::wish, YearPlan.Granted::wanted));
        return now.helps().stream()
                .map(h -> new WouldHelpView(
                        h.kind(),
                        h.of().isEmpty() ? null : UUID.fromString(h.of()),
                        h.gains().stream()
                                .map(g -> new GainView(
                                        UUID.fromString(g.wish()),
                                        g.met(),
                                        g.met() * wanted.getOrDefault(g.wish(), 0.0)))
                                .toList()))
                .toList();
    }

    /** From now on the household goes by the plan as it stands: later ones stay near it and say what changed. */
    @PostMapping("/year/keep")
    PlannedYearView keep() {
        Planned now = planned();
        if (now.plan().wishes().isEmpty()) {
            throw new Problem.Conflict("There is no wish yet, and so no plan.");
        }
        years.keep(now.told(), now.plan());
        return year();
    }

    private GrantedView granted(YearPlan.Granted g, Planned now, @Nullable Double before) {
        YearService.Told told = now.told();
        Basket.Takes takes = takes(g, now);
        return new GrantedView(
                UUID.fromString(g.wish()),
                g.wanted(),
                g.met(),
                before,
                g.from().stream()
                        .map(f -> new FromView(
                                f.kind(),
                                f.kind() == YearPlan.Kind.THERE
                                        ? told.stocks().getOrDefault(f.of(), "")
                                        : herb(told, f.of()).name(),
                                f.kind() == YearPlan.Kind.THERE ? f.of() : null,
                                f.amount(),
                                f.driedG(),
                                f.on(),
                                f.makeOn(),
                                f.readyOn()))
                        .toList(),
                takes.spiritMl() + takes.oilMl() == 0
                        ? null
                        : new TakesView(takes.spiritMl(), takes.spiritPercent(), takes.oilMl(), takes.waxG()),
                g.why(),
                missingDriedG(g, now),
                g.met() > ALL
                        ? List.of()
                        : years.instead(told, wish(now, g)).stream()
                                .map(p ->
                                        new StillView(p.standId(), p.standName(), p.commonName(), p.part(), p.until()))
                                .toList());
    }

    private static @Nullable Double missingDriedG(YearPlan.Granted g, Planned now) {
        return g.met() > ALL
                ? null
                : wish(now, g).choices().stream()
                        .findFirst()
                        .map(c -> g.wanted() * (1 - g.met()) * c.driedGPerUnit())
                        .orElse(null);
    }

    private Basket.Takes takes(YearPlan.Granted g, Planned now) {
        return years.takes(now.told(), wish(now, g), g);
    }

    private static Wish wish(Planned now, YearPlan.Granted g) {
        return now.told().request().wishes().stream()
                .filter(w -> w.id().equals(g.wish()))
                .findFirst()
                .orElseThrow();
    }

    private List<MaterialView> materials(Planned now) {
        Map<Material, Double> there = now.told().there();
        Map<Material, Double> takes = new EnumMap<>(Material.class);
        for (YearPlan.Granted g : now.plan().wishes()) {
            Basket.Takes t = takes(g, now);
            takes.merge(Material.ALCOHOL, t.alcoholMl(), Double::sum);
            takes.merge(Material.OIL, t.oilMl(), Double::sum);
            takes.merge(Material.WAX, t.waxG(), Double::sum);
            Basket.Product product = wish(now, g).product();
            if (product == Basket.Product.TINCTURE || product == Basket.Product.OIL) {
                takes.merge(Material.BOTTLES, YearService.madeOf(g), Double::sum);
            }
        }
        return takes.entrySet().stream()
                .filter(e -> e.getValue() > 0)
                .map(e -> new MaterialView(e.getKey(), e.getValue(), there.getOrDefault(e.getKey(), 0.0)))
                .toList();
    }

    private static Herb herb(YearService.Told told, String id) {
        return told.request().herbs().stream()
                .filter(h -> h.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static WeekView week(YearPlan.Week w, Planned now) {
        List<PickView> picks = new ArrayList<>();
        for (YearPlan.Planned p : w.picks()) {
            SeasonService.ReadyView part =
                    Objects.requireNonNull(now.told().growths().get(p.growth()));
            String herb = YearService.herbId(part.taxonId(), part.part());
            picks.add(new PickView(
                    part.standId(),
                    part.standName(),
                    part.place(),
                    part.commonName(),
                    part.taxonId(),
                    part.part(),
                    p.freshG(),
                    p.freshG() / herb(now.told(), herb).freshToDry().mid(),
                    now.plan().wishes().stream()
                            .filter(g -> g.from().stream()
                                    .anyMatch(f -> f.kind() == YearPlan.Kind.PICKED && f.of().equals(herb)))
                            .map(g -> UUID.fromString(g.wish()))
                            .toList()));
        }
        List<UUID> begun = now.plan().wishes().stream()
                .filter(g -> made(now, g)
                        && g.from().stream()
                                .anyMatch(f -> f.kind() != YearPlan.Kind.THERE
                                        && !f.makeOn().isBefore(w.on())
                                        && f.makeOn().isBefore(w.on().plusDays(7))))
                .map(g -> UUID.fromString(g.wish()))
                .toList();
        return new WeekView(w.on(), w.walks(), picks, w.rack(), w.hours(), begun);
    }

    /** Whether something is made for it: a tea is made as it is drunk. */
    private static boolean made(Planned now, YearPlan.Granted g) {
        Basket.Product product = wish(now, g).product();
        return product != Basket.Product.TEA && product != Basket.Product.DRIED;
    }
}
