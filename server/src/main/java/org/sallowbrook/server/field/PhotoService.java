package org.sallowbrook.server.field;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Picture;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Photos of stands, as a {@link Picture} draws them anew: neither a position, a camera's name nor anything hidden in the file
 * is kept; a position is kept only when it is sent on purpose.
 */
@Service
@Transactional
public class PhotoService {

    /**
     * A position is kept only when latitude and longitude are sent.
     *
     * @param identificationId the look at this stand at which it was taken
     */
    public record PhotoDetails(
            UUID id,
            @Nullable UUID identificationId,
            LocalDate takenOn,
            String words,
            @Nullable Double latitude,
            @Nullable Double longitude) {}

    public record PhotoView(
            UUID id,
            @Nullable UUID identificationId,
            LocalDate takenOn,
            String addedBy,
            String words,
            Integer width,
            Integer height,
            @Nullable Double latitude,
            @Nullable Double longitude) {}

    private final Photos photos;
    private final Stands stands;
    private final StandIdentifications identifications;
    private final PeopleService people;
    private final Once once;

    PhotoService(Photos photos, Stands stands, StandIdentifications identifications, PeopleService people, Once once) {
        this.once = once;
        this.photos = photos;
        this.stands = stands;
        this.identifications = identifications;
        this.people = people;
    }

    /** @param picture as drawn anew, outside of any transaction: decoding takes its time */
    PhotoView add(UUID standId, PhotoDetails details, Picture picture) {
        stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        if (once.repeated("photo", details.id(), photos::existsById, standId, details, picture.jpeg().length)) {
            return view(photos.findById(details.id()).orElseThrow(() -> new Problem.NotFound("photo")));
        }
        Checks checks = Checks.begin()
                .that(!details.takenOn().isAfter(people.today()), "takenOn", "must not be in the future")
                .that(details.words().length() <= 300, "words", "must have at most 300 letters")
                .that(
                        (details.latitude() == null) == (details.longitude() == null),
                        "longitude",
                        "is given together with latitude, or neither");
        if (details.latitude() != null && details.longitude() != null) {
            checks.range("latitude", details.latitude(), -90, 90).range("longitude", details.longitude(), -180, 180);
        }
        checks.done();
        if (details.identificationId() != null) {
            identifications
                    .findById(details.identificationId())
                    .filter(i -> i.standId.equals(standId))
                    .orElseThrow(() -> new Problem.NotFound("identification of this stand"));
        }
        Photo photo = new Photo(details.id());
        photo.standId = standId;
        photo.identificationId = details.identificationId();
        photo.takenOn = details.takenOn();
        photo.addedBy = Member.current().displayName();
        photo.words = details.words().strip();
        photo.width = picture.width();
        photo.height = picture.height();
        photo.latitude = details.latitude();
        photo.longitude = details.longitude();
        photo.jpeg = picture.jpeg();
        return view(photos.saveAndFlush(photo));
    }

    @Transactional(readOnly = true)
    public List<PhotoView> photos(UUID standId) {
        stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        return photos.ofStand(standId).stream()
                .map(l -> new PhotoView(
                        l.id(),
                        l.identificationId(),
                        l.takenOn(),
                        l.addedBy(),
                        l.words(),
                        l.width(),
                        l.height(),
                        l.latitude(),
                        l.longitude()))
                .toList();
    }

    @Transactional(readOnly = true)
    public byte[] jpeg(UUID id) {
        return photos.findById(id).orElseThrow(() -> new Problem.NotFound("photo")).jpeg;
    }

    public void remove(UUID id) {
        photos.delete(photos.findById(id).orElseThrow(() -> new Problem.NotFound("photo")));
    }

    private static PhotoView view(Photo p) {
        return new PhotoView(
                p.id, p.identificationId, p.takenOn, p.addedBy, p.words, p.width, p.height, p.latitude, p.longitude);
    }
}
