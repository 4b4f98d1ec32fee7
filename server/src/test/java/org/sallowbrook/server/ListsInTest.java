package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.CompletableFuture;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.sallowbrook.server.household.SignIn;
import org.sallowbrook.server.platform.Member;
import org.springframework.beans.factory.annotation.Autowired;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** Lists that were kept elsewhere: read whatever a spreadsheet wrote, tried at the rooms' own doors, taken back as a whole. */
public class ListsInTest extends ServerTest {

    private static final int MANY = 900;

    @Autowired
    SignIn signIn;

    private Client keeper;

    @BeforeClass
    public void household() {
        keeper = another("lists.in");
    }

    private Client another(String name) {
        signIn.create(
                new SignIn.SetupRequest("House of " + name, "Etc/UTC", "merrow", name, name, "merrow-demo"),
                Member.Role.KEEPER);
        return Client.of(port, name);
    }

    private Client.Answer look(String list, String table) {
        return look(list, table.getBytes(StandardCharsets.UTF_8), "");
    }

    private Client.Answer look(String list, byte[] table, String query) {
        return keeper.send("POST", "/api/archive/tables/" + list + "/look" + query, table, "text/csv", null);
    }

    private Client.Answer take(String list, UUID id, String table, String query) {
        return keeper.send(
                "POST",
                "/api/archive/tables/" + list + "/" + id + "?name=list.csv" + query,
                table.getBytes(StandardCharsets.UTF_8),
                "text/csv",
                null);
    }

    private static List<String> fates(JsonNode look) {
        return look.path("lines")
                .valueStream()
                .map(l -> l.path("fate").asString())
                .toList();
    }

    private static String wrong(JsonNode look, int line) {
        return look.path("lines")
                .valueStream()
                .filter(l -> l.path("line").asInt() == line)
                .flatMap(l -> l.path("wrong").valueStream())
                .map(w -> w.path("column").asString() + " " + w.path("message").asString())
                .reduce("", (a, b) -> a + b + "; ");
    }

    private List<String> stands() {
        return keeper.get("/api/field/stands")
                .expect(200)
                .body()
                .valueStream()
                .map(s -> s.path("name").asString())
                .toList();
    }

    /** Whoever began it sees how far it is, and nobody else; stopped in the middle, nothing of it is here. */
    @Test
    public void longWorkSaysHowFarItIsAndIsStopped() throws Exception {
        String table = "What,Name,Amount in grams\n"
                + IntStream.range(0, MANY)
                        .mapToObj(i -> "wax,Stopped wax " + i + ",200\n")
                        .collect(Collectors.joining());
        CompletableFuture<Client.Answer> taking =
                CompletableFuture.supplyAsync(() -> take("supplies", id(), table, ""));
        Client same = Client.of(port, "lists.in");
        Client other = another("lists.other");
        JsonNode now = same.get("/api/archive/progress").body();
        while (now.path(0).path("done").asInt() < 2 && !taking.isDone()) {
            now = same.get("/api/archive/progress").body();
        }
        assertThat(now.path(0).path("of").asInt()).isEqualTo(MANY);
        assertThat(other.get("/api/archive/progress").body()).isEmpty();
        // Nobody stops what another began.
        other.send("DELETE", "/api/archive/progress", new byte[0], "application/json", null)
                .expect(204);
        same.send("DELETE", "/api/archive/progress", new byte[0], "application/json", null)
                .expect(204);
        Client.Answer stopped = taking.get();
        assertThat(stopped.status()).isEqualTo(409);
        assertThat(stopped.words()).contains("Stopped. Nothing was changed.");
        assertThat(same.get("/api/archive/progress").body()).isEmpty();
        assertThat(keeper.get("/api/shelf/lots").words()).doesNotContain("Stopped wax");
    }

