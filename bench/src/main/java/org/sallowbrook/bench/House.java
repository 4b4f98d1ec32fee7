package org.sallowbrook.bench;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * What every view asks for, of a household in its first season, after ten years, and after ten years among a hundred
 * households: docs/measurements.md, section house. The years are the demo's own season, which was recorded through the gates,
 * copied back in time row by row and finished; the hundred are copies of that household.
 *
 * <p>Started by {@code ./sallowbrook bench house}, which starts a server on a throwaway database.
 */
public final class House {

    private static final int SEASONS = 30;
    private static final int DAYS_APART = 122;
    private static final int HOUSEHOLDS = 100;
    private static final int TIMES = 40;
    private static final int WARM = 15;
    private static final double MOST_TIMES = 1.5;
    private static final double MOST_P95_MS = 100;

    /** In an order in which what is referred to comes first. */
    private static final List<String> SEASONAL = List.of(
            "stand_identification",
            "sighting",
            "harvest",
            "lot",
            "lot_herb",
            "lot_trait",
            "lot_change",
            "lot_link",
            "drying_run",
            "weighing",
            "batch",
            "shake",
            "course",
            "dose_taken");

    private static final Set<String> KEPT = Set.of("household_id", "stand_id", "person_id", "vessel_id", "looked_by");

    private static final Pattern ID = Pattern.compile("[0-9a-f]{8}(?:-[0-9a-f]{4}){3}-[0-9a-f]{12}");

    private record Times(double medianMs, double p95Ms, int bytes) {}

    private final Visitor ilse;
    private final Steward steward;
    private final Map<String, String> requests = new LinkedHashMap<>();

    private House(String base, Steward steward) throws IOException, InterruptedException {
        this.ilse = Visitor.signIn(base, "ilse");
        this.steward = steward;
    }

    public static void main(String[] args) throws Exception {
        try (Steward steward = Steward.signIn()) {
            new House("http://127.0.0.1:" + System.getenv("SALLOWBROOK_PORT"), steward).run();
        }
    }

    private void run() throws IOException, InterruptedException, SQLException {
        views();
        // Twice unmeasured: else the first season is charged with the compiler's warming up.
        measure();
        measure();
        Map<String, Times> young = measure();
        long begin = System.nanoTime();
        for (int k = 1; k <= SEASONS; k++) {
            season(k);
        }
        yearOfDoses();
        steward.execute("analyze");
        String sizes = "%d lots, %d batches, %d dryings, %d doses"
                .formatted(count("lot"), count("batch"), count("drying_run"), count("dose_taken"));
        System.out.println("ten years laid in " + (System.nanoTime() - begin) / 1_000_000_000 + " s: " + sizes);
        Map<String, Times> old = measure();
        String archive = archive();
        System.out.println(archive);
        for (int h = 2; h <= HOUSEHOLDS; h++) {
            household(h);
        }
        steward.execute("analyze");
        String all = "%d lots, %d weighings".formatted(all("lot"), all("weighing"));
        System.out.println("a hundred households: " + all);
        Map<String, Times> many = measure();
        QueryPlans plans =
                new QueryPlans(steward.db, Path.of(System.getenv("SALLOWBROOK_BENCH_FOLDER"), "postgres.log"));
        // The first asking may meet a connection that was just closed.
        for (int i = 0; i < 12; i++) {
            ask("/api/household");
        }
        for (Map.Entry<String, String> view : requests.entrySet()) {
            plans.of(view.getKey(), () -> ask(view.getValue()));
        }
        write(young, old, many, sizes, all, archive + plans.told());
    }

