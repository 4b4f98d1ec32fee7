package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.field.Outline;
import org.sallowbrook.core.field.Walk;
import org.sallowbrook.core.field.season.Readiness;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** A round of some stands: in what order, how far, and what to carry. Keeps nothing. */
@Service
@Transactional(readOnly = true)
public class WalkService {

    /** @param metresBefore from the stop before, as the crow flies; null for a stand without a position */
    public record StopView(
            UUID standId,
            String name,
            String place,
            String commonName,
            @Nullable Double metresBefore,
            List<SeasonService.ReadyView> parts,
            Boolean overSoon) {}

    /** @param from whose door; empty where no house is on the map */
    public record WalkView(String from, List<StopView> stops, Double metres, List<String> carry, List<String> mind) {}

    private static final int OVER_SOON_DAYS = 10;

    private final StandService stands;
    private final SeasonService seasons;
    private final GroundService ground;
    private final HerbariumService herbarium;

    WalkService(StandService stands, SeasonService seasons, GroundService ground, HerbariumService herbarium) {
        this.stands = stands;
        this.seasons = seasons;
        this.ground = ground;
        this.herbarium = herbarium;
    }

    WalkView plan(List<UUID> ids) {
        Map<UUID, StandService.StandView> known = new HashMap<>();
        stands.stands().forEach(s -> known.put(s.id(), s));
        List<StandService.StandView> placed = new ArrayList<>();
        List<StandService.StandView> elsewhere = new ArrayList<>();
        for (UUID id : new LinkedHashSet<>(ids)) {
            StandService.StandView stand = known.get(id);
            if (stand == null) {
                throw new Problem.NotFound("stand");
            }
            (stand.latitude() == null || stand.longitude() == null ? elsewhere : placed).add(stand);
        }
        SeasonService.SeasonView season = seasons.season();
        GroundService.ShapeView house = ground.shapes().stream()
                .filter(s -> s.kind() == Outline.Kind.HOUSE)
                .findFirst()
                .orElse(null);
        List<Outline.Point> points = placed.stream().map(WalkService::point).toList();
        Outline.Point door = house != null
                ? new Outline.Point(
                        house.points().get(0).get(0), house.points().get(0).get(1))
                : points.isEmpty() ? new Outline.Point(0, 0) : points.get(0);
        Walk.Round round = Walk.of(door, points);
        List<StopView> stops = new ArrayList<>();
        for (int i = 0; i < round.order().size(); i++) {
            stops.add(stop(placed.get(round.order().get(i)), round.metres().get(i), season));
        }
        elsewhere.forEach(s -> stops.add(stop(s, null, season)));
        return new WalkView(
                house == null ? "" : house.name(), stops, round.all(), carry(stops, known), mind(stops, known));
    }

    private static Outline.Point point(StandService.StandView s) {
        return new Outline.Point(
                java.util.Objects.requireNonNull(s.longitude()), java.util.Objects.requireNonNull(s.latitude()));
    }

    private static StopView stop(StandService.StandView s, @Nullable Double metres, SeasonService.SeasonView season) {
        List<SeasonService.ReadyView> parts = season.parts().stream()
                .filter(p -> p.standId().equals(s.id()) && p.state() != Readiness.State.OVER)
                .toList();
        LocalDate soon = season.today().plusDays(OVER_SOON_DAYS);
        boolean over = parts.stream().anyMatch(p -> now(p) && p.until().isBefore(soon));
        return new StopView(s.id(), s.name(), s.place(), s.commonName(), metres, parts, over);
    }

    private static boolean now(SeasonService.ReadyView p) {
        return p.state() == Readiness.State.READY || p.state() == Readiness.State.LIKELY;
    }

    private List<String> carry(List<StopView> stops, Map<UUID, StandService.StandView> known) {
        Set<String> things = new LinkedHashSet<>();
        long bags = stops.stream()
                .filter(s -> s.parts().stream().anyMatch(WalkService::now))
                .count();
        if (bags > 0) {
            things.add(bags == 1 ? "a bag or basket" : bags + " bags or baskets, one for each plant");
        }
        for (StopView s : stops) {
            s.parts().stream()
                    .filter(WalkService::now)
                    .map(SeasonService.ReadyView::tools)
                    .filter(t -> !t.isBlank())
                    .forEach(things::add);
            if (s.parts().stream().anyMatch(p -> p.part() == Taxon.Part.ROOT && p.state() == Readiness.State.LATER)) {
                things.add("a stake, to mark " + s.commonName() + " for when its root is dug");
            }
            Taxon taxon = taxon(known, s.standId());
            if (taxon != null && taxon.hazards().containsKey(Taxon.Hazard.SKIN)) {
                things.add("gloves and sleeves");
            }
            if (taxon != null && taxon.hazards().containsKey(Taxon.Hazard.DUST)) {
                things.add("a mask");
            }
        }
        if (stops.stream().anyMatch(s -> s.parts().isEmpty())) {
            things.add("a lens and the book, for what is not certain yet");
        }
        return List.copyOf(things);
    }

    /** What of the plants on the way does harm, and how it is washed off. */
    private List<String> mind(List<StopView> stops, Map<UUID, StandService.StandView> known) {
        Set<String> lines = new LinkedHashSet<>();
        for (StopView s : stops) {
            Taxon taxon = taxon(known, s.standId());
            if (taxon == null) {
                continue;
            }
            taxon.hazards()
                    .forEach((hazard, words) ->
                            lines.add(taxon.commonName() + ", " + Words.lower(hazard) + ": " + words));
            if (!taxon.washing().isBlank()) {
                lines.add(taxon.commonName() + ", washing: " + taxon.washing());
            }
        }
        return List.copyOf(lines);
    }

    private @Nullable Taxon taxon(Map<UUID, StandService.StandView> known, UUID stand) {
        String id = java.util.Objects.requireNonNull(known.get(stand)).taxonId();
        return id == null ? null : herbarium.taxon(id);
    }
}
