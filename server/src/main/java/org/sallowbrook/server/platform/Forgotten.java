package org.sallowbrook.server.platform;

import java.time.Clock;
import java.time.Duration;
import java.time.ZoneOffset;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/**
 * What is kept for a while only: that a request was carried out, so that its repetition is known. A device that waits longer
 * for the line than this is told that its entry is there already, and doubles nothing.
 */
@Component
public class Forgotten {

    static final Duration REMEMBERED = Duration.ofDays(180);

    private final JdbcClient jdbc;
    private final Clock clock;

    Forgotten(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    /** In the small hours, for all households. @return how many were forgotten */
    @Scheduled(cron = "0 41 3 * * *")
    public int forget() {
        return jdbc.sql("delete from received where at < ?")
                .param(clock.instant().minus(REMEMBERED).atOffset(ZoneOffset.UTC))
                .update();
    }
}