    /** All of it out into a file, looked through by another household, and in. */
    private String archive() throws IOException, InterruptedException, SQLException {
        Visitor lantern = Visitor.signIn(ilse.base, "lantern");
        emptied();
        long begin = System.nanoTime();
        byte[] file = ilse.client
                .send(
                        HttpRequest.newBuilder(URI.create(ilse.base + "/api/archive/file"))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray())
                .body();
        double out = seconds(begin);
        begin = System.nanoTime();
        HttpResponse<String> read = lantern.client.send(
                HttpRequest.newBuilder(URI.create(ilse.base + "/api/archive/readings"))
                        .header("Content-Type", "application/zip")
                        .header("X-XSRF-TOKEN", lantern.token())
                        .POST(HttpRequest.BodyPublishers.ofByteArray(file))
                        .build(),
                HttpResponse.BodyHandlers.ofString());
        double looked = seconds(begin);
        Matcher id = Pattern.compile("\"id\":\"([0-9a-f-]{36})\"").matcher(read.body());
        if (read.statusCode() != 200 || !id.find()) {
            throw new IllegalStateException("the archive was refused: " + read.body());
        }
        begin = System.nanoTime();
        HttpResponse<String> taken = lantern.client.send(
                lantern.posting(
                        "/api/archive/readings/" + id.group(1), "{\"reason\":\"the household of the measurement\"}"),
                HttpResponse.BodyHandlers.ofString());
        double in = seconds(begin);
        if (taken.statusCode() != 200) {
            throw new IllegalStateException("the archive was not taken in: " + taken.body());
        }
        List<String> otherwise = otherwise(lantern);
        return String.format(
                Locale.ROOT,
                "%nAll records of the ten years as an archive: %.1f MB, written in %.1f s; looked through by another household in"
                        + " %.1f s, and %s taken in in %.1f s. Of the views above %d answer there as here%s.%n%n",
                file.length / 1e6,
                out,
                looked,
                taken.body().replaceAll("\\D+", "") + " rows",
                in,
                (int) requests.values().stream().filter(r -> r.startsWith("/")).count() - otherwise.size(),
                otherwise.isEmpty() ? ", all of them" : ", not " + String.join(", ", otherwise));
    }

    /** The other household has nothing of its own, and lives where this one does: what is its own stays when it reads one in. */
    private void emptied() throws SQLException {
        String there = steward.one("select household_id from account where username = 'lantern'");
        steward.execute("set session_replication_role = replica");
        steward.execute(steward.one("select string_agg(format('delete from %I where household_id = ''" + there
                + "''', table_name), '; ') from information_schema.columns where column_name = 'household_id'"
                + " and table_schema = 'public' and table_name <> 'account'"));
        steward.execute("set session_replication_role = default");
        steward.execute("update household h set (zone, region, latitude, elevation_m, emergency_number, poison_centre,"
                + " stand_ins) = (select m.zone, m.region, m.latitude, m.elevation_m, m.emergency_number, m.poison_centre,"
                + " m.stand_ins from household m join account a on a.household_id = m.id where a.username = 'ilse')"
                + " where h.id = '" + there + "'");
    }

    /** What another household that read the archive in answers otherwise; ids aside, which are new there. */
    private List<String> otherwise(Visitor other) throws IOException, InterruptedException, SQLException {
        String there = steward.one("select household_id from account where username = 'lantern'");
        List<String> otherwise = new ArrayList<>();
        for (Map.Entry<String, String> view : requests.entrySet()) {
            if (view.getValue().startsWith("/")) {
                String theirs = ID.matcher(view.getValue()).replaceAll(m -> idThere(there, m.group()));
                boolean same = false;
                // Hours on the rack are counted to the second, and one may pass between two questions.
                for (int i = 0; i < 3 && !same; i++) {
                    HttpResponse<String> mine = ilse.get(view.getValue());
                    HttpResponse<String> answered = other.get(theirs);
                    same = mine.statusCode() == answered.statusCode()
                            && anonymous(mine.body()).equals(anonymous(answered.body()));
                }
                if (!same) {
                    otherwise.add(view.getKey());
                }
            }
        }
        return otherwise;
    }

    /** Where a server has an id already, the archive's are changed in this way. */
    private static String idThere(String household, String id) {
        UUID old = UUID.fromString(id);
        UUID named = UUID.nameUUIDFromBytes((household + " " + id).getBytes(StandardCharsets.US_ASCII));
        return new UUID(old.getMostSignificantBits(), named.getLeastSignificantBits()).toString();
    }

