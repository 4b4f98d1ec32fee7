package org.sallowbrook.server.planning;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.drying.Rack;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.Outline;
import org.sallowbrook.core.field.Site;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.field.years.Outlook;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Interval;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.planning.Basket;
import org.sallowbrook.core.planning.year.Growth;
import org.sallowbrook.core.planning.year.Herb;
import org.sallowbrook.core.planning.year.Means;
import org.sallowbrook.core.planning.year.Stock;
import org.sallowbrook.core.planning.year.Wish;
import org.sallowbrook.core.planning.year.YearPlan;
import org.sallowbrook.core.shelf.Keeping;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.core.shelf.Stage;
import org.sallowbrook.core.shelf.VesselKind;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.field.GroundService;
import org.sallowbrook.server.field.HarvestService;
import org.sallowbrook.server.field.SeasonService;
import org.sallowbrook.server.field.StandService;
import org.sallowbrook.server.field.WeatherService;
import org.sallowbrook.server.field.YearsService;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.household.SchoolService;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.sallowbrook.server.shelf.VesselService;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers what the household has, knows and wishes into one request to the planner, and keeps the plan it goes by. */
@Service
@Transactional(readOnly = true)
public class YearService {

    public record MeansRequest(Double rackM2, Double hoursPerWeek) {}

    record BearsRequest(UUID standId, Taxon.Part part, Double freshG) {}

    /** @param version of what was said; null where nobody did. @param said whether somebody said so, or it is taken until somebody does */
    public record MeansView(@Nullable Long version, Double rackM2, Double hoursPerWeek, Boolean said) {}

    /** @param freshG as somebody said; null where nobody did and nothing was weighed */
    record UnknownView(
            UUID standId,
            String stand,
            String commonName,
            Taxon.Part part,
            @Nullable Double freshG) {}

    /** One asking for the year: what the planner was told, and by what names people know it. @param others parts nobody wished for */
    record Told(
            YearPlan.Request request,
            MeansView means,
            Map<String, SeasonService.ReadyView> growths,
            Map<String, String> stocks,
            Map<Material, Double> there,
            List<SeasonService.ReadyView> others,
            List<UnknownView> unknown) {}

    static final int WEEKS = 52;

    private static final double USUAL_RACK_M2 = 1;
    private static final double USUAL_HOURS = 5;

    /** Stands nearer to each other than this are visited on one walk. */
    private static final double ONE_WALK_M = 800;

    private static final double WALKING_M_PER_HOUR = 4000;
    private static final double LEAST_WALK_HOURS = 0.25;
    private static final double UNKNOWN_WALK_HOURS = 1;

    /** What a share picked and weighed says of the whole, and what somebody's eye does. */
    private static final double WEIGHED_BAND = 0.3;

    private static final double BY_EYE_BAND = 0.5;
    private static final double SOME_DRY = 0.5;
    private static final int MONTH_DAYS = 30;

    private final WishService wishes;
    private final YearMeansOf means;
    private final StandsBear bears;
    private final PlannedPicks planned;
    private final PlannedWishes plannedWishes;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final SchoolService schools;
    private final SeasonService seasons;
    private final StandService stands;
    private final HarvestService harvests;
    private final YearsService years;
    private final GroundService ground;
    private final WeatherService weather;
    private final DryingService drying;
    private final ShelfService shelf;
    private final VesselService vessels;

    YearService(
            WishService wishes,
            YearMeansOf means,
            StandsBear bears,
            PlannedPicks planned,
            PlannedWishes plannedWishes,
            HerbariumService herbarium,
            PeopleService people,
            SchoolService schools,
            SeasonService seasons,
            StandService stands,
            HarvestService harvests,
            YearsService years,
            GroundService ground,
            WeatherService weather,
            DryingService drying,
            ShelfService shelf,
            VesselService vessels) {
        this.wishes = wishes;
        this.means = means;
        this.bears = bears;
        this.planned = planned;
        this.plannedWishes = plannedWishes;
        this.herbarium = herbarium;
        this.people = people;
        this.schools = schools;
        this.seasons = seasons;
        this.stands = stands;
        this.harvests = harvests;
        this.years = years;
        this.ground = ground;
        this.weather = weather;
        this.drying = drying;
        this.shelf = shelf;
        this.vessels = vessels;
    }

