package org.sallowbrook.server.field;

import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.HarvestGate;
import org.sallowbrook.core.field.season.DailyMeans;
import org.sallowbrook.core.field.season.DayWeather;
import org.sallowbrook.core.field.season.Onset;
import org.sallowbrook.core.field.season.Place;
import org.sallowbrook.core.field.season.Progress;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.field.season.StagesSeen;
import org.sallowbrook.core.field.season.StandMark;
import org.sallowbrook.core.herbarium.LifeStage;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.StrikeRequest;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** When each part is ready at each stand, and what was seen to begin. */
@Service
@Transactional
public class SeasonService {

    public record SightingRequest(UUID id, LifeStage stage, LocalDate on) {}

    public record SightingView(UUID id, LifeStage stage, LocalDate on, String seenBy) {}

    /** @param early with a chance of 5, 50, 95 in a hundred that it has begun; null when in no calendar year */
    public record ReadyView(
            UUID standId,
            String standName,
            String place,
            String taxonId,
            String commonName,
            Taxon.Part part,
            Readiness.State state,
            @Nullable LocalDate early,
            @Nullable LocalDate from,
            @Nullable LocalDate late,
            LocalDate until,
            Boolean seen,
            Integer sightings,
            String moment,
            String tools,
            List<String> because) {}

    public record MarkView(UUID standId, StandMark mark) {}

    /** @param hits of the first sightings so far, how many a forecast of New Year's Day would have held in its 90 % band */
    public record SeasonView(
            LocalDate today,
            Boolean byWarmth,
            Boolean placeKnown,
            List<ReadyView> parts,
            List<MarkView> marks,
            Integer hits,
            Integer scored) {}

    private static final int SHOWN = 60;

    /** August: the frosts of the spring lie behind. */
    private static final int SUMMER = 8;

    private final Stands stands;
    private final Sightings sightings;
    private final WeatherService weather;
    private final HerbariumService herbarium;
    private final PeopleService people;
    private final Once once;
    private final Clock clock;

    SeasonService(
            Stands stands,
            Sightings sightings,
            WeatherService weather,
            HerbariumService herbarium,
            PeopleService people,
            Once once,
            Clock clock) {
        this.stands = stands;
        this.sightings = sightings;
        this.weather = weather;
        this.herbarium = herbarium;
        this.people = people;
        this.once = once;
        this.clock = clock;
    }

    public SightingView see(UUID standId, SightingRequest request) {
        Stand stand = stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        if (once.repeated("sighting", request.id(), sightings::existsById, standId, request)) {
            return view(sightings.findById(request.id()).orElseThrow(() -> new Problem.NotFound("sighting")));
        }
        LocalDate today = people.today();
        Checks.begin()
                .that(!request.on().isAfter(today), "on", "must not be in the future")
                .that(request.on().isAfter(today.minusYears(20)), "on", "must be within twenty years")
                .that(stand.taxonId != null, "stage", "of a plant nobody knows says nothing yet")
                .done();
        return view(sightings.saveAndFlush(new Sighting(
                request.id(),
                standId,
                request.stage(),
                request.on(),
                Member.current().displayName())));
    }

    public void strike(UUID standId, UUID sighting, StrikeRequest request) {
        String reason = request.checked();
        Sighting found = sightings
                .findById(sighting)
                .filter(s -> s.standId.equals(standId) && !s.struck())
                .orElseThrow(() -> new Problem.NotFound("sighting"));
        found.strike(clock.instant(), reason);
        sightings.saveAndFlush(found);
    }

    /** Newest first. */
    @Transactional(readOnly = true)
    public List<SightingView> sightings(UUID standId) {
        stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        return sightings.findAllByStandIdOrderByOnDayDescIdDesc(standId, Limit.of(SHOWN)).stream()
                .map(SeasonService::view)
                .toList();
    }

    private static SightingView view(Sighting s) {
        return new SightingView(s.id, s.stage, s.onDay, s.seenBy);
    }

    /** Every part of every stand that has a name, what is ready first. */
    @Transactional(readOnly = true)
    public SeasonView season() {
        LocalDate today = people.today();
        Year year = new Year(today);
        List<ReadyView> parts = new ArrayList<>();
        List<MarkView> marks = new ArrayList<>();
        for (Stand stand : stands.findAllByPutAwayOnIsNullOrderByName()) {
            Taxon taxon = stand.taxonId == null ? null : herbarium.taxon(stand.taxonId);
            List<ReadyView> own = taxon == null ? List.of() : year.ready(stand, taxon);
            StandMark mark = StandMark.of(
                    taxon,
                    stand.site(),
                    stand.doubted,
                    own.stream().map(ReadyView::state).toList());
            marks.add(new MarkView(stand.id, mark));
            if (mark.gathered()) {
                parts.addAll(own);
            }
        }
        parts.sort(Comparator.comparing(ReadyView::state)
                .thenComparing(v -> v.from() == null ? LocalDate.MAX : v.from())
                .thenComparing(ReadyView::standName));
        int[] score = year.score();
        return new SeasonView(today, year.now().warmth(), people.place() != null, parts, marks, score[0], score[1]);
    }

