package org.sallowbrook.server.notes;

import java.util.Collection;
import java.util.List;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Past;
import org.springframework.core.annotation.Order;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Component;

/** Notes by what was written. */
@Component
@Order(5)
class NotesFound implements FindSource {

    private final NoteEntities notes;

    NotesFound(NoteEntities notes) {
        this.notes = notes;
    }

    @Override
    public List<Hit> find(String words, int most) {
        return notes.saying(Past.patterns(words), Limit.of(most)).stream()
                .map(NotesFound::hit)
                .toList();
    }

    @Override
    public Thing holds() {
        return Thing.NOTE;
    }

    @Override
    public List<Hit> named(Collection<String> ids) {
        return notes.findAllById(FindSource.uuids(ids)).stream()
                .filter(n -> n.thrownAwayAt == null)
                .map(NotesFound::hit)
                .toList();
    }

    private static Hit hit(NoteEntity note) {
        String said = note.words.isBlank() ? note.place : note.words;
        return new Hit(
                Kind.NOTE,
                note.id.toString(),
                said.isBlank() ? "a note" : NotesDue.begun(said),
                Words.day(note.onDay) + ", " + note.writtenBy,
                false);
    }
}
