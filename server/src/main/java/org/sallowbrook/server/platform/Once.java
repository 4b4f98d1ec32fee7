package org.sallowbrook.server.platform;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.ZoneOffset;
import java.util.HexFormat;
import java.util.UUID;
import java.util.function.Predicate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Tells a repeated request from another one that bears the same client-made id. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class Once {

    private record Received(String what, String fingerprint) {}

    private final JdbcClient jdbc;
    private final JsonMapper json;
    private final Clock clock;

    Once(JdbcClient jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        // Without what was not said: a request that a later version can say more with is still the same.
        this.json = json.rebuild()
                .changeDefaultPropertyInclusion(i -> i.withValueInclusion(JsonInclude.Include.NON_NULL))
                .build();
        this.clock = clock;
    }

    /**
     * Notes a request under its id, in the transaction that carries it out.
     *
     * @param what kind of thing that is made
     * @param taken whether something of this kind has the id already
     * @param request all that the client said, the ids of the address as well
     * @return whether the very same was carried out before; the answer is then what is there
     * @throws Problem.Conflict when something else was asked for under this id
     */
    public boolean repeated(String what, UUID id, Predicate<UUID> taken, Object... request) {
        UUID household = Member.current().householdId();
        String fingerprint = fingerprint(request);
        Received before = jdbc.sql("select what, fingerprint from received where household_id = ? and id = ?")
                .params(household, id)
                .query(Received.class)
                .optional()
                .orElse(null);
        if (before != null && before.what().equals(what) && before.fingerprint().equals(fingerprint)) {
            return true;
        }
        if (before != null || taken.test(id)) {
            throw new Problem.Conflict(
                    "Something else was recorded under this id already; nothing was saved. Load the page again.");
        }
        jdbc.sql("insert into received (household_id, id, what, fingerprint, at) values (?, ?, ?, ?, ?)")
                .params(household, id, what, fingerprint, clock.instant().atOffset(ZoneOffset.UTC))
                .update();
        return false;
    }

    private String fingerprint(Object[] request) {
        try {
            byte[] text = json.writeValueAsString(request).getBytes(StandardCharsets.UTF_8);
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(text));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }
}