    /** The readiness of one part at one stand, for the harvest gate; null where the card gives no months. */
    @Transactional(readOnly = true)
    public @Nullable Readiness ready(UUID standId, Taxon.Part part) {
        Stand stand = stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        if (stand.taxonId == null) {
            return null;
        }
        Taxon taxon = herbarium.taxon(stand.taxonId);
        Taxon.UsedPart used = taxon.usedPart(part).orElse(null);
        return used == null || used.gathering().months().isEmpty()
                ? null
                : new Year(people.today()).readiness(stand, taxon, used);
    }

    /** When a part is likely ready where the household lives, before anybody saw a stand of it; empty where the card gives no months. */
    @Transactional(readOnly = true)
    public Function<Taxon.UsedPart, Optional<Readiness>> expected() {
        LocalDate today = people.today();
        Place home = people.place() == null ? Place.OF_THE_CARDS : people.place();
        Progress progress = Progress.byWarmth(today.getYear(), DailyMeans.of(weather.past()), today, 0);
        return part -> part.gathering().months().isEmpty()
                ? Optional.empty()
                : Optional.of(Readiness.of(new Readiness.Request(
                        "", part.gathering().months(), home, progress, List.of(), null, null, false, today)));
    }

    /** Frosts since the summer; null where nobody measures. */
    @Transactional(readOnly = true)
    public HarvestGate.@Nullable Frosts frosts(LocalDate by) {
        LocalDate summer = LocalDate.of(by.getMonthValue() < SUMMER ? by.getYear() - 1 : by.getYear(), SUMMER, 1);
        List<DayWeather> since = weather.readings(summer, by);
        return since.isEmpty() ? null : HarvestGate.Frosts.of(since);
    }

    /** What one asking for the season reads once. */
    private final class Year {

        private final LocalDate today;
        private final DailyMeans readings;
        private final Place home;
        private final Map<String, Progress> known = new HashMap<>();
        private final Map<UUID, Stand> named = new HashMap<>();
        private final Map<UUID, StagesSeen> seen = new HashMap<>();

        Year(LocalDate today) {
            this.today = today;
            this.readings = DailyMeans.of(weather.past());
            Place place = people.place();
            this.home = place == null ? Place.OF_THE_CARDS : place;
            stands.findAll().forEach(s -> named.put(s.id, s));
            var noted = byStand(sightings.firsts());
            var met = byStand(sightings.firstLooks());
            named.keySet()
                    .forEach(id -> seen.put(
                            id, new StagesSeen(noted.getOrDefault(id, Map.of()), met.getOrDefault(id, Map.of()))));
        }

        private static Map<UUID, Map<LifeStage, Map<Integer, LocalDate>>> byStand(List<Sightings.First> firsts) {
            Map<UUID, Map<LifeStage, Map<Integer, LocalDate>>> all = new HashMap<>();
            firsts.forEach(f -> all.computeIfAbsent(f.standId(), k -> new HashMap<>())
                    .computeIfAbsent(f.stage(), k -> new HashMap<>())
                    .put(f.year(), f.first()));
            return all;
        }

        Progress now() {
            return progress(today.getYear(), home);
        }

        private Place placeOf(Stand s) {
            return new Place(
                    s.latitude == null ? home.latitude() : s.latitude,
                    s.elevationM == null ? home.elevationM() : s.elevationM);
        }

        /** Heights within ten metres of each other share their warmth. */
        private Progress progress(int year, Place place) {
            long above = above(place);
            return known.computeIfAbsent(
                    year + " " + above,
                    k -> Progress.byWarmth(
                            year, readings, year == today.getYear() ? today : LocalDate.of(year, 12, 31), above));
        }

        private long above(Place place) {
            return Math.round((place.elevationM() - home.elevationM()) / 10) * 10;
        }

        List<ReadyView> ready(Stand stand, Taxon taxon) {
            return taxon.parts().stream()
                    .filter(p -> !p.gathering().months().isEmpty())
                    .map(p -> ready(stand, taxon, p))
                    .toList();
        }

