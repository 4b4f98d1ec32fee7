package org.sallowbrook.server.platform;

import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Propagation;
import org.springframework.transaction.annotation.Transactional;

/** Gives codes to read out and write on a jar: J261126-3 is the third jar of that day. A number is given once. */
@Component
@Transactional(propagation = Propagation.MANDATORY)
public class Codes {

    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("yyMMdd");

    private final JdbcClient jdbc;

    Codes(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    public String next(String kind, LocalDate on) {
        String prefix = kind + on.format(DAY) + "-";
        int number = jdbc.sql(
                        "insert into code_counter (household_id, prefix, last) values (?, ?, 1)"
                                + " on conflict (household_id, prefix) do update set last = code_counter.last + 1 returning last")
                .params(Member.current().householdId(), prefix)
                .query(Integer.class)
                .single();
        return prefix + number;
    }
}
