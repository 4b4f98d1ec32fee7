package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.BiFunction;
import org.jspecify.annotations.Nullable;
import org.testng.annotations.DataProvider;
import org.testng.annotations.Test;

/** Every reason why something must not be used, against every path on which it could be: none leads past. */
public class NoWayRoundTest extends ServerTest {

    private enum Trouble {
        STAND_DOUBTED,
        HARVEST_DOUBTED,
        HARVEST_MOULDY,
        GROUND_CONTAMINATED,
        JAR_DOUBTED,
        JAR_MOULDY
    }

    private enum Path {
        HARVEST,
        TAG,
        LEAF_ON_SKIN,
        RACK,
        JAR,
        TINCTURE,
        TEA,
        OIL,
        FILL,
        GIVE,
        COURSE,
        TEA_OF_THE_JAR,
        DOSE,
        CHEWED,
        EATEN,
        TRIED
    }

    private final Map<Trouble, Chain> chains = new EnumMap<>(Trouble.class);

    private Chain troubled(Trouble trouble) {
        return chains.computeIfAbsent(trouble, t -> {
            Chain chain = new Chain(as("ilse"), today(), now());
            Client ilse = chain.client;
            switch (t) {
                case STAND_DOUBTED ->
                    ilse.change(
                                    "POST",
                                    "/api/tracing/stands/" + chain.stand + "/doubt",
                                    Map.of("reason", "seen among it"),
                                    version(ilse, chain.stand))
                            .expect(200);
                case HARVEST_DOUBTED -> doubt(chain, chain.jarred);
                case HARVEST_MOULDY -> mould(chain, chain.jarred);
                case GROUND_CONTAMINATED ->
                    ilse.change(
                                    "PUT",
                                    "/api/field/stands/" + chain.stand,
                                    Chain.standBody(chain.stand, "stinging-nettle", "CONTAMINATED", null),
                                    version(ilse, chain.stand))
                            .expect(200);
                case JAR_DOUBTED -> doubt(chain, chain.jar);
                case JAR_MOULDY -> mould(chain, chain.jar);
            }
            return chain;
        });
    }

    private static int version(Client client, UUID stand) {
        return client.get("/api/field/stands/" + stand).body().path("version").asInt();
    }

    private static void doubt(Chain chain, UUID lot) {
        chain.client
                .change(
                        "POST",
                        "/api/tracing/lots/" + lot + "/doubt",
                        Map.of("reason", "it smells of nothing"),
                        chain.lotVersion(lot))
                .expect(200);
    }

    private static void mould(Chain chain, UUID lot) {
        chain.client
                .change("POST", "/api/tracing/lots/" + lot + "/mould", Map.of(), chain.lotVersion(lot))
                .expect(200);
    }

    private static final Map<Path, BiFunction<Chain, Client, Client.Answer>> PATHS = new EnumMap<>(Map.of(
            Path.HARVEST,
            (c, as) -> as.post("/api/field/stands/" + c.stand + "/harvests", c.picked(id(), c.today, 50)),
            Path.TAG,
            (c, as) -> as.post(
                    "/api/field/stands/" + c.stand + "/tags", Map.of("id", id(), "stake", "red", "place", "here")),
            Path.RACK,
            (c, as) -> as.post("/api/drying/runs", c.rack(id(), c.basket, 150, c.now)),
            Path.JAR,
            (c, as) -> as.post(
                    "/api/shelf/jars", Map.of("id", id(), "fromRun", c.run, "on", c.today, "massG", 51, "place", "")),
            Path.TINCTURE,
            (c, as) -> as.post("/api/making/batches", c.tincture(id(), c.jar, 5)),
            Path.FILL,
            (c, as) -> as.change(
                    "POST", "/api/making/batches/" + c.batch + "/containers", c.containers(20), c.version(c.batch)),
            Path.GIVE,
            (c, as) -> as.change(
                    "POST", "/api/shelf/lots/" + c.bottle + "/give", Map.of("holder", "Oda"), c.lotVersion(c.bottle)),
            Path.COURSE,
            (c, as) -> as.post("/api/dosing/courses", c.course(id(), c.person, c.bottle, 1)),
            Path.DOSE,
            (c, as) -> as.post("/api/dosing/courses/" + c.course + "/doses", c.dose(1))));

