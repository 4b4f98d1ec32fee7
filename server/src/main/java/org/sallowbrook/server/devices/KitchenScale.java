package org.sallowbrook.server.devices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Map;
import java.util.Objects;
import java.util.Random;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * A simulated kitchen scale of 1 g resolution. Whatever is placed on it swings for two seconds and then stands still. It
 * stands in for a real one: what lies on it is what the drying lot would weigh by its own curve.
 */
@Component
class KitchenScale {

    private static final Duration SETTLING = Duration.ofSeconds(2);
    private static final double SWING = 0.04;
    private static final Duration FORGOTTEN_AFTER = Duration.ofMinutes(10);

    enum State {
        SETTLING,
        STABLE
    }

    record Reading(UUID placementId, State state, Double massG) {}

    private record Placement(Instant at, double trueG) {}

    private final DryingService drying;
    private final ShelfService shelf;
    private final Clock clock;
    private final JdbcClient jdbc;

    KitchenScale(DryingService drying, ShelfService shelf, JdbcClient jdbc, Clock clock) {
        this.drying = drying;
        this.shelf = shelf;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Kept for every instance alike, of this household only. */
    @Transactional
    Reading place(UUID placementId, @Nullable UUID runId, @Nullable Spoonful spoonful, @Nullable UUID lotId) {
        long lies = Stream.of(runId, spoonful, lotId).filter(Objects::nonNull).count();
        Checks.begin()
                .that(lies == 1, "dryingRunId", "or a spoonful or a lot must lie on the scale")
                .done();
        double truth = runId != null
                ? truth(drying.one(runId))
                : lotId != null ? contents(shelf.lot(lotId)) : spoons(Objects.requireNonNull(spoonful));
        Placement known = find(placementId);
        if (known != null) {
            return read(placementId, known);
        }
        Placement placement = new Placement(clock.instant(), truth);
        jdbc.sql("delete from scale_placement where at < ?")
                .params(at(placement.at().minus(FORGOTTEN_AFTER)))
                .update();
        jdbc.sql("insert into scale_placement (id, household_id, at, true_g) values (?, ?, ?, ?)")
                .params(placementId, Member.current().householdId(), at(placement.at()), placement.trueG())
                .update();
        return read(placementId, placement);
    }

    @Transactional(readOnly = true)
    Reading read(UUID placementId) {
        Placement placement = find(placementId);
        if (placement == null) {
            throw new Problem.NotFound("thing on the scale");
        }
        return read(placementId, placement);
    }

    private @Nullable Placement find(UUID id) {
        return jdbc.sql("select at, true_g from scale_placement where id = ? and household_id = ?")
                .params(id, Member.current().householdId())
                .query((row, n) ->
                        new Placement(row.getObject("at", OffsetDateTime.class).toInstant(), row.getDouble("true_g")))
                .optional()
                .orElse(null);
    }

    private static OffsetDateTime at(Instant instant) {
        return instant.atOffset(ZoneOffset.UTC);
    }

    private Reading read(UUID id, Placement placement) {
        Duration since = Duration.between(placement.at(), clock.instant());
        if (since.compareTo(SETTLING) >= 0) {
            return new Reading(id, State.STABLE, (double) Math.round(placement.trueG()));
        }
        double fading = 1 - (double) since.toMillis() / SETTLING.toMillis();
        double swing = Math.sin(since.toMillis() / 90.0) * SWING * fading;
        return new Reading(id, State.SETTLING, (double) Math.round(placement.trueG() * (1 + swing)));
    }

    /**
     * @param measure as a household names it, such as HEAPED_TEASPOON
     * @param of what they are filled with; null for water
     */
    record Spoonful(String measure, Double count, @Nullable UUID of) {}

    /** What the spoons and hands of this simulated kitchen hold, in mL; not what any reckoning takes them to hold. */
    private static final Map<String, Double> SIMULATED_ML = Map.of(
            "LEVEL_TEASPOON", 4.7,
            "HEAPED_TEASPOON", 9.6,
            "LEVEL_TABLESPOON", 14.1,
            "HEAPED_TABLESPOON", 29.0,
            "CUP", 236.0,
            "HANDFUL", 128.0,
            "BOWLFUL", 570.0,
            "LEAF", 1.3,
            "SPRIG", 9.0,
            "BUNDLE", 310.0);

    private static double spoons(Spoonful s) {
        Double ml = SIMULATED_ML.get(s.measure());
        Checks.begin()
                .that(ml != null, "spoonful.measure", "must be one of " + SIMULATED_ML.keySet())
                .range("spoonful.count", s.count(), 1, 1000)
                .done();
        // Each herb lies loose or close in its own way, the same each time.
        double gPerMl = s.of() == null ? 1 : 0.10 + new Random(s.of().hashCode()).nextDouble() * 0.15;
        return java.util.Objects.requireNonNull(ml) * s.count() * gPerMl;
    }

    /** What a jar holds, without the jar: a little less than is written down, for spoons are not counted. */
    private static double contents(LotView lot) {
        double lost = new Random(lot.id().hashCode()).nextDouble() * 0.05;
        double gPerMl = lot.unit().equals("mL") ? 0.95 : 1;
        return lot.remaining() * (1 - lost) * gPerMl;
    }

    /** What the lot would weigh now: on along its curve, or a little less than last time. */
    private static double truth(DryingService.RunView run) {
        double last = run.weighings().isEmpty()
                ? run.freshG()
                : run.weighings().get(run.weighings().size() - 1).massG();
        double lastHours = run.weighings().isEmpty()
                ? 0
                : run.weighings().get(run.weighings().size() - 1).rackHours();
        double dry = run.freshG()
                * (1 - (run.initialMoisture().low() + run.initialMoisture().high()) / 2);
        double floor = dry / (1 - Math.max(0.06, run.equilibriumMoisture()));
        double hours = Math.max(0, run.rackHoursNow() - lastHours);
        double mass = floor + Math.max(0, last - floor) * Math.exp(-0.06 * hours);
        // A lot already below the floor stays as it is; the same lot at the same weight reads the same.
        double noise = new Random(run.id().hashCode()).nextGaussian() * 0.3;
        return Math.max(1, Math.min(last, mass) + noise);
    }
}
