package org.sallowbrook.server.devices;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.Random;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.drying.DryingService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
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
    private final Clock clock;
    private final JdbcClient jdbc;

    KitchenScale(DryingService drying, JdbcClient jdbc, Clock clock) {
        this.drying = drying;
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** Kept for every instance alike, of this household only. */
    @Transactional
    Reading place(UUID placementId, UUID runId) {
        DryingService.RunView run = drying.one(runId);
        Placement known = find(placementId);
        if (known != null) {
            return read(placementId, known);
        }
        Placement placement = new Placement(clock.instant(), truth(run));
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
