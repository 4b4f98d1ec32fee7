package org.sallowbrook.server.notes;

import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.notes.ComeBack;
import org.sallowbrook.server.platform.Due;
import org.sallowbrook.server.platform.DueSource;
import org.sallowbrook.server.platform.FindSource;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Where somebody said they would come back. */
@Component
class NotesDue implements DueSource {

    private static final int MOST = 300;
    private static final int SHOWN_LETTERS = 140;

    private final NoteEntities notes;
    private final NoteService service;

    NotesDue(NoteEntities notes, NoteService service) {
        this.notes = notes;
        this.service = service;
    }

    @Override
    public List<Due> due(Span span) {
        List<NoteEntity> waiting = notes.waiting(Limit.of(MOST));
        List<ComeBack.Night> nights = service.nights(waiting);
        Map<UUID, LocalDate> on = new LinkedHashMap<>();
        for (NoteEntity note : waiting) {
            LocalDate day = service.due(note, nights);
            if (day != null && span.holds(day)) {
                on.put(note.id, day);
            }
        }
        List<NoteEntity> due =
                waiting.stream().filter(n -> on.containsKey(n.id)).toList();
        Map<UUID, FindSource.Hit> things = service.things(due);
        return due.stream()
                .map(n -> due(n, things.get(n.id), on.getOrDefault(n.id, span.today()), span))
                .toList();
    }

    private Due due(NoteEntity note, FindSource.@Nullable Hit thing, LocalDate on, Span span) {
        String where = thing != null ? thing.name() : note.place;
        return new Due(
                Due.Kind.COME_BACK,
                landing(note),
                note.id,
                where.isBlank() ? "Back, as was written down" : "Back to " + where,
                begun(note.words),
                on,
                span.morning(on),
                on.isBefore(span.today()),
                note.version,
                null,
                null,
                null);
    }

    private static String landing(NoteEntity note) {
        if (note.about == null) {
            return "field";
        }
        return switch (note.about) {
            case PLANT, STAND, NOTE -> "field";
            case LOT -> "shelf";
            case PERSON -> "dosing";
        };
    }

    static String begun(String words) {
        String line = words.replaceAll("\\s+", " ");
        return line.length() <= SHOWN_LETTERS
                ? line
                : line.substring(0, SHOWN_LETTERS - 1).strip() + "…";
    }
}
