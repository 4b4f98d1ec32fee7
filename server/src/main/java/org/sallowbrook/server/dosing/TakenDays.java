package org.sallowbrook.server.dosing;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.server.platform.Member;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What a person took, summed by course and day: what counts over a year. A row for each course with its days as one list, for
 * a year of three doses a day is read with every course that is looked at.
 */
@Component
class TakenDays {

    // Native SQL is not filtered by household, so it carries it. Days as numbers: cheaper by far than dates in a list.
    private static final String BY_COURSE = """
            select c.id, c.person_id, c.lot_id, c.way, array_agg(d.day) as days, array_agg(d.amount) as amounts
            from course c join (
                select course_id, on_day - date '1970-01-01' as day, sum(amount) as amount from dose_taken
                where household_id = :household and struck_at is null and on_day >= :from
                  and course_id in (select id from course where household_id = :household and person_id in (:persons))
                group by course_id, on_day
            ) d on d.course_id = c.id
            group by c.id""";

    private final JdbcClient jdbc;

    TakenDays(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** Whatever became of the course. */
    Map<UUID, List<DosesTaken.OfPerson>> of(Set<UUID> persons, LocalDate from) {
        Map<UUID, List<DosesTaken.OfPerson>> all = new HashMap<>();
        jdbc.sql(BY_COURSE)
                .param("household", Member.current().householdId())
                .param("persons", persons)
                .param("from", from)
                .query(row -> {
                    add(row, all.computeIfAbsent(row.getObject("person_id", UUID.class), x -> new ArrayList<>()));
                });
        return all;
    }

    private static void add(ResultSet row, List<DosesTaken.OfPerson> all) throws SQLException {
        UUID course = row.getObject("id", UUID.class);
        UUID lot = row.getObject("lot_id", UUID.class);
        DosingGate.Way way = DosingGate.Way.valueOf(row.getString("way"));
        Integer[] days = (Integer[]) row.getArray("days").getArray();
        Double[] amounts = (Double[]) row.getArray("amounts").getArray();
        for (int i = 0; i < days.length; i++) {
            all.add(new DosesTaken.OfPerson(course, lot, way, LocalDate.ofEpochDay(days[i]), amounts[i]));
        }
    }
}
