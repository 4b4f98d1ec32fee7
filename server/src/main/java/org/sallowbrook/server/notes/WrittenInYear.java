package org.sallowbrook.server.notes;

import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.YearChapter;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Notes, with their pictures. */
@Component
class WrittenInYear implements YearChapter {

    private final NoteEntities notes;
    private final NotePictures pictures;
    private final NoteService service;

    WrittenInYear(NoteEntities notes, NotePictures pictures, NoteService service) {
        this.notes = notes;
        this.pictures = pictures;
        this.service = service;
    }

    @Override
    public Chapter chapter() {
        return Chapter.WRITTEN_DOWN;
    }

    @Override
    public List<Line> lines(LocalDate from, LocalDate to, int most) {
        List<NoteEntity> written = notes.between(from, to, Limit.of(most));
        Map<UUID, FindSource.Hit> things = service.things(written);
        Map<UUID, List<byte[]>> shown =
                pictures
                        .findAllByNoteIdInOrderById(
                                written.stream().map(n -> n.id).toList())
                        .stream()
                        .collect(Collectors.groupingBy(
                                p -> p.noteId, Collectors.mapping(p -> p.jpeg, Collectors.toList())));
        return written.stream()
                .map(n -> new Line(n.onDay, words(n, things.get(n.id)), shown.getOrDefault(n.id, List.of())))
                .toList();
    }

    private static String words(NoteEntity n, FindSource.@org.jspecify.annotations.Nullable Hit thing) {
        String seen = Stream.of(n.colour, n.clarity, n.smell, n.feel, n.taste)
                .filter(w -> !w.isBlank())
                .collect(Collectors.joining(", "));
        return (thing == null ? n.place : thing.name())
                + (thing == null && n.place.isBlank() ? "" : ": ")
                + n.words
                + (seen.isEmpty() ? "" : " [" + seen + "]")
                + " (" + n.writtenBy + ")";
    }
}
