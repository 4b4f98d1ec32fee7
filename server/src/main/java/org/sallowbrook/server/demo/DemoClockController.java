package org.sallowbrook.server.demo;

import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.sallowbrook.server.calendar.TodayService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.SimulatedClock;
import org.springframework.context.annotation.Profile;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** The one control of the demo's calendar. There is none outside the demo. */
@RestController
@Profile("demo")
class DemoClockController {

    enum Move {
        HOUR,
        DAY,
        WEEK,
        /** To the next thing that falls due. */
        NEXT,
        /** To the opening morning, with everything as it was then. */
        START
    }

    record MoveRequest(Move move) {}

    record ClockView(Instant now) {}

    private final SimulatedClock clock;
    private final TodayService today;
    private final DemoData data;
    private final JdbcClient jdbc;

    DemoClockController(SimulatedClock clock, TodayService today, DemoData data, JdbcClient jdbc) {
        this.clock = clock;
        this.today = today;
        this.data = data;
        this.jdbc = jdbc;
    }

    @PostMapping("/api/demo/clock")
    ClockView move(@RequestBody MoveRequest request) {
        switch (request.move()) {
            case HOUR -> clock.set(clock.instant().plus(Duration.ofHours(1)));
            case DAY -> clock.set(clock.instant().plus(Duration.ofDays(1)));
            case WEEK -> clock.set(clock.instant().plus(Duration.ofDays(7)));
            case NEXT ->
                clock.set(today.nextDue().orElseThrow(() -> new Problem.Conflict("Nothing is due in the next year.")));
            case START -> startAgain();
        }
        return new ClockView(clock.instant());
    }

    /** Everything but the accounts goes, and is laid anew. */
    private void startAgain() {
        List<String> tables = jdbc.sql("select table_name from information_schema.columns"
                        + " where column_name = 'household_id' and table_schema = 'public' and table_name <> 'account'")
                .query(String.class)
                .list();
        jdbc.sql("truncate " + String.join(", ", tables)).update();
        data.lay(member("ilse"), member("lantern"));
    }

    private Member member(String username) {
        return jdbc.sql("select id, household_id, display_name, role from account where username = ?")
                .param(username)
                .query((row, n) -> new Member(
                        row.getObject("id", UUID.class),
                        row.getObject("household_id", UUID.class),
                        row.getString("display_name"),
                        Member.Role.valueOf(row.getString("role"))))
                .single();
    }
}
