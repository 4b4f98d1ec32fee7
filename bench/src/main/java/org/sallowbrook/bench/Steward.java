package org.sallowbrook.bench;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** Lays and counts rows past the application, as whoever keeps the database may. */
final class Steward implements AutoCloseable {

    final Connection db;
    private final Map<String, String> types = new LinkedHashMap<>();

    private Steward(Connection db) {
        this.db = db;
    }

    /** At the database that {@code ./sallowbrook bench} started. */
    static Steward signIn() throws SQLException {
        return new Steward(DriverManager.getConnection(
                System.getenv("SALLOWBROOK_DB_URL"),
                "sallowbrook_steward",
                System.getenv("SALLOWBROOK_BENCH_STEWARD")));
    }

    List<String> columns(String table) throws SQLException {
        List<String> columns = new ArrayList<>();
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery("select column_name, data_type from information_schema.columns where"
                        + " table_schema = 'public' and table_name = '" + table + "' order by ordinal_position")) {
            while (r.next()) {
                columns.add(r.getString(1));
                types.put(table + "." + r.getString(1), r.getString(2));
            }
        }
        return columns;
    }

    /** Of a column that {@link #columns} has named. */
    String type(String table, String column) {
        return types.get(table + "." + column);
    }

    void execute(String sql) throws SQLException {
        try (Statement s = db.createStatement()) {
            s.execute(sql);
        }
    }

    String one(String sql) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            if (!r.next()) {
                throw new IllegalStateException("nothing found by " + sql);
            }
            return r.getString(1);
        }
    }

    /** Reads every field of every row. @return how many rows */
    int read(String sql) throws SQLException {
        try (Statement s = db.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            int width = r.getMetaData().getColumnCount();
            int rows = 0;
            while (r.next()) {
                for (int c = 1; c <= width; c++) {
                    r.getString(c);
                }
                rows++;
            }
            return rows;
        }
    }

    @Override
    public void close() throws SQLException {
        db.close();
    }
}
