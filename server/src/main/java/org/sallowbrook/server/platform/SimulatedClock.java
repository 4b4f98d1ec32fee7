package org.sallowbrook.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneId;
import java.time.ZoneOffset;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Profile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * The calendar of the demo: opens on a fixed morning, runs on while the application runs, and can be moved on. Kept in the
 * database, so that it goes on where it stopped. Outside the demo there is only the real clock.
 */
@Component
@Profile("demo")
public class SimulatedClock extends Clock {

    /** A Wednesday in the middle of July. */
    public static final Instant START = Instant.parse("2026-07-15T07:30:00Z");

    private static final Duration STILL_RUNNING = Duration.ofSeconds(30);

    private record Kept(Instant simulated, Instant real) {}

    private final JdbcClient jdbc;
    private final Clock real = Clock.systemUTC();
    private volatile @Nullable Kept kept;

    SimulatedClock(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    @Override
    public Instant instant() {
        Kept k = kept();
        return k.simulated().plus(Duration.between(k.real(), real.instant()));
    }

    /** For laying the demo, and for its one control. Every instance follows within moments. */
    public void set(Instant simulated) {
        store(new Kept(simulated, real.instant()));
    }

    private Kept kept() {
        Kept k = kept;
        if (k == null) {
            k = read();
            if (k == null) {
                k = new Kept(START, real.instant());
                store(k);
            } else if (Duration.between(k.real(), real.instant()).compareTo(STILL_RUNNING) > 0) {
                // It stood still while the application did.
                k = new Kept(k.simulated(), real.instant());
                store(k);
            }
            kept = k;
        }
        return k;
    }

    /** Notes how far it got, and sees what another instance has set. */
    @Scheduled(fixedDelay = 5000, initialDelay = 5000)
    void beat() {
        Kept now = read();
        Kept k = kept();
        if (now == null || now.real().isAfter(k.real())) {
            kept = now == null ? k : now;
        } else {
            Kept beaten = new Kept(instant(), real.instant());
            // Only over what was just read: what another instance sets meanwhile holds.
            // and what was set here meanwhile holds as well.
            if (replace(now, beaten) && kept == k) {
                kept = beaten;
            }
        }
    }

    private boolean replace(Kept read, Kept by) {
        return jdbc.sql("update demo_clock set simulated = ?, real = ? where simulated = ? and real = ?")
                        .params(
                                by.simulated().atOffset(ZoneOffset.UTC),
                                by.real().atOffset(ZoneOffset.UTC),
                                read.simulated().atOffset(ZoneOffset.UTC),
                                read.real().atOffset(ZoneOffset.UTC))
                        .update()
                > 0;
    }

    private @Nullable Kept read() {
        return jdbc.sql("select simulated, real from demo_clock")
                .query((row, n) -> new Kept(
                        row.getObject("simulated", OffsetDateTime.class).toInstant(),
                        row.getObject("real", OffsetDateTime.class).toInstant()))
                .optional()
                .orElse(null);
    }

    private void store(Kept k) {
        jdbc.sql("insert into demo_clock (one, simulated, real) values (true, ?, ?)"
                        + " on conflict (one) do update set simulated = excluded.simulated, real = excluded.real")
                .params(k.simulated().atOffset(ZoneOffset.UTC), k.real().atOffset(ZoneOffset.UTC))
                .update();
        kept = k;
    }

    @Override
    public ZoneId getZone() {
        return ZoneOffset.UTC;
    }

    @Override
    public Clock withZone(ZoneId zone) {
        SimulatedClock all = this;
        return new Clock() {
            @Override
            public ZoneId getZone() {
                return zone;
            }

            @Override
            public Clock withZone(ZoneId other) {
                return all.withZone(other);
            }

            @Override
            public Instant instant() {
                return all.instant();
            }
        };
    }
}
