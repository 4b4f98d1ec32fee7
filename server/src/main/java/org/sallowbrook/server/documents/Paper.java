package org.sallowbrook.server.documents;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.PDPageContentStream;
import org.apache.pdfbox.pdmodel.common.PDRectangle;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.taggedpdf.StandardStructureTypes;
import org.apache.pdfbox.pdmodel.font.PDFont;
import org.apache.pdfbox.pdmodel.font.PDType0Font;
import org.apache.pdfbox.pdmodel.graphics.image.JPEGFactory;
import org.apache.pdfbox.pdmodel.graphics.image.PDImageXObject;
import org.jspecify.annotations.Nullable;
import org.springframework.core.io.ClassPathResource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** Sets a {@link Sheet} on paper, as PDF: every letter of it, wrapped, in whichever direction it is read. */
public final class Paper {

    private static final float MM = 72 / 25.4f;
    private static final float CODE = 26 * MM;
    private static final float DOT = 72 / 300f;
    /** The quiet zone of ISO/IEC 18004, and a seventh of it may be smudged: a kitchen label is. */
    private static final String FONTS = "net/sf/jasperreports/fonts/dejavu/";
    /** A row of boxes is looked at; what it means stands behind it in words. */
    private static final Pattern BARS = Pattern.compile("[\u25a0\u25a1]{2,} *");

    private static final float LEADING = 1.25f;
    private static final float SMALLEST = 0.5f;

    private Paper() {}

    private record Fonts(PDFont regular, PDFont bold, PDFont italic) {
        static Fonts of(PDDocument document) throws IOException {
            return new Fonts(
                    font(document, "DejaVuSans.ttf"),
                    font(document, "DejaVuSans-Bold.ttf"),
                    font(document, "DejaVuSans-Oblique.ttf"));
        }
    }

    /** Words before they are fitted. @param indent from the left margin, in points */
    private record Said(
            String words,
            PDFont font,
            float size,
            float indent,
            float before,
            String is,
            Sheet.@Nullable Picture picture) {
        Said(String words, PDFont font, float size, float indent, float before, String is) {
            this(words, font, size, indent, before, is, null);
        }
    }

    /** @param spoken as it is read, where it is drawn otherwise; first: whether it begins what was said */
    private record Line(
            String words,
            PDFont font,
            float size,
            float indent,
            float before,
            String is,
            @Nullable String spoken,
            boolean first,
            @Nullable PDImageXObject picture) {
        float height() {
            return before + (picture == null ? size * LEADING : pictureHeight(picture));
        }
    }

    /** Beside words, neither wider nor higher than it need be to be seen. */
    private static float pictureHeight(PDImageXObject picture) {
        float side = 80 * MM;
        return side * Math.min(1, picture.getHeight() / (float) picture.getWidth());
    }

    /** The sheet as a file that opens in the reader, and is called so when it is kept. */
    public static ResponseEntity<byte[]> response(Sheet sheet, String name) {
        return response(pdf(sheet, PaperSize.chosen()), name);
    }

