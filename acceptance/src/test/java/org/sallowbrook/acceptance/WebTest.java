package org.sallowbrook.acceptance;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import com.microsoft.playwright.Route;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** What the interface reads, writes, merges and draws by itself, without a server: web/tests/bundle.tsx. */
public class WebTest extends InBrowser {

    private static final Path BUNDLE = Path.of("..", "web", "target", "tests", "bundle.js");

    @BeforeClass
    public void openBundle() {
        at("Europe/London");
    }

    private void at(String zone) {
        emptyPage(zone);
        page.route(
                "http://web.test/**",
                r -> r.fulfill(new Route.FulfillOptions()
                        .setContentType("text/html")
                        .setBody("<!doctype html><html lang=en><title>web</title><body></body></html>")));
        page.navigate("http://web.test/");
        page.addScriptTag(new Page.AddScriptTagOptions().setPath(BUNDLE));
    }

    /** A call on the bundle; what JSON can't carry comes back as a word. */
    private Object web(String call) {
        return page.evaluate("() => { const x = window.web." + call
                + "; return x === undefined ? 'undefined' : Number.isNaN(x) ? 'NaN' : x }");
    }

    private Object web(String function, Object... arguments) {
        return page.evaluate("([f, a]) => window.web[f](...a)", Arrays.asList(function, Arrays.asList(arguments)));
    }

    @DataProvider
    public Object[][] typed() {
        return new Object[][] {
            {"250", 250},
            {" 7 ", 7},
            {"1,5", 1.5},
            {"0.75", 0.75},
            {"0,500", 0.5},
            {"−3", -3},
            {"1500", 1500},
            {"1500,25", 1500.25},
            // One and a half to some, fifteen hundred to others.
            {"1,500", "NaN"},
            {"1.500", "NaN"},
            {"12,000", "NaN"},
            {"", "NaN"},
            {"-", "NaN"},
            {"12 g", "NaN"},
            {"1,2,3", "NaN"},
            {"0x10", "NaN"},
            {"1e3", "NaN"},
            {"Infinity", "NaN"},
        };
    }

    @Test(dataProvider = "typed")
    public void aNumberIsReadAsItWasMeantOrNotAtAll(String text, Object read) {
        Object got = web("number(" + quoted(text) + ")");
        if (read instanceof Number n) {
            assertThat(((Number) got).doubleValue()).isEqualTo(n.doubleValue());
        } else {
            assertThat(got).isEqualTo(read);
        }
    }

    private static String quoted(String text) {
        return "'" + text.replace("'", "\\'") + "'";
    }

    @DataProvider
    public Object[][] ranges() {
        return new Object[][] {
            {"0.7 to 0.85", 0.7, 0.85},
            {"0,7-0,85", 0.7, 0.85},
            {"60 – 70", 60.0, 70.0},
            {"5", 5.0, 5.0},
            {"1 to", 1.0, Double.NaN},
            {"1-2-3", 1.0, Double.NaN},
            {"some to many", Double.NaN, Double.NaN},
            {"1,500 to 2,000", Double.NaN, Double.NaN},
        };
    }

    @Test(dataProvider = "ranges")
    public void aRangeHasTwoEndsThatCanBeRead(String text, double low, double high) {
        assertThat(page.evaluate(
                        "t => { const r = window.web.rangeOf(t); return [String(r.low), String(r.high)] }", text))
                .isEqualTo(List.of(js(low), js(high)));
    }

    private static String js(double value) {
        return value == Math.rint(value) ? String.valueOf((long) value) : String.valueOf(value);
    }

    @Test
    public void whatIsLeftEmptyIsNotNought() {
        assertThat(web("numberOf('  ')")).isEqualTo("undefined");
        assertThat(web("rangeOf('')")).isEqualTo("undefined");
        assertThat(web("listOf(' queen of the meadow, , meadsweet ')"))
                .isEqualTo(List.of("queen of the meadow", "meadsweet"));
        assertThat(web("numberOf('30 %')")).isEqualTo(30);
    }

