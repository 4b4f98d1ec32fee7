package org.sallowbrook.server.tracing;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Past;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Where tracing may begin, found by whatever is still known: plant, person, number, bottle, place or day. */
@Component
class Finding {

    /** @param more whether there are others that fit */
    record Found(List<UUID> ids, boolean more) {}

    private static final int MOST = 40;

    // Native SQL is not filtered by household, so each part carries it.
    private static final String SQL = """
            select l.id from lot l where l.household_id = :household
            and (:any or (
                lower(concat_ws(' ', l.name, l.code, l.place, l.supplier, l.holder)) like :one
                and lower(concat_ws(' ', l.name, l.code, l.place, l.supplier, l.holder)) like :two
                and lower(concat_ws(' ', l.name, l.code, l.place, l.supplier, l.holder)) like :three)
              or l.taxon_id = any (string_to_array(:taxa, ','))
              or exists (select from lot_herb h where h.lot_id = l.id
                and h.taxon_id = any (string_to_array(:taxa, ',')))
              or exists (select from course c join person p on p.id = c.person_id where c.lot_id = l.id
                and c.household_id = :household
                and lower(p.name) like :one and lower(p.name) like :two and lower(p.name) like :three)
              or exists (select from direct_use u join person p on p.id = u.person_id
                where (u.lot_id = l.id or u.stand_id = l.id) and u.household_id = :household and u.struck_at is null
                and lower(p.name) like :one and lower(p.name) like :two and lower(p.name) like :three))
            and (cast(:on as date) is null or exists (select from lot_change c where c.lot_id = l.id
                and c.household_id = :household and c.on_day = cast(:on as date) and c.struck_at is null))
            order by l.remaining > 0 desc, l.made_on desc, l.code desc, l.id limit :most""";

    private final JdbcClient jdbc;
    private final HerbariumService herbarium;

    Finding(JdbcClient jdbc, HerbariumService herbarium) {
        this.jdbc = jdbc;
        this.herbarium = herbarium;
    }

    /** @param words empty for whatever it is called; on: a day on which something came in or went out; null for any */
    @Transactional(readOnly = true)
    public Found find(String words, @Nullable LocalDate on) {
        List<String> patterns = Past.patterns(words);
        String taxa = words.isBlank()
                ? ""
                : herbarium.herbarium().search(words).stream()
                        .filter(f -> f.slips() == 0)
                        .map(f -> f.taxon().id())
                        .collect(Collectors.joining(","));
        List<UUID> ids = jdbc.sql(SQL)
                .param("household", Member.current().householdId())
                .param("any", words.isBlank())
                .param("one", patterns.get(0))
                .param("two", patterns.get(1))
                .param("three", patterns.get(2))
                .param("taxa", taxa)
                .param("on", on == null ? null : on.toString())
                .param("most", MOST + 1)
                .query((r, n) -> r.getObject(1, UUID.class))
                .list();
        return new Found(ids.subList(0, Math.min(MOST, ids.size())), ids.size() > MOST);
    }
}
