package org.sallowbrook.server.platform;

import com.drew.imaging.ImageMetadataReader;
import com.drew.imaging.ImageProcessingException;
import com.drew.metadata.exif.ExifIFD0Directory;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.AffineTransform;
import java.awt.image.BufferedImage;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.Iterator;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.concurrent.Semaphore;
import javax.imageio.ImageIO;
import javax.imageio.ImageReadParam;
import javax.imageio.ImageReader;
import javax.imageio.stream.ImageInputStream;
import org.sallowbrook.core.measure.InvalidInput;

/**
 * A picture drawn anew as JPEG of at most {@value #LONGEST} pixels, turned upright. Large ones are read at a fraction of their
 * size, and one at a time, so that no picture takes the memory or the time of everything else.
 */
public record Picture(int width, int height, byte[] jpeg) {

    public static final int MOST_BYTES = 12 * 1024 * 1024;

    private static final int LONGEST = 1600;
    private static final long MOST_PIXELS = 60_000_000;
    private static final Set<String> FORMATS = Set.of("jpeg", "png", "webp");
    private static final Semaphore ONE = new Semaphore(1, true);

    /** @throws InvalidInput for what is no picture, or too large a one */
    public static Picture of(byte[] file) {
        if (file.length == 0 || file.length > MOST_BYTES) {
            throw unreadable("must have at most 12 MB");
        }
        ONE.acquireUninterruptibly();
        try {
            BufferedImage image = upright(read(file), orientation(file));
            return new Picture(image.getWidth(), image.getHeight(), jpeg(image));
        } finally {
            ONE.release();
        }
    }

    /** Looks at the size before it decodes, so that a small file can't ask for all memory. */
    private static BufferedImage read(byte[] file) {
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
                int width = reader.getWidth(0);
                int height = reader.getHeight(0);
                if ((long) width * height > MOST_PIXELS) {
                    throw unreadable("has more than 60 million pixels");
                }
                ImageReadParam param = reader.getDefaultReadParam();
                int every = Math.max(1, Math.max(width, height) / LONGEST);
                param.setSourceSubsampling(every, every, 0, 0);
                return small(reader.read(0, param));
            } finally {
                reader.dispose();
            }
        } catch (IOException | RuntimeException e) {
            throw e instanceof InvalidInput refused ? refused : unreadable("can't be read as a picture");
        }
    }

    /** EXIF orientation, 1 to 8; 1 where the file says nothing. */
    private static int orientation(byte[] file) {
        try {
            ExifIFD0Directory exif = ImageMetadataReader.readMetadata(new ByteArrayInputStream(file))
                    .getFirstDirectoryOfType(ExifIFD0Directory.class);
            Integer said = exif == null ? null : exif.getInteger(ExifIFD0Directory.TAG_ORIENTATION);
            return said == null || said < 1 || said > 8 ? 1 : said;
        } catch (ImageProcessingException | IOException e) {
            return 1;
        }
    }

    private static BufferedImage upright(BufferedImage image, int orientation) {
        int w = image.getWidth();
        int h = image.getHeight();
        AffineTransform turn = switch (orientation) {
            case 2 -> new AffineTransform(-1, 0, 0, 1, w, 0);
            case 3 -> new AffineTransform(-1, 0, 0, -1, w, h);
            case 4 -> new AffineTransform(1, 0, 0, -1, 0, h);
            case 5 -> new AffineTransform(0, 1, 1, 0, 0, 0);
            case 6 -> new AffineTransform(0, 1, -1, 0, h, 0);
            case 7 -> new AffineTransform(0, -1, -1, 0, h, w);
            case 8 -> new AffineTransform(0, -1, 1, 0, 0, w);
            default -> new AffineTransform();
        };
        if (turn.isIdentity()) {
            return image;
        }
        boolean swapped = orientation >= 5;
        BufferedImage out = new BufferedImage(swapped ? h : w, swapped ? w : h, BufferedImage.TYPE_INT_RGB);
        Graphics2D g = out.createGraphics();
        try {
            g.drawImage(image, turn, null);
        } finally {
            g.dispose();
        }
        return out;
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
}