    @DataProvider
    public Object[][] figures() {
        return new Object[][] {
            {1234.56, "1235"},
            {123.4, "123"},
            {12.34, "12.3"},
            {1.5, "1.5"},
            {1.234, "1.23"},
            {0.0123, "0.012"},
            {0.0, "0"}
        };
    }

    @Test(dataProvider = "figures")
    public void aFigureIsRoundedForTheEye(double value, String read) {
        assertThat(web("figure", value)).isEqualTo(read);
    }

    @Test
    public void whatIsNoFigureIsNeverShownAsOne() {
        assertThat(web("figure(NaN)")).isEqualTo("?");
        assertThat(web("range(undefined)")).isEqualTo("?");
        assertThat(web("range({low: 0.7, high: 0.85}, 100)")).isEqualTo("70 – 85");
        assertThat(web("range({low: 2, high: 2})")).isEqualTo("2");
        assertThat(web("hours(0.2)")).isEqualTo("under an hour");
        assertThat(web("hours(47)")).isEqualTo("47 h");
        assertThat(web("hours(60)")).isEqualTo("2.5 days");
    }

    @DataProvider
    public Object[][] zones() {
        return new Object[][] {{"Pacific/Auckland"}, {"America/Los_Angeles"}, {"Asia/Kathmandu"}};
    }

    /** A label's date is a date; the household's day is its own wherever the browser stands. */
    @Test(dataProvider = "zones")
    public void daysDoNotMoveWithTheBrowser(String zone) {
        at(zone);
        assertThat(web("date('2026-07-15')")).isEqualTo("15 Jul 2026");
        assertThat(web("date(null)")).isEqualTo("no date");
        assertThat(web("month(1)")).isEqualTo("Jan");
        web("setNow('2026-07-15T23:30:00Z', 'Europe/London')");
        assertThat(web("isoToday()")).isEqualTo("2026-07-16");
        web("setNow('2026-07-15T23:30:00Z', 'America/Los_Angeles')");
        assertThat(web("isoToday()")).isEqualTo("2026-07-15");
        web("setNow('2026-12-31T11:30:00Z', 'Pacific/Auckland')");
        assertThat(web("isoToday()")).isEqualTo("2027-01-01");
        assertThat(web("moment('2026-07-15T20:30:00Z')")).isEqualTo("16 Jul 2026, 08:30");
        assertThat((String) web("nowIso()")).startsWith("2026-12-31T11:30:");
    }

    @Test
    public void whatCanNotBeReadIsNeverSentAsNothing() {
        assertThat(web("serialize({massG: 3, honey: undefined, note: null})")).isEqualTo("{\"massG\":3,\"note\":null}");
        assertThat(page.evaluate("() => { try { window.web.serialize({herb: {massG: NaN}, sizes: [1, Infinity]});"
                        + " return 'sent' } catch (e) { return e.problem.errors.map(x => x.field) } }"))
                .isEqualTo(List.of("herb.massG", "sizes[1]"));
    }

    @Test
    public void everyEndOfACallHasItsWords() {
        assertThat(web("outcome", 200, Map.of("id", 1))).isEqualTo(Map.of("data", Map.of("id", 1)));
        assertThat(web("outcome", 409, Map.of("detail", "Changed by Tam.")))
                .isEqualTo(Map.of("refused", "Changed by Tam."));
        assertThat(web("outcome", 500, "<html>"))
                .isEqualTo(Map.of("refused", "The server answered with an error it did not explain."));
        assertThat(web("outcome", 0, "").toString()).contains("does not answer").contains("Nothing was saved");
    }

    private Map<?, ?> merged(Map<String, Object> before, Map<String, Object> mine, Map<String, Object> theirs) {
        return (Map<?, ?>) web("merge", before, mine, theirs);
    }