        private ReadyView ready(Stand stand, Taxon taxon, Taxon.UsedPart part) {
            Readiness r = readiness(stand, taxon, part);
            return new ReadyView(
                    stand.id,
                    stand.name,
                    stand.place,
                    taxon.id(),
                    taxon.commonName(),
                    part.part(),
                    r.state(),
                    r.early(),
                    r.from(),
                    r.late(),
                    r.until(),
                    r.seen(),
                    r.sightings(),
                    part.gathering().moment(),
                    part.gathering().tools(),
                    r.because());
        }

        Readiness readiness(Stand stand, Taxon taxon, Taxon.UsedPart part) {
            LifeStage stage = first(part);
            return Readiness.of(new Readiness.Request(
                    stand.id.toString(),
                    part.gathering().months(),
                    placeOf(stand),
                    progress(today.getYear(), placeOf(stand)),
                    stage == null ? List.of() : learnt(taxon, stage, y -> y < today.getYear()),
                    stage == null ? null : of(stand).first(stage, today.getYear()),
                    stage == null ? null : of(stand).notYet(stage, today.getYear()),
                    taxon.biennial()
                            && stand.growingSince != null
                            && stand.growingSince == today.getYear()
                            && !part.gathering().stages().contains(LifeStage.ROSETTE),
                    today));
        }

        /** The stage at which the part begins to be gathered. */
        private static @Nullable LifeStage first(Taxon.UsedPart part) {
            return part.gathering().stages().stream()
                    .min(Comparator.naturalOrder())
                    .orElse(null);
        }

        /** What was learnt of a stage in the years that count, at every stand of the kind. */
        private List<Onset.Seen> learnt(Taxon taxon, LifeStage stage, java.util.function.IntPredicate counts) {
            Set<Integer> months = taxon.months().getOrDefault(stage, Set.of());
            List<Onset.Seen> all = new ArrayList<>();
            if (months.isEmpty()) {
                return all;
            }
            for (Stand stand : named.values()) {
                if (taxon.id().equals(stand.taxonId)) {
                    for (Map.Entry<Integer, StagesSeen.Begun> b :
                            of(stand).begun(stage).entrySet()) {
                        if (counts.test(b.getKey())) {
                            all.add(seen(stand, months, b.getKey(), b.getValue()));
                        }
                    }
                }
            }
            return all;
        }

        private StagesSeen of(Stand stand) {
            return seen.getOrDefault(stand.id, StagesSeen.NONE);
        }

        private Onset.Seen seen(Stand stand, Set<Integer> months, int year, StagesSeen.Begun begun) {
            Place place = placeOf(stand);
            Progress of = progress(year, place);
            return of.warmth() == now().warmth()
                    ? Readiness.seen(stand.id.toString(), of, place, months, begun)
                    : Readiness.seenInAnotherYear(
                            stand.id.toString(), progress(today.getYear(), place), place, months, begun);
        }

        /** Hits and sightings: what was foretold on New Year's Day from the years before, against what was seen. */
        int[] score() {
            int hits = 0;
            int scored = 0;
            for (Map.Entry<UUID, StagesSeen> s : seen.entrySet()) {
                Stand stand = named.get(s.getKey());
                if (stand == null || stand.taxonId == null) {
                    continue;
                }
                Taxon taxon = herbarium.taxon(stand.taxonId);
                for (Map.Entry<LifeStage, Map<Integer, LocalDate>> stage :
                        s.getValue().noted().entrySet()) {
                    Set<Integer> months = taxon.months().getOrDefault(stage.getKey(), Set.of());
                    for (Map.Entry<Integer, LocalDate> e : months.isEmpty()
                            ? Set.<Map.Entry<Integer, LocalDate>>of()
                            : stage.getValue().entrySet()) {
                        scored++;
                        hits += held(stand, taxon, stage.getKey(), months, e.getValue()) ? 1 : 0;
                    }
                }
            }
            return new int[] {hits, scored};
        }

        private boolean held(Stand stand, Taxon taxon, LifeStage stage, Set<Integer> months, LocalDate on) {
            int year = on.getYear();
            Place place = placeOf(stand);
            long above = above(place);
            Progress then = known.computeIfAbsent(
                    "ahead of " + year + " " + above,
                    k -> Progress.byWarmth(
                            year, readings, LocalDate.of(year, 1, 1).minusDays(1), above));
            List<Onset.Seen> before = then.warmth() == now().warmth() ? learnt(taxon, stage, y -> y < year) : List.of();
            return Readiness.held(stand.id.toString(), before, then, place, months, on);
        }
    }
}