    @Test
    public void standsComeByTheirDoorAndAreTakenBackInOneTouch() {
        String table = """
                Stand;Where;Species;Height (ft);Latitude;Longitude;Remarks
                Nettle bank;behind the barn;stinging nettle;820;48,123;11,5;stings
                Lime avenue;village;Tilia cordata;;;;
                Nowhere;moor;dragon weed;;;;
                High one;moor;;12.000;;;
                Nettle bank;behind the barn;;;;;
                """;
        JsonNode look = look("stands", table).expect(200).body();
        assertThat(fates(look)).containsExactly("COMES", "COMES", "WRONG", "WRONG", "HERE");
        assertThat(look.path("decimal").asString()).isEqualTo("COMMA");
        assertThat(wrong(look, 4)).contains("Plant is no whole name of a plant here");
        assertThat(wrong(look, 5)).contains("Above the sea may be two numbers, “12.000”");
        assertThat(wrong(look, 6)).contains("the same as line 2");
        assertThat(look.path("headings").get(6).path("column").isNull()).isTrue();
        // Looking changes nothing.
        assertThat(stands()).isEmpty();

        UUID id = id();
        assertThat(take("stands", id, table, "").status()).isEqualTo(400);
        assertThat(stands()).isEmpty();
        JsonNode taken = take("stands", id, table, "&without=4,5").expect(200).body();
        assertThat(taken.path("lines").asInt()).isEqualTo(2);
        assertThat(take("stands", id, table, "&without=4,5").expect(200).body()).isEqualTo(taken);
        // The same id with another file is no repeat, and nothing of that file is dropped unsaid.
        assertThat(take("stands", id, "Name,Place\nOther,here\n", "").status()).isEqualTo(409);
        assertThat(stands()).containsExactly("Lime avenue", "Nettle bank");
        JsonNode nettle = keeper.get("/api/field/stands")
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().equals("Nettle bank"))
                .findFirst()
                .orElseThrow();
        assertThat(nettle.path("elevationM").asDouble())
                .isEqualTo(820 * 0.3048, org.assertj.core.api.Assertions.within(1e-9));
        assertThat(nettle.path("latitude").asDouble()).isEqualTo(48.123);
        // Read twice, it brings nothing twice.
        assertThat(fates(look("stands", table).body()).subList(0, 2)).containsExactly("HERE", "HERE");
        past(table);

        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
        assertThat(stands()).isEmpty();
        assertThat(keeper.get("/api/archive/tables/taken")
                        .expect(200)
                        .body()
                        .valueStream()
                        .filter(t -> t.path("id").asString().equals(id.toString()))
                        .findFirst()
                        .orElseThrow()
                        .path("backBy")
                        .asString())
                .isEqualTo("lists.in");
        assertThat(keeper.get("/api/archive/audit?of=" + id)
                        .expect(200)
                        .body()
                        .path("lines")
                        .valueStream()
                        .map(l -> l.path("what").asString() + ": "
                                + l.path("reason").asString()))
                .containsExactly("list taken back: Stands, 2 lines of list.csv", "list: Stands, 2 lines of list.csv");
    }

    /** What was picked in past years hangs on its stand: the stands do not go before it. */
    private void past(String standsTable) {
        int year = today().getYear();
        String table = "Stand,Part,Year,\"Fresh mass, kg\",Share taken (%)\n"
                + "Nettle bank,leaf," + (year - 2) + ",1.2,30\n"
                + "Nettle bank,leaf," + (year - 1) + ",0.8,20\n"
                + "Nettle bank,leaf," + year + ",0.8,20\n"
                + "Birch,leaf," + (year - 1) + ",1,20\n";
        JsonNode look = look("past-harvests", table).expect(200).body();
        assertThat(fates(look)).containsExactly("COMES", "COMES", "WRONG", "WRONG");
        assertThat(wrong(look, 4)).contains("Year must be a past one");
        assertThat(wrong(look, 5)).contains("Stand is not here by this name");
        UUID id = id();
        take("past-harvests", id, table, "&without=4,5").expect(200);
        JsonNode stand = keeper.get("/api/field/stands")
                .body()
                .valueStream()
                .filter(s -> s.path("name").asString().equals("Nettle bank"))
                .findFirst()
                .orElseThrow();
        JsonNode years = keeper.get("/api/field/stands/" + stand.path("id").asString() + "/years")
                .expect(200)
                .body();
        assertThat(years.path("past").valueStream().map(p -> p.path("massG").asDouble()))
                .containsExactly(800.0, 1200.0);
        Client.Answer stays = keeper.post(
                "/api/archive/tables/taken/"
                        + keeper.get("/api/archive/tables/taken")
                                .body()
                                .valueStream()
                                .filter(t -> t.path("words").asString().equals("Stands"))
                                .findFirst()
                                .orElseThrow()
                                .path("id")
                                .asString()
                        + "/back",
                Map.of());
        assertThat(stays.status()).isEqualTo(409);
        assertThat(stays.body().path("detail").asString())
                .contains("Nettle bank")
                .contains("picked here");
        assertThat(stands()).hasSize(2);
        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
    }

    /** Each list once, with a line that comes and one that its room's door refuses. */
    @DataProvider
    public Object[][] lists() {
        return new Object[][] {
            {"vessels", "Kind,Size (cl),How many\njar,50,12\nbarrel,50,1\n", "Kind must be one of", "/api/shelf/vessels"
            },
            {
                "supplies",
                "What;Name;Amount in millilitres;Strength\nspirit;Grain spirit;700;45\nspirit;Weak;700;\n",
                "Strength is needed for spirit",
                "/api/shelf/lots"
            },
            {
                "bought-herb",
                "Plant,Part,Amount (oz),Shop,What its label says,Mould,Bought on\n"
                        + "stinging nettle,leaf,2,Herb shop,scientific name,no,3 June 2026\n"
                        + "chamomile,leaf,2,Herb shop,scientific name,no,3 June 2026\n",
                "Plant is the name of several plants",
                "/api/shelf/lots"
            },
            {
                "weather",
                "date\tmin\tmax\tprecipitation\thumidity\n2026-05-01\t4.5\t16\t0\t71\n2026-05-02\t4\t6\t0\t171\n",
                "umidity",
                "/api/field/weather?days=60"
            },
            {
                "own-plants",
                "Scientific name,Common names,Family,Danger,Book,Year\n"
                        + "Saponaria caelestis,sky soapwort,Caryophyllaceae,irritant,A flora,2004\n"
                        + "Saponaria caelestior,urtica dioica,Caryophyllaceae,safe,A flora,2004\n",
                "Danger must be one of",
                "/api/herbarium/own-cards.yaml"
            },
        };
    }

    @Test(dataProvider = "lists")
    public void eachListGoesThroughItsRoomsDoor(String list, String table, String refusal, String shown) {
        String before = keeper.get(shown).raw().statusCode()
                + new String(keeper.get(shown).raw().body(), StandardCharsets.UTF_8);
        JsonNode look = look(list, table).expect(200).body();
        assertThat(fates(look)).as(look.toString()).containsExactly("COMES", "WRONG");
        assertThat(wrong(look, 3)).contains(refusal);
        assertThat(new String(keeper.get(shown).raw().body(), StandardCharsets.UTF_8))
                .isEqualTo(before.substring(3));
        UUID id = id();
        take(list, id, table, "&without=3").expect(200);
        assertThat(new String(keeper.get(shown).raw().body(), StandardCharsets.UTF_8))
                .isNotEqualTo(before.substring(3));
        assertThat(fates(look(list, table).body()).get(0)).isEqualTo("HERE");
        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
        assertThat(fates(look(list, table).body()).get(0)).isEqualTo("COMES");
    }

    @Test
    public void medicinesAreThoseThatAreKnown() {
        keeper.post(
                        "/api/people",
                        Map.ofEntries(
                                Map.entry("id", id()),
                                Map.entry("name", "Oda Brandt"),
                                Map.entry("bornOn", "1961-03-04"),
                                Map.entry("breastFeeding", false),
                                Map.entry("conditions", List.of()),
                                Map.entry("medicines", List.of()),
                                Map.entry("allergyFamilies", List.of()),
                                Map.entry("recipient", false)))
                .expect(200);
        String table = "Person,Medicine\noda brandt,warfarin\nOda Brandt,moonshine\nNobody,warfarin\n";
        JsonNode look = look("medicines", table).expect(200).body();
        assertThat(fates(look)).containsExactly("COMES", "WRONG", "WRONG");
        assertThat(wrong(look, 3)).contains("generic names known here");
        UUID id = id();
        take("medicines", id, table + "Oda Brandt,digoxin\n", "&without=3,4").expect(200);
        assertThat(names()).containsExactly("warfarin", "digoxin");
        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
        assertThat(names()).isEmpty();
    }

    /** Whoever saved a person's page since stands for what it says: nothing is taken off it behind their back. */
    @Test(dependsOnMethods = "medicinesAreThoseThatAreKnown")
    public void whatWasSavedAtThePersonSinceStays() {
        UUID id = id();
        take("medicines", id, "Person,Medicine\nOda Brandt,warfarin\n", "").expect(200);
        JsonNode oda = keeper.get("/api/people").body().get(0);
        Map<String, Object> saved = new java.util.HashMap<>();
        for (String field : List.of(
                "id", "name", "bornOn", "breastFeeding", "conditions", "medicines", "allergyFamilies", "recipient")) {
            saved.put(field, oda.get(field));
        }
        saved.put("weightKg", 61.0);
        saved.put("medicineNames", List.of("warfarin"));
        keeper.put(
                        "/api/people/" + oda.path("id").asString(),
                        saved,
                        oda.path("version").asString())
                .expect(200);
        Client.Answer back = keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of());
        assertThat(back.status()).isEqualTo(409);
        assertThat(back.body().path("detail").asString()).contains("was saved since");
        assertThat(names()).containsExactly("warfarin");
    }

    private List<String> names() {
        return keeper.get("/api/people")
                .expect(200)
                .body()
                .get(0)
                .path("medicineNames")
                .valueStream()
                .map(m -> m.path("name").asString())
                .toList();
    }

    /** Neither a thousand jars nor one, nor a kilo and a half of wax nor a gram and a half: it is asked. */
    @Test
    public void whatMayBeThousandsIsNotGuessed() {
        JsonNode jars = look("vessels", "Kind,Size,How many\njar,500,1.000\njar,500,12.0\n")
                .body();
        assertThat(fates(jars)).containsExactly("WRONG", "COMES");
        assertThat(wrong(jars, 2)).contains("How many must be a whole number");
        JsonNode wax = look("supplies", "What,Name,Amount in grams\nwax,A,1.500\nwax,B,1.5\nwax,C,0.500\n")
                .body();
        assertThat(fates(wax)).containsExactly("WRONG", "COMES", "COMES");
        assertThat(wrong(wax, 2)).contains("may be two numbers");
    }

    /** What is shown to come does come: two bottles of one kind are two, the same line twice is one. */
    @Test
    public void asManyComeAsWereShown() {
        String table = "What,Name,Amount in grams\nwax,Comb wax,200\nwax,Comb wax,300\nwax,Comb wax,200\n";
        assertThat(fates(look("supplies", table).expect(200).body())).containsExactly("COMES", "COMES", "HERE");
        UUID id = id();
        assertThat(take("supplies", id, table, "")
                        .expect(200)
                        .body()
                        .path("lines")
                        .asInt())
                .isEqualTo(2);
        assertThat(fates(look("supplies", table).body())).containsOnly("HERE");
        // What is refused twice is refused, not here.
        assertThat(fates(look("supplies", "What,Name,Amount in grams\nspirit,Bad,200\nspirit,Bad,200\n")
                        .body()))
                .containsExactly("WRONG", "WRONG");
        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
    }

    @Test
    public void whatWasUsedSinceStays() {
        String table = "What,Name,Amount in grams\nwax,Beeswax of the list,200\n";
        UUID id = id();
        take("supplies", id, table, "").expect(200);
        JsonNode wax = keeper.get("/api/shelf/lots")
                .expect(200)
                .body()
                .valueStream()
                .filter(l -> l.path("name").asString().equals("Beeswax of the list"))
                .findFirst()
                .orElseThrow();
        keeper.change(
                        "POST",
                        "/api/shelf/lots/" + wax.path("id").asString() + "/finish",
                        Map.of("end", "USED_UP", "amount", 20),
                        wax.path("version").asLong())
                .expect(200);
        Client.Answer back = keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of());
        assertThat(back.status()).isEqualTo(409);
        assertThat(back.body().path("detail").asString())
                .contains("Beeswax of the list")
                .contains("used since");
    }

    @Test
    public void aDayThatMayBeTwoIsAsked() {
        String table = "Day,Lowest,Highest,Rain,Humidity\n3/4/2026,1,9,0,60\n";
        JsonNode asked = look("weather", table).expect(200).body();
        assertThat(asked.path("asked").asBoolean()).isTrue();
        assertThat(wrong(asked, 2)).contains("may be two days");
        for (String way : List.of("DAY_FIRST", "MONTH_FIRST")) {
            JsonNode said = look("weather", table.getBytes(StandardCharsets.UTF_8), "?days=" + way)
                    .body();
            assertThat(said.path("lines").get(0).path("name").asString())
                    .contains(way.equals("DAY_FIRST") ? "3 Apr 2026" : "4 Mar 2026");
        }
        // One day that can be read in one way only says it of all.
        assertThat(look("weather", table + "25/4/2026,1,9,0,60\n")
                        .body()
                        .path("days")
                        .asString())
                .isEqualTo("DAY_FIRST");
    }

    @Test
    public void columnsAreAssignedByHand() {
        byte[] table = "Wort;Ort\nBrennnesselhang;Scheune\n".getBytes(StandardCharsets.UTF_8);
        JsonNode unknown = look("stands", table, "").expect(200).body();
        assertThat(unknown.path("missing").valueStream().map(JsonNode::asString))
                .containsExactly("Name", "Place");
        assertThat(fates(
                        look("stands", table, "?columns=name,place").expect(200).body()))
                .containsExactly("COMES");
        assertThat(look("stands", table, "?columns=name,name").status()).isEqualTo(400);
    }

    @DataProvider
    public Object[][] letters() {
        return new Object[][] {
            {StandardCharsets.UTF_8, "", false},
            {StandardCharsets.UTF_8, "\ufeff", false},
            {StandardCharsets.UTF_16LE, "\ufeff", false},
            {StandardCharsets.UTF_16BE, "\ufeff", false},
            {Charset.forName("windows-1252"), "", true}
        };
    }

    @Test(dataProvider = "letters")
    public void lettersOfEachKindAreRead(Charset letters, String mark, boolean guessed) {
        JsonNode look = look(
                        "stands", (mark + "sep=;\r\nName;Place\r\nMädesüß am Bach;Wiese\r\n").getBytes(letters), "")
                .expect(200)
                .body();
        assertThat(look.path("lines").get(0).path("name").asString()).isEqualTo("Mädesüß am Bach, Wiese");
        assertThat(look.path("letters").asString().isEmpty()).isNotEqualTo(guessed);
    }

    @DataProvider
    public Object[][] badFiles() {
        return new Object[][] {
            {"", "must have a line of headings"},
            {"Name,Place\n", "must have a line of headings"},
            {"PK\u0003\u0004xl/workbook.xml", "save it there as CSV"},
            {"Name,Place\n\"never closed,here\n", "quotation mark"},
            {"Name,Place\n" + "Nettle,here\n".repeat(1001), "at most 1000 lines"},
            {"N".repeat(3000) + ",Place\na,b\n", "more than 2000 letters"},
            {"a,".repeat(70) + "\n1\n", "at most 60 columns"},
            {"Name\0,Place\na,b\n", "can't be seen"},
        };
    }

    @Test(dataProvider = "badFiles")
    public void whatIsNoListIsRefusedAsAWhole(String file, String why) {
        Client.Answer answer = look("stands", file);
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.body().path("errors").get(0).path("message").asString())
                .contains(why);
    }

    @Test
    public void aMillionLinesAreRefusedBeforeTheyAreRead() {
        Client.Answer answer = look("stands", "Name,Place\n" + "Nettle,here\n".repeat(1_000_000));
        assertThat(answer.status()).isEqualTo(400);
        assertThat(answer.body().path("detail").asString()).isEqualTo("It is larger than 4 MB.");
    }

    @Test
    public void whatStandsUnderNoHeadingAndWhatIsNoNumberIsSaid() {
        JsonNode look = look(
                        "weather", "Day,Lowest,Highest,Rain,Humidity\n2026-05-04,NaN,9,0,60,9\n2026-05-05,1e3,9,0,60\n")
                .expect(200)
                .body();
        assertThat(wrong(look, 2)).contains("Lowest must be a number").contains("stands under no heading");
        assertThat(wrong(look, 3)).contains("Lowest");
    }

    /** What goes out as a list comes in again: nothing a spreadsheet made harmless stays so. */
    @Test
    public void whatWentOutAsAListComesIn() {
        UUID id = id();
        take("stands", id, "Name,Place,Latitude,Longitude\n=Nettle,+barn,-12.345,4.5\n", "")
                .expect(200);
        String out = new String(
                keeper.get("/api/archive/lists/stands.csv?decimal=COMMA")
                        .expect(200)
                        .raw()
                        .body(),
                StandardCharsets.UTF_8);
        keeper.post("/api/archive/tables/taken/" + id + "/back", Map.of()).expect(200);
        JsonNode look = look("stands", out).expect(200).body();
        assertThat(fates(look)).as(look.toString()).containsExactly("COMES");
        UUID again = id();
        take("stands", again, out, "").expect(200);
        JsonNode stand = keeper.get("/api/field/stands").body().get(0);
        assertThat(stand.path("name").asString()).isEqualTo("=Nettle");
        assertThat(stand.path("place").asString()).isEqualTo("+barn");
        assertThat(stand.path("latitude").asDouble()).isEqualTo(-12.345);
        keeper.post("/api/archive/tables/taken/" + again + "/back", Map.of()).expect(200);
    }
}