    static String herbId(String taxonId, Taxon.Part part) {
        return taxonId + " " + part;
    }

    private static String growthId(UUID stand, Taxon.Part part) {
        return stand + " " + part;
    }

    Told told() {
        LocalDate today = people.today();
        List<Wish> wanted = wishes.standing().stream().map(wishes::toCore).toList();
        Set<String> wantedHerbs = wanted.stream()
                .flatMap(w -> w.choices().stream().map(Wish.Choice::herb))
                .collect(Collectors.toSet());
        Map<UUID, StandService.StandView> known = new LinkedHashMap<>();
        stands.stands().forEach(s -> known.put(s.id(), s));
        Map<String, Double> byEye = new HashMap<>();
        bears.findAll().forEach(b -> byEye.put(growthId(b.standId, b.part), b.freshG));
        Walks walks = new Walks();
        Map<String, SeasonService.ReadyView> ready = new LinkedHashMap<>();
        List<Growth> growths = new ArrayList<>();
        List<UnknownView> unknown = new ArrayList<>();
        List<SeasonService.ReadyView> others = new ArrayList<>();
        for (SeasonService.ReadyView part : seasons.season().parts()) {
            StandService.StandView stand = known.get(part.standId());
            String herb = herbId(part.taxonId(), part.part());
            if (stand == null || !mayBePicked(stand) || part.from() == null) {
                continue;
            }
            if (!wantedHerbs.contains(herb)) {
                others.add(part);
                continue;
            }
            Double said = byEye.get(growthId(stand.id(), part.part()));
            Double weighed = harvests.wholeG(stand.id(), part.part());
            if (weighed == null) {
                unknown.add(new UnknownView(stand.id(), stand.name(), part.commonName(), part.part(), said));
            }
            if (weighed == null && said == null) {
                continue;
            }
            String id = growthId(stand.id(), part.part());
            ready.put(id, part);
            growths.add(growth(id, stand, part, herb, walks.of(stand), whole(weighed, said), today));
        }
        Map<String, String> names = new HashMap<>();
        List<Stock> stocks = stocks(today, names);
        MeansView has = means();
        return new Told(
                new YearPlan.Request(
                        today,
                        WEEKS,
                        wanted,
                        growths,
                        wantedHerbs.stream().map(this::herb).toList(),
                        stocks.stream()
                                .filter(s -> wantedHerbs.contains(s.herb()))
                                .toList(),
                        new Means(has.rackM2(), has.hoursPerWeek(), walks.hours, dryMornings(today)),
                        running(today, growths)),
                has,
                ready,
                names,
                there(),
                others,
                unknown);
    }

    private static boolean mayBePicked(StandService.StandView stand) {
        return stand.certain()
                && !stand.doubted()
                && stand.permission() != Site.Permission.REFUSED
                && !stand.protectedSpecies();
    }

    private static Interval whole(@Nullable Double weighed, @Nullable Double said) {
        if (weighed != null) {
            return Interval.of(weighed * (1 - WEIGHED_BAND), weighed * (1 + WEIGHED_BAND));
        }
        double by = java.util.Objects.requireNonNull(said);
        return Interval.of(by * (1 - BY_EYE_BAND), by * (1 + BY_EYE_BAND));
    }

    private Growth growth(
            String id,
            StandService.StandView stand,
            SeasonService.ReadyView part,
            String herb,
            String walk,
            Interval whole,
            LocalDate today) {
        Taxon.UsedPart used =
                herbarium.taxon(part.taxonId()).usedPart(part.part()).orElseThrow();
        double quota = HarvestGate.quota(used, schools.chosen());
        double taken = harvests.sharePicked(stand.id(), part.part(), today.getYear());
        return new Growth(
                id,
                stand.name(),
                herb,
                walk,
                whole,
                Math.max(0, quota - taken),
                quota,
                weakness(stand, part.part()),
                windows(part));
    }

    private double weakness(StandService.StandView stand, Taxon.Part part) {
        Outlook.Word word = years.years(stand.id(), part, null).word();
        return word == Outlook.Word.DECLINES
                ? 1
                : stand.plenty() == Site.Plenty.PLENTIFUL ? (word == Outlook.Word.HOLDS ? 0 : 0.2) : 0.5;
    }