    @Test
    public void whatOnlyOneChangedIsKeptFromWhoeverDid() {
        Map<?, ?> m = merged(
                Map.of("name", "ditch", "plants", 10, "note", "wet"),
                Map.of("name", "north ditch", "plants", 10, "note", "wet"),
                Map.of("name", "ditch", "plants", 40, "note", "wet"));
        assertThat(m.get("fields")).isEqualTo(Map.of("name", "north ditch", "plants", 40, "note", "wet"));
        assertThat(m.get("clashes")).isEqualTo(List.of());
    }

    @Test
    public void whatBothChangedIsForSomebodyToDecide() {
        Map<?, ?> m = merged(Map.of("plants", 10), Map.of("plants", 20), Map.of("plants", 40));
        assertThat(m.get("clashes")).isEqualTo(List.of("plants"));
        assertThat(m.get("fields")).isEqualTo(Map.of("plants", 40));
        assertThat(merged(Map.of("plants", 10), Map.of("plants", 20), Map.of("plants", 20))
                        .get("clashes"))
                .isEqualTo(List.of());
    }

    /** An allergy that one adds while another takes off a medicine: neither is lost. */
    @Test
    public void ofAListNothingThatEitherAddedIsLost() {
        Map<?, ?> m = merged(
                Map.of("medicines", List.of("ANTICOAGULANT", "DIURETIC")),
                Map.of("medicines", List.of("ANTICOAGULANT")),
                Map.of("medicines", List.of("ANTICOAGULANT", "DIURETIC", "LITHIUM")));
        assertThat(m.get("fields")).isEqualTo(Map.of("medicines", List.of("ANTICOAGULANT", "LITHIUM")));
        assertThat(m.get("clashes")).isEqualTo(List.of());
    }

    /** A late answer to what was typed before never stands beside what is typed now. */
    @Test
    public void aLiveCheckThatIsOvertakenIsNeverShown() {
        web("live()");
        field("typed").fill("1");
        page.waitForFunction("window.web.asked.length === 1");
        page.evaluate("window.web.asked[0].answer('one')");
        assertThat(field("answer")).hasText("one");
        assertThat(field("behind")).hasText("current");

        field("typed").fill("12");
        assertThat(field("behind")).hasText("behind");
        page.waitForFunction("window.web.asked.length === 2");
        field("typed").fill("123");
        page.waitForFunction("window.web.asked.length === 3");
        assertThat(page.evaluate("window.web.asked.map(a => a.body + ' ' + a.aborted)"))
                .isEqualTo(List.of("1 false", "12 true", "123 false"));
        page.evaluate("window.web.asked[1].answer('twelve')");
        assertThat(field("answer")).hasText("one");
        assertThat(field("behind")).hasText("behind");
        page.evaluate("window.web.asked[2].answer('one hundred and twenty-three')");
        assertThat(field("answer")).hasText("one hundred and twenty-three");
        assertThat(field("behind")).hasText("current");
    }

    @Test
    public void theUsualStateIsDrawnAndOnlyOfTheStageAndUnderOrdinaryConditions() {
        Map<String, Object> white = Map.of("state", "white", "words", "white", "frequency", "USUAL", "share", 0.9);
        Map<String, Object> pink = Map.of("state", "pink", "words", "pink", "frequency", "RARE", "share", 0.1);
        List<Object> shown = new ArrayList<>();
        shown.add(Map.of(
                "character",
                "flower-colour",
                "stages",
                List.of("FLOWERING"),
                "under",
                List.of("WET"),
                "states",
                List.of(pink)));
        shown.add(Map.of(
                "character",
                "flower-colour",
                "stages",
                List.of("FLOWERING"),
                "under",
                List.of(),
                "states",
                List.of(pink, white)));
        shown.add(Map.of(
                "character", "root", "stages", List.of("DORMANT"), "under", List.of(), "states", List.of(white)));
        assertThat(web("usualStates", shown, "FLOWERING")).isEqualTo(Map.of("flower-colour", "white"));
    }