    static {
        PATHS.put(
                Path.LEAF_ON_SKIN,
                (c, as) -> as.post("/api/dosing/direct", c.direct(id(), "standId", c.stand, "CRUSHED", null)));
        PATHS.put(Path.EATEN, (c, as) -> as.post("/api/dosing/direct", c.direct(id(), "lotId", c.jar, "EATEN", 0.5)));
        PATHS.put(Path.TRIED, (c, as) -> {
            Map<String, Object> bite = c.direct(id(), "lotId", c.jar, "EATEN", 0.1);
            bite.put("forTrial", true);
            return as.post("/api/dosing/direct", bite);
        });
        PATHS.put(Path.TEA_OF_THE_JAR, (c, as) -> as.post("/api/dosing/courses", c.cups(id(), c.person, c.jar, 1)));
        PATHS.put(Path.CHEWED, (c, as) -> as.post("/api/dosing/direct", c.direct(id(), "lotId", c.jar, "CHEWED", 0.5)));
        PATHS.put(
                Path.TEA,
                (c, as) -> as.post(
                        "/api/making/batches",
                        Map.of(
                                "id",
                                id(),
                                "name",
                                "tea",
                                "kind",
                                "TEA",
                                "herbs",
                                List.of(Map.of("herb", Map.of("lotId", c.jar, "massG", 2))),
                                "wantedMl",
                                200,
                                "route",
                                "INTERNAL",
                                "startedOn",
                                c.today)));
        PATHS.put(
                Path.OIL,
                (c, as) -> as.post(
                        "/api/making/batches",
                        Map.of(
                                "id",
                                id(),
                                "name",
                                "oil",
                                "kind",
                                "INFUSED_OIL",
                                "herbs",
                                List.of(Map.of("lotId", c.jar, "massG", 2)),
                                "ratio",
                                7,
                                "carrier",
                                Map.of(
                                        "lotId",
                                        lot(c.client, "olive oil").path("id").asString()),
                                "method",
                                "COLD",
                                "route",
                                "EXTERNAL",
                                "startedOn",
                                c.today)));
    }

    /** A trouble reaches a path when what the path starts from comes after it. */
    private static boolean reaches(Trouble trouble, Path path) {
        return switch (trouble) {
            case STAND_DOUBTED, GROUND_CONTAMINATED -> path != Path.TAG || trouble == Trouble.STAND_DOUBTED;
            case HARVEST_DOUBTED, HARVEST_MOULDY, JAR_DOUBTED, JAR_MOULDY -> path.ordinal() >= Path.TINCTURE.ordinal();
        };
    }

    @DataProvider
    public Object[][] everyTroubleOnEveryPath() {
        List<Object[]> rows = new ArrayList<>();
        for (Trouble trouble : Trouble.values()) {
            for (Path path : Path.values()) {
                if (reaches(trouble, path)) {
                    rows.add(new Object[] {trouble.name(), path.name(), "ilse"});
                    rows.add(new Object[] {trouble.name(), path.name(), "tam"});
                }
            }
        }
        return rows.toArray(Object[][]::new);
    }

    @Test(dataProvider = "everyTroubleOnEveryPath")
    public void noPathLeadsPast(String trouble, String path, String member) {
        Chain chain = troubled(Trouble.valueOf(trouble));
        var answer = PATHS.get(Path.valueOf(path)).apply(chain, as(member));
        assertThat(answer.status()).as(answer.words()).isEqualTo(422);
        assertThat(answer.codes())
                .as(answer.words())
                .containsAnyOf("QUARANTINED", "DESTROYED", "CONTAMINATED", "IDENTITY_DOUBTED", "TAG_UNCONFIRMED");
    }

    /** Without the trouble each of them passes: the table tests something. */
    @Test
    public void withoutTroubleEveryPathIsOpen() {
        Chain chain = new Chain(as("ilse"), today(), now());
        for (Path path : List.of(
                Path.HARVEST,
                Path.TAG,
                Path.LEAF_ON_SKIN,
                Path.RACK,
                Path.JAR,
                Path.TINCTURE,
                Path.TEA,
                Path.FILL,
                Path.GIVE,
                Path.DOSE,
                Path.CHEWED,
                Path.EATEN,
                Path.TRIED)) {
            var answer = PATHS.get(path).apply(chain, chain.client);
            assertThat(answer.status()).as(path + " " + answer.words()).isEqualTo(200);
        }
    }

    /** What may become of somebody after a course was begun. */
    @DataProvider
    public Object[][] everyChangeOfAPerson() {
        List<Object[]> rows = new ArrayList<>();
        for (Object[] change : new Object[][] {
            {"trimester", 1},
            {"trimester", 3},
            {"breastFeeding", true},
            {"bornOn", today().minusYears(11).toString()},
            {"conditions", List.of("FLUID_RETENTION")},
            {"allergyFamilies", List.of("Urticaceae")},
            {"allergyFamilies", List.of("the NETTLE family ")},
        }) {
            rows.add(new Object[] {change[0], change[1], "ilse"});
            rows.add(new Object[] {change[0], change[1], "tam"});
        }
        return rows.toArray(Object[][]::new);
    }

    private Chain shared;

