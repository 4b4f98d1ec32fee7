package org.sallowbrook.server.dosing;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.YearChapter;
import org.sallowbrook.server.shelf.LotView;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Courses that were begun, with what was taken of them, and plants that were used as they are. */
@Component
class TakenInYear implements YearChapter {

    private final Courses courses;
    private final DosesTaken doses;
    private final DirectUses uses;
    private final PeopleService people;
    private final HerbariumService herbarium;
    private final ShelfService shelf;

    TakenInYear(
            Courses courses,
            DosesTaken doses,
            DirectUses uses,
            PeopleService people,
            HerbariumService herbarium,
            ShelfService shelf) {
        this.courses = courses;
        this.doses = doses;
        this.uses = uses;
        this.people = people;
        this.herbarium = herbarium;
        this.shelf = shelf;
    }

    @Override
    public Chapter chapter() {
        return Chapter.TAKEN;
    }

    @Override
    public List<Line> lines(LocalDate from, LocalDate to, int most) {
        Map<UUID, String> names = people.all().stream()
                .collect(Collectors.toMap(PeopleService.PersonView::id, PeopleService.PersonView::name));
        List<CourseEntity> begun = courses.findAllByStartOnBetweenOrderByStartOnAscIdAsc(from, to, Limit.of(most));
        Map<UUID, LotView> lots = shelf
                .lots(begun.stream().map(c -> c.lotId).distinct().toList())
                .stream()
                .collect(Collectors.toMap(LotView::id, l -> l));
        Map<UUID, List<DoseTaken>> taken = doses
                .findAllByCourseIdIn(begun.stream().map(c -> c.id).toList())
                .stream()
                .collect(Collectors.groupingBy(d -> d.courseId));
        List<Line> lines = new ArrayList<>();
        for (CourseEntity c : begun) {
            List<DoseTaken> of = taken.getOrDefault(c.id, List.of());
            LotView lot = lots.get(c.lotId);
            lines.add(new Line(
                    c.startOn,
                    names.getOrDefault(c.personId, "Somebody") + ": "
                            + (lot == null ? "a lot" : lot.name() + " (" + lot.code() + ")")
                            + (c.purpose == null ? "" : " for " + c.purpose) + ", until " + Words.day(c.lastDay) + "; "
                            + (of.isEmpty()
                                    ? "nothing ticked"
                                    : of.size() + (of.size() == 1 ? " dose" : " doses") + " ticked, "
                                            + Words.figure(of.stream()
                                                    .mapToDouble(d -> d.amount)
                                                    .sum())
                                            + " " + c.unit.symbol()),
                    List.of()));
        }
        for (DirectUse u : uses.findAllByOnDayBetweenOrderByOnDayAscIdAsc(from, to, Limit.of(most))) {
            lines.add(new Line(
                    u.onDay,
                    names.getOrDefault(u.personId, "Somebody") + ": "
                            + herbarium.taxon(u.taxonId).commonName() + ", " + Words.lower(u.part) + ", as it is, "
                            + Words.lower(u.manner) + (u.words.isBlank() ? "" : "; " + u.words),
                    List.of()));
        }
        lines.sort(Comparator.comparing(Line::day));
        return lines;
    }
}