    @Test
    public void drawingsTellTheTruth() {
        // A quarter full is a quarter of the height between ground and brim; over the headspace it warns.
        String quarter = (String) web("jar", 400, 0, 100);
        String half = (String) web("jar", 400, 0, 200);
        assertThat(level(half) / level(quarter)).isEqualTo(2.0);
        assertThat(quarter).doesNotContain("var(--madder)");
        assertThat((String) web("jar", 400, 0, 390)).contains("var(--madder)");
        String empty = (String) web("basket", 0);
        String full = (String) web("basket", 1);
        assertThat(full.split("<path").length).isEqualTo(empty.split("<path").length + 1);
        assertThat((String) web("state", "leaf-outline", "divided", Map.of())).isEmpty();
        assertThat((String) web("state", "petals", "four-free", Map.of()))
                .contains("<svg")
                .isNotEqualTo(web("state", "petals", "five-free", Map.of()));
    }

    /** The height of the liquid above the ground of the jar, from the line drawn on it. */
    private static double level(String svg) {
        var line = java.util.regex.Pattern.compile("M40 ([0-9.]+)H190").matcher(svg);
        assertThat(line.find()).isTrue();
        return 352 - Double.parseDouble(line.group(1));
    }

    @Test
    public void aHarmlessPlantIsNotShownHarmlessBesideADeadlyOne() {
        assertThat((String) web("danger", "HARMLESS"))
                .contains("harmless itself")
                .doesNotContain("deadly");
        assertThat((String) web("danger", "HARMLESS", Map.of("commonName", "hemlock", "danger", "DEADLY")))
                .contains("harmless itself")
                .contains("taken for hemlock, deadly");
    }

    /** Every word a list of the database may show is a word of the language, and no two in a list are the same. */
    @Test
    public void noDictionaryShowsAWordOfTheDatabase() {
        Object wrong = page.evaluate(
                "() => Object.entries(window.web.dictionary)"
                        + ".filter(([, d]) => typeof d === 'object').flatMap(([name, d]) => {"
                        + "  const words = Object.values(d).map(w => typeof w === 'string' ? w : JSON.stringify(w));"
                        + "  const raw = /\\b(?!HIV\\b)[A-Z]{3,}\\b|_/;"
                        + "  return [...words.filter(w => raw.test(w) || w.trim() === ''),"
                        // What a caution is about begins "with" for a medicine and for a food alike.
                        + "    ...words.filter((w, i) => name !== 'SUBJECT' && words.indexOf(w) !== i)].map(w => name + ': ' + w) })");
        assertThat((List<?>) wrong).isEmpty();
        assertThat(((Number) page.evaluate("Object.keys(window.web.dictionary).length")).intValue())
                .isGreaterThan(20);
    }

    @DataProvider
    public Object[][] laid() {
        return new Object[][] {
            {"{seq: 1, variables: {massG: 7}}", "{seq: 1, version: 3, variables: {mass: 7, unit: 'g'}}"},
            {
                "{version: 1, variables: {massG: 7}, back: {path: '/x', fields: {massG: '7'}}}",
                "{version: 3, variables: {mass: 7, unit: 'g'}, back: {path: '/x', fields: {mass: '7', unit: 'g'}}}"
            },
            {"{version: 2, variables: {mass: 7}}", "{version: 3, variables: {mass: 7, unit: 'g'}}"},
            {"{version: 3, variables: {mass: 7, unit: 'kg'}}", "{version: 3, variables: {mass: 7, unit: 'kg'}}"},
            // Of a page that knows more than this one.
            {"{version: 4, variables: {}}", "undefined"},
        };
    }

    @Test(dataProvider = "laid")
    public void anEntryOfAnOlderVersionBecomesOneOfThisOne(String entry, String expected) {
        Object wanted = expected.equals("undefined") ? expected : page.evaluate("() => (" + expected + ")");
        assertThat(web("upgraded(" + entry + ")")).isEqualTo(wanted);
    }
}