    private static String anonymous(String answer) {
        Map<String, String> met = new LinkedHashMap<>();
        return ID.matcher(answer).replaceAll(m -> met.computeIfAbsent(m.group(), k -> "id " + met.size()));
    }

    private static double seconds(long begin) {
        return (System.nanoTime() - begin) / 1e9;
    }

    /** Three doses a day for everybody in the house, in twelve courses each, all of the last twelve months. */
    private void yearOfDoses() throws SQLException {
        String ilse = "(select household_id from account where username = 'ilse')";
        steward.execute(
                "create temporary table dosed as select md5('c' || p.id || m)::uuid as id, p.id as person_id, m as month,"
                        + " (select l.id from lot l where l.household_id = " + ilse
                        + " and l.stage = 'FILLED' order by l.id offset m limit 1) as lot_id"
                        + " from person p, generate_series(0, 11) m where p.household_id = " + ilse);
        List<String> columns = steward.columns("course");
        List<String> values = columns.stream()
                .map(c -> switch (c) {
                    case "id", "person_id", "lot_id" -> "d." + c;
                    case "start_on" -> "date '2026-07-14' - 30 * (d.month + 1)";
                    case "last_day" -> "date '2026-07-14' - 30 * d.month - 1";
                    case "status" -> "'ENDED'";
                    default -> "c." + c;
                })
                .toList();
        steward.execute("insert into course (" + String.join(", ", columns) + ") select " + String.join(", ", values)
                + " from dosed d, (select * from course where status = 'RUNNING' and household_id = " + ilse
                + " limit 1) c");
        steward.execute(
                "insert into dose_taken (id, household_id, course_id, on_day, slot, amount, ticked_by, ticked_at) select"
                        + " md5('d' || d.id || day || slot)::uuid, " + ilse
                        + ", d.id, date '2026-07-14' - 30 * d.month - day, slot,"
                        + " 1, 'bench', now() - interval '1 day' from dosed d, generate_series(1, 30) day, generate_series(1, 3) slot");
    }