    /** This year's, where it is not over, and the same of the next. */
    private static List<Growth.Window> windows(SeasonService.ReadyView part) {
        LocalDate from = java.util.Objects.requireNonNull(part.from());
        LocalDate early = part.early() == null ? from : part.early();
        LocalDate late = part.late() == null ? from : part.late();
        Growth.Window now = new Growth.Window(early, from, late, part.until());
        Growth.Window next = new Growth.Window(
                early.plusYears(1),
                from.plusYears(1),
                late.plusYears(1),
                part.until().plusYears(1));
        return part.state() == Readiness.State.OVER ? List.of(next) : List.of(now, next);
    }

    private Herb herb(String id) {
        int blank = id.lastIndexOf(' ');
        Taxon taxon = herbarium.taxon(id.substring(0, blank));
        Taxon.Part part = Taxon.Part.valueOf(id.substring(blank + 1));
        Taxon.UsedPart used = taxon.usedPart(part).orElseThrow();
        LocalDate day = LocalDate.of(2001, 1, 1);
        LocalDate best = Keeping.reckon(Keeping.Request.of(
                        Keeping.Form.dried(part, used.drying().aromatic()), day, List.of()))
                .bestBefore();
        Integer ageing = used.keeping().ageingMonths();
        return new Herb(
                id,
                taxon.commonName() + ", " + Words.lower(part),
                part,
                drying.freshToDry(taxon.id(), part).range(),
                Herb.usualDryingDays(part),
                Rack.spread(1000, part, null).areaM2().mid(),
                (int) (best.toEpochDay() - day.toEpochDay()),
                ageing == null ? 0 : ageing * MONTH_DAYS);
    }

    // ---- what is there

    private List<Stock> stocks(LocalDate today, Map<String, String> names) {
        List<Stock> stocks = new ArrayList<>();
        for (LotView lot : shelf.there()) {
            String taxon = lot.taxonId();
            Taxon.Part part = lot.part();
            Basket.Product product = product(lot);
            if (taxon == null
                    || part == null
                    || product == null
                    || lot.state() != Product.State.USABLE
                    || lot.expired()
                    || lot.holder() != null) {
                continue;
            }
            double amount = product == Basket.Product.DRIED && lot.driedGPerUnit() != null
                    ? lot.remaining() * lot.driedGPerUnit().low()
                    : lot.remaining();
            stocks.add(new Stock(
                    lot.id().toString(), lot.name(), herbId(taxon, part), product, amount, today, lot.bestBefore()));
            names.put(lot.id().toString(), lot.name() + " (" + lot.code() + ")");
        }
        return stocks;
    }

    private static Basket.@Nullable Product product(LotView lot) {
        if (lot.form() == LotForm.HERB && lot.stage() != Stage.STAND && lot.stage() != Stage.HARVEST) {
            return Basket.Product.DRIED;
        }
        if (lot.stage() == Stage.BATCH) {
            return null;
        }
        return switch (lot.form()) {
            case TINCTURE -> Basket.Product.TINCTURE;
            case INFUSED_OIL -> Basket.Product.OIL;
            case SALVE -> Basket.Product.SALVE;
            default -> null;
        };
    }

    private Map<Material, Double> there() {
        Map<Material, Double> there = new EnumMap<>(Material.class);
        for (LotView lot : shelf.there()) {
            Double percent = lot.strengthLowPercent() == null ? lot.strengthPercent() : lot.strengthLowPercent();
            if (lot.state() != Product.State.USABLE || lot.expired() || lot.holder() != null) {
                continue;
            }
            switch (lot.form()) {
                case SPIRIT ->
                    there.merge(Material.ALCOHOL, lot.remaining() * (percent == null ? 0 : percent) / 100, Double::sum);
                case CARRIER_OIL -> there.merge(Material.OIL, lot.remaining(), Double::sum);
                case WAX -> there.merge(Material.WAX, lot.remaining(), Double::sum);
                default -> {}
            }
        }
        for (VesselService.VesselView v : vessels.all()) {
            if (v.kind() == VesselKind.BOTTLE) {
                there.merge(Material.BOTTLES, v.free() * v.capacityMl(), Double::sum);
            }
        }
        return there;
    }