    public static ResponseEntity<byte[]> response(byte[] pdf, String name) {
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.inline()
                                .filename(name + ".pdf")
                                .build()
                                .toString())
                .body(pdf);
    }

    static byte[] pdf(Sheet sheet, PaperSize size) {
        try (PDDocument document = new PDDocument()) {
            Fonts fonts = Fonts.of(document);
            document.getDocumentInformation().setTitle(sheet.title());
            switch (sheet.size()) {
                case LABEL -> label(document, sheet, fonts);
                case A4 -> pages(document, sheet, fonts, size.page());
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static void label(PDDocument document, Sheet sheet, Fonts fonts) throws IOException {
        PDRectangle all = new PDRectangle(90 * MM, 50 * MM);
        PDPage page = new PDPage(all);
        document.addPage(page);
        try (PDPageContentStream out = new PDPageContentStream(document, page)) {
            label(document, out, sheet, fonts, all);
        }
    }

    /** Words at the left, as much smaller as it takes; the code at the right, what it stands for below. */
    private static void label(PDDocument document, PDPageContentStream out, Sheet sheet, Fonts fonts, PDRectangle on)
            throws IOException {
        float margin = Math.min(4 * MM, on.getHeight() * 0.08f);
        float code = Math.min(CODE, on.getHeight() - 2 * margin - 6);
        float right = on.getUpperRightX() - code - margin;
        float left = on.getLowerLeftX() + margin;
        float bottom = on.getLowerLeftY() + margin;
        float y = on.getUpperRightY() - margin;
        for (Line line :
                fitted(document, said(sheet, fonts, 8, 0), right - left - margin, on.getHeight() - 2 * margin - 16)) {
            y -= line.height();
            text(out, line.font(), line.size(), left, y, line.words());
        }
        for (Sheet.Block block : sheet.blocks()) {
            if (block instanceof Sheet.Code c) {
                text(out, fonts.bold(), 10, left, bottom, c.caption());
                code(out, c.address(), right, on.getUpperRightY() - code - margin, code);
            }
        }
        text(out, fonts.regular(), Math.min(7, code / 10), right, bottom, "Sallowbrook");
    }

    /**
     * Many labels on sheets of them, row by row.
     *
     * @param first place on the first sheet that is still there, from 0: what was peeled off is left out
     */
    public static byte[] labels(List<Sheet> labels, LabelSheet paper, int first, String title) {
        try (PDDocument document = new PDDocument()) {
            Fonts fonts = Fonts.of(document);
            document.getDocumentInformation().setTitle(title);
            PDRectangle size = new PDRectangle((float) paper.widthMm() * MM, (float) paper.heightMm() * MM);
            for (int begun = 0; begun < labels.size() + first; begun += paper.labels()) {
                PDPage page = new PDPage(size);
                document.addPage(page);
                try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                    for (int place = 0; place < paper.labels(); place++) {
                        int i = begun + place - first;
                        if (i >= 0 && i < labels.size()) {
                            label(document, out, labels.get(i), fonts, paper.place(place, MM));
                        }
                    }
                }
            }
            ByteArrayOutputStream bytes = new ByteArrayOutputStream();
            document.save(bytes);
            return bytes.toByteArray();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** As many pages as it takes, each with its number; a code stands at the end. */
    private static void pages(PDDocument document, Sheet sheet, Fonts fonts, PDRectangle paper) throws IOException {
        float margin = 20 * MM;
        float width = paper.getWidth() - 2 * margin;
        List<Said> said = new ArrayList<>();
        said.add(new Said(sheet.title(), fonts.bold(), 18, 0, 0, StandardStructureTypes.H1));
        said.addAll(said(sheet, fonts, 11, 6));
        List<List<Line>> pages = new ArrayList<>();
        float left = 0;
        for (Line line : lines(document, said, width, 1)) {
            if (line.height() > left) {
                pages.add(new ArrayList<>());
                left = paper.getHeight() - 2 * margin;
            }
            pages.get(pages.size() - 1).add(line);
            left -= line.height();
        }
        Sheet.Code code = sheet.blocks().stream()
                .filter(Sheet.Code.class::isInstance)
                .map(Sheet.Code.class::cast)
                .findFirst()
                .orElse(null);
        if (code != null && left < CODE + 20) {
            pages.add(new ArrayList<>());
        }
        Tags tags = new Tags(document);
        @Nullable PDStructureElement element = null;
        for (int i = 0; i < pages.size(); i++) {
            PDPage page = new PDPage(paper);
            document.addPage(page);
            tags.page(page);
            try (PDPageContentStream out = new PDPageContentStream(document, page)) {
                float y = paper.getHeight() - margin;
                for (Line line : pages.get(i)) {
                    y -= line.height();
                    if (element == null || line.first()) {
                        element = tags.element(line.is());
                    }
                    if (line.picture() == null) {
                        tags.begin(out, element, line.spoken());
                        text(out, line.font(), line.size(), margin + line.indent(), y, line.words());
                    } else {
                        element.setAlternateDescription(line.spoken());
                        tags.begin(out, element, null);
                        float high = pictureHeight(line.picture());
                        out.drawImage(
                                line.picture(),
                                margin + line.indent(),
                                y,
                                high
                                        * line.picture().getWidth()
                                        / line.picture().getHeight(),
                                high);
                    }
                    tags.end(out);
                }
                if (code != null && i == pages.size() - 1) {
                    PDStructureElement figure = tags.element(StandardStructureTypes.Figure);
                    figure.setAlternateDescription("A QR code that opens it: " + code.caption());
                    tags.begin(out, figure, null);
                    code(out, code.address(), margin, y - CODE - 12);
                    tags.end(out);
                    tags.begin(out, tags.element(StandardStructureTypes.CAPTION), null);
                    text(out, fonts.regular(), 9, margin, y - CODE - 24, code.caption());
                    tags.end(out);
                }
                tags.beside(out);
                text(
                        out,
                        fonts.regular(),
                        8,
                        margin,
                        margin / 2,
                        "Sallowbrook, page " + (i + 1) + " of " + pages.size());
                tags.end(out);
            }
        }
        tags.done();
    }

    /** @param base size of plain words, in points @param gap before each line that begins something */
    private static List<Said> said(Sheet sheet, Fonts fonts, float base, float gap) {
        List<Said> said = new ArrayList<>();
        for (Sheet.Block block : sheet.blocks()) {
            if (block instanceof Sheet.Picture p) {
                said.add(new Said(p.words(), fonts.regular(), base, gap * 2, gap, StandardStructureTypes.Figure, p));
            }
            for (Sheet.Run run : block.runs()) {
                said.add(
                        switch (run.tone()) {
                            case HEADING ->
                                new Said(run.words(), fonts.bold(), base * 1.2f, 0, gap * 2, StandardStructureTypes.H2);
                            case PLAIN ->
                                new Said(
                                        run.words(),
                                        fonts.regular(),
                                        base,
                                        run.point() ? gap * 2 : 0,
                                        run.point() ? gap / 2 : gap,
                                        run.point() ? StandardStructureTypes.LI : StandardStructureTypes.P);
                            case LARGE -> plain(run, fonts.bold(), base * 1.5f, gap);
                            case SOFT -> plain(run, fonts.regular(), base * 0.85f, gap);
                            case GRAVE -> plain(run, fonts.bold(), base * 1.15f, gap * 1.5f);
                            case LATIN -> plain(run, fonts.italic(), base * 1.125f, gap / 2);
                        });
            }
        }
        return said;
    }

    private static Said plain(Sheet.Run run, PDFont font, float size, float before) {
        return new Said(run.words(), font, size, 0, before, StandardStructureTypes.P);
    }

    /** Wrapped, and set as much smaller as it takes: no letter of a label is lost. */
    private static List<Line> fitted(PDDocument document, List<Said> said, float width, float height)
            throws IOException {
        List<Line> lines = List.of();
        for (float scale = 1; scale > SMALLEST; scale -= 0.05f) {
            lines = lines(document, said, width, scale);
            if (lines.stream().mapToDouble(Line::height).sum() <= height) {
                return lines;
            }
        }
        return lines;
    }

    private static List<Line> lines(PDDocument document, List<Said> said, float width, float scale) throws IOException {
        List<Line> lines = new ArrayList<>();
        for (Said s : said) {
            if (s.picture() != null) {
                PDImageXObject picture =
                        JPEGFactory.createFromByteArray(document, s.picture().jpeg());
                lines.add(new Line("", s.font(), s.size(), s.indent(), s.before(), s.is(), s.words(), true, picture));
                continue;
            }
            float size = s.size() * scale;
            float before = s.before();
            boolean first = true;
            for (String piece : wrapped(Script.joined(s.words()), s.font(), size, width - s.indent())) {
                String drawn = Script.asSeen(encodable(s.font(), piece));
                String spoken = BARS.matcher(piece).replaceAll("");
                lines.add(new Line(
                        drawn,
                        s.font(),
                        size,
                        s.indent(),
                        before,
                        s.is(),
                        drawn.equals(spoken) ? null : spoken,
                        first,
                        null));
                before = 0;
                first = false;
            }
        }
        return lines;
    }

    /** One with the letters of most scripts of Europe; only those used are put into the file. */
    private static PDFont font(PDDocument document, String file) throws IOException {
        try (InputStream in = new ClassPathResource(FONTS + file).getInputStream()) {
            return PDType0Font.load(document, in, true);
        }
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
            // A word longer than the line is broken, not cut.
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
        return font.getStringWidth(encodable(font, words)) / 1000 * size;
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
    public static String unprintable(String words) {
        try (PDDocument document = new PDDocument()) {
            PDFont bold = font(document, "DejaVuSans-Bold.ttf");
            return Script.letters(Script.joined(words))
                    .filter(letter -> !has(bold, letter))
                    .distinct()
                    .collect(Collectors.joining(" "));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static void code(PDPageContentStream out, String address, float x, float y) throws IOException {
        code(out, address, x, y, CODE);
    }

    /** @param side of it, in points */
    private static void code(PDPageContentStream out, String address, float x, float y, float side) throws IOException {
        Code code = Code.of(address);
        // Whole dots of a 300 dpi printer, so that no module comes out a dot wider than its neighbour.
        float cell = (float) Math.floor(side / code.side() / DOT) * DOT;
        for (int row = 0; row < code.side(); row++) {
            for (int column = 0; column < code.side(); column++) {
                if (code.dark(column, row)) {
                    out.addRect(x + column * cell, y + side - (row + 1) * cell, cell, cell);
                }
            }
        }
        out.fill();
    }
}
