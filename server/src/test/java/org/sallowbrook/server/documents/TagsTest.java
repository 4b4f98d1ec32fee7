package org.sallowbrook.server.documents;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.cos.COSDictionary;
import org.apache.pdfbox.cos.COSName;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.pdmodel.PDPage;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDMarkedContentReference;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureElement;
import org.apache.pdfbox.pdmodel.documentinterchange.logicalstructure.PDStructureNode;
import org.apache.pdfbox.pdmodel.documentinterchange.markedcontent.PDMarkedContent;
import org.apache.pdfbox.text.PDFMarkedContentExtractor;
import org.apache.pdfbox.text.TextPosition;
import org.testng.annotations.Test;

/** Reads papers the way a reader for the blind does: along the tree of what each piece is, never along the page. */
public class TagsTest {

    private final Map<COSDictionary, Map<Integer, String>> words = new HashMap<>();
    private final List<String> heard = new ArrayList<>();

    private void hear(Sheet sheet) throws IOException {
        try (PDDocument document = Loader.loadPDF(Paper.pdf(sheet, PaperSize.A4))) {
            assertThat(document.getDocumentCatalog().getLanguage()).isEqualTo("en");
            assertThat(document.getDocumentCatalog().getMarkInfo().isMarked()).isTrue();
            assertThat(document.getDocumentCatalog().getViewerPreferences().displayDocTitle())
                    .isTrue();
            for (PDPage page : document.getPages()) {
                PDFMarkedContentExtractor extractor = new PDFMarkedContentExtractor();
                extractor.processPage(page);
                Map<Integer, String> onPage = new HashMap<>();
                for (PDMarkedContent c : extractor.getMarkedContents()) {
                    if (c.getMCID() >= 0) {
                        onPage.put(c.getMCID(), c.getActualText() != null ? c.getActualText() : drawn(c));
                    }
                }
                words.put(page.getCOSObject(), onPage);
                // From what is drawn back to what it is: the number tree has as many as the page has marks.
                assertThat(document.getDocumentCatalog()
                                .getStructureTreeRoot()
                                .getParentTree()
                                .getValue(page.getStructParents()))
                        .isNotNull();
            }
            walk(document.getDocumentCatalog().getStructureTreeRoot());
        }
    }

    private static String drawn(PDMarkedContent content) {
        StringBuilder drawn = new StringBuilder();
        for (Object o : content.getContents()) {
            if (o instanceof TextPosition p) {
                drawn.append(p.getUnicode());
            }
        }
        return drawn.toString();
    }

    private void walk(PDStructureNode node) {
        StringBuilder own = new StringBuilder();
        for (Object kid : node.getKids()) {
            if (kid instanceof PDStructureElement element) {
                walk(element);
            } else if (kid instanceof PDMarkedContentReference r) {
                COSDictionary page = r.getCOSObject().getCOSDictionary(COSName.PG);
                own.append(own.isEmpty() ? "" : " ").append(words.get(page).get(r.getMCID()));
            }
        }
        String alt = node instanceof PDStructureElement e ? e.getAlternateDescription() : null;
        if (node instanceof PDStructureElement element && (alt != null || !own.isEmpty())) {
            heard.add(element.getStructureType() + ": " + (alt != null ? alt : own));
        }
    }

    @Test
    public void everythingIsHeardInItsOrderAndAsWhatItIs() throws IOException {
        String longWords = "Stir it every day and keep every piece under the liquid. "
                .repeat(6)
                .strip();
        List<String> many = IntStream.range(0, 60).mapToObj(i -> "step " + i).toList();
        hear(new Sheet(
                "Nettle tincture",
                Sheet.Size.A4,
                List.of(
                        new Sheet.Text("How", Sheet.Tone.HEADING),
                        new Sheet.Text(longWords, Sheet.Tone.PLAIN),
                        new Sheet.Points(many),
                        new Sheet.Text("קיפוד", Sheet.Tone.PLAIN),
                        new Sheet.Code("http://127.0.0.1/shelf/1", "J250814-1"))));
        List<String> expected = new ArrayList<>(List.of("H1: Nettle tincture", "H2: How", "P: " + longWords));
        many.forEach(m -> expected.add("LBody: \u2022 " + m));
        expected.addAll(List.of("P: קיפוד", "Figure: A QR code that opens it: J250814-1", "Caption: J250814-1"));
        assertThat(heard).isEqualTo(expected);
    }
}