    /** What is still to be made for a wish takes. */
    Basket.Takes takes(Told told, Wish wish, YearPlan.Granted granted) {
        Basket.Takes all = Basket.NOTHING;
        for (YearPlan.From from : granted.from()) {
            if (from.driedG() == null || !(from.amount() > 0)) {
                continue;
            }
            String herb = herbOf(told, from);
            int blank = herb.lastIndexOf(' ');
            all = all.and(herbarium
                    .taxon(herb.substring(0, blank))
                    .usedPart(Taxon.Part.valueOf(herb.substring(blank + 1)))
                    .flatMap(part -> Basket.takes(wish.product(), part, from.amount()))
                    .orElse(Basket.NOTHING));
        }
        return all;
    }

    private static String herbOf(Told told, YearPlan.From from) {
        return from.kind() != YearPlan.Kind.THERE
                ? from.of()
                : told.request().stocks().stream()
                        .filter(s -> s.id().equals(from.of()))
                        .map(Stock::herb)
                        .findFirst()
                        .orElseThrow();
    }

    /** Other parts of the same plants that can still be had, that the same is made of, and that are used for the same. */
    List<SeasonService.ReadyView> instead(Told told, Wish wish) {
        return told.others().stream()
                .filter(p -> p.state() != Readiness.State.OVER
                        && wish.choices().stream().anyMatch(c -> standsFor(p, c.herb(), wish.product())))
                .toList();
    }

    private boolean standsFor(SeasonService.ReadyView other, String herb, Basket.Product product) {
        int blank = herb.lastIndexOf(' ');
        if (!herb.substring(0, blank).equals(other.taxonId())) {
            return false;
        }
        Taxon taxon = herbarium.taxon(other.taxonId());
        Taxon.Part wished = Taxon.Part.valueOf(herb.substring(blank + 1));
        return taxon.uses().stream()
                        .anyMatch(u -> !u.grave()
                                && u.parts().contains(wished)
                                && u.parts().contains(other.part()))
                && taxon.usedPart(other.part())
                        .flatMap(part -> Basket.driedFor(product, part, 1))
                        .isPresent();
    }

    /** What of a wish is made for it, in its unit: not what stands on the shelf ready. */
    static double madeOf(YearPlan.Granted granted) {
        return granted.from().stream()
                .filter(f -> f.driedG() != null)
                .mapToDouble(YearPlan.From::amount)
                .sum();
    }

    /** Share of mornings dry enough to pick, by month, over the years that are known; half where none are. */
    private List<Double> dryMornings(LocalDate today) {
        int[] dry = new int[12];
        int[] all = new int[12];
        DayWeather before = null;
        for (DayWeather day : weather.readings(today.minusYears(10), today)) {
            if (before != null && before.day().plusDays(1).equals(day.day())) {
                int month = day.day().getMonthValue() - 1;
                all[month]++;
                dry[month] += DayWeather.dryEnough(day, before) ? 1 : 0;
            }
            before = day;
        }
        List<Double> shares = new ArrayList<>();
        for (int m = 0; m < 12; m++) {
            shares.add(all[m] == 0 ? SOME_DRY : (double) dry[m] / all[m]);
        }
        return shares;
    }

    /** Which stands are visited together, and how long it takes. */
    private final class Walks {

        private record Place(String name, Outline.Point at) {}

        private final List<Place> places = new ArrayList<>();
        private final Map<String, Double> hours = new HashMap<>();
        private final Outline.@Nullable Point door = ground.shapes().stream()
                .filter(s -> s.kind() == Outline.Kind.HOUSE)
                .findFirst()
                .map(s -> new Outline.Point(
                        s.points().get(0).get(0), s.points().get(0).get(1)))
                .orElse(null);

