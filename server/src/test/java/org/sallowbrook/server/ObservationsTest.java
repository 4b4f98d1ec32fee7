package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import javax.xml.parsers.DocumentBuilderFactory;
import org.testng.annotations.Test;
import org.w3c.dom.Document;
import org.w3c.dom.Element;
import org.w3c.dom.NodeList;
import tools.jackson.databind.JsonNode;

/** The archive of observations, read by its own description as any other program would read it. */
public class ObservationsTest extends ServerTest {

    private static Map<String, byte[]> files(byte[] archive) throws IOException {
        Map<String, byte[]> files = new HashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        return files;
    }

    /** By the text guide: what meta.xml says of the table is all that is known of it. */
    private List<Map<String, String>> rows(String query) throws Exception {
        Map<String, byte[]> files = files(as("ilse")
                .get("/api/field/ground/observations.zip?" + query)
                .expect(200)
                .raw()
                .body());
        DocumentBuilderFactory factory = DocumentBuilderFactory.newInstance();
        factory.setNamespaceAware(true);
        Document meta = factory.newDocumentBuilder().parse(new ByteArrayInputStream(files.get("meta.xml")));
        assertThat(meta.getDocumentElement().getNamespaceURI()).isEqualTo("http://rs.tdwg.org/dwc/text/");
        Element core = (Element) meta.getElementsByTagName("core").item(0);
        assertThat(core.getAttribute("rowType")).isEqualTo("http://rs.tdwg.org/dwc/terms/Occurrence");
        String separator = core.getAttribute("fieldsTerminatedBy").replace("\\t", "\t");
        int skip = Integer.parseInt(core.getAttribute("ignoreHeaderLines"));
        NodeList fields = core.getElementsByTagName("field");
        Document eml = factory.newDocumentBuilder()
                .parse(new ByteArrayInputStream(
                        files.get(meta.getDocumentElement().getAttribute("metadata"))));
        assertThat(eml.getElementsByTagName("title").getLength()).isEqualTo(1);
        assertThat(eml.getElementsByTagName("contact").getLength()).isEqualTo(1);
        String table = new String(
                files.get(core.getElementsByTagName("location").item(0).getTextContent()), StandardCharsets.UTF_8);
        return table.lines()
                .skip(skip)
                .map(line -> {
                    String[] cells = line.split(separator, -1);
                    assertThat(cells).hasSize(fields.getLength());
                    Map<String, String> row = new HashMap<>();
                    for (int i = 0; i < fields.getLength(); i++) {
                        Element field = (Element) fields.item(i);
                        String term = field.getAttribute("term");
                        assertThat(term).startsWith("http://rs.tdwg.org/dwc/terms/");
                        row.put(
                                term.substring(term.lastIndexOf('/') + 1),
                                cells[Integer.parseInt(field.getAttribute("index"))]);
                    }
                    return row;
                })
                .toList();
    }

    @Test
    public void onlyWhatIsCertainIsGivenAndProtectedPlacesNever() throws Exception {
        List<Map<String, String>> exact = rows("places=EXACT&names=true");
        List<JsonNode> stands = as("ilse")
                .get("/api/field/stands")
                .expect(200)
                .body()
                .valueStream()
                .toList();
        List<JsonNode> certain =
                stands.stream().filter(s -> s.path("certain").asBoolean()).toList();
        assertThat(certain).isNotEmpty().hasSizeLessThan(stands.size());
        assertThat(exact).hasSize(certain.size());
        assertThat(exact).extracting(r -> r.get("occurrenceID")).doesNotHaveDuplicates();
        for (JsonNode s : certain) {
            Map<String, String> row = exact.stream()
                    .filter(r -> r.get("occurrenceID")
                            .equals("urn:uuid:" + s.path("id").asString()))
                    .findFirst()
                    .orElseThrow();
            assertThat(row.get("scientificName"))
                    .isEqualTo(s.path("scientificName").asString());
            assertThat(row.get("basisOfRecord")).isEqualTo("HumanObservation");
            assertThat(row.get("eventDate")).matches("\\d{4}-\\d\\d-\\d\\d");
            boolean shown = !s.path("protectedSpecies").asBoolean()
                    && !s.path("latitude").isNull();
            assertThat(row.get("decimalLatitude").isEmpty()).isNotEqualTo(shown);
            assertThat(row.get("geodeticDatum").isEmpty()).isNotEqualTo(shown);
        }
        // The places of a hundredth and a tenth of a degree, and none.
        for (Map<String, String> row : rows("places=KILOMETRE&names=false")) {
            assertThat(row.get("decimalLatitude")).matches("(-?\\d+\\.\\d\\d)?");
            assertThat(row.get("recordedBy")).isEmpty();
        }
        for (Map<String, String> row : rows("places=TEN_KILOMETRES&names=false")) {
            assertThat(row.get("decimalLongitude")).matches("(-?\\d+\\.\\d)?");
        }
        for (Map<String, String> row : rows("places=NONE&names=false")) {
            assertThat(row.get("decimalLatitude") + row.get("decimalLongitude")).isEmpty();
            assertThat(row.get("informationWithheld")).contains("where it grows");
        }
    }

    /** A stand that is said to be of a protected plant keeps its place to itself, however exactly it was asked for. */
    @Test
    public void aProtectedStandKeepsItsPlace() throws Exception {
        Client ilse = as("ilse");
        JsonNode stand = ilse.get("/api/field/stands")
                .body()
                .valueStream()
                .filter(s ->
                        s.path("certain").asBoolean() && !s.path("latitude").isNull())
                .findFirst()
                .orElseThrow();
        Map<String, Object> request = new HashMap<>();
        for (String field : List.of(
                "id",
                "taxonId",
                "name",
                "place",
                "ground",
                "permission",
                "plenty",
                "neighbour",
                "latitude",
                "longitude",
                "elevationM",
                "growingSince")) {
            request.put(field, stand.get(field));
        }
        request.put("protectedSpecies", true);
        JsonNode changed = ilse.put(
                        "/api/field/stands/" + stand.path("id").asString(),
                        request,
                        stand.path("version").asString())
                .expect(200)
                .body();
        assertThat(changed.path("protectedSpecies").asBoolean()).isTrue();
        Map<String, String> row = rows("places=EXACT&names=false").stream()
                .filter(r -> r.get("occurrenceID").endsWith(stand.path("id").asString()))
                .findFirst()
                .orElseThrow();
        assertThat(row.get("decimalLatitude") + row.get("decimalLongitude")).isEmpty();
        assertThat(row.get("informationWithheld")).contains("protected");
    }
}
