package org.sallowbrook.server.notes;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.notes.ComeBack;
import org.sallowbrook.core.notes.Note;
import org.sallowbrook.core.shelf.LotForm;
import org.sallowbrook.server.field.WeatherService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.FindSource;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Past;
import org.sallowbrook.server.platform.Picture;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.shelf.ShelfService;
import org.springframework.data.domain.Limit;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What somebody wrote down, about a thing of the house or about none. */
@Service
@Transactional
public class NoteService {

    /** @param on with a day of its own only */
    public record ComeBackRequest(
            ComeBack.When when, @Nullable LocalDate on) {}

    /**
     * @param about what it is about, with {@code aboutId}; both missing for a place or a day
     * @param pictured whether a picture follows, which may speak for itself
     */
    public record NoteRequest(
            UUID id,
            FindSource.@Nullable Thing about,
            @Nullable String aboutId,
            LocalDate day,
            String words,
            Note.@Nullable Seen seen,
            String place,
            @Nullable Double latitude,
            @Nullable Double longitude,
            @Nullable ComeBackRequest comeBack,
            Boolean pictured) {}

    public record PictureView(UUID id, Integer width, Integer height) {}

    /**
     * @param thing what it is about, as it is called now
     * @param due the day to come back on; missing as long as what it waits for has not come
     * @param beenBackOn when somebody was there again
     */
    public record NoteView(
            UUID id,
            Long version,
            FindSource.@Nullable Thing about,
            FindSource.@Nullable Hit thing,
            LocalDate day,
            Instant writtenAt,
            String writtenBy,
            String words,
            Note.Seen seen,
            String place,
            @Nullable Double latitude,
            @Nullable Double longitude,
            ComeBack.@Nullable When comeBack,
            @Nullable LocalDate due,
            @Nullable LocalDate beenBackOn,
            List<PictureView> pictures) {}

    public record NotesView(List<NoteView> notes, Boolean more) {}

    /** What waits to be gone back to, and what has a place of its own: for the map. */
    public record OutThereView(List<NoteView> waiting, List<NoteView> placed) {}

    private static final int MOST_OUT_THERE = 300;
    private static final int MOST_PICTURES = 12;
    private static final int MOST_OF_LAST_TIME = 3;

    private static final int EACH_ALONG = 3;
    private static final int MOST_ALONG = 600;

    private final NoteEntities notes;
    private final NotePictures pictures;
    private final PeopleService people;
    private final WeatherService weather;
    private final ShelfService shelf;
    private final Map<FindSource.Thing, FindSource> rooms;
    private final Once once;
    private final Clock clock;

    NoteService(
            NoteEntities notes,
            NotePictures pictures,
            PeopleService people,
            WeatherService weather,
            ShelfService shelf,
            List<FindSource> rooms,
            Once once,
            Clock clock) {
        this.notes = notes;
        this.pictures = pictures;
        this.people = people;
        this.weather = weather;
        this.shelf = shelf;
        this.once = once;
        this.clock = clock;
        this.rooms = new EnumMap<>(rooms.stream().collect(Collectors.toMap(FindSource::holds, r -> r)));
    }

    public NoteView write(NoteRequest request) {
        if (once.repeated("note", request.id(), notes::existsById, request)) {
            return view(found(request.id()));
        }
        NoteEntity note = new NoteEntity(request.id());
        note.writtenAt = clock.instant();
        note.writtenBy = Member.current().displayName();
        set(note, request);
        return view(notes.saveAndFlush(note));
    }

    public NoteView change(UUID id, NoteRequest request, @Nullable String ifMatch) {
        NoteEntity note = found(id);
        note.checkVersion(ifMatch, () -> view(note));
        set(note, request);
        return view(notes.saveAndFlush(note));
    }

