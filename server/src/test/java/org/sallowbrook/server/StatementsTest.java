package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.Test;

/** What a page asks of the database does not grow with what there is on it. */
public class StatementsTest extends ServerTest {

    private static final String COPIES = """
            insert into course select (jsonb_populate_record(c, jsonb_build_object(
                'id', gen_random_uuid(), 'follows_id', null, 'purpose', 'a copy'))).*
            from course c where c.status = 'RUNNING' and coalesce(c.purpose, '') <> 'a copy'
            """;

    @Autowired
    private JdbcClient jdbc;

    private static List<String> asked(Client client, String path) {
        client.get(path).expect(200);
        return Statements.during(() -> client.get(path).expect(200));
    }

    /** Anew after a change; the second time it is kept. */
    private static List<String> afterAChange(Client client, String path) {
        bought(client, "LEAF", 5, 1);
        return Statements.during(() -> client.get(path).expect(200));
    }

    /** The same statement, however many it asks for. */
    private static String however(String statement) {
        return statement.replaceAll("in \\((\\?,)*\\?\\)", "in (?)");
    }

    @Test
    public void todayAsksNoMoreHoweverManyCoursesRun() {
        Client ilse = as("ilse");
        String today = "/api/calendar/today";
        List<String> few = afterAChange(ilse, today);
        for (int i = 0; i < 9; i++) {
            jdbc.sql(COPIES).update();
        }
        int running = ilse.get("/api/dosing/courses").body().size();
        List<String> many = afterAChange(ilse, today);
        List<String> courses = asked(ilse, "/api/dosing/courses");
        jdbc.sql("delete from course where purpose = 'a copy'").update();
        assertThat(running).isGreaterThanOrEqualTo(10);
        List<String> more =
                new ArrayList<>(many.stream().map(StatementsTest::however).toList());
        few.stream().map(StatementsTest::however).forEach(more::remove);
        assertThat(more).hasSizeLessThanOrEqualTo(2);
        // What else the shared house holds by now counts a little; it was 335 when each course asked for itself.
        assertThat(many).hasSizeLessThanOrEqualTo(60);
        assertThat(courses).hasSizeLessThanOrEqualTo(26);
        assertThat(asked(ilse, today)).hasSizeLessThanOrEqualTo(4);
        assertThat(asked(ilse, "/api/calendar/landings")).hasSizeLessThanOrEqualTo(4);
    }
}