        String of(StandService.StandView stand) {
            Double longitude = stand.longitude();
            Double latitude = stand.latitude();
            if (longitude == null || latitude == null) {
                String name = stand.place().isBlank() ? stand.name() : stand.place();
                hours.putIfAbsent(name, UNKNOWN_WALK_HOURS);
                return name;
            }
            Outline.Point at = new Outline.Point(longitude, latitude);
            for (Place p : places) {
                if (Outline.metres(p.at(), at) <= ONE_WALK_M) {
                    return p.name();
                }
            }
            String name = stand.place().isBlank() ? stand.name() : stand.place();
            places.add(new Place(name, at));
            hours.put(
                    name,
                    door == null
                            ? UNKNOWN_WALK_HOURS
                            : LEAST_WALK_HOURS + 2 * Outline.metres(door, at) / WALKING_M_PER_HOUR);
            return name;
        }
    }

    // ---- what is said of the year

    MeansView means() {
        return means.findAll().stream()
                .findFirst()
                .map(m -> new MeansView(m.version, m.rackM2, m.hoursPerWeek, true))
                .orElse(new MeansView(null, USUAL_RACK_M2, USUAL_HOURS, false));
    }

    @Transactional
    public MeansView say(MeansRequest request, @Nullable String ifMatch) {
        Checks.begin()
                .range("rackM2", request.rackM2(), 0, 1000)
                .range("hoursPerWeek", request.hoursPerWeek(), 0, 168)
                .done();
        YearMeans row = means.findAll().stream().findFirst().orElseGet(() -> new YearMeans(Owned.newId()));
        if (row.version != null) {
            row.checkVersion(ifMatch, this::means);
        }
        row.rackM2 = request.rackM2();
        row.hoursPerWeek = request.hoursPerWeek();
        means.saveAndFlush(row);
        return means();
    }

    @Transactional
    public void say(BearsRequest request) {
        String taxon = stands.stand(request.standId()).taxonId();
        Checks.begin()
                .range("freshG", request.freshG(), 1, 1_000_000)
                .that(
                        taxon != null
                                && herbarium
                                        .taxon(taxon)
                                        .usedPart(request.part())
                                        .isPresent(),
                        "part",
                        "the card knows no use of this part")
                .done();
        StandBears row = bears.findByStandIdAndPart(request.standId(), request.part())
                .orElseGet(() -> new StandBears(Owned.newId()));
        row.standId = request.standId();
        row.part = request.part();
        row.freshG = request.freshG();
        bears.saveAndFlush(row);
    }

    // ---- the plan that the household goes by

    private List<YearPlan.Planned> running(LocalDate today, List<Growth> growths) {
        Set<String> known = growths.stream().map(Growth::id).collect(Collectors.toSet());
        return planned.findAllByWeekOfGreaterThanEqual(today.minusDays(6)).stream()
                .filter(p -> known.contains(growthId(p.standId, p.part)))
                .map(p -> new YearPlan.Planned(
                        growthId(p.standId, p.part), p.weekOf.isBefore(today) ? today : p.weekOf, p.freshG))
                .toList();
    }

    /** Since when the household goes by a plan; null where it goes by none. */
    @Nullable
    LocalDate keptOn() {
        return plannedWishes.findAll().stream()
                .map(w -> w.keptOn)
                .max(LocalDate::compareTo)
                .orElse(null);
    }

    /** How far each wish was met by the plan that is kept. */
    Map<String, Double> keptMet() {
        return plannedWishes.findAll().stream()
                .collect(Collectors.toMap(w -> w.wishId.toString(), w -> w.met, (a, b) -> b));
    }

    @Transactional
    public void keep(Told told, YearPlan plan) {
        planned.deleteAll();
        plannedWishes.deleteAll();
        planned.flush();
        for (YearPlan.Week week : plan.weeks()) {
            for (YearPlan.Planned p : week.picks()) {
                SeasonService.ReadyView part =
                        java.util.Objects.requireNonNull(told.growths().get(p.growth()));
                PlannedPick pick = new PlannedPick(Owned.newId());
                pick.standId = part.standId();
                pick.part = part.part();
                pick.weekOf = p.on();
                pick.freshG = p.freshG();
                planned.save(pick);
            }
        }
        for (YearPlan.Granted g : plan.wishes()) {
            PlannedWish wish = new PlannedWish(Owned.newId());
            wish.wishId = UUID.fromString(g.wish());
            wish.met = g.met();
            wish.keptOn = told.request().today();
            plannedWishes.save(wish);
        }
        plannedWishes.flush();
    }
}
