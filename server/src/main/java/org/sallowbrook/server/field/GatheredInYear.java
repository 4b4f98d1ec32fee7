package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.platform.YearChapter;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** What was picked where, and the pictures that were taken of the stands. */
@Component
class GatheredInYear implements YearChapter {

    private final Harvests harvests;
    private final Photos photos;
    private final Stands stands;
    private final HerbariumService herbarium;

    GatheredInYear(Harvests harvests, Photos photos, Stands stands, HerbariumService herbarium) {
        this.harvests = harvests;
        this.photos = photos;
        this.stands = stands;
        this.herbarium = herbarium;
    }

    @Override
    public Chapter chapter() {
        return Chapter.GATHERED;
    }

    @Override
    public List<Line> lines(LocalDate from, LocalDate to, int most) {
        List<Harvest> picked = harvests.findAllByOnDayBetweenOrderByOnDayAscIdAsc(from, to, Limit.of(most));
        List<Photo> taken = photos.findAllByTakenOnBetweenOrderByTakenOnAscIdAsc(from, to, Limit.of(most));
        Map<UUID, String> names = stands
                .findAllById(Stream.concat(
                                picked.stream().map(h -> h.standId),
                                taken.stream().map(p -> p.standId))
                        .distinct()
                        .toList())
                .stream()
                .collect(Collectors.toMap(s -> s.id, s -> s.name));
        List<Line> lines = new ArrayList<>();
        for (Harvest h : picked) {
            lines.add(new Line(
                    h.onDay,
                    herbarium.taxon(h.taxonId).commonName() + ", " + Words.lower(h.part) + ": "
                            + (h.massG == null ? h.measuredAs : Words.grams(h.massG)) + " from "
                            + names.getOrDefault(h.standId, "a stand") + " (" + h.code + "), " + h.pickedBy,
                    List.of()));
        }
        for (Photo p : taken) {
            lines.add(new Line(
                    p.takenOn,
                    names.getOrDefault(p.standId, "A stand") + (p.words.isBlank() ? "" : ": " + p.words) + ", "
                            + p.addedBy,
                    List.of(p.jpeg)));
        }
        lines.sort(Comparator.comparing(Line::day));
        return lines;
    }
}
