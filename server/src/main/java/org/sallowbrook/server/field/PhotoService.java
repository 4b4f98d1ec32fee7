package org.sallowbrook.server.field;

import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.time.LocalDate;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.UUID;
import javax.imageio.ImageIO;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Problem;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Photos of stands. What comes in is decoded and drawn anew as JPEG of at most {@link #LONGEST} pixels, so that neither a
 * position, a camera's name nor anything hidden in the file is kept; a position is kept only when it is sent on purpose.
 */
@Service
@Transactional
public class PhotoService {

    public static final int MOST_BYTES = 12 * 1024 * 1024;

    private static final int LONGEST = 1600;
    private static final long MOST_PIXELS = 60_000_000;
    private static final Set<String> FORMATS = Set.of("jpeg", "png", "webp");

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

    PhotoService(Photos photos, Stands stands, StandIdentifications identifications, PeopleService people) {
        this.photos = photos;
        this.stands = stands;
        this.identifications = identifications;
        this.people = people;
    }

    public PhotoView add(UUID standId, PhotoDetails details, byte[] file) {
        stands.findById(standId).orElseThrow(() -> new Problem.NotFound("stand"));
        Photo known = photos.findById(details.id()).orElse(null);
        if (known != null) {
            return view(known);
        }
        Checks checks = Checks.begin()
                .that(!details.takenOn().isAfter(people.today()), "takenOn", "must not be in the future")
                .that(details.words().length() <= 300, "words", "must have at most 300 letters")
                .that(file.length > 0 && file.length <= MOST_BYTES, "file", "must have at most 12 MB")
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
        BufferedImage image = drawn(file);
        Photo photo = new Photo(details.id());
        photo.standId = standId;
        photo.identificationId = details.identificationId();
        photo.takenOn = details.takenOn();
        photo.addedBy = Member.current().displayName();
        photo.words = details.words().strip();
        photo.width = image.getWidth();
        photo.height = image.getHeight();
        photo.latitude = details.latitude();
        photo.longitude = details.longitude();
        photo.jpeg = jpeg(image);
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

    /** Looks at the size before it decodes, so that a small file can't ask for all memory. */
    private static BufferedImage drawn(byte[] file) {
        try (ImageInputStream in = ImageIO.createImageInputStream(new ByteArrayInputStream(file))) {
            Iterator<ImageReader> readers = ImageIO.getImageReaders(in);
            if (!readers.hasNext()) {
                throw unreadable("is not a JPEG, PNG or WebP picture");
            }
            ImageReader reader = readers.next();
            try {
                if (!FORMATS.contains(reader.getFormatName().toLowerCase(Locale.ROOT))) {
                    throw unreadable("is not a JPEG, PNG or WebP picture");
                }
                reader.setInput(in, true, true);
                if ((long) reader.getWidth(0) * reader.getHeight(0) > MOST_PIXELS) {
                    throw unreadable("has more than 60 million pixels");
                }
                return small(reader.read(0));
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw e instanceof InvalidInput refused ? refused : unreadable("can't be read as a picture");
        }
    }

    private static BufferedImage small(BufferedImage image) {
        double scale = Math.min(1.0, (double) LONGEST / Math.max(image.getWidth(), image.getHeight()));
        int width = Math.max(1, (int) Math.round(image.getWidth() * scale));
        int height = Math.max(1, (int) Math.round(image.getHeight() * scale));
        BufferedImage out = new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        try {
            g.setRenderingHint(RenderingHints.KEY_INTERPOLATION, RenderingHints.VALUE_INTERPOLATION_BILINEAR);
            g.drawImage(image, 0, 0, width, height, Color.WHITE, null);
        } finally {
            g.dispose();
        }
        return out;
    }

    private static byte[] jpeg(BufferedImage image) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try {
            ImageIO.write(image, "jpeg", out);
        } catch (IOException e) {
            throw new IllegalStateException("writing to memory", e);
        }
        return out.toByteArray();
    }

    private static InvalidInput unreadable(String message) {
        return new InvalidInput(List.of(new InvalidInput.Violation("file", message)));
    }

    private static PhotoView view(Photo p) {
        return new PhotoView(
                p.id, p.identificationId, p.takenOn, p.addedBy, p.words, p.width, p.height, p.latitude, p.longitude);
    }
}
