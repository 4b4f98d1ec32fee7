package org.sallowbrook.server.platform;

import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.function.Supplier;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What was reckoned of a household, kept until something changes in it or the minute is over. Every transaction that may write
 * counts one change, whichever instance it reaches; asking for the count is one light question.
 */
@Component
public class Kept {

    /** Households whose answers are kept; the one not asked for longest goes first. */
    private static final int MOST = 200;

    static final String COUNT = """
            insert into household_change (household_id, changes) select id, 1 from household where id = ?
            on conflict (household_id) do update set changes = household_change.changes + 1""";

    private record Key(UUID household, String what) {}

    private record Answer(long changes, Instant minute, Object value) {}

    private final JdbcClient jdbc;

    private final Map<Key, Answer> answers = new LinkedHashMap<>(16, 0.75f, true) {
        private static final long serialVersionUID = 1L;

        @Override
        protected boolean removeEldestEntry(Map.Entry<Key, Answer> eldest) {
            return size() > MOST;
        }
    };

    Kept(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param now by the clock that it is reckoned by */
    public <V> V answer(String what, Instant now, Supplier<V> reckon) {
        Instant minute = now.truncatedTo(ChronoUnit.MINUTES);
        Key key = new Key(Member.current().householdId(), what);
        // Counted before it is read: what changes meanwhile is read again the next time.
        long changes = changes(key.household());
        synchronized (answers) {
            Answer known = answers.get(key);
            if (known != null && known.changes() == changes && known.minute().equals(minute)) {
                @SuppressWarnings("unchecked")
                V value = (V) known.value();
                return value;
            }
        }
        V value = reckon.get();
        synchronized (answers) {
            answers.put(key, new Answer(changes, minute, value));
        }
        return value;
    }

    private long changes(UUID household) {
        return jdbc.sql("select changes from household_change where household_id = :household")
                .param("household", household)
                .query(Long.class)
                .optional()
                .orElse(0L);
    }
}
