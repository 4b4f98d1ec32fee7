package org.sallowbrook.server.shelf;

import com.google.zxing.BarcodeFormat;
import com.google.zxing.EncodeHintType;
import com.google.zxing.WriterException;
import com.google.zxing.common.BitMatrix;
import com.google.zxing.qrcode.QRCodeWriter;
import com.google.zxing.qrcode.decoder.ErrorCorrectionLevel;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType1Font;
import org.apache.pdfbox.pdmodel.font.Standard14Fonts;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.core.making.Product;
import org.sallowbrook.core.measure.Words;
import org.sallowbrook.server.herbarium.HerbariumService;
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

    private static final DateTimeFormatter DATE = DateTimeFormatter.ofPattern("d MMM yyyy", Locale.ENGLISH);

    private final HerbariumService herbarium;

    Label(HerbariumService herbarium) {
        this.herbarium = herbarium;
    }

    byte[] pdf(ShelfService.LotView lot, String page) {
        PDFont regular = new PDType1Font(Standard14Fonts.FontName.HELVETICA);
        PDFont bold = new PDType1Font(Standard14Fonts.FontName.HELVETICA_BOLD);
        PDFont italic = new PDType1Font(Standard14Fonts.FontName.HELVETICA_OBLIQUE);
        try (PDDocument document = new PDDocument()) {
            document.getDocumentInformation().setTitle("Label " + lot.code());
            PDPage sheet = new PDPage(new PDRectangle(WIDTH, HEIGHT));
            document.addPage(sheet);
            try (PDPageContentStream out = new PDPageContentStream(document, sheet)) {
                float textWidth = WIDTH - CODE - 3 * MARGIN;
                float y = HEIGHT - MARGIN - 11;
                y = text(out, bold, 12, MARGIN, y, textWidth, lot.name());
                for (ShelfService.HerbView herb : lot.herbs()) {
                    Taxon taxon = herbarium.taxon(herb.taxonId());
                    y = text(out, italic, 9, MARGIN, y, textWidth, taxon.name());
                }
                for (String line : lines(lot)) {
                    y = text(out, regular, 8, MARGIN, y, textWidth, line);
                }
                text(out, bold, 10, MARGIN, MARGIN, textWidth, lot.code());
                code(out, page, WIDTH - CODE - MARGIN, HEIGHT - CODE - MARGIN);
                text(out, regular, 7, WIDTH - CODE - MARGIN, MARGIN, CODE, "Sallowbrook");
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static List<String> lines(ShelfService.LotView lot) {
        List<String> lines = new ArrayList<>();
        lines.add(Words.figure(lot.amount()) + " " + lot.unit()
                + (lot.strengthPercent() == null || lot.strengthPercent() == 0
                        ? ""
                        : ", up to " + Words.figure(lot.strengthPercent()) + " % vol"));
        lines.add("made " + lot.madeOn().format(DATE));
        if (lot.bestBefore() != null) {
            lines.add("best before " + lot.bestBefore().format(DATE));
        }
        lines.add(lot.route() == Taxon.Route.EXTERNAL ? "OUTSIDE OF THE BODY ONLY" : "dose: see its page");
        if (lot.state() != Product.State.USABLE) {
            lines.add(lot.state() + ": do not use");
        }
        return lines;
    }

    private static float text(
            PDPageContentStream out, PDFont font, float size, float x, float y, float width, String words)
            throws IOException {
        String fitting = encodable(font, words);
        while (fitting.length() > 1 && font.getStringWidth(fitting) / 1000 * size > width) {
            fitting = fitting.substring(0, fitting.length() - 1);
        }
        out.beginText();
        out.setFont(font, size);
        out.newLineAtOffset(x, y);
        out.showText(fitting);
        out.endText();
        return y - size * 1.3f;
    }

    /** The built-in fonts know Latin-1 only; other letters print as a question mark. */
    private static String encodable(PDFont font, String words) {
        StringBuilder known = new StringBuilder();
        words.codePoints().forEach(c -> {
            String letter = new String(Character.toChars(c));
            try {
                font.encode(letter);
                known.append(letter);
            } catch (IOException | IllegalArgumentException e) {
                known.append('?');
            }
        });
        return known.toString();
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
