package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.Unit;
import org.sallowbrook.server.platform.Member;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** Who took what of which lot, and when: the last landing of everything that is traced. */
@Component
public class TakenOfLots {

    private static final int PAGE = 40;
    private static final int LAST = 10_000;
    private static final int MOST_COURSES = 100;

    /**
     * @param id of the dose or the use
     * @param name of the lot; a plant used where it stands has the stand's
     * @param amount in its unit; null where nobody weighed it
     * @param courseId the course it was a dose of; null for what was used as it is
     * @param way of a course; null for what was used as it is
     * @param manner of what was used as it is; null for a course
     * @param words what was written beside it; empty for most
     */
    public record Taken(
            UUID id,
            LocalDate on,
            UUID personId,
            String person,
            UUID lotId,
            String name,
            String code,
            @Nullable Double amount,
            @Nullable String unit,
            DosingGate.@Nullable Way way,
            Direct.@Nullable Manner manner,
            @Nullable UUID courseId,
            String words) {}

    /** @param people how many took of it, over all pages; times how often */
    public record Page(List<Taken> taken, Integer people, Integer times, Boolean more) {}

    private record Sum(int people, int times) {}

    private record Row(
            UUID id,
            LocalDate onDay,
            UUID personId,
            String person,
            UUID lotId,
            String name,
            String code,
            @Nullable Double amount,
            @Nullable String unit,
            String how,
            @Nullable UUID courseId,
            String words) {}

    // Native: over two tables of different shape, so it carries its household.
    private static final String TAKEN = """
            with taken as (
                select d.on_day, c.person_id, c.lot_id, d.amount, c.unit, c.way as how, c.id as course_id, '' as words, d.id
                from course c join dose_taken d on d.course_id = c.id and d.struck_at is null
                where c.household_id = :household and c.lot_id = any(cast(:lots as uuid[]))
                union all
                select u.on_day, u.person_id, coalesce(u.lot_id, u.stand_id), coalesce(u.grams, u.ml),
                       case when u.grams is not null then 'G' when u.ml is not null then 'ML' end, u.manner, null, u.words, u.id
                from direct_use u
                where u.household_id = :household and u.struck_at is null
                and (u.lot_id = any(cast(:lots as uuid[])) or u.lot_id is null and u.stand_id = any(cast(:lots as uuid[])))
            )
            """;

    private static final String ROWS = TAKEN + """
            select t.id, t.on_day, t.person_id, p.name as person, t.lot_id, l.name, l.code, t.amount, t.unit, t.how, t.course_id, t.words
            from taken t join person p on p.id = t.person_id join lot l on l.id = t.lot_id
            order by t.on_day desc, t.id desc limit :most offset :skip""";

    private static final String PEOPLE = TAKEN + """
            select p.name as person, count(*) as times, min(t.on_day) as first_on, max(t.on_day) as last_on
            from taken t join person p on p.id = t.person_id group by p.id, p.name order by max(t.on_day) desc, p.name""";

    private static final String COURSES = """
            select p.name as person, l.name, l.code, c.start_on, c.last_day
            from course c join person p on p.id = c.person_id join lot l on l.id = c.lot_id
            where c.household_id = :household and c.lot_id = any(cast(:lots as uuid[]))
            order by c.last_day desc, p.name, c.id limit :most""";

    private static final String SUM =
            TAKEN + "select count(distinct person_id) as people, count(*) as times from taken";

    private final JdbcClient jdbc;

    TakenOfLots(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param times how often, over all days */
    public record OfPerson(String person, int times, LocalDate firstOn, LocalDate lastOn) {}

    /** Everybody who took of them, who did so last first. */
    public List<OfPerson> people(Collection<UUID> lots) {
        return jdbc.sql(PEOPLE)
                .param("lots", lots.toArray(UUID[]::new))
                .param("household", Member.current().householdId())
                .query(OfPerson.class)
                .list();
    }

    /** Somebody's course of one of them, ticked off or not: who lives elsewhere ticks nothing. */
    public record OnCourse(String person, String name, String code, LocalDate startOn, LocalDate lastDay) {}

    /** Whose courses are or were of them, the latest first. */
    public List<OnCourse> courses(Collection<UUID> lots) {
        return jdbc.sql(COURSES)
                .param("lots", lots.toArray(UUID[]::new))
                .param("household", Member.current().householdId())
                .param("most", MOST_COURSES)
                .query(OnCourse.class)
                .list();
    }

    /** @param page from 0 */
    public Page page(Collection<UUID> lots, int page) {
        Checks.begin().range("page", page, 0, LAST).done();
        UUID[] ids = lots.toArray(UUID[]::new);
        List<Row> rows = jdbc.sql(ROWS)
                .param("lots", ids)
                .param("household", Member.current().householdId())
                .param("most", PAGE + 1)
                .param("skip", page * PAGE)
                .query(Row.class)
                .list();
        Sum sum = jdbc.sql(SUM)
                .param("lots", ids)
                .param("household", Member.current().householdId())
                .query(Sum.class)
                .single();
        return new Page(
                rows.stream().limit(PAGE).map(TakenOfLots::taken).toList(),
                sum.people(),
                sum.times(),
                rows.size() > PAGE);
    }

    private static Taken taken(Row r) {
        String unit = r.unit();
        return new Taken(
                r.id(),
                r.onDay(),
                r.personId(),
                r.person(),
                r.lotId(),
                r.name(),
                r.code(),
                r.amount(),
                unit == null ? null : Unit.valueOf(unit).symbol(),
                r.courseId() == null ? null : DosingGate.Way.valueOf(r.how()),
                r.courseId() == null ? Direct.Manner.valueOf(r.how()) : null,
                r.courseId(),
                r.words());
    }
}
