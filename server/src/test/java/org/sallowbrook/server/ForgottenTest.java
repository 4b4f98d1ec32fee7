package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.sallowbrook.server.platform.Forgotten;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.Test;

/** What was received is remembered for half a year, and never recorded twice after it. */
public class ForgottenTest extends ServerTest {

    @Autowired
    private Forgotten forgotten;

    @Autowired
    private JdbcClient jdbc;

    private long known(Object id) {
        return jdbc.sql("select count(*) from received where id = ?")
                .param(id)
                .query(Long.class)
                .single();
    }

    @Test
    public void whatWasReceivedLongAgoIsForgottenAndNotDoubled() {
        Client ilse = as("ilse");
        Map<String, Object> note = new HashMap<>(Map.of(
                "id",
                UUID.randomUUID(),
                "day",
                today().toString(),
                "words",
                "laid down half a year ago",
                "place",
                "",
                "pictured",
                false));
        ilse.post("/api/notes", note).expect(200);
        forgotten.forget();
        assertThat(known(note.get("id"))).isEqualTo(1);
        jdbc.sql("update received set at = at - cast(? as interval) where id = ?")
                .params(Duration.ofDays(181).toDays() + " days", note.get("id"))
                .update();
        assertThat(forgotten.forget()).isPositive();
        assertThat(known(note.get("id"))).isZero();
        ilse.post("/api/notes", note).expect(409);
    }
}