    private void set(NoteEntity note, NoteRequest request) {
        FindSource.Thing about = request.about();
        String aboutId = request.aboutId();
        Checks.begin()
                .that((about == null) == (aboutId == null), "aboutId", "is given together with about, or neither")
                .that(about != FindSource.Thing.NOTE, "about", "a note is not about another note")
                .done();
        if (about != null && aboutId != null) {
            of(about, aboutId);
        }
        Note.Seen seen = request.seen() == null ? Note.Seen.NOTHING : request.seen();
        new Note(request.day(), request.words(), seen, request.place(), request.latitude(), request.longitude())
                .check(
                        people.today(),
                        about == FindSource.Thing.LOT,
                        request.pictured() || pictures.existsByNoteId(note.id));
        note.about = about;
        note.aboutId = aboutId;
        note.onDay = request.day();
        note.words = request.words().strip();
        note.colour = seen.colour().strip();
        note.clarity = seen.clarity().strip();
        note.smell = seen.smell().strip();
        note.feel = seen.feel().strip();
        note.taste = seen.taste().strip();
        note.place = request.place().strip();
        note.latitude = request.latitude();
        note.longitude = request.longitude();
        ComeBackRequest wanted = request.comeBack();
        ComeBack comeBack = wanted == null ? null : ComeBack.of(wanted.when(), wanted.on(), note.onDay);
        note.comeBack = comeBack == null ? null : comeBack.when();
        note.comeBackOn = comeBack == null ? null : comeBack.on();
        if (comeBack == null) {
            note.beenBackOn = null;
            note.beenBackBy = null;
        }
    }

    /** Somebody was there again: it no longer waits. Said twice it is said once. */
    public NoteView beenBack(UUID id) {
        NoteEntity note = found(id);
        Checks.begin()
                .that(note.comeBack != null, "comeBack", "nobody meant to come back for this")
                .done();
        if (note.beenBackOn == null) {
            note.beenBackOn = people.today();
            note.beenBackBy = Member.current().displayName();
        }
        return view(notes.saveAndFlush(note));
    }

    public NoteView waitAgain(UUID id) {
        NoteEntity note = found(id);
        note.beenBackOn = null;
        note.beenBackBy = null;
        return view(notes.saveAndFlush(note));
    }

    public void throwAway(UUID id) {
        NoteEntity note = found(id);
        note.thrownAwayAt = clock.instant();
        notes.saveAndFlush(note);
    }

    public NoteView bringBack(UUID id) {
        NoteEntity note = notes.findById(id).orElseThrow(() -> new Problem.NotFound("note"));
        note.thrownAwayAt = null;
        return view(notes.saveAndFlush(note));
    }

    /** @param picture as drawn anew, outside of any transaction: decoding takes its time */
    NoteView add(UUID noteId, UUID pictureId, Picture picture) {
        NoteEntity note = found(noteId);
        if (!once.repeated("note-picture", pictureId, pictures::existsById, noteId, picture.jpeg().length)) {
            Checks.begin()
                    .that(
                            pictures.countByNoteId(noteId) < MOST_PICTURES,
                            "file",
                            "a note holds " + MOST_PICTURES + " pictures; write a second one")
                    .done();
            NotePicture added = new NotePicture(pictureId);
            added.noteId = noteId;
            added.addedBy = Member.current().displayName();
            added.width = picture.width();
            added.height = picture.height();
            added.jpeg = picture.jpeg();
            pictures.saveAndFlush(added);
        }
        return view(note);
    }

    @Transactional(readOnly = true)
    public byte[] jpeg(UUID id) {
        return pictures.findById(id).orElseThrow(() -> new Problem.NotFound("picture")).jpeg;
    }

    public void remove(UUID pictureId) {
        pictures.delete(pictures.findById(pictureId).orElseThrow(() -> new Problem.NotFound("picture")));
    }

    @Transactional(readOnly = true)
    public NoteView note(UUID id) {
        return view(found(id));
    }

    /** Newest first, of one thing or of all. */
    @Transactional(readOnly = true)
    public NotesView notes(FindSource.@Nullable Thing about, @Nullable String aboutId, int page) {
        Pageable pageable = Past.page(page);
        Slice<NoteEntity> slice =
                about == null || aboutId == null ? notes.all(pageable) : notes.about(about, aboutId, pageable);
        return new NotesView(views(slice.getContent()), slice.hasNext());
    }

    /** What was written about the last ones that were made like it: "too bitter, shorter". */
    @Transactional(readOnly = true)
    public List<NoteView> lastTime(LotForm form, String called) {
        List<String> alike =
                shelf.alike(form, called).stream().map(UUID::toString).toList();
        return alike.isEmpty()
                ? List.of()
                : views(notes.about(FindSource.Thing.LOT, alike, Limit.of(MOST_OF_LAST_TIME)));
    }

