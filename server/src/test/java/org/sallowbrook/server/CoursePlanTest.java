package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.sallowbrook.core.dosing.pattern.Pattern;
import org.sallowbrook.core.measure.Words;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;
import tools.jackson.databind.JsonNode;

/** How a course is planned: in what unit, of what, on which days. */
public class CoursePlanTest extends ServerTest {

    private Client ilse;
    private Chain chain;

    @BeforeClass
    public void prepare() {
        ilse = as("ilse");
        chain = new Chain(ilse, today(), now());
    }

    private String somebody() {
        String person = Chain.person(ilse);
        Chain.tried(ilse, person, today());
        return person;
    }

    private Map<String, Object> cups(int days) {
        return chain.cups(id(), somebody(), chain.jar, days);
    }

    @Test
    public void aWeekOfTeaIsPlannedFromTheJarAndTakesItsGramsOutOfIt() {
        Map<String, Object> course = cups(7);
        course.put("perDose", 2);
        course.put("perCup", 2);
        JsonNode plan =
                ilse.post("/api/dosing/courses/check", course).expect(200).body();
        assertThat(plan.path("total").asDouble()).isEqualTo(28);
        assertThat(plan.path("unit").asString()).isEqualTo("g");
        assertThat(plan.path("perCup").asDouble()).isEqualTo(2);
        assertThat(plan.path("usualUnit").asString()).isEqualTo("CUP");
        // As the card weighs dried herb: with a tenth of water in it; the jar may be drier.
        assertThat(plan.path("driedGPerDay").path("high").asDouble()).isBetween(4.0, 4.0 / 0.9);
        double before = remaining(chain.jar);
        ilse.post("/api/dosing/courses", course).expect(200);
        JsonNode begun = ilse.post("/api/dosing/courses/" + course.get("id") + "/doses", chain.dose(1))
                .expect(200)
                .body();
        assertThat(remaining(chain.jar)).isCloseTo(before - 2, within(1e-9));
        assertThat(begun.path("unit").asString()).isEqualTo("g");
        assertThat(begun.path("countedOut").asString()).startsWith("1 cup made fresh with 2 g to a cup of ");
        // What is drunk of the jar counts beside what is taken of the bottle.
        Map<String, Object> drops = chain.course(id(), (String) course.get("personId"), chain.bottle, 1);
        Map<String, Object> alone = chain.course(id(), somebody(), chain.bottle, 1);
        assertThat(stands(drops)).contains("from what else is taken");
        assertThat(stands(alone)).doesNotContain("from what else");
        end(course);
    }

    private String stands(Map<String, Object> course) {
        return ilse.post("/api/dosing/courses/check", course)
                .expect(200)
                .body()
                .path("stands")
                .asString();
    }

    private double remaining(UUID lot) {
        return ilse.get("/api/shelf/lots/" + lot).body().path("remaining").asDouble();
    }

    /** Where nobody says how much goes to a cup, it is made as the card makes one: 3 g of nettle leaf to 200 mL. */
    @Test
    public void theCardSaysHowMuchGoesToACup() {
        Map<String, Object> course = cups(7);
        course.remove("perCup");
        course.put("use", "flushing of the urinary tract");
        JsonNode plan =
                ilse.post("/api/dosing/courses/check", course).expect(200).body();
        assertThat(plan.path("perCup").asDouble()).isEqualTo(3);
        JsonNode cup = plan.path("units").get(1);
        assertThat(cup.path("words").asString())
                .isEqualTo("made fresh with 3 g to a cup of 200 mL, steeped under a lid for 10 minutes");
        JsonNode proposal = plan.path("proposal");
        double counted = proposal.path("perDose").asDouble();
        assertThat(counted % 0.75).isZero();
        assertThat(proposal.path("counted").asString()).matches("[0-9.]+ cups? \\(" + Words.figure(counted) + " g\\)");
        assertThat(ilse.post("/api/dosing/courses", course).expect(400).wrongFields())
                .containsExactly("perCup");
    }

