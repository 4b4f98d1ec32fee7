package org.sallowbrook.server.shelf;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.core.shelf.Trait;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.springframework.core.io.ClassPathResource;
import org.springframework.stereotype.Component;

/** A label of 90 x 50 mm: what it is, from when, until when, how it may be used, and a QR code to its page. */
@Component
class Label {

    private static final float MM = 72 / 25.4f;
    private static final float WIDTH = 90 * MM;
    private static final float HEIGHT = 50 * MM;
    private static final float MARGIN = 4 * MM;
    private static final float CODE = 26 * MM;
    private static final float DOT = 72 / 300f;
    /** The quiet zone of ISO/IEC 18004, and a seventh of it may be smudged: a kitchen label is. */
    private static final Map<EncodeHintType, Object> HINTS =
            Map.of(EncodeHintType.MARGIN, 4, EncodeHintType.ERROR_CORRECTION, ErrorCorrectionLevel.M);

    private static final String FONTS = "net/sf/jasperreports/fonts/dejavu/";
    private static final float LEADING = 1.25f;
    private static final float SMALLEST = 0.5f;

    private final HerbariumService herbarium;

    Label(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    /** A piece of text on the label, before it is fitted. */
    private record Said(String words, boolean bold, boolean italic, float size) {}

    private record Line(String words, PDFont font, float size) {}

    byte[] pdf(LotView lot, String page) {
        try (PDDocument document = new PDDocument()) {
            PDFont regular = font(document, "DejaVuSans.ttf");
            PDFont bold = font(document, "DejaVuSans-Bold.ttf");
            PDFont italic = font(document, "DejaVuSans-Oblique.ttf");
            document.getDocumentInformation().setTitle("Label " + lot.code());
            PDPage sheet = new PDPage(new PDRectangle(WIDTH, HEIGHT));
            document.addPage(sheet);
            List<Said> said = new ArrayList<>();
            said.add(new Said(lot.name(), true, false, 12));
            for (HerbView herb : lot.herbs()) {
                said.add(new Said(herbarium.taxon(herb.taxonId()).name(), false, true, 9));
            }
            lines(lot).forEach(l -> said.add(new Said(l, false, false, 8)));
            try (PDPageContentStream out = new PDPageContentStream(document, sheet)) {
                float textWidth = WIDTH - CODE - 3 * MARGIN;
                float y = HEIGHT - MARGIN;
                for (Line line : fitted(said, textWidth, HEIGHT - 2 * MARGIN - 16, regular, bold, italic)) {
                    y -= line.size() * LEADING;
                    text(out, line.font(), line.size(), MARGIN, y, line.words());
                }
                text(out, bold, 10, MARGIN, MARGIN, lot.code());
                code(out, page, WIDTH - CODE - MARGIN, HEIGHT - CODE - MARGIN);
                text(out, regular, 7, WIDTH - CODE - MARGIN, MARGIN, "Sallowbrook");
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** One with the letters of most scripts of Europe; only those used are put into the file. */
    private static PDFont font(PDDocument document, String file) throws IOException {
        try (InputStream in = new ClassPathResource(FONTS + file).getInputStream()) {
            return PDType0Font.load(document, in, true);
        }
    }

    /** Wrapped, and set as much smaller as it takes: no letter of a label is lost. */
    private static List<Line> fitted(
            List<Said> said, float width, float height, PDFont regular, PDFont bold, PDFont italic) throws IOException {
        List<Line> lines = List.of();
        for (float scale = 1; scale > SMALLEST; scale -= 0.05f) {
            lines = new ArrayList<>();
            float tall = 0;
            for (Said s : said) {
                PDFont font = s.bold() ? bold : s.italic() ? italic : regular;
                float size = s.size() * scale;
                for (String piece : wrapped(encodable(font, Script.joined(s.words())), font, size, width)) {
                    lines.add(new Line(Script.asSeen(piece), font, size));
                    tall += size * LEADING;
                }
            }
            if (tall <= height) {
                return lines;
            }
        }
        return lines;
    }

    private static List<String> wrapped(String words, PDFont font, float size, float width) throws IOException {
        List<String> lines = new ArrayList<>();
        String line = "";
        for (String word : words.strip().split("\\s+")) {
            String longer = line.isEmpty() ? word : line + " " + word;
            if (width(font, size, longer) <= width) {
                line = longer;
                continue;
            }
            if (!line.isEmpty()) {
                lines.add(line);
            }
            line = word;
            // A word longer than the label is broken, not cut.
            while (width(font, size, line) > width && line.codePointCount(0, line.length()) > 1) {
                int end = line.length();
                while (end > 1 && width(font, size, line.substring(0, end)) > width) {
                    end = line.offsetByCodePoints(end, -1);
                }
                lines.add(line.substring(0, end));
                line = line.substring(end);
            }
        }
        lines.add(line);
        return lines;
    }

    private static float width(PDFont font, float size, String words) throws IOException {
        return font.getStringWidth(words) / 1000 * size;
    }

    private static List<String> lines(LotView lot) {
        List<String> lines = new ArrayList<>();
        lines.add(Words.figure(lot.amount()) + " " + lot.unit()
                + (!lot.form().alcoholic() || lot.strengthPercent() == null || lot.strengthPercent() == 0
                        ? ""
                        : ", up to " + Words.figure(lot.strengthPercent()) + " % vol"));
        lines.add("made " + Words.day(lot.madeOn()));
        if (lot.bestBefore() != null) {
            lines.add("best before " + Words.day(lot.bestBefore()));
        }
        lines.add(lot.route() == Taxon.Route.EXTERNAL ? "OUTSIDE OF THE BODY ONLY" : "dose: see its page");
        if (lot.is(Trait.HONEY)) {
            lines.add("HONEY: not under one year");
        }
        if (lot.is(Trait.ESSENTIAL_OIL)) {
            lines.add(
                    lot.is(Trait.ESSENTIAL_OIL_FOR_ADULTS)
                            ? "ESSENTIAL OIL: for grown-ups only"
                            : lot.is(Trait.COOLING_OIL)
                                    ? "ESSENTIAL OIL: not under six years"
                                    : "ESSENTIAL OIL: not under two years");
        }
        switch (lot.state()) {
            case USABLE -> {}
            case HOLD -> lines.add("ON HOLD: do not use yet");
            case QUARANTINED -> lines.add("DOUBTED: do not use");
            case DESTROYED -> lines.add("THROWN AWAY: do not use");
        }
        return lines;
    }

    private static void text(PDPageContentStream out, PDFont font, float size, float x, float y, String words)
            throws IOException {
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x, y);
        out.showText(encodable(font, words));
        out.endText();
    }

    /** A letter that the font has not prints as a question mark; {@link #unprintable} says which they are. */
    private static String encodable(PDFont font, String words) {
        StringBuilder known = new StringBuilder();
        Script.letters(words).forEach(letter -> known.append(has(font, letter) ? letter : "?"));
        return known.toString();
    }

    private static boolean has(PDFont font, String letter) {
        try {
            font.encode(letter);
            return true;
        } catch (IOException | IllegalArgumentException e) {
            return false;
        }
    }

    /** The letters of a name that come out as question marks, each once; empty for nearly every name. */
    String unprintable(LotView lot) {
        try (PDDocument document = new PDDocument()) {
            PDFont bold = font(document, "DejaVuSans-Bold.ttf");
            return Script.letters(Script.joined(lot.name()))
                    .filter(letter -> !has(bold, letter))
                    .distinct()
                    .collect(Collectors.joining(" "));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void code(PDPageContentStream out, String address, float x, float y) throws IOException {
        BitMatrix matrix;
        try {
            matrix = new QRCodeWriter().encode(address, BarcodeFormat.QR_CODE, 0, 0, HINTS);
        } catch (WriterException e) {
            throw new IOException(e);
        }
        // Whole dots of a 300 dpi printer, so that no module comes out a dot wider than its neighbour.
        float cell = (float) Math.floor(CODE / matrix.getWidth() / DOT) * DOT;
        for (int row = 0; row < matrix.getHeight(); row++) {
            for (int column = 0; column < matrix.getWidth(); column++) {
                if (matrix.get(column, row)) {
                    out.addRect(x + column * cell, y + CODE - (row + 1) * cell, cell, cell);
                }
            }
        }
        out.fill();
    }
}
