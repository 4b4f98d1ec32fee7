package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import biweekly.Biweekly;
import biweekly.ICalendar;
import biweekly.component.VEvent;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.testng.annotations.AfterMethod;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** What is due in a calendar, read by another library than the one that writes it, and by nobody who is signed in. */
public class CalendarTest extends ServerTest {

    private static final List<String> ALL = List.of("FIELD", "READY", "RACK", "BENCH", "SHELF", "PEOPLE");

    private final HttpClient nobody = HttpClient.newHttpClient();
    private Client ilse;

    @BeforeClass
    public void household() {
        ilse = as("ilse");
    }

    @AfterMethod
    public void noAddresses() {
        for (JsonNode f : ilse.get("/api/calendar/feeds").expect(200).body()) {
            ilse.delete("/api/calendar/feeds/" + f.path("id").asString(), null).expect(204);
        }
    }

    private JsonNode made(List<String> of, boolean inFull, String alarm) {
        return ilse.post("/api/calendar/feeds", Map.of("id", id(), "of", of, "inFull", inFull, "alarm", alarm))
                .expect(200)
                .body();
    }

    private HttpResponse<String> asked(String secret) throws Exception {
        return nobody.send(
                HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + "/api/calendar/feed/" + secret))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
    }

    private ICalendar read(String secret) throws Exception {
        HttpResponse<String> answer = asked(secret);
        assertThat(answer.statusCode()).as(answer.body()).isEqualTo(200);
        assertThat(answer.headers().firstValue("Content-Type")).hasValue("text/calendar;charset=UTF-8");
        ICalendar calendar = Biweekly.parse(answer.body()).first();
        assertThat(calendar.validate(biweekly.ICalVersion.V2_0).getWarnings()).isEmpty();
        return calendar;
    }

    private static Set<String> ids(ICalendar calendar) {
        return calendar.getEvents().stream().map(e -> e.getUid().getValue()).collect(Collectors.toSet());
    }

    /** What Today says is due is in it, each once, under an id of its own. */
    @Test
    public void whatIsDueTodayIsInIt() throws Exception {
        ICalendar calendar = read(made(ALL, true, "NONE").path("secret").asString());
        assertThat(ids(calendar)).hasSameSizeAs(calendar.getEvents());
        List<String> titles = calendar.getEvents().stream()
                .map(e -> e.getSummary().getValue().replace(" (late)", ""))
                .toList();
        for (JsonNode task : ilse.get("/api/calendar/today").expect(200).body().path("tasks")) {
            assertThat(titles).contains(task.path("title").asString());
        }
        // A weighing has its hour, in the zone of the household; what is late is on today.
        for (VEvent e : calendar.getEvents()) {
            LocalDate day = LocalDate.ofInstant(
                    e.getDateStart().getValue().toInstant(),
                    e.getDateStart().getValue().hasTime() ? ZoneOffset.UTC : ZoneId.systemDefault());
            boolean ripe = e.getUid().getValue().startsWith("ready-");
            assertThat(ripe || !day.isBefore(today().minusDays(1)))
                    .as(e.getSummary().getValue())
                    .isTrue();
        }
    }

    /** Whoever looks over a shoulder learns what is to be done, and not of whom, of what or where. */
    @Test
    public void titlesSayNothingPrivateUnlessWished() throws Exception {
        String text = asked(made(ALL, false, "NONE").path("secret").asString()).body();
        Set<String> words = new TreeSet<>();
        ilse.get("/api/people")
                .expect(200)
                .body()
                .forEach(p -> words.add(p.path("name").asString().split(" ")[0]));
        ilse.get("/api/field/stands")
                .expect(200)
                .body()
                .forEach(s -> words.add(s.path("name").asString()));
        ilse.get("/api/shelf/lots")
                .expect(200)
                .body()
                .forEach(l -> words.add(l.path("name").asString()));
        assertThat(words).hasSizeGreaterThan(10);
        assertThat(words).noneMatch(text::contains);
        assertThat(text).contains("SUMMARY:Shake").contains("SUMMARY:A dose");
    }

    /** What is new comes, what is done goes, and nothing else changes. */
    @Test
    public void whatIsNewComesAndWhatIsDoneGoes() throws Exception {
        UUID note = id();
        Map<String, Object> body = Map.of(
                "id",
                note,
                "words",
                "Under the willow, with commas; and \"quotes\"\nand a second line",
                "day",
                today().toString(),
                "place",
                "The willow, far side",
                "pictured",
                false,
                "comeBack",
                Map.of("when", "DAY", "on", today().plusDays(9).toString()));
        JsonNode feed = made(List.of("FIELD"), true, "NONE");
        Set<String> before = ids(read(feed.path("secret").asString()));
        ilse.post("/api/notes", body).expect(200);
        Set<String> with = ids(read(feed.path("secret").asString()));
        assertThat(with).hasSize(before.size() + 1).containsAll(before).contains("come_back-" + note + "@sallowbrook");
        ilse.post("/api/notes/" + note + "/been-back", null).expect(200);
        assertThat(ids(read(feed.path("secret").asString()))).isEqualTo(before);
    }

    @Test
    public void onlyWhatWasChosenIsInIt() throws Exception {
        for (String of : ALL) {
            ICalendar calendar =
                    read(made(List.of(of), true, "NONE").path("secret").asString());
            Set<String> kinds = new HashSet<>();
            calendar.getEvents().forEach(e -> e.getCategories().forEach(c -> kinds.addAll(c.getValues())));
            if (of.equals("READY")) {
                assertThat(kinds).containsExactly("READY");
            } else {
                assertThat(kinds).doesNotContain("READY");
            }
            if (of.equals("BENCH")) {
                assertThat(kinds).isSubsetOf("SHAKE", "PRESS", "FILL").isNotEmpty();
            }
        }
        ilse.post("/api/calendar/feeds", Map.of("id", id(), "of", List.of(), "inFull", true, "alarm", "NONE"))
                .expect(400);
        ilse.post("/api/calendar/feeds", Map.of("id", id(), "of", List.of("MOON"), "inFull", true, "alarm", "NONE"))
                .expect(400);
    }

    /** At eight where the household lives, or at six the evening before. */
    @Test
    public void alarmsRingWhereTheHouseholdLives() throws Exception {
        for (String alarm : List.of("THEN", "EVENING_BEFORE")) {
            ICalendar calendar =
                    read(made(List.of("BENCH"), false, alarm).path("secret").asString());
            assertThat(calendar.getEvents()).isNotEmpty();
            for (VEvent e : calendar.getEvents()) {
                assertThat(e.getAlarms()).hasSize(1);
                Instant rings = e.getAlarms().get(0).getTrigger().getDate().toInstant();
                Instant starts = e.getDateStart().getValue().toInstant();
                assertThat(Duration.between(rings, starts).abs()).isLessThan(Duration.ofHours(16));
                int hour = rings.atZone(ZoneId.of(zone())).getHour();
                assertThat(alarm.equals("THEN") ? hour >= 8 : hour == 18)
                        .as(e.getSummary().getValue() + " at " + hour)
                        .isTrue();
            }
        }
        assertThat(read(made(List.of("BENCH"), false, "NONE").path("secret").asString())
                        .getEvents())
                .allMatch(e -> e.getAlarms().isEmpty());
    }

    private String zone() {
        return ilse.get("/api/household/settings")
                .expect(200)
                .body()
                .path("zone")
                .asString();
    }

    /** Ended it answers nobody; what is no address says the same, and another household's is not seen. */
    @Test
    public void anAddressIsEndedAndTellsNobodyElse() throws Exception {
        JsonNode feed = made(ALL, true, "NONE");
        String secret = feed.path("secret").asString();
        assertThat(secret.length()).isGreaterThanOrEqualTo(43);
        assertThat(asked(secret).statusCode()).isEqualTo(200);
        assertThat(ilse.get("/api/calendar/feeds").expect(200).words()).doesNotContain(secret);
        Client other = as("lantern");
        assertThat(other.get("/api/calendar/feeds").expect(200).body()).isEmpty();
        other.delete("/api/calendar/feeds/" + feed.path("id").asString(), null).expect(404);
        ilse.delete("/api/calendar/feeds/" + feed.path("id").asString(), null).expect(204);
        assertThat(asked(secret).statusCode()).isEqualTo(404);
        assertThat(asked("nothing-of-the-kind").statusCode()).isEqualTo(404);
    }

    /** Asked for ten times a second it says when to come again, and another address is answered meanwhile. */
    @Test
    public void whoAsksTooOftenIsToldToWait() throws Exception {
        String often = made(ALL, true, "NONE").path("secret").asString();
        String seldom = made(List.of("BENCH"), true, "NONE").path("secret").asString();
        List<Integer> answers = new ArrayList<>();
        for (int i = 0; i < 30; i++) {
            answers.add(asked(often).statusCode());
        }
        assertThat(answers).containsOnly(200, 429).endsWith(429);
        assertThat(asked(often).headers().firstValue("Retry-After")).isPresent();
        assertThat(asked(seldom).statusCode()).isEqualTo(200);
    }

    @Test
    public void theFileIsTheSame() throws Exception {
        String file = ilse.get("/api/calendar/file?of=BENCH&of=RACK&inFull=true&alarm=NONE")
                .expect(200)
                .words();
        assertThat(ids(Biweekly.parse(file).first()))
                .isEqualTo(ids(read(made(List.of("RACK", "BENCH"), true, "NONE")
                        .path("secret")
                        .asString())));
    }
}
