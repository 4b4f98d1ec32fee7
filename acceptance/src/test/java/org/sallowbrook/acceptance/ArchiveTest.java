package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.testng.Assert.assertEquals;
import static org.testng.Assert.assertTrue;

import com.microsoft.playwright.Download;
import com.microsoft.playwright.options.FilePayload;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.security.MessageDigest;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.testng.annotations.Test;

/** All records out into a file and what is new of one in, by somebody at the desk. */
public class ArchiveTest extends InBrowser {

    private static final int MANY = 990;

    private byte[] takenAlong() throws IOException {
        go("/household");
        link("All records, out and back").click();
        heading("All records, out and back").waitFor();
        Download file =
                page.waitForDownload(() -> link("All records as one file").click());
        assertTrue(
                file.suggestedFilename().matches("sallowbrook-\\d{4}-\\d\\d-\\d\\d\\.zip"), file.suggestedFilename());
        return Files.readAllBytes(file.path());
    }

    private void give(byte[] archive) {
        field("The archive (.zip)").setInputFiles(new FilePayload("archive.zip", "application/zip", archive));
    }

    /** What is new comes after it was said; a second time there is nothing to take in. */
    @Test
    public void whatIsNewComesAfterItWasSaid() throws Exception {
        String words = "from the old machine " + UUID.randomUUID();
        byte[] more = withNote(takenAlong(), words);
        give(more);
        assertThat(page.getByText("Only what is new comes.")).isVisible();
        accessible("an archive looked through");
        page.getByText("Line by line").click();
        assertThat(page.getByText("from the old machine")).isVisible();
        button("Take in one record").click();
        assertThat(page.getByText("must say in a few words whose records").first())
                .isVisible();
        field("Whose records these are, and how you know").fill("ours, written on the old machine this morning");
        button("Take in one record").click();
        assertThat(page.getByText("It is in: one record.")).isVisible();
        give(more);
        assertThat(page.getByText("there is nothing to take in")).isVisible();
        button("Leave it").click();
        assertThat(field("The archive (.zip)")).isVisible();
        go("/notes");
        assertThat(page.getByText(words)).isVisible();
    }

    @Test
    public void whatIsNoArchiveIsRefusedInWords() throws Exception {
        byte[] archive = takenAlong();
        give("a letter".getBytes(StandardCharsets.UTF_8));
        assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.ALERT))
                .containsText("is no archive of Sallowbrook");
        give(java.util.Arrays.copyOf(archive, archive.length - 900));
        assertThat(page.getByRole(com.microsoft.playwright.options.AriaRole.ALERT))
                .containsText("cut off");
        give(archive);
        assertThat(page.getByText("there is nothing to take in")).isVisible();
    }

    @Test
    public void oneListForASpreadsheet() throws Exception {
        go("/archive");
        choose("Numbers are written", "1,5, fields parted by semicolons");
        Download file = page.waitForDownload(() -> link("Harvests").click());
        assertEquals(file.suggestedFilename(), "harvests.csv");
        assertTrue(Files.readString(file.path()).contains("\"day\";\"plant\";\"part\""));
    }

    /** A list of one's own: seen line by line, assigned where a heading says nothing, in, and back in one touch. */
    @Test
    public void aListOfOnesOwnComesInAndGoesBack() {
        go("/archive");
        link("Read a list in").click();
        heading("Read a list in").waitFor();
        choose("What it holds", "Vessels");
        field("The table (.csv)")
                .setInputFiles(new FilePayload(
                        "cellar.csv",
                        "text/csv",
                        "Kind;Fits (cl);How many\njar;37;4\nbarrel;50;1\n".getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText("No column is taken for Holds.")).isVisible();
        choose("“Fits (cl)” is", "Holds, needed");
        assertThat(region("Line by line")).containsText("Kind must be one of jar, bottle, flask, tin");
        accessible("a list looked at");
        button("Take in one line").click();
        assertThat(page.getByText("It is in: one line.")).isVisible();
        go("/shelf/vessels");
        assertThat(main()).containsText("370 mL");
        go("/archive/lists");
        button("Take all of it back").first().click();
        assertThat(main()).containsText("taken back");
        go("/shelf/vessels");
        heading("Jars, bottles and tins").waitFor();
        assertThat(main()).not().containsText("370 mL");
    }

    /** A long list says how far it is; stopped, it does not begin again by itself. */
    @Test
    public void aLongListIsStopped() {
        go("/archive/lists");
        choose("What it holds", "Supplies: spirit, oil, wax and the like");
        field("The table (.csv)")
                .setInputFiles(new FilePayload(
                        "wax.csv",
                        "text/csv",
                        ("What,Name,Amount in grams\n" + "wax,Comb wax,200\n".repeat(3) + many())
                                .getBytes(StandardCharsets.UTF_8)));
        assertThat(page.getByText(Pattern.compile("Reading: \\d+ of " + (MANY + 3))))
                .isVisible();
        accessible("a list being read");
        button("Stop").click();
        assertThat(page.getByText("Stopped. Nothing was changed.")).isVisible();
        assertThat(button("Stop")).isHidden();
    }

    private static String many() {
        return IntStream.range(0, MANY)
                .mapToObj(i -> "wax,Comb wax " + i + ",200\n")
                .collect(Collectors.joining());
    }

    /** The name, letter by letter, and the password: anything else deletes nothing. */
    @Test
    public void aSlipDeletesNothing() {
        go("/archive");
        accessible("all records");
        page.getByText("Delete this household for good").click();
        field("The household’s name, letter by letter").fill("merrow");
        field("Your password").fill("merrow-demo");
        button("Delete everything").click();
        assertThat(page.getByText("must be the name of this household").first()).isVisible();
        go("/shelf");
        heading("Shelf").waitFor();
    }

    private static byte[] withNote(byte[] archive, String words) throws Exception {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        }
        String notes = new String(files.get("tables/note.json"), StandardCharsets.UTF_8);
        String first = notes.lines().filter(l -> l.startsWith("{")).findFirst().orElseThrow();
        String added = first.replaceFirst("\"id\":\"[^\"]+\"", "\"id\":\"" + UUID.randomUUID() + "\"")
                .replaceFirst("\"words\":\"[^\"]*\"", "\"words\":\"" + words + "\"")
                .replaceFirst(",$", "");
        files.put(
                "tables/note.json",
                notes.replaceFirst("\\[\n", "[\n" + java.util.regex.Matcher.quoteReplacement(added) + ",\n")
                        .getBytes(StandardCharsets.UTF_8));
        String head = new String(files.get("archive.json"), StandardCharsets.UTF_8);
        long rows = notes.lines().filter(l -> l.startsWith("{")).count();
        files.put(
                "archive.json",
                head.replace("\"note\" : " + rows, "\"note\" : " + (rows + 1)).getBytes(StandardCharsets.UTF_8));
        files.remove("manifest");
        StringBuilder manifest = new StringBuilder();
        for (Map.Entry<String, byte[]> file : files.entrySet()) {
            manifest.append(HexFormat.of()
                            .formatHex(MessageDigest.getInstance("SHA-256").digest(file.getValue())))
                    .append("  ")
                    .append(file.getKey())
                    .append('\n');
        }
        files.put("manifest", manifest.toString().getBytes(StandardCharsets.UTF_8));
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        }
        return out.toByteArray();
    }
}
