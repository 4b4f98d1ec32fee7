package org.sallowbrook.server.calendar;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.Kept;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gathers from every room what is due. Keeps nothing of its own: a task is done when its room says so. */
@Service
@Transactional(readOnly = true)
public class TodayService {

    /** What was not done for so long is no longer told every morning. */
    static final int STILL_TOLD_DAYS = 400;

    private static final int AHEAD_DAYS = 366;

    public record TodayView(LocalDate today, List<Due> tasks) {}

    public record LandingView(String landing, Integer waiting) {}

    private final List<DueSource> rooms;
    private final PeopleService people;
    private final Clock clock;
    private final Kept kept;

    TodayService(List<DueSource> rooms, PeopleService people, Clock clock, Kept kept) {
        this.kept = kept;
        this.rooms = rooms;
        this.people = people;
        this.clock = clock;
    }

    /** How much waits, by landing. */
    public List<LandingView> landings() {
        Map<String, Long> waiting = today().tasks().stream()
                .collect(Collectors.groupingBy(Due::landing, TreeMap::new, Collectors.counting()));
        return waiting.entrySet().stream()
                .map(e -> new LandingView(e.getKey(), e.getValue().intValue()))
                .toList();
    }

    public TodayView today() {
        LocalDate today = people.today();
        Instant now = clock.instant();
        List<Due> all = kept.answer("due today", now, () -> until(today, now));
        // What falls due later today is told from the morning on, but for a weighing, which has its hour.
        return new TodayView(
                today,
                all.stream()
                        .filter(d -> d.kind() != Due.Kind.WEIGH || !d.at().isAfter(now))
                        .toList());
    }

    private List<Due> until(LocalDate today, Instant now) {
        DueSource.Span span = new DueSource.Span(today.minusDays(STILL_TOLD_DAYS), today, today, now, people.zone());
        return between(span).stream()
                .sorted(Comparator.comparing(Due::kind)
                        .thenComparing(Due::at)
                        .thenComparing(Due::due)
                        .thenComparing(Due::title))
                .toList();
    }

    /** When the next thing falls due that is not due yet. */
    public Optional<Instant> nextDue() {
        LocalDate today = people.today();
        Instant now = clock.instant();
        return between(new DueSource.Span(today, today.plusDays(AHEAD_DAYS), today, now, people.zone())).stream()
                .map(Due::at)
                .filter(at -> at.isAfter(now))
                .min(Instant::compareTo);
    }

    List<Due> between(DueSource.Span span) {
        rooms.forEach(DueSource::ahead);
        return rooms.stream().flatMap(r -> r.due(span).stream()).toList();
    }
}