    private void views() throws SQLException {
        String stand = steward.one(
                "select from_lot from lot_link l join lot s on s.id = l.from_lot where s.stage = 'STAND' and"
                        + " s.household_id = (select household_id from account where username = 'ilse')"
                        + " group by 1 order by count(*) desc limit 1");
        String jar = steward.one(
                "select id from lot where form = 'HERB' and stage = 'STOCK' and remaining > 40 and route = 'INTERNAL'"
                        + " and state = 'USABLE' and best_before > '2026-07-15' limit 1");
        String spirit = steward.one("select id from lot where form = 'SPIRIT' limit 1");
        String course = steward.one("select id from course where status = 'RUNNING' limit 1");
        String bottle = steward.one("select lot_id from course where status = 'RUNNING' and unit = 'ML' limit 1");
        String person = steward.one("select person_id from course where status = 'RUNNING' limit 1");
        String nettles = steward.one("select id from stand where name = 'Nettles behind the hedge' limit 1");
        requests.put("Today", "/api/calendar/today");
        requests.put("Field: stands", "/api/field/stands");
        requests.put("Field: season", "/api/field/season");
        requests.put("Field: ground", "/api/field/ground");
        requests.put("Field: weather", "/api/field/weather");
        requests.put("Field: harvests", "/api/field/harvests");
        requests.put("Rack: drying now", "/api/drying/runs");
        requests.put("Rack: waiting", "/api/drying/waiting");
        requests.put("Rack: dried before", "/api/drying/runs/past");
        requests.put("Shelf", "/api/shelf/lots");
        requests.put("Shelf: used up", "/api/shelf/lots/past");
        requests.put("Shelf: running out", "/api/shelf/running-out");
        requests.put("Shelf: jars and bottles", "/api/shelf/vessels");
        requests.put("Rack: racks known", "/api/drying/racks");
        requests.put("Bench: under way", "/api/making/batches");
        requests.put("Bench: finished", "/api/making/batches/past");
        requests.put(
                "Bench: a tincture reckoned",
                "POST /api/making/batches/check " + """
                        {"kind":"TINCTURE","id":"%s","name":"x","herbs":[{"lotId":"%s","massG":20}],"ratio":5,"waterCounts":false,\
                        "basis":"MENSTRUUM","strengthPercent":40,"spirits":[{"lotId":"%s"}],"press":"MEDIUM","route":"INTERNAL",\
                        "startedOn":"2026-07-15"}""".formatted(UUID.randomUUID(), jar, spirit));
        requests.put("People", "/api/people");
        requests.put("People: courses", "/api/dosing/courses");
        requests.put("People: courses over", "/api/dosing/courses/past");
        requests.put("A course", "/api/dosing/courses/" + course);
        requests.put(
                "A course checked",
                "POST /api/dosing/courses/check " + """
                {"id":"%s","personId":"%s","lotId":"%s","use":"minor joint pain","way":"MOUTH","perDose":2,"unit":"mL","timesPerDay":3,\
                "pattern":{"kind":"DAILY"},"courseDays":10,"startOn":"2026-07-15"}""".formatted(UUID.randomUUID(), person, bottle));
        requests.put(
                "A leaf used as it is, checked",
                "POST /api/dosing/direct/check " + """
                {"id":"%s","personId":"%s","standId":"%s","part":"LEAF","picked":{"stage":"LEAFY","tells":[],\
                "examinedSingly":true},"manner":"CRUSHED","skin":"INTACT","on":"2026-07-15","forTrial":false,"words":""}\
                """.formatted(UUID.randomUUID(), person, nettles));
        requests.put("Something is wrong", "/api/dosing/people/" + person + "/help");
        requests.put("A person's reactions", "/api/dosing/people/" + person + "/reactions");
        requests.put("Reactions to a plant", "/api/dosing/plants/meadowsweet/reactions");
        requests.put("Plants used as they were", "/api/dosing/direct");
        requests.put(
                "A harvest checked",
                "POST /api/field/stands/" + nettles + "/harvests/check " + """
                {"id":"%s","part":"LEAF","stage":"LEAFY","on":"2026-07-15","massG":50,"shareTaken":0.01,"weather":"",\
                "tells":[],"examinedSingly":true}""".formatted(UUID.randomUUID()));
        requests.put("A stand over years", "/api/field/stands/" + nettles + "/years?part=LEAF");
        requests.put("Contacts with a plant", "/api/field/contacts?taxon=stinging-nettle");
        requests.put("Harvests to be weighed", "/api/field/harvests/unweighed");
        requests.put(
                "From the basket to the bottle", "/api/planning/stands/" + nettles + "/basket?part=LEAF&freshG=100");
        requests.put("All cards, for a device", "/api/herbarium/cards");
        requests.put("A complaint in words", "/api/planning/needs/search?words=tickly%20couhg");
        requests.put("Instead of a plant", "/api/planning/needs/instead?taxon=meadowsweet&person=" + person);
        requests.put("Trace: where to begin", "/api/tracing/starts");
        requests.put("Trace of a stand", "/api/tracing/lots/" + stand);
        requests.put("Trace of a jar", "/api/tracing/lots/" + jar);
        requests.put("By need", "/api/planning/needs/plants?need=minor%20joint%20pain");
        requests.put("Herbarium", "/api/herbarium/taxa");
    }

