package org.sallowbrook.server.field;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.zip.ZipEntry;
import java.util.zip.ZipOutputStream;
import javax.xml.stream.XMLOutputFactory;
import javax.xml.stream.XMLStreamException;
import javax.xml.stream.XMLStreamWriter;
import org.sallowbrook.core.herbarium.Taxon;
import org.sallowbrook.server.herbarium.HerbariumService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Member;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/**
 * What grows where, as a Darwin Core archive (TDWG Darwin Core, text guide of 2023): one table of occurrences, what its columns
 * are, and who gave it. Only what is certain; where protected plants grow is withheld.
 */
@Component
class Observations {

    /** How exactly places are given away. */
    enum Places {
        EXACT(null),
        /** To a hundredth of a degree. */
        KILOMETRE(2),
        /** To a tenth of a degree. */
        TEN_KILOMETRES(1),
        NONE(null);

        private final @org.jspecify.annotations.Nullable Integer decimals;

        Places(@org.jspecify.annotations.Nullable Integer decimals) {
            this.decimals = decimals;
        }
    }

    private static final String TERMS = "http://rs.tdwg.org/dwc/terms/";
    private static final String TEXT = "http://rs.tdwg.org/dwc/text/";
    private static final String EML = "https://eml.ecoinformatics.org/eml-2.2.0";

    /** Each a term of Darwin Core, in the order of the columns. */
    static final List<String> COLUMNS = List.of(
            "occurrenceID",
            "basisOfRecord",
            "occurrenceStatus",
            "eventDate",
            "scientificName",
            "scientificNameAuthorship",
            "taxonRank",
            "kingdom",
            "family",
            "vernacularName",
            "lifeStage",
            "decimalLatitude",
            "decimalLongitude",
            "geodeticDatum",
            "coordinateUncertaintyInMeters",
            "identificationVerificationStatus",
            "recordedBy",
            "informationWithheld",
            "dataGeneralizations");

    /** Of a position that somebody gave without saying how exactly. */
    private static final int EXACT_M = 100;

    /** Half the diagonal of a cell of 0.01 and 0.1 degrees at the equator, where it is longest. */
    private static final int[] CELL_M = {0, 7900, 790};

    private final StandService stands;
    private final HerbariumService herbarium;
    private final PeopleService people;

    Observations(StandService stands, HerbariumService herbarium, PeopleService people) {
        this.stands = stands;
        this.herbarium = herbarium;
        this.people = people;
    }

