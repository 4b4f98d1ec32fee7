package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonArray;
import com.google.gson.JsonObject;
import com.google.gson.JsonParser;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.HexFormat;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.UUID;
import java.util.function.IntFunction;
import java.util.function.UnaryOperator;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.StreamSupport;
import java.util.zip.ZipEntry;
import java.util.zip.ZipInputStream;
import java.util.zip.ZipOutputStream;
import org.sallowbrook.server.household.SignIn;
import org.sallowbrook.server.platform.Member;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.ObjectReader;
import tools.jackson.dataformat.csv.CsvMapper;
import tools.jackson.dataformat.csv.CsvReadFeature;

/** All records out and back: the same answers from another household, and nothing half read of a file that is not right. */
public class ArchiveTest extends ServerTest {

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}");
    private static final ObjectReader CSV =
            CsvMapper.builder().enable(CsvReadFeature.WRAP_AS_ARRAY).build().readerFor(String[].class);

    /** Each of them answers to a dozen questions. */
    private static final int MOST_OF_A_LIST = 3;

    private static final String WHOSE = "our own, made on the old machine an hour ago";

    @Autowired
    SignIn signIn;

    @Autowired
    JdbcClient jdbc;

    private Client another(String name) {
        signIn.create(
                new SignIn.SetupRequest("House of " + name, "Etc/UTC", "merrow", name, name, "merrow-demo"),
                Member.Role.KEEPER);
        return Client.of(port, name);
    }

    private static byte[] archive(Client keeper) {
        return keeper.get("/api/archive/file").expect(200).raw().body();
    }

    /** The demo's household as this release wrote it; every later one opens it. A new schema adds a file and keeps this one. */
    private static byte[] golden() {
        try {
            return Files.readAllBytes(Path.of("src", "test", "resources", "archive", "demo.28.zip"));
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    private static Client.Answer read(Client keeper, byte[] archive) {
        return keeper.send("POST", "/api/archive/readings", archive, "application/zip", null);
    }

    private static Client.Answer take(Client keeper, JsonNode reading, String me) {
        Map<String, Object> said = new HashMap<>(Map.of("reason", WHOSE));
        reading.path("accounts")
                .valueStream()
                .filter(a -> a.path("username").asString().equals(me))
                .forEach(a -> said.put("me", a.path("id").asString()));
        return keeper.post("/api/archive/readings/" + reading.path("id").asString(), said);
    }

    private static Map<String, byte[]> files(byte[] archive) {
        Map<String, byte[]> files = new LinkedHashMap<>();
        try (ZipInputStream in = new ZipInputStream(new ByteArrayInputStream(archive))) {
            for (ZipEntry e = in.getNextEntry(); e != null; e = in.getNextEntry()) {
                files.put(e.getName(), in.readAllBytes());
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return files;
    }

    private static byte[] zip(Map<String, byte[]> files) {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        try (ZipOutputStream zip = new ZipOutputStream(out)) {
            for (Map.Entry<String, byte[]> file : files.entrySet()) {
                zip.putNextEntry(new ZipEntry(file.getKey()));
                zip.write(file.getValue());
            }
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
        return out.toByteArray();
    }

    /** With sums that fit, so that what is refused is refused for what it says. */
    private static byte[] summed(Map<String, byte[]> files) {
        Map<String, byte[]> all = new LinkedHashMap<>(files);
        all.remove("manifest");
        String manifest = all.entrySet().stream()
                .map(f -> sum(f.getValue()) + "  " + f.getKey() + "\n")
                .collect(Collectors.joining());
        all.put("manifest", manifest.getBytes(StandardCharsets.UTF_8));
        return zip(all);
    }

    private static String sum(byte[] content) {
        try {
            return HexFormat.of().formatHex(MessageDigest.getInstance("SHA-256").digest(content));
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    private static byte[] changed(byte[] archive, String file, UnaryOperator<String> change) {
        Map<String, byte[]> files = files(archive);
        String was = new String(files.get(file), StandardCharsets.UTF_8);
        String is = change.apply(was);
        assertThat(is).as("the change of " + file).isNotEqualTo(was);
        files.put(file, is.getBytes(StandardCharsets.UTF_8));
        return summed(files);
    }

    private UUID household(Client keeper) {
        return jdbc.sql("select household_id from account where id = ?")
                .param(UUID.fromString(
                        keeper.get("/api/session").body().path("account").asString()))
                .query(UUID.class)
                .single();
    }

    private long count(String table, UUID household) {
        return jdbc.sql("select count(*) from " + table + " where household_id = ?")
                .param(household)
                .query(Long.class)
                .single();
    }

    /** How many rows each table has of a household. */
    private Map<String, Long> rows(Client keeper) {
        UUID household = household(keeper);
        Map<String, Long> rows = new LinkedHashMap<>();
        for (String table : tables("household_id")) {
            // Every change counts itself, and what guards against sending twice is not a record.
            if (!Set.of("household_change", "received").contains(table)) {
                rows.put(table, count(table, household));
            }
        }
        return rows;
    }

    private List<String> tables(String column) {
        return jdbc.sql("select table_name from information_schema.columns where table_schema = current_schema()"
                        + " and column_name = ? order by 1")
                .param(column)
                .query(String.class)
                .list();
    }

    /** Ids as they are met: what is the same but for its ids reads the same. */
    private static String anonymous(String answer) {
        Map<String, String> met = new HashMap<>();
        Matcher m = ID.matcher(answer);
        return m.replaceAll(r -> met.computeIfAbsent(r.group(), k -> "#" + met.size()));
    }

    /** What is asked for without an id, and with the ids that lists give. */
    private static List<String[]> questions(Client one, Client other) {
        List<String[]> asked = new ArrayList<>();
        JsonNode paths = one.get("/v3/api-docs").expect(200).body().path("paths");
        Map<String, String> lists = Map.of(
                "/api/field/stands/{id}", "/api/field/stands",
                "/api/field/stands/{stand}", "/api/field/stands",
                "/api/drying/runs/{id}", "/api/drying/runs",
                "/api/shelf/lots/{id}", "/api/shelf/lots",
                "/api/tracing/lots/{id}", "/api/shelf/lots",
                "/api/making/batches/{id}", "/api/making/batches",
                "/api/dosing/courses/{id}", "/api/dosing/courses",
                "/api/people/{id}", "/api/people");
        for (Map.Entry<String, JsonNode> path : paths.properties()) {
            String at = path.getKey();
            boolean needs = path.getValue()
                    .path("get")
                    .path("parameters")
                    .valueStream()
                    .anyMatch(p -> p.path("required").asBoolean()
                            && p.path("in").asString().equals("query"));
            if (!path.getValue().has("get")
                    || needs
                    || at.endsWith(".pdf")
                    || at.matches("/api/(session|archive|setup|household/(backup|members)|training/next).*")) {
                continue;
            }
            if (!at.contains("{")) {
                asked.add(new String[] {at, at});
                continue;
            }
            lists.entrySet().stream()
                    .filter(l -> at.startsWith(l.getKey()))
                    .filter(l -> !at.substring(l.getKey().length()).contains("{"))
                    .forEach(l -> {
                        List<String> mine = ids(one, l.getValue());
                        List<String> theirs = ids(other, l.getValue());
                        assertThat(theirs).as(l.getValue()).hasSameSizeAs(mine);
                        for (int i = 0; i < Math.min(MOST_OF_A_LIST, mine.size()); i++) {
                            String rest = at.substring(l.getKey().length());
                            String stem = l.getKey().replaceAll("\\{.*", "");
                            asked.add(new String[] {stem + mine.get(i) + rest, stem + theirs.get(i) + rest});
                        }
                    });
        }
        return asked;
    }

    private static List<String> ids(Client client, String list) {
        return client.get(list)
                .expect(200)
                .body()
                .valueStream()
                .map(n -> n.path("id").asString())
                .toList();
    }

    /** Of one person everything, and of anybody else nothing. */
    @Test
    public void onePersonsRecordsAreTheirsAlone() {
        Client ilse = as("ilse");
        List<JsonNode> people =
                ilse.get("/api/people").expect(200).body().valueStream().toList();
        int courses = 0;
        for (JsonNode person : people) {
            String id = person.path("id").asString();
            Map<String, byte[]> files = files(ilse.get("/api/archive/people/" + id + "/file")
                    .expect(200)
                    .raw()
                    .body());
            String all = files.entrySet().stream()
                    .filter(f -> f.getKey().startsWith("tables/"))
                    .map(f -> new String(f.getValue(), StandardCharsets.UTF_8))
                    .reduce("", String::concat);
            assertThat(all).contains(id);
            people.stream()
                    .filter(p -> p != person)
                    // Who wrote a line down stays in it; whatever is of somebody bears their id.
                    .forEach(p -> assertThat(all).doesNotContain(p.path("id").asString()));
            courses += jdbc.sql("select count(*) from course where person_id = ?")
                    .param(UUID.fromString(id))
                    .query(Integer.class)
                    .single();
            courses -= new String(files.get("tables/course.json"), StandardCharsets.UTF_8).split("\"id\":").length - 1;
            assertThat(files)
                    .containsKeys("person.json", "manifest", "schema/dose_taken.schema.json", "tables/lot.json");
        }
        assertThat(courses).isZero();
        assertThat(as("lantern")
                        .get("/api/archive/people/" + people.get(0).path("id").asString() + "/file")
                        .status())
                .isEqualTo(404);
    }

    @Test
    public void everyTableGoesAlongOrIsSaidToStay() {
        Set<String> all = new HashSet<>(jdbc.sql("select table_name from information_schema.tables"
                        + " where table_schema = current_schema() and table_type = 'BASE TABLE'")
                .query(String.class)
                .list());
        Set<String> inIt = files(archive(as("ilse"))).keySet().stream()
                .filter(f -> f.startsWith("tables/"))
                .map(f -> f.replaceAll("tables/|\\.json", ""))
                .collect(Collectors.toSet());
        all.removeAll(inIt);
        assertThat(all)
                .containsExactlyInAnyOrder(
                        "household",
                        "household_change",
                        "calendar_feed",
                        "countersignature",
                        "received",
                        "scale_placement",
                        "taken_line",
                        "taken_list",
                        "sign_in_bucket",
                        "spring_session",
                        "spring_session_attributes",
                        "demo_clock",
                        "flyway_schema_history");
        assertThat(new String(files(archive(as("ilse"))).get("tables/account.json"), StandardCharsets.UTF_8))
                .contains("ilse")
                .doesNotContain("bcrypt", "password", "reset");
    }

    /** Another household that read the archive gives every answer that the first gives. */
    @Test
    public void whatComesBackMeansTheSame() {
        Client ilse = another("archive.first");
        take(ilse, read(ilse, golden()).expect(200).body(), "ilse").expect(200);
        Client second = another("archive.twin");
        JsonNode reading = read(second, archive(ilse)).expect(200).body();
        assertThat(reading.path("empty").asBoolean()).isTrue();
        assertThat(reading.path("own").asBoolean()).isFalse();
        int rows = take(second, reading, "archive.first")
                .expect(200)
                .body()
                .path("rows")
                .asInt();
        // All but the account of whoever reads it, who is here already.
        assertThat(rows).isEqualTo(reading.path("rows").asInt() - 1).isGreaterThan(300);
        // Asked again, because the answer was lost: nothing twice.
        assertThat(take(second, reading, "archive.first")
                        .expect(200)
                        .body()
                        .path("rows")
                        .asInt())
                .isEqualTo(rows);
        assertThat(answeredAlike(ilse, second)).isGreaterThan(100);
    }

    /** Of a seed a household, beside what the demo's has: chains from the stand to the course, lists of its own, people, notes in any letters. */
    private void grow(Client keeper, int seed) {
        take(keeper, read(keeper, golden()).expect(200).body(), "ilse").expect(200);
        SplittableRandom chance = new SplittableRandom(seed);
        for (int i = 0; i < 1 + seed % 2; i++) {
            new Chain(keeper, today(), now());
        }
        lines(
                keeper,
                "stands",
                "Name,Place,Plant,Latitude,Longitude,Above the sea,Plenty",
                chance,
                25,
                i -> "\""
                        + word(chance) + " " + i + "\",\"" + word(chance) + "\","
                        + PLANTS.get(chance.nextInt(PLANTS.size())) + ","
                        + (chance.nextBoolean()
                                ? ","
                                : chance.nextInt(-60, 61) + ".25," + chance.nextInt(-179, 180) + ".5")
                        + ","
                        + chance.nextInt(4000) + ","
                        + List.of("plentiful", "fair", "scarce").get(chance.nextInt(3)));
        JsonNode stands = keeper.get("/api/field/stands").body();
        lines(
                keeper,
                "past-harvests",
                "Stand,Part,Year,\"Fresh mass, g\",Share taken (%)",
                chance,
                30,
                i -> "\""
                        + stands.get(chance.nextInt(stands.size())).path("name").asString() + "\",leaf," + (1990 + i)
                        + ","
                        + chance.nextInt(1, 5000) + "," + chance.nextInt(1, 30));
        lines(
                keeper,
                "weather",
                "Day,Lowest,Highest,Rain,Humidity",
                chance,
                28,
                i -> "2026-03-" + (10 + i % 18) + ","
                        + chance.nextInt(-9, 5) + "," + chance.nextInt(5, 30) + "," + chance.nextInt(40) + ","
                        + chance.nextInt(20, 100));
        lines(keeper, "vessels", "Kind,Holds (mL),How many", chance, 12, i -> "jar," + (50 + 10 * i) + "," + (1 + i));
        lines(
                keeper,
                "supplies",
                "What,Name,Amount in grams",
                chance,
                20,
                i -> "wax,\"" + word(chance) + i + "\"," + chance.nextInt(1, 5000) + ".5");
        for (String list : List.of("/api/field/stands", "/api/shelf/lots", "/api/people")) {
            JsonNode things = keeper.get(list).expect(200).body();
            for (JsonNode thing : things) {
                if (chance.nextInt(3) == 0) {
                    keeper.post(
                                    "/api/notes",
                                    Map.of(
                                            "id", id(),
                                            "day",
                                                    today().minusDays(chance.nextInt(300))
                                                            .toString(),
                                            "words", word(chance) + "\n" + word(chance),
                                            "place", word(chance),
                                            "pictured", false,
                                            "about", ABOUT.get(list),
                                            "aboutId", thing.path("id").asString()))
                            .expect(200);
                }
            }
        }
    }

    private static final List<String> PLANTS = List.of("", "Urtica dioica", "Tilia cordata", "Filipendula ulmaria");

    private static final Map<String, String> ABOUT =
            Map.of("/api/field/stands", "STAND", "/api/shelf/lots", "LOT", "/api/people", "PERSON");

    private static String word(SplittableRandom chance) {
        List<String> words = List.of(
                "Gänseufer",
                "Šárka’s",
                "Αγγ",
                "李",
                "a\u0301 b",
                "=1+1",
                "O'Brook; drop",
                "<b>bold</b>",
                "😀 leaf",
                "\\ back",
                "% _",
                "null");
        return words.get(chance.nextInt(words.size()));
    }

    /** As many lines as it happens, in one list that is taken in whole. */
    private static void lines(
            Client keeper, String list, String head, SplittableRandom chance, int most, IntFunction<String> line) {
        String table = IntStream.range(0, 1 + chance.nextInt(most))
                .mapToObj(line)
                .distinct()
                .collect(Collectors.joining("\n", head + "\n", "\n"));
        keeper.send(
                        "POST",
                        "/api/archive/tables/" + list + "/" + id() + "?name=" + list + ".csv",
                        table.getBytes(StandardCharsets.UTF_8),
                        "text/csv",
                        null)
                .expect(200);
    }

    @DataProvider
    public Object[][] seeds() {
        return IntStream.rangeClosed(1, 4).mapToObj(i -> new Object[] {i}).toArray(Object[][]::new);
    }

    /** Whatever a household wrote, another that read it answers alike. */
    @Test(dataProvider = "seeds")
    public void whateverWasWrittenMeansTheSame(int seed) {
        Client grown = another("archive.grown" + seed);
        grow(grown, seed);
        Client second = another("archive.read" + seed);
        JsonNode reading = read(second, archive(grown)).expect(200).body();
        take(second, reading, "archive.grown" + seed).expect(200);
        assertThat(answeredAlike(grown, second)).isGreaterThan(80);
    }

    /** @return how many questions were answered alike; none may be answered otherwise */
    private static int answeredAlike(Client ilse, Client second) {
        List<String> differ = new ArrayList<>();
        int same = 0;
        for (String[] path : questions(ilse, second)) {
            Client.Answer mine = ilse.get(path[0]);
            Client.Answer theirs = second.get(path[1]);
            // Hours on the rack are counted to the second, and one may pass between two questions.
            for (int again = 0; again < 3 && !anonymous(theirs.words()).equals(anonymous(mine.words())); again++) {
                mine = ilse.get(path[0]);
                theirs = second.get(path[1]);
            }
            assertThat(theirs.status()).as(path[0]).isEqualTo(mine.status());
            if (!mine.raw().headers().firstValue("Content-Type").orElse("").contains("json")) {
                continue;
            }
            if (anonymous(theirs.words()).equals(anonymous(mine.words()))) {
                same++;
            } else {
                differ.add(path[0] + firstDifference(anonymous(mine.words()), anonymous(theirs.words())));
            }
        }
        assertThat(differ).isEmpty();
        return same;
    }

    private static String firstDifference(String mine, String theirs) {
        int at = 0;
        while (at < Math.min(mine.length(), theirs.length()) && mine.charAt(at) == theirs.charAt(at)) {
            at++;
        }
        return " ..." + mine.substring(Math.max(0, at - 60), Math.min(mine.length(), at + 60)) + " and "
                + theirs.substring(Math.max(0, at - 60), Math.min(theirs.length(), at + 60));
    }

    @DataProvider
    public Object[][] notRight() {
        return new Object[][] {
            {"cut off", (UnaryOperator<byte[]>) a -> java.util.Arrays.copyOf(a, a.length / 2), "cut off"},
            {"no zip", (UnaryOperator<byte[]>) a -> "not a zip".getBytes(StandardCharsets.UTF_8), "no archive"},
            {"empty", (UnaryOperator<byte[]>) a -> new byte[0], "no archive"},
            {
                "a path",
                (UnaryOperator<byte[]>) a -> with(a, "../../etc/passwd", "x"),
                "../../etc/passwd, which no archive"
            },
            {
                "a stranger's file",
                (UnaryOperator<byte[]>) a -> with(a, "tables/pg_authid.json", "[]"),
                "which no archive"
            },
            {"a wrong sum", (UnaryOperator<byte[]>) ArchiveTest::wrongSum, "is not what was written"},
            {"not in the manifest", (UnaryOperator<byte[]>) a -> unnamed(a), "manifest does not name"},
            {"a bomb", (UnaryOperator<byte[]>) ArchiveTest::bomb, "far larger"},
            change(
                    "a later version",
                    "archive.json",
                    "\"schema\" : \"\\d+\"",
                    "\"schema\" : \"9999\"",
                    "later version"),
            change("another format", "archive.json", "sallowbrook-archive", "something-else", "no archive"),
            change("fewer rows", "archive.json", "\"stand\" : \\d+", "\"stand\" : 1", "its head says 1"),
            change("no list", "tables/stand.json", "(?s).*", "{}", "is no list"),
            change("an unknown member", "tables/stand.json", "\"name\":", "\"nome\":", "nobody knows what nome is"),
            change("a member twice", "tables/stand.json", "\"name\":", "\"name\":\"x\",\"name\":", "can't be read"),
            change(
                    "a null",
                    "tables/stand.json",
                    "\"doubted\":(true|false)",
                    "\"doubted\":null",
                    "doubted must not be null"),
            change(
                    "another kind",
                    "tables/stand.json",
                    "\"doubted\":(true|false)",
                    "\"doubted\":\"no\"",
                    "true or false"),
            change(
                    "a number in words",
                    "tables/lot.json",
                    "\"remaining\":[0-9.]+",
                    "\"remaining\":\"NaN\"",
                    "a number"),
            change(
                    "less than nothing",
                    "tables/lot.json",
                    "\"amount\":[0-9.]+",
                    "\"amount\":-1",
                    "must not be negative"),
            change(
                    "a day without end",
                    "tables/lot.json",
                    "\"made_on\":\"[0-9-]+\"",
                    "\"made_on\":\"infinity\"",
                    "a day"),
            change("a long name", "tables/stand.json", "\"name\":\"", "\"name\":\"" + "x".repeat(130), "120 letters"),
            change("a control character", "tables/stand.json", "\"name\":\"", "\"name\":\"\\\\u0007", "can't be kept"),
            change(
                    "an unknown word",
                    "tables/stand.json",
                    "\"ground\":\"CLEAN\"",
                    "\"ground\":\"HOLY\"",
                    "nobody here knows"),
            change("an unknown document", "tables/course.json", "\"plan\":\\{", "\"plan\":{\"more\":1,", "document"),
            change(
                    "a share over one",
                    "tables/harvest.json",
                    "\"share_taken\":[0-9.]+",
                    "\"share_taken\":7",
                    "share_taken"),
            change(
                    "somebody else's thing",
                    "tables/harvest.json",
                    "\"stand_id\":\"[0-9a-f-]+\"",
                    "\"stand_id\":\"00000000-0000-7000-8000-000000000000\"",
                    "not in it"),
            change(
                    "more than came in",
                    "tables/lot.json",
                    "\"remaining\":[0-9.]+",
                    "\"remaining\":99999",
                    "could not have been written here"),
            change(
                    "an unknown plant",
                    "tables/harvest.json",
                    "\"taxon_id\":\"[a-z-]+\"",
                    "\"taxon_id\":\"moon-grass\"",
                    "a plant that has no card here: moon-grass"),
            change(
                    "made of itself",
                    "tables/lot_link.json",
                    "\"from_lot\":\"[0-9a-f-]+\",\"to_lot\":\"([0-9a-f-]+)\"",
                    "\"from_lot\":\"$1\",\"to_lot\":\"$1\"",
                    "made of itself"),
        };
    }

    private static Object[] change(String name, String file, String pattern, String by, String says) {
        UnaryOperator<byte[]> how = a -> changed(a, file, text -> text.replaceFirst(pattern, by));
        return new Object[] {name, how, says};
    }

    private static byte[] with(byte[] archive, String name, String content) {
        Map<String, byte[]> files = files(archive);
        files.put(name, content.getBytes(StandardCharsets.UTF_8));
        return summed(files);
    }

    private static byte[] unnamed(byte[] archive) {
        Map<String, byte[]> files = files(archive);
        files.put("lists/more.csv", new byte[] {1});
        return zip(files);
    }

    private static byte[] wrongSum(byte[] archive) {
        Map<String, byte[]> files = files(archive);
        files.computeIfPresent("tables/stand.json", (k, v) -> {
            byte[] changed = v.clone();
            changed[changed.length - 1] = ' ';
            return changed;
        });
        return zip(files);
    }

    private static byte[] bomb(byte[] archive) {
        Map<String, byte[]> files = files(archive);
        files.put("lists/more.csv", new byte[60 * 1024 * 1024]);
        return summed(files);
    }

    @Test(dataProvider = "notRight")
    public void nothingIsHalfRead(String name, UnaryOperator<byte[]> change, String says) {
        Client keeper = emptyKeeper();
        Map<String, Long> before = rows(keeper);
        Client.Answer answer = read(keeper, change.apply(golden()));
        if (answer.status() == 200) {
            answer = take(keeper, answer.body(), "ilse");
        }
        answer.expect(400);
        assertThat(answer.wrongFields()).containsExactly("file");
        assertThat(answer.words()).contains(says);
        assertThat(rows(keeper)).isEqualTo(before);
    }

    private Client empty;

    private Client emptyKeeper() {
        if (empty == null) {
            empty = another("archive.empty");
        }
        return empty;
    }

    /** What is here stays, what is new comes with all that belongs to it or not at all. */
    @Test
    public void onlyWhatIsNewComes() {
        Client keeper = another("archive.again");
        Chain.stand(keeper, id(), "stinging-nettle");
        byte[] first = archive(keeper);
        JsonNode again = read(keeper, first).expect(200).body();
        assertThat(again.path("own").asBoolean()).isTrue();
        assertThat(again.path("empty").asBoolean()).isFalse();
        assertThat(again.path("rows").asInt()).isZero();

        UUID known = UUID.fromString(
                keeper.get("/api/field/stands").body().get(0).path("id").asString());
        String look = id().toString();
        UUID fresh = id();
        // A look at a stand that is here is not taken from a file; a stand that is not comes with its own.
        byte[] more = changed(first, "tables/stand.json", text -> {
            String row = text.lines().filter(l -> l.startsWith("{")).findFirst().orElseThrow();
            return "[\n" + row.replace("\"name\":\"", "\"name\":\"Renamed ") + ",\n"
                    + row.replace(known.toString(), fresh.toString()).replace("\"name\":\"", "\"name\":\"New ")
                    + "\n]\n";
        });
        more = changed(
                more,
                "tables/sighting.json",
                text -> "[\n" + sighting(known, id()) + ",\n" + sighting(fresh, UUID.fromString(look)) + "\n]\n");
        more = changed(
                more,
                "archive.json",
                text -> text.replaceFirst("\"stand\" : 1", "\"stand\" : 2")
                        .replaceFirst("\"sighting\" : 0", "\"sighting\" : 2")
                        .replaceFirst("\"audit_entry\" : 0", "\"audit_entry\" : 1")
                        .replaceFirst("\"second_observer\" : 0", "\"second_observer\" : 1"));
        // Nor an acknowledgement, nor somebody who vouches: they would open what is shut here.
        more = changed(
                more,
                "tables/audit_entry.json",
                text -> "[\n{\"id\":\"" + id() + "\",\"at\":\"2026-05-01T08:00:00+00:00\","
                        + "\"member\":\"x\",\"what\":\"harvest\",\"subject_id\":\"" + known
                        + "\",\"code\":\"NEAR_ROAD\",\"reason\":\"x\","
                        + "\"message\":\"x\"}\n]\n");
        more = changed(
                more,
                "tables/second_observer.json",
                text -> "[\n{\"id\":\"" + id() + "\",\"name\":\"Nobody\",\"why\":\"x\","
                        + "\"named_at\":\"2026-05-01T08:00:00+00:00\",\"named_by\":\"x\",\"ended_on\":null}\n]\n");
        JsonNode reading = read(keeper, more).expect(200).body();
        assertThat(reading.path("rows").asInt()).isEqualTo(2);
        JsonNode stands = find(reading.path("kinds"), "what", "stands");
        assertThat(stands.path("comes").asInt()).isEqualTo(1);
        assertThat(stands.path("differs").asInt()).isEqualTo(1);
        assertThat(find(reading.path("kinds"), "what", "sightings")
                        .path("hangs")
                        .asInt())
                .isEqualTo(1);
        for (String house : List.of("second observers", "what was acknowledged")) {
            assertThat(find(reading.path("kinds"), "what", house).path("hangs").asInt())
                    .isEqualTo(1);
        }
        assertThat(reading.path("lines").toString()).contains("Renamed", "DIFFERS");
        take(keeper, reading, "").expect(200);
        assertThat(keeper.get("/api/field/stands").body().toString())
                .contains("New ")
                .doesNotContain("Renamed");
        assertThat(keeper.get("/api/field/stands/" + known + "/sightings")
                        .body()
                        .isEmpty())
                .isTrue();
        assertThat(keeper.get("/api/field/stands/" + fresh + "/sightings")
                        .body()
                        .size())
                .isEqualTo(1);
    }

    private static String sighting(UUID stand, UUID id) {
        return "{\"id\":\"" + id + "\",\"stand_id\":\"" + stand
                + "\",\"stage\":\"FLOWERING\",\"on_day\":\"2026-05-01\",\"seen_by\":\"x\",\"struck_at\":null,"
                + "\"struck_by\":null,\"struck_reason\":null}";
    }

    private static JsonNode find(JsonNode list, String field, String value) {
        return list.valueStream()
                .filter(n -> n.path(field).asString().equals(value))
                .findFirst()
                .orElseThrow(() -> new AssertionError("no " + value + " in " + list));
    }

    /** Where nothing of another household is in the way, ids stay: a printed label still opens its jar. */
    @Test
    public void aDeletedHouseholdComesBackUnderItsIds() {
        Client keeper = another("archive.gone");
        UUID stand = id();
        Chain.stand(keeper, stand, "stinging-nettle");
        byte[] archive = archive(keeper);
        UUID household = household(keeper);
        Map<String, Object> deletion = new HashMap<>(Map.of("name", "House of archive", "password", "merrow-demo"));
        assertThat(keeper.post("/api/archive/deletion", deletion).expect(400).wrongFields())
                .containsExactly("name");
        deletion.put("name", "House of archive.gone");
        deletion.put("password", "merrow-dome");
        assertThat(keeper.post("/api/archive/deletion", deletion).expect(400).wrongFields())
                .containsExactly("password");
        keeper.get("/api/field/stands/" + stand).expect(200);
        deletion.put("password", "merrow-demo");
        keeper.post("/api/archive/deletion", deletion).expect(204);
        assertThat(keeper.get("/api/session").body().path("signedIn").asBoolean())
                .isFalse();
        // Nothing of it is left in any table, be it one that goes along or not.
        for (String table : tables("household_id")) {
            assertThat(count(table, household)).as(table).isZero();
        }
        assertThat(jdbc.sql("select count(*) from household where id = ?")
                        .param(household)
                        .query(Long.class)
                        .single())
                .isZero();

        Client next = another("archive.next");
        take(next, read(next, archive).expect(200).body(), "archive.gone").expect(200);
        next.get("/api/field/stands/" + stand).expect(200);
        assertThat(next.get("/api/household/settings").body().path("name").asString())
                .isEqualTo("House of archive.gone");
    }

    /** Accounts that come are nobody's until the keeper lets them in. */
    @Test
    public void nobodySignsInByAnArchive() {
        Client keeper = another("archive.doors");
        take(keeper, read(keeper, golden()).expect(200).body(), "").expect(200);
        JsonNode members = keeper.get("/api/household/members").expect(200).body();
        assertThat(members.size()).isGreaterThan(2);
        for (JsonNode member : members) {
            assertThat(member.path("disabled").asBoolean())
                    .as(member.toString())
                    .isNotEqualTo(member.path("self").asBoolean());
        }
        assertThat(as("ilse").get("/api/session").body().path("signedIn").asBoolean())
                .isTrue();
    }

    @Test
    public void itIsTheKeepersToDo() {
        Client tam = as("tam");
        tam.get("/api/archive/file").expect(403);
        read(tam, new byte[0]).expect(403);
        tam.post("/api/archive/deletion", Map.of("name", "x", "password", "x")).expect(403);
        // What one household reads is not another's to take.
        Client keeper = emptyKeeper();
        JsonNode reading = read(keeper, golden()).expect(200).body();
        take(as("ilse"), reading, "ilse").expect(404);
        assertThat(keeper.post("/api/archive/readings/" + reading.path("id").asString(), Map.of("reason", "x"))
                        .expect(400)
                        .wrongFields())
                .containsExactly("reason");
        keeper.delete("/api/archive/readings/" + reading.path("id").asString(), null)
                .expect(204);
        take(keeper, reading, "ilse").expect(404);
    }

    /** Who decided, struck out and changed what, by thing and by member. */
    @Test
    public void whoDidWhatIsRead() {
        Client ilse = as("ilse");
        UUID stand = id();
        Chain.stand(ilse, stand, "stinging-nettle");
        UUID seen = id();
        String sightings = "/api/field/stands/" + stand + "/sightings";
        as("tam")
                .post(sightings, Map.of("id", seen, "stage", "FLOWERING", "on", today().toString()))
                .expect(200);
        as("tam")
                .post(sightings + "/" + seen + "/strike", Map.of("reason", "it was the stand beside it"))
                .expect(200);
        String audit = "/api/archive/audit?of=" + stand;
        JsonNode lines = ilse.get(audit).expect(200).body().path("lines");
        JsonNode struck = find(lines, "deed", "STRUCK_OUT");
        assertThat(struck.path("what").asString()).isEqualTo("sightings");
        assertThat(struck.path("reason").asString()).isEqualTo("it was the stand beside it");
        assertThat(struck.path("of").asString()).isEqualTo("stand");
        assertThat(struck.path("name").asString()).isNotBlank();
        String tam = struck.path("by").asString();
        assertThat(ilse.get(audit + "&by=" + tam.replace(" ", "%20"))
                        .expect(200)
                        .body()
                        .path("lines")
                        .valueStream())
                .isNotEmpty()
                .allMatch(l -> l.path("by").asString().equals(tam));
        assertThat(as("lantern").get(audit).expect(200).body().path("lines").isEmpty())
                .isTrue();
        ilse.get("/api/archive/audit?page=-1").expect(400);
        as("tam").get(audit).expect(403);
        // With what was only changed, by page, each line once.
        JsonNode first = ilse.get("/api/archive/audit?changes=true").expect(200).body();
        JsonNode second =
                ilse.get("/api/archive/audit?changes=true&page=1").expect(200).body();
        assertThat(first.path("more").asBoolean()).isTrue();
        assertThat(first.path("lines").size()).isEqualTo(50);
        assertThat(second.path("lines").get(0)).isNotEqualTo(first.path("lines").get(49));
        assertThat(lines.toString()).doesNotContain("CHANGED");
    }

    /** Units in the heading, the decimal sign of the language, and nothing that a spreadsheet would run. */
    @Test
    public void listsAreForSpreadsheets() throws IOException {
        Client keeper = another("archive.lists");
        UUID stand = id();
        Map<String, Object> body = Chain.standBody(stand, "stinging-nettle", "CLEAN", null);
        body.put("name", "=HYPERLINK(\"x\")");
        body.put("latitude", 51.25);
        body.put("longitude", -2.5);
        keeper.post("/api/field/stands", body).expect(200);
        String comma = keeper.get("/api/archive/lists/stands.csv?decimal=COMMA")
                .expect(200)
                .words();
        assertThat(comma)
                .startsWith("\ufeff\"name\";\"plant\"")
                .contains("\"'=HYPERLINK(\"\"x\"\")\"", "\"51,25\";\"-2,5\"");
        String point = keeper.get("/api/archive/lists/stands.csv").expect(200).words();
        assertThat(point).contains("\"latitude, degrees north\"", ",51.25,-2.5,");
        keeper.get("/api/archive/lists/nonsense.csv").expect(404);
        keeper.get("/api/archive/lists/stands.csv?decimal=STAR").expect(400);
        List<String> names = as("ilse")
                .get("/api/archive/lists")
                .expect(200)
                .body()
                .valueStream()
                .map(l -> l.path("name").asString())
                .toList();
        Map<String, byte[]> files = files(archive(as("ilse")));
        for (String name : names) {
            String own = as("ilse")
                    .get("/api/archive/lists/" + name + ".csv")
                    .expect(200)
                    .words();
            assertThat(new String(files.get("lists/" + name + ".csv"), StandardCharsets.UTF_8))
                    .isEqualTo(own);
            // What is not said is an empty field: every line has as many as its heading.
            List<String[]> lines = CSV.<String[]>readValues(own.substring(1)).readAll();
            assertThat(lines).as(name).allMatch(l -> l.length == lines.get(0).length);
        }
        assertThat(new String(files.get("lists/harvests.csv"), StandardCharsets.UTF_8)
                        .lines()
                        .count())
                .isGreaterThan(9);
    }

    /** Somebody else's program: another JSON library, and no code of ours. */
    @Test
    public void anotherProgramTracesABottleToItsStand() {
        Map<String, byte[]> files = files(golden());
        for (String line : new String(files.get("manifest"), StandardCharsets.UTF_8).split("\n")) {
            assertThat(sum(files.get(line.substring(66)))).isEqualTo(line.substring(0, 64));
        }
        JsonArray lots = table(files, "lot");
        JsonArray links = table(files, "lot_link");
        Set<String> streams = new HashSet<>();
        Set<String> todo = of(lots, "form", "TINCTURE", "id");
        assertThat(todo).isNotEmpty();
        while (!todo.isEmpty()) {
            streams.addAll(todo);
            Set<String> before = todo;
            todo = StreamSupport.stream(links.spliterator(), false)
                    .map(l -> l.getAsJsonObject())
                    .filter(l -> before.contains(text(l, "to_lot")))
                    .map(l -> text(l, "from_lot"))
                    .filter(l -> !streams.contains(l))
                    .collect(Collectors.toSet());
        }
        Set<String> stands = of(table(files, "stand"), null, "", "id");
        assertThat(streams).as("lots that stand for a stand have its id").containsAnyElementsOf(stands);
        // Every row is what its schema says: all members, and no other.
        JsonObject schema = JsonParser.parseString(
                        new String(files.get("schema/lot.schema.json"), StandardCharsets.UTF_8))
                .getAsJsonObject();
        Set<String> members =
                schema.getAsJsonObject("items").getAsJsonObject("properties").keySet();
        lots.forEach(lot -> assertThat(lot.getAsJsonObject().keySet()).isEqualTo(members));
    }

    private static JsonArray table(Map<String, byte[]> files, String name) {
        return JsonParser.parseString(new String(files.get("tables/" + name + ".json"), StandardCharsets.UTF_8))
                .getAsJsonArray();
    }

    private static Set<String> of(JsonArray rows, String column, String value, String wanted) {
        return StreamSupport.stream(rows.spliterator(), false)
                .map(r -> r.getAsJsonObject())
                .filter(r -> column == null || value.equals(text(r, column)))
                .map(r -> text(r, wanted))
                .collect(Collectors.toSet());
    }

    private static String text(JsonObject row, String column) {
        return row.get(column).isJsonNull() ? "" : row.get(column).getAsString();
    }
}