    /** What goes along on a walk: the latest of each stand, and nothing of people. */
    @Transactional(readOnly = true)
    public List<NoteView> ofStands() {
        List<UUID> latest = notes.latestOfEach(
                Member.current().householdId(), FindSource.Thing.STAND.name(), EACH_ALONG, MOST_ALONG);
        return views(notes.findAllById(latest).stream()
                .sorted(Comparator.comparing((NoteEntity n) -> n.onDay)
                        .thenComparing(n -> n.id)
                        .reversed())
                .toList());
    }

    @Transactional(readOnly = true)
    public OutThereView outThere() {
        return new OutThereView(
                views(notes.waiting(Limit.of(MOST_OUT_THERE))), views(notes.placed(Limit.of(MOST_OUT_THERE))));
    }

    private NoteEntity found(UUID id) {
        return notes.findById(id).filter(n -> n.thrownAwayAt == null).orElseThrow(() -> new Problem.NotFound("note"));
    }

    private FindSource.Hit of(FindSource.Thing about, String id) {
        FindSource room = rooms.get(about);
        return (room == null ? List.<FindSource.Hit>of() : room.named(List.of(id)))
                .stream().findFirst().orElseThrow(() -> new Problem.NotFound("thing this note is about"));
    }

    /** What these are about, by the id of the note; each room is asked once. */
    Map<UUID, FindSource.Hit> things(Collection<NoteEntity> of) {
        Map<FindSource.Thing, Map<String, List<NoteEntity>>> about = new EnumMap<>(FindSource.Thing.class);
        for (NoteEntity note : of) {
            if (note.about != null && note.aboutId != null) {
                about.computeIfAbsent(note.about, a -> new HashMap<>())
                        .computeIfAbsent(note.aboutId, i -> new ArrayList<>())
                        .add(note);
            }
        }
        Map<UUID, FindSource.Hit> things = new HashMap<>();
        about.forEach((thing, byId) -> {
            FindSource room = rooms.get(thing);
            for (FindSource.Hit hit : room == null ? List.<FindSource.Hit>of() : room.named(byId.keySet())) {
                byId.getOrDefault(hit.id(), List.of()).forEach(n -> things.put(n.id, hit));
            }
        });
        return things;
    }

    @Nullable
    LocalDate due(NoteEntity note, List<ComeBack.Night> nights) {
        return note.comeBack == null
                ? null
                : new ComeBack(note.comeBack, note.onDay, note.comeBackOn)
                        .due(nights)
                        .orElse(null);
    }

    /** As far back as one of these waits for a frost. */
    List<ComeBack.Night> nights(Collection<NoteEntity> of) {
        return of.stream()
                .filter(n -> n.comeBack == ComeBack.When.FIRST_FROST)
                .map(n -> n.onDay)
                .min(LocalDate::compareTo)
                .map(since -> weather.readings(since, people.today()).stream()
                        .map(w -> new ComeBack.Night(w.day(), w.lowC()))
                        .toList())
                .orElse(List.of());
    }

    private NoteView view(NoteEntity note) {
        return views(List.of(note)).get(0);
    }

    private List<NoteView> views(List<NoteEntity> all) {
        List<ComeBack.Night> nights = nights(all);
        Map<UUID, FindSource.Hit> things = things(all);
        Map<UUID, List<NotePictures.Framed>> shown = all.isEmpty()
                ? Map.of()
                : pictures.of(all.stream().map(n -> n.id).toList()).stream()
                        .collect(Collectors.groupingBy(NotePictures.Framed::noteId));
        return all.stream()
                .map(n -> new NoteView(
                        n.id,
                        n.version == null ? 0 : n.version,
                        n.about,
                        things.get(n.id),
                        n.onDay,
                        n.writtenAt,
                        n.writtenBy,
                        n.words,
                        new Note.Seen(n.colour, n.clarity, n.smell, n.feel, n.taste),
                        n.place,
                        n.latitude,
                        n.longitude,
                        n.comeBack,
                        due(n, nights),
                        n.beenBackOn,
                        shown.getOrDefault(n.id, List.of()).stream()
                                .map(p -> new PictureView(p.id(), p.width(), p.height()))
                                .toList()))
                .toList();
    }
}
