package org.sallowbrook.bench;

import java.io.IOException;
import java.net.http.HttpResponse;
import java.nio.file.Path;
import java.sql.SQLException;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;

/**
 * Trace over a million links, against the recursive SQL that fetches the same rows and does nothing with them:
 * docs/measurements.md, section trace. What is reckoned in the raw question: which lots are above and below, all their fields,
 * all links between them, read field by field on this side of the line.
 *
 * <p>Started by {@code ./sallowbrook bench trace}, which starts a server on a throwaway database.
 */
public final class TraceSpeed {

    private static final int BROOKS = 560;
    private static final int STEPS = 10;
    private static final int OF_A_STEP = 50;
    private static final int MADE_FROM = 4;
    private static final int FAN = 2000;
    private static final int CHAIN = 1000;
    private static final int TIMES = 41;
    private static final int WARM = 25;
    private static final double MOST_TIMES = 1.5;

    /** Above and below a lot, with every field of each and the links between them. */
    private static final String RAW = """
            with recursive down(id) as (
                select '%1$s'::uuid
                union
                select l.to_lot from down r join lot_link l on l.from_lot = r.id and l.household_id = '%2$s'
            ), up(id) as (
                select '%1$s'::uuid
                union
                select l.from_lot from up r join lot_link l on l.to_lot = r.id and l.household_id = '%2$s'
            ), met as (select id from down union select id from up)""";

    private final Steward steward;
    private final Visitor ilse;
    private final String household;

    private TraceSpeed(Steward steward, Visitor ilse) throws SQLException {
        this.steward = steward;
        this.ilse = ilse;
        household = steward.one("select household_id from account where username = 'ilse'");
    }

    public static void main(String[] args) throws Exception {
        try (Steward steward = Steward.signIn()) {
            new TraceSpeed(steward, Visitor.signIn("http://127.0.0.1:" + System.getenv("SALLOWBROOK_PORT"), "ilse"))
                    .run();
        }
    }

    private void run() throws SQLException, IOException, InterruptedException {
        Map<String, String> asked = new LinkedHashMap<>();
        asked.put(
                "the fullest stand of the demo",
                steward.one("select from_lot from lot_link l join lot s on s.id = l.from_lot where s.stage = 'STAND'"
                        + " and l.household_id = '" + household + "' group by 1 order by count(*) desc limit 1"));
        lay();
        asked.put("the beginning of a brook of " + STEPS + " steps", lot("7-0-0"));
        asked.put("its middle", lot("7-5-10"));
        asked.put("its end", lot("7-" + (STEPS - 1) + "-3"));
        asked.put("one lot that " + FAN + " were made of", lot("fan-0"));
        asked.put("the middle of " + CHAIN + " made of each other", lot("chain-" + CHAIN / 2));
        StringBuilder text = new StringBuilder("## Trace over a million links\n\n`./sallowbrook bench trace`: "
                + steward.one("select count(*) from lot_link where household_id = '" + household + "'")
                + " links between "
                + steward.one("select count(*) from lot where household_id = '" + household + "'")
                + " lots of one household. What the page asks for with all that is long used up, over HTTP, against the recursive"
                + " SQL that fetches the same rows field by field; medians of " + TIMES + ".\n\n"
                + "| trace of | lots | raw SQL, ms | the page, ms | times |\n|---|---|---|---|---|\n");
        // Once unmeasured: else the first is charged with the compiler's warming up.
        for (String lot : asked.values()) {
            medians(() -> ilse.get(path(lot)));
        }
        double worst = 0;
        for (Map.Entry<String, String> of : asked.entrySet()) {
            String from = String.format(RAW, of.getValue(), household);
            String lots = from + " select l.*, h.* from lot l left join lot_herb h on h.lot_id = l.id"
                    + " where l.id in (select id from met)";
            String links = from + " select k.* from lot_link k where k.household_id = '" + household
                    + "' and k.from_lot in (select id from met) and k.to_lot in (select id from met)";
            int met = steward.read(from + " select id from met");
            String path = path(of.getValue());
            // In turn: a machine that is slow for a while is slow for both.
            double[] took = medians(
                    () -> {
                        steward.read(lots);
                        steward.read(links);
                    },
                    () -> {
                        HttpResponse<String> answer = ilse.get(path);
                        if (answer.statusCode() != 200) {
                            throw new IllegalStateException(path + ": " + answer.statusCode() + " " + answer.body());
                        }
                    });
            double raw = took[0];
            double page = took[1];
            worst = Math.max(worst, page / raw);
            text.append(String.format(
                    Locale.ROOT, "| %s | %d | %.1f | %.1f | %.2f |%n", of.getKey(), met, raw, page, page / raw));
        }
        text.append(String.format(
                Locale.ROOT,
                "%nThe most that the page takes longer: %.2f times (target %.1f). Of that an answer that says only who is signed"
                        + " in takes %.1f ms.%n",
                worst,
                MOST_TIMES,
                medians(() -> ilse.get("/api/session"))[0]));
        QueryPlans plans =
                new QueryPlans(steward.db, Path.of(System.getenv("SALLOWBROOK_BENCH_FOLDER"), "postgres.log"));
        // The first asking may meet a connection that was just closed.
        for (int i = 0; i < 12; i++) {
            ilse.get("/api/household");
        }
        for (Map.Entry<String, String> of : asked.entrySet()) {
            plans.of(of.getKey(), () -> ilse.get(path(of.getValue())));
        }
        plans.print();
        Measurements.write("trace", text + plans.told());
    }