    private Chain shared() {
        if (shared == null) {
            shared = new Chain(as("ilse"), today(), now());
        }
        return shared;
    }

    private void become(Chain chain, Map<String, Object> changes) {
        Map<String, Object> body = Chain.personBody(java.util.UUID.fromString(chain.person));
        body.putAll(changes);
        int version = chain.client
                .get("/api/people/" + chain.person)
                .body()
                .path("version")
                .asInt();
        chain.client.change("PUT", "/api/people/" + chain.person, body, version).expect(200);
    }

    /** Nobody has to open the course to learn that it must stop. */
    @Test
    public void whatMustStopStandsFirstOnToday() {
        Chain chain = shared();
        assertThat(firstToStop(chain)).isNull();
        become(chain, Map.of("allergyFamilies", List.of("Urticaceae")));
        assertThat(firstToStop(chain)).contains("allergic");
        become(chain, Map.of("medicineNames", List.of("warfarin"), "trimester", 1));
        assertThat(firstToStop(chain)).isNotNull();
        become(chain, Map.of());
        assertThat(firstToStop(chain)).isNull();
    }

    private static @Nullable String firstToStop(Chain chain) {
        var tasks = chain.client.get("/api/calendar/today").expect(200).body().path("tasks");
        for (int i = 0; i < tasks.size(); i++) {
            var task = tasks.get(i);
            if (task.path("kind").asString().equals("STOP_TAKING")
                    && task.path("subjectId").asString().equals(chain.course.toString())) {
                assertThat(tasks.get(0).path("kind").asString()).isEqualTo("STOP_TAKING");
                return task.path("detail").asString();
            }
        }
        return null;
    }

    /** The gates judge who somebody is now, not who they were when the course was begun. */
    @Test(dataProvider = "everyChangeOfAPerson")
    public void aChangeOfThePersonStopsTheNextDoseAndAnyNewCourse(String field, Object value, String member) {
        Chain chain = shared();
        Client who = as(member);
        become(chain, Map.of(field, value));
        for (Path path : List.of(Path.COURSE, Path.TEA_OF_THE_JAR, Path.DOSE, Path.CHEWED, Path.EATEN, Path.TRIED)) {
            var answer = PATHS.get(path).apply(chain, who);
            assertThat(answer.status()).as(path + " " + answer.words()).isEqualTo(422);
            assertThat(answer.codes())
                    .as(answer.words())
                    .anyMatch(code -> code.startsWith("CAUTION_") || code.startsWith("ALLERG") || code.contains("AGE"));
        }
        become(chain, Map.of());
        assertThat(chain.client
                        .get("/api/dosing/courses/" + chain.course)
                        .body()
                        .path("taken")
                        .size())
                .as("nothing was recorded")
                .isZero();
    }

    /** Time is a way as well: what was good when the course was begun is not for ever. */
    @Test(dependsOnMethods = "aChangeOfThePersonStopsTheNextDoseAndAnyNewCourse")
    public void whatIsPastItsDateIsNeitherGivenNorTaken() {
        Chain chain = shared();
        var before = now();
        later(java.time.Duration.ofDays(4 * 366));
        try {
            var day = java.time.LocalDate.ofInstant(now(), java.time.ZoneOffset.UTC);
            for (String member : List.of("ilse", "tam")) {
                Client who = as(member);
                Map<String, Object> course = chain.course(id(), chain.person, chain.bottle, 1);
                course.put("startOn", day);
                assertThat(who.post("/api/dosing/courses", course).expect(422).codes())
                        .contains("EXPIRED");
                assertThat(PATHS.get(Path.GIVE).apply(chain, who).status()).isIn(409, 422);
                assertThat(who.post(
                                        "/api/dosing/courses/" + chain.course + "/doses",
                                        Map.of("id", id(), "on", day, "slot", 1))
                                .status())
                        .isIn(400, 409, 422);
            }
        } finally {
            clock.set(before);
        }
    }

    /** What was set aside for mould never comes back, whatever else is cleared. */
    @Test(dependsOnMethods = "noPathLeadsPast")
    public void clearingNeverLiftsMould() {
        Chain chain = troubled(Trouble.HARVEST_MOULDY);
        doubt(chain, chain.jar);
        chain.client
                .change(
                        "POST",
                        "/api/tracing/lots/" + chain.jar + "/clear",
                        Map.of("reason", "it was another jar"),
                        chain.lotVersion(chain.jar))
                .expect(200);
        chain.client.post("/api/tracing/stands/" + chain.stand + "/clear", "{}").expect(200);
        assertThat(chain.client
                        .get("/api/shelf/lots/" + chain.bottle)
                        .body()
                        .path("state")
                        .asString())
                .isEqualTo("QUARANTINED");
    }
}
