package org.sallowbrook.server.dosing;

import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.OffsetDateTime;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.dosing.Direct;
import org.sallowbrook.core.dosing.DosingGate;
import org.sallowbrook.core.dosing.LeastInterval;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Finding;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.shelf.Products;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** When a person last took something by mouth, over all courses and single uses, struck out at once or not. */
@Component
class LastTaken {

    private record Ticked(
            UUID courseId,
            UUID lotId,
            OffsetDateTime at,
            @Nullable OffsetDateTime struckAt) {}

    /** No pattern has a longer distance than a week, CourseRequest. */
    private static final Duration LOOK_BACK = Duration.ofDays(8);

    // Native: what was struck out is asked for as well; so it carries its household.
    private static final String TICKED = """
            select d.course_id, c.lot_id, d.ticked_at as at, d.struck_at from dose_taken d join course c on c.id = d.course_id
            where d.household_id = :household and c.person_id = :person and c.way = 'MOUTH' and d.ticked_at > :since""";

    private final JdbcClient jdbc;
    private final Courses courses;
    private final DirectUses uses;
    private final Products products;
    private final Clock clock;

    LastTaken(JdbcClient jdbc, Courses courses, DirectUses uses, Products products, Clock clock) {
        this.jdbc = jdbc;
        this.courses = courses;
        this.uses = uses;
        this.products = products;
        this.clock = clock;
    }

    /** @param everyHours the least distance of what is to be taken; null for none */
    List<Finding> check(UUID person, Product product, @Nullable Double everyHours) {
        Instant now = clock.instant();
        List<LeastInterval.Before> before = new ArrayList<>();
        Map<UUID, Double> every = new HashMap<>();
        List<Ticked> ticked = jdbc.sql(TICKED)
                .param("household", Member.current().householdId())
                .param("person", person)
                .param("since", now.minus(LOOK_BACK).atOffset(ZoneOffset.UTC))
                .query(Ticked.class)
                .list();
        Map<UUID, Product> contents =
                products.contents(ticked.stream().map(Ticked::lotId).distinct().toList());
        for (Ticked t : ticked) {
            boolean atOnce = t.struckAt() != null
                    && Duration.between(t.at(), t.struckAt()).compareTo(LeastInterval.AT_ONCE) <= 0;
            if (t.struckAt() == null || atOnce) {
                Double hours = every.computeIfAbsent(t.courseId(), this::everyHours);
                before.add(new LeastInterval.Before(
                        t.at().toInstant(),
                        plants(contents.get(t.lotId())),
                        hours != null && hours > 0 ? hours : null,
                        t.struckAt() != null));
            }
        }
        uses.findAllByPersonIdAndNotedAtGreaterThan(person, now.minus(LOOK_BACK)).stream()
                .filter(u -> u.way == DosingGate.Way.MOUTH && u.manner != Direct.Manner.EATEN && u.notedAt != null)
                .forEach(u -> before.add(new LeastInterval.Before(
                        java.util.Objects.requireNonNull(u.notedAt), Set.of(u.taxonId), null, false)));
        return LeastInterval.check(plants(product), everyHours, before, now);
    }

    private double everyHours(UUID course) {
        return courses.findById(course)
                .map(c -> StoredCourse.request(c).pattern().toCore().leastHours())
                .orElse(0.0);
    }

    private static Set<String> plants(Product product) {
        return product.herbs().stream().map(h -> h.taxon().id()).collect(Collectors.toSet());
    }
}