    private static String path(String lot) {
        return "/api/tracing/lots/" + lot + "?all=true";
    }

    private static String lot(String name) {
        return java.util
                .UUID
                .nameUUIDFromBytes(name.getBytes(java.nio.charset.StandardCharsets.US_ASCII))
                .toString();
    }

    interface Asking {
        void ask() throws SQLException, IOException, InterruptedException;
    }

    /** Of each, in ms; asked in turn. */
    private static double[] medians(Asking... askings) throws SQLException, IOException, InterruptedException {
        long[][] took = new long[askings.length][TIMES];
        for (int i = -WARM; i < TIMES; i++) {
            for (int a = 0; a < askings.length; a++) {
                long begin = System.nanoTime();
                askings[a].ask();
                if (i >= 0) {
                    took[a][i] = System.nanoTime() - begin;
                }
            }
        }
        return Arrays.stream(took)
                .mapToDouble(t -> Arrays.stream(t).sorted().toArray()[TIMES / 2] / 1e6)
                .toArray();
    }

    /** Brooks in which each lot is made of some of the step before, a fan, and a chain; all copies of one jar, used up. */
    private void lay() throws SQLException {
        steward.execute("set session_replication_role = replica");
        List<String> columns = steward.columns("lot");
        List<String> values = columns.stream()
                .map(c -> switch (c) {
                    case "id" -> "pg_temp.id_of(n.name)";
                    case "code" -> "'~' || n.name";
                    case "remaining" -> "0";
                    case "vessel_id", "tag_id" -> "null";
                    default -> "t." + c;
                })
                .toList();
        // md5 of a name is what a name's UUID is made of, but for six bits that say so.
        steward.execute("create function pg_temp.id_of(name text) returns uuid language sql as $$ select"
                + " (overlay(overlay(md5(name) placing '3' from 13) placing"
                + " to_hex((('x' || substr(md5(name), 17, 1))::bit(4)::int & 3) | 8) from 17))::uuid $$");
        steward.execute("create temporary table n as select b || '-' || s || '-' || i as name from generate_series(1, "
                + BROOKS + ") b, generate_series(0, " + (STEPS - 1) + ") s, generate_series(0, " + (OF_A_STEP - 1)
                + ") i union all select 'fan-' || i from generate_series(0, " + FAN
                + ") i union all select 'chain-' || i"
                + " from generate_series(0, " + (CHAIN - 1) + ") i");
        steward.execute("insert into lot (" + String.join(", ", columns) + ") select "
                + String.join(", ", values)
                + " from n, (select * from lot where household_id = '" + household
                + "' and stage = 'STOCK' and form = 'HERB' limit 1) t");
        String link = "insert into lot_link (" + String.join(", ", steward.columns("lot_link")) + ") select ";
        List<String> linked = steward.columns("lot_link").stream()
                .map(c -> switch (c) {
                    case "id" -> "gen_random_uuid()";
                    case "from_lot" -> "pg_temp.id_of(k.above)";
                    case "to_lot" -> "pg_temp.id_of(k.below)";
                    default -> "t." + c;
                })
                .toList();
        String one = ", (select * from lot_link where household_id = '" + household + "' limit 1) t";
        String all = link + String.join(", ", linked) + " from ";
        steward.execute(all + "(select b || '-' || (s - 1) || '-' || ((i * 7 + k * 11) % " + OF_A_STEP
                + ") as above, b || '-' || s || '-' || i as below from generate_series(1, " + BROOKS
                + ") b, generate_series(1, " + (STEPS - 1) + ") s, generate_series(0, " + (OF_A_STEP - 1)
                + ") i, generate_series(1, " + MADE_FROM + ") k) k" + one);
        steward.execute(
                all + "(select 'fan-0' as above, 'fan-' || i as below from generate_series(1, " + FAN + ") i) k" + one);
        steward.execute(all + "(select 'chain-' || (i - 1) as above, 'chain-' || i as below from generate_series(1, "
                + (CHAIN - 1) + ") i) k" + one);
        steward.execute("set session_replication_role = default");
        steward.execute("analyze");
    }
}