    @Test
    public void noGramIsTakenForAMillilitreAndNoJarPutOnTheSkin() {
        Map<String, Object> spoonfuls = cups(3);
        spoonfuls.put("unit", "mL");
        assertThat(ilse.post("/api/dosing/courses", spoonfuls).expect(400).wrongFields())
                .containsExactly("unit");
        spoonfuls.put("unit", "ounce");
        assertThat(ilse.post("/api/dosing/courses", spoonfuls).expect(400).wrongFields())
                .containsExactly("unit");
        Map<String, Object> onSkin = cups(3);
        onSkin.put("way", "SKIN");
        onSkin.put("skin", "INTACT");
        onSkin.remove("perCup");
        onSkin.put("countedIn", "G");
        assertThat(ilse.post("/api/dosing/courses", onSkin).expect(400).wrongFields())
                .containsExactly("way");
        Map<String, Object> drops = chain.course(id(), somebody(), chain.bottle, 1);
        drops.put("perCup", 2);
        assertThat(ilse.post("/api/dosing/courses", drops).expect(400).wrongFields())
                .containsExactly("perCup");
        Map<String, Object> tooStrong = cups(3);
        tooStrong.put("perCup", 60);
        assertThat(ilse.post("/api/dosing/courses/check", tooStrong).expect(400).wrongFields())
                .containsExactly("perCup");
    }

    @DataProvider
    public static Object[][] patterns() {
        return new Object[][] {
            {Map.of("kind", "DAILY"), "every day"},
            {Map.of("kind", "WEEKDAYS", "on", List.of("TUESDAY", "FRIDAY")), "every Tuesday, Friday"},
            {Map.of("kind", "WEEKLY"), "one day a week"},
            {
                Map.of("kind", "WEEKLY_IN_SEASON", "from", "--01-01", "to", "--12-31", "on", "SUNDAY"),
                "every Sunday from 1 Jan to 31 Dec"
            },
            {Map.of("kind", "CYCLE", "onDays", 5, "offDays", 2), "5 days on, 2 off"},
            {Map.of("kind", "DAYS_PER_MONTH", "daysPerMonth", 31), "the first 31 days of each month"},
            {Map.of("kind", "SEASON", "from", "--01-01", "to", "--12-31"), "every day from 1 Jan to 31 Dec"},
            {Map.of("kind", "EVERY_HOURS", "everyHours", 12), "every 12 hours"},
            {Map.of("kind", "EVERY_HOURS", "everyHours", 12, "toHours", 24), "every 12 to 24 hours"},
            {Map.of("kind", "AS_NEEDED"), "as needed"},
            {Map.of("kind", "DRAWN", "onDays", 2, "lot", 5), "stretches of 2 days with and without, drawn by lot"},
        };
    }

    @Test(dataProvider = "patterns")
    public void aCourseIsOpenedWithThePatternItWasBegunWith(Map<String, Object> pattern, String words) {
        Map<String, Object> course = chain.course(id(), somebody(), chain.bottle, 14);
        course.put("perDose", 0.05);
        course.put("timesPerDay", 1);
        course.put("pattern", pattern);
        ilse.post("/api/dosing/courses", course).expect(200);
        JsonNode begun = ilse.get("/api/dosing/courses/" + course.get("id")).body();
        assertThat(begun.path("pattern").asString()).isEqualTo(words);
        assertThat(begun.path("days")).hasSize(14);
        end(course);
    }

    /** The house is everybody's: what runs in it is asked for by other tests as well. */
    private void end(Map<String, Object> course) {
        ilse.change("POST", "/api/dosing/courses/" + course.get("id") + "/end", Map.of(), 0)
                .expect(200);
    }

    @Test
    public void everyPatternOfTheCoreCanBeAskedFor() {
        Set<Object> asked = Stream.of(patterns())
                .map(row -> ((Map<?, ?>) row[0]).get("kind"))
                .collect(Collectors.toSet());
        assertThat(asked).hasSize(Pattern.class.getPermittedSubclasses().length);
    }

    /** What a pattern has no use for is refused, not dropped. */
    @Test
    public void aPatternHasItsOwnMembersOnly() {
        Map<String, Object> course = new HashMap<>(chain.course(id(), somebody(), chain.bottle, 14));
        course.put("pattern", Map.of("kind", "DAILY", "onDays", 5));
        assertThat(ilse.post("/api/dosing/courses/check", course).expect(400).wrongFields())
                .containsExactly("onDays");
        course.put("pattern", Map.of("kind", "CYCLE", "onDays", 5));
        assertThat(ilse.post("/api/dosing/courses/check", course).expect(400).wrongFields())
                .containsExactly("pattern.offDays");
        course.put("pattern", Map.of("kind", "FORTNIGHTLY"));
        assertThat(ilse.post("/api/dosing/courses/check", course).expect(400).wrongFields())
                .contains("pattern.kind");
        course.put("pattern", Map.of("kind", "WEEKDAYS", "on", new HashSet<>()));
        assertThat(ilse.post("/api/dosing/courses/check", course).expect(400).wrongFields())
                .containsExactly("pattern.on");
    }
}