    /** @param names whether who looked is given along */
    @Transactional(readOnly = true)
    public byte[] archive(Places places, boolean names) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out, StandardCharsets.UTF_8)) {
            add(zip, "occurrence.txt", table(places, names));
            add(zip, "meta.xml", meta());
            add(zip, "eml.xml", eml());
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (XMLStreamException e) {
            throw new IllegalStateException(e);
        }
        return out.toByteArray();
    }

    private static void add(ZipOutputStream zip, String name, String text) throws IOException {
        zip.putNextEntry(new ZipEntry(name));
        zip.write(text.getBytes(StandardCharsets.UTF_8));
        zip.closeEntry();
    }

    private String table(Places places, boolean names) {
        StringBuilder table = new StringBuilder(String.join("\t", COLUMNS)).append('\n');
        for (StandService.StandView s : stands.stands()) {
            if (s.certain() && s.taxonId() != null && s.identification() != null) {
                List<String> line = line(s, herbarium.taxon(s.taxonId()), places, names);
                table.append(String.join(
                                "\t", line.stream().map(Observations::cell).toList()))
                        .append('\n');
            }
        }
        return table.toString();
    }

    /** The table parts fields by tabs and lines by their ends, and quotes nothing. */
    private static String cell(String text) {
        return text.replaceAll("[\\t\\r\\n]+", " ");
    }

    private List<String> line(StandService.StandView s, Taxon taxon, Places places, boolean names) {
        LookService.IdentificationView look = java.util.Objects.requireNonNull(s.identification());
        boolean withheld = s.protectedSpecies() || places == Places.NONE;
        Double latitude = withheld ? null : s.latitude();
        Double longitude = withheld ? null : s.longitude();
        boolean placed = latitude != null && longitude != null;
        List<String> line = new ArrayList<>();
        line.add("urn:uuid:" + s.id());
        line.add("HumanObservation");
        line.add("present");
        line.add(look.on().toString());
        line.add(taxon.name());
        line.add(taxon.naming().author());
        line.add("species");
        line.add("Plantae");
        line.add(taxon.naming().family());
        line.add(taxon.commonName());
        line.add(look.stage().name().toLowerCase(Locale.ROOT).replace('_', ' '));
        line.add(placed ? rounded(latitude, places) : "");
        line.add(placed ? rounded(longitude, places) : "");
        line.add(placed ? "EPSG:4326" : "");
        line.add(placed ? String.valueOf(places.decimals == null ? EXACT_M : CELL_M[places.decimals]) : "");
        line.add("told by its characters from the dangerous plants of the region");
        line.add(names ? look.identifiedBy() : "");
        line.add(
                s.protectedSpecies()
                        ? "where it grows, for it is protected"
                        : places == Places.NONE ? "where it grows" : "");
        line.add(
                placed && places.decimals != null
                        ? "position rounded to " + (places == Places.KILOMETRE ? "0.01" : "0.1") + " degrees"
                        : "");
        return line;
    }

    private static String rounded(Double degrees, Places places) {
        BigDecimal exact = BigDecimal.valueOf(degrees);
        return (places.decimals == null ? exact : exact.setScale(places.decimals, RoundingMode.HALF_EVEN))
                .toPlainString();
    }

    private static String meta() throws XMLStreamException {
        StringWriter out = new StringWriter();
        XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out);
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("archive");
        xml.writeDefaultNamespace(TEXT);
        xml.writeAttribute("metadata", "eml.xml");
        xml.writeStartElement("core");
        xml.writeAttribute("encoding", "UTF-8");
        xml.writeAttribute("fieldsTerminatedBy", "\\t");
        xml.writeAttribute("linesTerminatedBy", "\\n");
        xml.writeAttribute("fieldsEnclosedBy", "");
        xml.writeAttribute("ignoreHeaderLines", "1");
        xml.writeAttribute("rowType", TERMS + "Occurrence");
        xml.writeStartElement("files");
        xml.writeStartElement("location");
        xml.writeCharacters("occurrence.txt");
        xml.writeEndElement();
        xml.writeEndElement();
        xml.writeEmptyElement("id");
        xml.writeAttribute("index", "0");
        for (int i = 0; i < COLUMNS.size(); i++) {
            xml.writeEmptyElement("field");
            xml.writeAttribute("index", String.valueOf(i));
            xml.writeAttribute("term", TERMS + COLUMNS.get(i));
        }
        xml.writeEndDocument();
        return out.toString();
    }

    private String eml() throws XMLStreamException {
        LocalDate today = people.today();
        StringWriter out = new StringWriter();
        XMLStreamWriter xml = XMLOutputFactory.newFactory().createXMLStreamWriter(out);
        xml.writeStartDocument("UTF-8", "1.0");
        xml.writeStartElement("eml", "eml", EML);
        xml.writeNamespace("eml", EML);
        xml.writeAttribute("packageId", "urn:uuid:" + Member.current().householdId() + "/" + today);
        xml.writeAttribute("system", "Sallowbrook");
        xml.writeStartElement("dataset");
        text(xml, "title", "Plants of a gathering household, as of " + today);
        person(xml, "creator");
        text(xml, "pubDate", today.toString());
        xml.writeStartElement("abstract");
        text(
                xml,
                "para",
                "Stands of wild plants that were told from the dangerous plants of their region by their characters.");
        xml.writeEndElement();
        person(xml, "contact");
        xml.writeEndDocument();
        return out.toString();
    }

    /** Whoever hands the file on says who they are; nothing of it is given away here. */
    private static void person(XMLStreamWriter xml, String role) throws XMLStreamException {
        xml.writeStartElement(role);
        text(xml, "organizationName", "A household");
        xml.writeEndElement();
    }

    private static void text(XMLStreamWriter xml, String name, String text) throws XMLStreamException {
        xml.writeStartElement(name);
        xml.writeCharacters(text);
        xml.writeEndElement();
    }
}
