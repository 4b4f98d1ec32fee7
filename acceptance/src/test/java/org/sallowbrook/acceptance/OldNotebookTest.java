package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/**
 * The application was updated while things lay on a device. notebook/VERSION.json holds an entry of every command as that
 * version of it laid it down; such a file is never edited, only added to.
 */
public class OldNotebookTest extends OnAPhone {

    private static final Path FILES = Path.of("src/test/resources/notebook");

    /** What the entries speak of, in the house as it is now. */
    private static final String NAMES = """
            async () => {
              const get = async (path) => (await fetch(path)).json()
              const session = await get('/api/session')
              const stands = await get('/api/field/stands')
              const named = (name) => stands.find((s) => s.name === name).id
              const run = (await get('/api/drying/runs')).find((r) => r.status === 'DRYING' && !r.byTestAlone)
              return {
                account: session.account,
                now: session.now,
                day: session.now.slice(0, 10),
                limes: named('The three limes'),
                nettles: named('Nettles behind the hedge'),
                person: (await get('/api/people'))[0].id,
                run: run.id,
                mass: String(run.weighings.at(-1)?.massG ?? run.freshG),
              }
            }
            """;

    /** Laid down as an older page did: without a version, or with its own. */
    private static final String LAY = """
            async ([who, version, entries]) => {
              const picture = await new Promise((done) => {
                const canvas = document.createElement('canvas')
                canvas.width = canvas.height = 8
                canvas.getContext('2d').fillRect(0, 0, 8, 8)
                canvas.toBlob(done, 'image/png')
              })
              const db = await new Promise((done, fail) => {
                const opening = indexedDB.open(`sallowbrook ${who}`)
                opening.onsuccess = () => done(opening.result)
                opening.onerror = () => fail(opening.error)
              })
              const laid = db.transaction('outbox', 'readwrite')
              for (const entry of entries) {
                if (entry.variables.file === '@picture') entry.variables.file = picture
                laid.objectStore('outbox').add({ who, at: new Date().toISOString(), ...(version > 1 ? { version } : {}), ...entry })
              }
              await new Promise((done, fail) => { laid.oncomplete = done; laid.onerror = () => fail(laid.error) })
              db.close()
            }
            """;

    @BeforeClass
    @Override
    public void signIn() {
        newPage(390, 844);
        signIn("ilse");
        go("/field/notebook");
        heading("Notebook").waitFor();
    }

    private static List<Path> files() throws IOException {
        try (Stream<Path> files = Files.list(FILES)) {
            return files.sorted().toList();
        }
    }

    @Test
    public void everyCommandHasAnEntryOfItsFirstVersion() throws IOException {
        Set<String> commands = new TreeSet<>();
        try (Stream<Path> sources = Files.walk(Path.of("..", "web", "src"))) {
            for (Path source :
                    sources.filter(p -> p.toString().endsWith("commands.ts")).toList()) {
                all("command\\(\\s*'([^']+)'", Files.readString(source), commands);
            }
        }
        Set<String> entries = new TreeSet<>();
        all("\"key\": \"([^\"]+)\"", Files.readString(FILES.resolve("1.json")), entries);
        org.assertj.core.api.Assertions.assertThat(entries).isEqualTo(commands).hasSizeGreaterThan(5);
    }

    private static void all(String pattern, String text, Set<String> into) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        while (found.find()) {
            into.add(found.group(1));
        }
    }

    @Test
    @SuppressWarnings("unchecked")
    public void whatAnOlderPageLaidDownIsSentByThisOne() throws IOException {
        for (Path file : files()) {
            String version = file.getFileName().toString().replace(".json", "");
            Map<String, String> names = (Map<String, String>) page.evaluate(NAMES);
            // A number has no quotes.
            String entries = Files.readString(file).replace("\"@mass\"", names.get("mass"));
            for (var name : names.entrySet()) {
                entries = entries.replace("@" + name.getKey(), name.getValue());
            }
            String house = "01a22cbb-" + version + "000-7000-8000-00000000000";
            entries = entries.replaceAll("@(\\d)", house + "$1");
            page.evaluate("async (text) => { window.laid = JSON.parse(text) }", entries);
            page.evaluate(
                    "async (a) => (" + LAY + ")([...a, window.laid])",
                    List.of(names.get("account"), Integer.parseInt(version)));
            go("/field/notebook");
            page.getByRole(AriaRole.BUTTON, new com.microsoft.playwright.Page.GetByRoleOptions().setName("Send now"))
                    .or(section("Waiting for the line").getByText("Nothing waits here"))
                    .waitFor();
            assertThat(section("Waiting for the line")).containsText("Nothing waits here");
            assertThat(page.getByText("Refused: put it right")).hasCount(0);
            // It is there, with its picture and its words.
            go("/field/stands/" + house + "1");
            assertThat(main()).containsText("2 characters were looked at");
            assertThat(page.getByAltText("as the first version kept it")).hasCount(1);
            go("/notes/" + house + "0");
            assertThat(main()).containsText("a week until it opens");
            assertThat(main().locator("img")).hasCount(1);
            go("/drying");
            assertThat(section("Picked, waiting for the rack")).containsText("23 g stinging nettle");
        }
    }
}