    private Map<String, Times> measure() throws IOException, InterruptedException {
        Map<String, Times> times = new LinkedHashMap<>();
        for (Map.Entry<String, String> view : requests.entrySet()) {
            List<Long> took = new ArrayList<>();
            int bytes = 0;
            for (int i = -WARM; i < TIMES; i++) {
                long begin = System.nanoTime();
                HttpResponse<String> answer = ask(view.getValue());
                long end = System.nanoTime();
                if (answer.statusCode() != 200) {
                    throw new IllegalStateException(view + ": " + answer.statusCode() + " " + answer.body());
                }
                bytes = answer.body().length();
                if (i >= 0) {
                    took.add(end - begin);
                }
            }
            long[] sorted = took.stream().mapToLong(Long::longValue).sorted().toArray();
            times.put(
                    view.getKey(),
                    new Times(sorted[sorted.length / 2] / 1e6, sorted[(int) (sorted.length * 0.95)] / 1e6, bytes));
        }
        return times;
    }

    private HttpResponse<String> ask(String request) throws IOException, InterruptedException {
        if (!request.startsWith("POST ")) {
            return ilse.get(request);
        }
        String[] parts = request.split(" ", 3);
        return ilse.post(parts[1], parts[2]);
    }

    /** One more season, so many thirds of a year ago, over and done. */
    private void season(int k) throws SQLException {
        steward.execute("set session_replication_role = replica");
        for (String table : SEASONAL) {
            List<String> columns = steward.columns(table);
            List<String> values = new ArrayList<>();
            for (String column : columns) {
                values.add(seasonal(table, column, k));
            }
            steward.execute("insert into " + table + " (" + String.join(", ", columns) + ") select "
                    + String.join(", ", values) + " from " + table + " t where " + ofIlse(table) + first(table));
        }
        // What is over is used up, and its lines say so.
        steward.execute(
                "insert into lot_change (id, household_id, lot_id, what, delta, on_day, at, noted_by, reason) select"
                        + " gen_random_uuid(), l.household_id, l.id, 'FINISHED', l.remaining - c.sum, l.made_on, now(), 'bench', ''"
                        + " from lot l join (select lot_id, sum(delta) as sum from lot_change where struck_at is null"
                        + " group by lot_id) c on c.lot_id = l.id where l.remaining <> c.sum and l.code like '%~" + k
                        + "'");
        steward.execute("set session_replication_role = default");
    }

    /** What belongs to a lot has no household of its own. */
    private static String ofIlse(String table) {
        String ilse = "household_id = (select household_id from account where username = 'ilse')";
        return table.equals("lot_herb") || table.equals("lot_trait")
                ? "lot_id in (select id from lot where " + ilse + ")"
                : ilse;
    }

    /** Only the first season is copied, not its copies. */
    private static String first(String table) {
        return switch (table) {
            case "lot" -> " and stage <> 'STAND' and code not like '%~%'";
            case "lot_herb", "lot_trait", "lot_change" ->
                " and lot_id in (select id from lot where stage <> 'STAND' and code not like '%~%')";
            case "harvest", "drying_run" -> " and code not like '%~%'";
            case "lot_link" -> " and to_lot in (select id from lot where code not like '%~%')";
            case "weighing" -> " and run_id in (select id from drying_run where code not like '%~%')";
            case "batch" -> " and id in (select id from lot where code not like '%~%')";
            case "shake" -> " and batch_id in (select id from lot where code not like '%~%')";
            case "course" -> " and lot_id in (select id from lot where code not like '%~%')";
            case "dose_taken" ->
                " and course_id in (select c.id from course c join lot l on l.id = c.lot_id where l.code not like '%~%')";
            case "stand_identification" -> " and book is distinct from 'copied'";
            case "sighting" -> " and seen_by <> 'copied'";
            default -> "";
        };
    }

