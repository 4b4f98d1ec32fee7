package org.sallowbrook.bench;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.TreeMap;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * Which rows PostgreSQL read without an index for a view, by its own auto_explain: a table that is read whole is the sign of a
 * missing index, whatever the clock says today.
 */
final class QueryPlans {

    /** Tables below this are rightly read whole. */
    private static final long SMALL = 500;

    private static final Pattern WHOLE =
            Pattern.compile("Seq Scan on (\\w+).*?\\(actual time=\\S+ rows=(\\d+) loops=(\\d+)\\)");
    private static final Pattern REMOVED = Pattern.compile("Rows Removed by Filter: (\\d+)");

    private static final Pattern TOOK = Pattern.compile("duration: ([0-9.]+) ms  plan:");

    interface Asking {
        void ask() throws IOException, InterruptedException;
    }

    private final Connection db;
    private final Path log;
    private final Map<String, Map<String, Long>> whole = new LinkedHashMap<>();
    private final Map<String, Double> slowestMs = new LinkedHashMap<>();
    private final Map<String, String> slowest = new LinkedHashMap<>();
    private int plans;

    /** From here on every new connection of the application has its plans logged; the old ones are closed. */
    QueryPlans(Connection db, Path log) throws SQLException {
        this.db = db;
        this.log = log;
        try (Statement s = db.createStatement()) {
            for (String setting : new String[] {
                "session_preload_libraries = 'auto_explain'",
                "auto_explain.log_min_duration = 0",
                "auto_explain.log_analyze = on",
                "auto_explain.log_timing = on"
            }) {
                s.execute("alter database sallowbrook set " + setting);
            }
            s.execute("select pg_terminate_backend(pid) from pg_stat_activity where datname = current_database()"
                    + " and pid <> pg_backend_pid()");
        }
    }

    void of(String view, Asking asking) throws IOException, InterruptedException {
        long from = Files.size(log);
        asking.ask();
        byte[] all = Files.readAllBytes(log);
        String said = new String(all, (int) from, (int) (all.length - from), StandardCharsets.UTF_8);
        Map<String, Long> tables = new TreeMap<>();
        String[] lines = said.split("\n");
        for (int i = 0; i < lines.length; i++) {
            plans += lines[i].contains("Query Text:") ? 1 : 0;
            Matcher took = TOOK.matcher(lines[i]);
            if (took.find() && i + 1 < lines.length) {
                double ms = Double.parseDouble(took.group(1));
                if (ms > slowestMs.getOrDefault(view, 0.0)) {
                    slowestMs.put(view, ms);
                    slowest.put(view, lines[i + 1].strip());
                }
            }
            Matcher m = WHOLE.matcher(lines[i]);
            if (!m.find()) {
                continue;
            }
            long rows = Long.parseLong(m.group(2));
            for (int j = i + 1; j < Math.min(i + 4, lines.length); j++) {
                Matcher removed = REMOVED.matcher(lines[j]);
                if (removed.find()) {
                    rows += Long.parseLong(removed.group(1));
                    break;
                }
            }
            if (rows * Long.parseLong(m.group(3)) >= SMALL) {
                tables.merge(m.group(1), rows * Long.parseLong(m.group(3)), Long::sum);
            }
        }
        if (!tables.isEmpty()) {
            whole.put(view, tables);
        }
    }

    /** For whoever looks for what is slow: each view's longest statement. */
    void print() {
        slowestMs.forEach((view, ms) -> System.out.println(view + ": " + ms + " ms " + slowest.get(view)));
    }

    /** What to write of it; puts the database back as it was. */
    String told() throws SQLException {
        try (Statement s = db.createStatement()) {
            s.execute("alter database sallowbrook reset all");
        }
        if (plans == 0) {
            throw new IllegalStateException("auto_explain logged nothing; see " + log);
        }
        StringBuilder text = new StringBuilder("\n" + plans
                + " query plans were looked at (auto_explain). Tables of " + SMALL
                + " rows or more that were read without an index: ");
        if (whole.isEmpty()) {
            return text + "none.\n";
        }
        text.append("\n\n| view | table: rows |\n|---|---|\n");
        whole.forEach((view, tables) ->
                text.append("| ").append(view).append(" | ").append(tables).append(" |\n"));
        return text.toString();
    }
}
