package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.text.Bidi;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.sallowbrook.server.documents.LabelPaper;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Documents of a household, as they come out of a printer. */
public class OnPaperTest extends ServerTest {

    private Client ilse;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
    }

    private String printed(String path) throws IOException {
        Client.Answer answer = ilse.get(path);
        assertThat(answer.status()).isEqualTo(200);
        try (PDDocument document = Loader.loadPDF(answer.raw().body())) {
            return new PDFTextStripper()
                    .getText(document)
                    .replaceAll("Sallowbrook, page \\d+ of \\d+", "")
                    .replaceAll("[\\s\u00a0]+", " ");
        }
    }

    /** Every lot that is there, with how much; on the list to count by without, or it would be copied. */
    @Test
    public void theShelfIsListedAndCountedOnPaper() throws IOException {
        String list = printed("/api/shelf/list.pdf?counting=false");
        String toCount = printed("/api/shelf/list.pdf?counting=true");
        JsonNode lots = ilse.get("/api/shelf/lots").expect(200).body();
        assertThat(lots.size()).isGreaterThan(10);
        for (JsonNode lot : lots) {
            String stage = lot.path("stage").asString();
            if (!stage.equals("STOCK") && !stage.equals("FILLED")) {
                assertThat(list + toCount).doesNotContain(lot.path("code").asString());
                continue;
            }
            char[] name = lot.path("name").asString().toCharArray();
            if (Bidi.requiresBidi(name, 0, name.length)) {
                // What is read from right to left, the stripper turns round once more; how it is heard is in TagsTest.
                continue;
            }
            assertThat(list).contains(lot.path("code").asString());
            // What somebody else has is not counted here.
            assertThat(toCount.contains(lot.path("code").asString()))
                    .isEqualTo(lot.path("holder").isNull());
        }
        assertThat(list).contains("1148 mL").contains("ON HOLD");
        assertThat(toCount).doesNotContain("1148").contains("________ mL");
    }

    @Test
    public void aBatchSaysWhatWentInAndWhatIsDone() throws IOException {
        for (JsonNode b : ilse.get("/api/making/batches").expect(200).body()) {
            String sheet = printed("/api/making/batches/" + b.path("id").asString() + "/sheet.pdf");
            assertThat(sheet)
                    .contains(b.path("code").asString())
                    .contains("What went in")
                    .contains("How it was reckoned");
            for (JsonNode step : b.path("plan").path("steps")) {
                assertThat(sheet).contains(step.path("text").asString().replaceAll("\\s+", " "));
            }
            for (JsonNode line : b.path("plan").path("because")) {
                assertThat(sheet).contains(line.asString().replaceAll("\\s+", " "));
            }
        }
    }

    /** Of every card: what it is taken for and how dangerous that is, when it is gathered, and nothing unsaid as "null". */
    @Test
    public void everyCardHangsOnTheWallAndTeaches() throws IOException {
        for (JsonNode summary : ilse.get("/api/herbarium/taxa").expect(200).body()) {
            String id = summary.path("id").asString();
            JsonNode card = ilse.get("/api/herbarium/taxa/" + id).expect(200).body();
            String wall = printed("/api/herbarium/taxa/" + id + "/wall.pdf");
            String stage = card.path("months").get(0).path("stage").asString();
            String teaching = printed("/api/herbarium/taxa/" + id + "/teaching.pdf?stage=" + stage);
            assertThat(wall + teaching)
                    .as(id)
                    .contains(card.path("name").asString())
                    .doesNotContain("null", "[", "{");
            for (JsonNode likeness : card.path("lookAlikes")) {
                String other = likeness.path("commonName").asString();
                assertThat(wall).as(id).contains(other);
                assertThat(teaching.toLowerCase(Locale.ROOT)).as(id).contains(other.toLowerCase(Locale.ROOT));
            }
            for (JsonNode part : card.path("parts")) {
                assertThat(wall).as(id).contains(part.path("moment").asString().replaceAll("\\s+", " "));
            }
            if (card.path("danger").asString().equals("DEADLY")) {
                assertThat(wall).as(id).contains("Deadly poisonous");
            }
        }
    }

    /** Each day of the year once, in the order of the work, with what was in it; a year without anything says so. */
    @Test
    public void theBookOfAYearHoldsAllOfIt() throws IOException {
        String book = printed("/api/archive/book.pdf?year=" + today().getYear());
        assertThat(book).containsSubsequence("Gathered,", "Made,", "Taken,", "Written down,");
        for (JsonNode b : ilse.get("/api/making/batches").expect(200).body()) {
            assertThat(book.contains(b.path("code").asString()))
                    .isEqualTo(b.path("startedOn").asString().startsWith(today().getYear() + "-"));
        }
        for (JsonNode n : ilse.get("/api/notes").expect(200).body().path("notes")) {
            assertThat(book).contains(n.path("words").asString().replaceAll("\\s+", " "));
        }
        assertThat(printed("/api/archive/book.pdf?year=1990")).contains("Nothing was written down in this year.");
        assertThat(ilse.get("/api/archive/book.pdf?year=20260").status()).isEqualTo(400);
    }

    @DataProvider
    public Object[][] papers() {
        return Stream.of(LabelPaper.values()).map(p -> new Object[] {p}).toArray(Object[][]::new);
    }

    /** On every paper each label says all it has to, and a code on the smallest is still read; a begun sheet is used up. */
    @Test(dataProvider = "papers")
    public void labelsFillSheetsFromWhereTheyWereBegun(LabelPaper paper) throws IOException {
        JsonNode lots = ilse.get("/api/shelf/lots").expect(200).body();
        List<JsonNode> three = List.of(lots.get(0), lots.get(1), lots.get(2));
        String asked = three.stream()
                .map(l -> "lot=" + l.path("id").asString() + "&")
                .collect(Collectors.joining("", "/api/shelf/labels.pdf?", "paper=" + paper + "&from="));
        try (PDDocument document = Loader.loadPDF(
                ilse.get(asked + paper.sheet().labels()).expect(200).raw().body())) {
            // The first takes the last place of the first sheet.
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            assertThat(text(document, 1)).contains(three.get(0).path("code").asString());
            assertThat(text(document, 2))
                    .contains(three.get(1).path("code").asString())
                    .contains(three.get(2).path("code").asString());
            assertThat(PrintedCode.read(document))
                    .isEqualTo("http://127.0.0.1:" + port + "/shelf/"
                            + three.get(0).path("id").asString());
        }
        ilse.get(asked + (paper.sheet().labels() + 1)).expect(400);
        ilse.get(asked + 0).expect(400);
    }

    /** A sheet measured with a ruler: what lies on the paper is printed on it, what does not is said at its field. */
    @Test
    public void aSheetOfLabelsThatNoListHas() throws IOException {
        Map<String, Object> measured = Map.of(
                "letter",
                false,
                "columns",
                3,
                "rows",
                9,
                "labelWidthMm",
                60.0,
                "labelHeightMm",
                30.0,
                "leftMm",
                10.0,
                "topMm",
                12.5,
                "acrossMm",
                65.0,
                "downMm",
                30.0);
        JsonNode own = ilse.post("/api/shelf/labels/own", measured).expect(200).body();
        assertThat(own.path("labels").asInt()).isEqualTo(27);
        String lots = ilse.get("/api/shelf/lots")
                .expect(200)
                .body()
                .valueStream()
                .limit(3)
                .map(l -> "lot=" + l.path("id").asString() + "&")
                .collect(Collectors.joining());
        String asked =
                "/api/shelf/labels.pdf?" + lots + "own=" + own.path("own").asString() + "&from=";
        try (PDDocument document =
                Loader.loadPDF(ilse.get(asked + 27).expect(200).raw().body())) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
        }
        ilse.get(asked + 28).expect(400);
        ilse.get(asked + "1&paper=A4_70_X_36").expect(400);
        ilse.get("/api/shelf/labels.pdf?" + lots + "own=1,2,NaN&from=1").expect(400);
        for (Map.Entry<String, Object> wrong : Map.<String, Object>of(
                        "columns", 4, "rows", 10, "labelWidthMm", 5.0, "acrossMm", 20.0, "downMm", 1.0, "leftMm", -1.0)
                .entrySet()) {
            Map<String, Object> changed = new HashMap<>(measured);
            changed.put(wrong.getKey(), wrong.getValue());
            assertThat(ilse.post("/api/shelf/labels/own", changed)
                            .expect(400)
                            .body()
                            .path("errors")
                            .get(0)
                            .path("field")
                            .asString())
                    .isEqualTo(wrong.getKey());
        }
    }

    private static String text(PDDocument document, int page) throws IOException {
        PDFTextStripper stripper = new PDFTextStripper();
        stripper.setStartPage(page);
        stripper.setEndPage(page);
        return stripper.getText(document);
    }

    /** Whoever opens no page reads on the jar whom it is not for, and how strong it is. */
    @Test
    public void aLabelSaysWhomItIsNotFor() throws IOException {
        String balm = printed("/api/shelf/lots/" + lot("German chamomile") + "/label.pdf");
        assertThat(balm).contains("Matricaria chamomilla");
        String tincture = printed("/api/shelf/lots/" + lot("Meadowsweet tincture") + "/label.pdf");
        assertThat(tincture)
                .contains("Filipendula ulmaria")
                .contains("% vol, 1 : ")
                .contains("NOT ")
                .contains("under 18 years");
    }

    private String lot(String name) {
        return ilse.get("/api/shelf/lots")
                .expect(200)
                .body()
                .valueStream()
                .filter(l -> l.path("name").asString().contains(name))
                .findFirst()
                .orElseThrow()
                .path("id")
                .asString();
    }

    /** A blank look asks in the order of the page, each thing with all it may be, names no plant, and forbids to pick by it. */
    @Test
    public void aLookIsTakenAlongBlank() throws IOException {
        String look = printed("/api/calculators/identify/sheet.pdf?month=7&stage=LEAFY&region=merrow");
        assertThat(look)
                .contains("A look, in leaf")
                .contains("Pick nothing until")
                .contains("☐");
        List<String> order = ilse.get("/api/calculators/identify/order?month=7&region=merrow")
                .expect(200)
                .body()
                .valueStream()
                .filter(o -> o.path("stage").asString().equals("LEAFY"))
                .flatMap(o -> o.path("characters").valueStream())
                .map(JsonNode::asString)
                .toList();
        String first = ilse.get("/api/herbarium/characters")
                .expect(200)
                .body()
                .valueStream()
                .filter(c -> c.path("id").asString().equals(order.get(0)))
                .findFirst()
                .orElseThrow()
                .path("name")
                .asString();
        assertThat(look).contains("1. " + first);
        for (JsonNode t : ilse.get("/api/herbarium/taxa").expect(200).body()) {
            assertThat(look).doesNotContain(t.path("name").asString());
        }
        ilse.get("/api/calculators/identify/sheet.pdf?month=13&stage=LEAFY&region=merrow")
                .expect(400);
    }

    @Test
    public void theSeasonIsPrintedByWhatIsReadyFirst() throws IOException {
        String season = printed("/api/field/season.pdf");
        for (JsonNode p : ilse.get("/api/field/season").expect(200).body().path("parts")) {
            assertThat(season)
                    .contains(p.path("standName").asString() + ", "
                            + p.path("commonName").asString());
        }
        assertThat(season).contains("Ready now");
        assertThat(season.indexOf("Ready now")).isLessThan(season.indexOf("Likely begun"));
    }

    /** The weeks of the plan to take along, also when nothing is wished for. */
    @Test
    public void theYearIsPrintedByWeeks() throws IOException {
        JsonNode year = ilse.get("/api/planning/year").expect(200).body();
        String sheet = printed("/api/planning/year.pdf");
        assertThat(sheet).contains("Enough for winter");
        for (JsonNode week : year.path("weeks")) {
            for (JsonNode pick : week.path("picks")) {
                assertThat(sheet).contains("☐ " + pick.path("stand").asString());
            }
        }
    }
}