    private String seasonal(String table, String column, int k) throws SQLException {
        String type = steward.type(table, column);
        String days = String.valueOf(k * DAYS_APART);
        if (column.equals("code") && !table.equals("audit_entry")) {
            return "code || '~" + k + "'";
        }
        if (table.equals("stand_identification") && column.equals("book")) {
            return "'copied'";
        }
        if (table.equals("sighting") && column.equals("seen_by")) {
            return "'copied'";
        }
        if (table.equals("lot_link") && column.equals("from_lot")) {
            return "case when exists (select 1 from lot s where s.id = from_lot and s.stage = 'STAND') then from_lot else "
                    + id("from_lot", k) + " end";
        }
        if (table.equals("lot") && column.equals("remaining")) {
            return "0";
        }
        if (column.equals("status") && !table.equals("stand_identification")) {
            return switch (table) {
                case "batch" -> "'FINISHED'";
                case "course" -> "'ENDED'";
                default -> "case when status = 'DRYING' then 'JARRED' else status end";
            };
        }
        if (table.equals("drying_run") && column.equals("dried_g")) {
            return "coalesce(dried_g, fresh_g / 4)";
        }
        if (column.equals("tag_id")) {
            return "null";
        }
        return switch (type) {
            case "uuid" -> KEPT.contains(column) ? column : id(column, k);
            case "date" -> column + " - " + days;
            case "timestamp with time zone" -> column + " - interval '" + days + " days'";
            default -> column;
        };
    }

    private static String id(String column, int k) {
        return "md5(" + column + "::text || '~" + k + "')::uuid";
    }

    /** Another household, with all that this one has. */
    private void household(int h) throws SQLException {
        steward.execute("set session_replication_role = replica");
        steward.execute("insert into household select " + id("id", h * 1000)
                + ", name || ' " + h + "', zone, created_at, region from household where id = (select household_id from"
                + " account where username = 'ilse')");
        List<String> tables = new ArrayList<>(List.of("person", "stand"));
        tables.addAll(SEASONAL);
        for (String table : tables) {
            List<String> columns = steward.columns(table);
            List<String> values = columns.stream()
                    .map(c -> "uuid".equals(steward.type(table, c))
                            ? c.equals("tag_id") || c.equals("vessel_id") ? "null" : id(c, h * 1000)
                            : c)
                    .toList();
            steward.execute("insert into " + table + " (" + String.join(", ", columns) + ") select "
                    + String.join(", ", values) + " from " + table + " where " + ofIlse(table));
        }
        steward.execute("set session_replication_role = default");
    }

    private int count(String table) throws SQLException {
        return Integer.parseInt(steward.one("select count(*) from " + table
                + " where household_id = (select household_id from account where username = 'ilse')"));
    }

    private int all(String table) throws SQLException {
        return Integer.parseInt(steward.one("select count(*) from " + table));
    }

    private void write(
            Map<String, Times> young,
            Map<String, Times> old,
            Map<String, Times> many,
            String sizes,
            String all,
            String plans)
            throws IOException {
        StringBuilder text = new StringBuilder(
                "## A household of ten years\n\n`./sallowbrook bench house`: what each view"
                        + " asks for, " + TIMES
                        + " times, one client. First the demo's one season; then ten years of it (" + sizes
                        + "); then the same among " + HOUSEHOLDS + " such households (" + all + ").\n\n"
                        + "| view | first season, median (p95) ms | ten years | among a hundred | times |\n|---|---|---|---|---|\n");
        double worst = 0;
        double slowest = 0;
        for (String view : young.keySet()) {
            double times = many.get(view).medianMs() / young.get(view).medianMs();
            worst = Math.max(worst, times);
            slowest = Math.max(slowest, many.get(view).p95Ms());
            text.append(String.format(
                    Locale.ROOT,
                    "| %s | %s | %s | %s | %.2f |%n",
                    view,
                    cell(young.get(view)),
                    cell(old.get(view)),
                    cell(many.get(view)),
                    times));
        }
        text.append(String.format(
                Locale.ROOT,
                "%nThe most that a median grew by: %.2f times (target %.1f); the slowest p95: %.0f ms (target %.0f).%n",
                worst,
                MOST_TIMES,
                slowest,
                MOST_P95_MS));
        text.append(plans);
        Measurements.write("house", text.toString());
    }

    private static String cell(Times t) {
        return String.format(Locale.ROOT, "%.1f (%.1f)", t.medianMs(), t.p95Ms());
    }
}
