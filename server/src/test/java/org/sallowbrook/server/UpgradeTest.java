package org.sallowbrook.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import org.flywaydb.core.Flyway;
import org.flywaydb.core.api.configuration.FluentConfiguration;
import org.testng.annotations.BeforeClass;
import org.testng.annotations.Test;

/** Records of an older version are brought up to this one, and mean the same. */
public class UpgradeTest {

    private static final String HOUSE = "'00000000-0000-7000-8000-000000000001'";

    private String url;
    private String user;
    private String password;

    @BeforeClass
    public void upgrade() throws SQLException {
        url = System.getenv("SALLOWBROOK_TEST_DB") + "/server_test";
        user = System.getenv().getOrDefault("SALLOWBROOK_DB_USER", "sallowbrook");
        password = System.getenv().getOrDefault("SALLOWBROOK_DB_PASSWORD", "");
        flyway().cleanDisabled(false).load().clean();
        flyway().target("5").load().migrate();
        try (Connection db = open();
                Statement s = db.createStatement()) {
            s.execute(OLD.replace("HOUSE", HOUSE));
        }
        flyway().load().migrate();
    }

    private FluentConfiguration flyway() {
        return Flyway.configure()
                .dataSource(url, user, password)
                .schemas("older")
                .locations("classpath:db/migration");
    }

    private Connection open() throws SQLException {
        Connection db = DriverManager.getConnection(url, user, password);
        try (Statement s = db.createStatement()) {
            s.execute("set search_path to older");
        }
        return db;
    }

    private String one(String sql) throws SQLException {
        try (Connection db = open();
                Statement s = db.createStatement();
                ResultSet r = s.executeQuery(sql)) {
            return r.next() ? r.getString(1) : null;
        }
    }

    @Test
    public void aVerdictStaysWithThePlantItWasFor() throws SQLException {
        assertThat(one("select for_taxon from stand_identification where id::text like '%a1'"))
                .isEqualTo("meadowsweet");
        // The stand's plant was changed afterwards: the old verdict does not follow.
        assertThat(one("select count(*) from stand_identification i join stand s on s.id = i.stand_id"
                        + " and s.taxon_id = i.for_taxon where i.id::text like '%a2'"))
                .isEqualTo("0");
    }

    @Test
    public void numbersGoOnWhereTheyStood() throws SQLException {
        assertThat(one("select last from code_counter where prefix = 'J260101-'"))
                .isEqualTo("7");
        assertThat(one("select last from code_counter where prefix = 'H260101-'"))
                .isEqualTo("1");
    }

    @Test
    public void whatWasMadeSaysWhatItIs() throws SQLException {
        assertThat(one("select form from lot where code = 'B260101-1'")).isEqualTo("TINCTURE");
        assertThat(one("select form from lot where code = 'M260101-1'")).isEqualTo("TINCTURE");
        assertThat(one("select form || ' ' || stage || ' ' || vessel from lot where code = 'J260101-7'"))
                .isEqualTo("HERB STOCK JAR");
        assertThat(one("select sum(dried_g) from lot_herb")).isEqualTo("12");
        assertThat(one("select trait from lot_trait t join lot l on l.id = t.lot_id where code = 'J260101-7'"))
                .isEqualTo("PYRROLIZIDINE");
        assertThat(one("select plan ->> 'schema' from batch")).isEqualTo("1");
        // What is left is what the lines say.
        assertThat(one("select count(*) from lot l where remaining <> (select sum(delta) from lot_change c"
                        + " where c.lot_id = l.id)"))
                .isEqualTo("0");
    }

    @Test
    public void everyDocumentSaysItsSchema() throws SQLException {
        assertThat(one("select look::text from stand_identification limit 1"))
                .isEqualTo("{\"again\": [], \"schema\": 1, \"verdict\": {}, \"observations\": []}");
        assertThat(one("select tells::text from harvest")).isEqualTo("{\"schema\": 1, \"characters\": []}");
        assertThat(one("select plan::text from batch")).isEqualTo("{\"form\": \"TINCTURE\", \"schema\": 1}");
    }

    /** Grams of what is counted in grams were called mL; they are the same grams. */
    @Test
    public void aCourseSaysInWhatItCounts() throws SQLException {
        assertThat(one("select unit || ' ' || total from course")).isEqualTo("G 7");
        assertThat(one("select amount from dose_taken")).isEqualTo("0.5");
    }

    @Test
    public void whatWasLearnedIsKept() throws SQLException {
        assertThat(one("select dried_g from drying_run")).isEqualTo("25");
    }

    private static final String OLD = """
            insert into household (id, name, zone, created_at) values (HOUSE, 'Old house', 'Etc/UTC', now());
            insert into stand select ('00000000-0000-7000-8000-0000000000b' || n)::uuid, HOUSE, 0, 'x', now(), taxon,
                'stand ' || n, 'here', 'CLEAN', 'GIVEN', 'FAIR', false, null, false, null
                from (values (1, 'meadowsweet'), (2, 'ramsons')) v(n, taxon);
            insert into stand_identification (id, household_id, stand_id, on_day, stage, status, taxon_id, observations,
                verdict, core_version, identified_by)
                select ('00000000-0000-7000-8000-0000000000a' || n)::uuid, HOUSE,
                ('00000000-0000-7000-8000-0000000000b' || n)::uuid, '2026-01-01', 'FLOWERING', 'CONFIRMED', 'meadowsweet',
                '[]', '{}', '1', 'x' from generate_series(1, 2) n;
            insert into harvest (id, household_id, stand_id, code, taxon_id, part, on_day, mass_g, share_taken, weather, tells,
                examined_singly, picked_by) values ('00000000-0000-7000-8000-0000000000c1', HOUSE,
                '00000000-0000-7000-8000-0000000000b1', 'H260101-1', 'meadowsweet', 'TOPS', '2026-01-01', 100, 0.1, '', '[]',
                false, 'x');
            insert into drying_run values ('00000000-0000-7000-8000-0000000000d1', HOUSE, 0, 'x', now(),
                '00000000-0000-7000-8000-0000000000c1', 'D260101-1', 'meadowsweet', 'TOPS', 'rack', now(), 100, 0.7, 0.8,
                0.1, null, null, null, false, 'JARRED', null, 0);
            insert into weighing select gen_random_uuid(), HOUSE, '00000000-0000-7000-8000-0000000000d1', now(), h, g, 'x',
                'HAND' from (values (10, 60), (40, 25)) v(h, g);
            insert into lot (id, household_id, version, changed_by, changed_at, code, kind, name, unit, amount, remaining,
                herbs, route, denatured, pyrrolizidine, made_on, state, place)
                select ('00000000-0000-7000-8000-0000000000' || n)::uuid, HOUSE, 0, 'x', now(), code, kind, 'lot', 'g', 10,
                10, herbs, 'INTERNAL', false, kind = 'JAR', '2026-01-01', 'USABLE', ''
                from (values ('e1', 'J260101-7', 'JAR', '[{"taxonId":"meadowsweet","part":"TOPS","driedG":5},'
                || '{"taxonId":"meadowsweet","part":"TOPS","driedG":7}]'), ('e2', 'M260101-1', 'BATCH', '[]'),
                ('e3', 'B260101-1', 'BOTTLE', '[]')) v(n, code, kind, herbs);
            insert into batch values ('00000000-0000-7000-8000-0000000000e2', HOUSE, 0, 'x', now(), 'TINCTURE', 'FINISHED',
                '2026-01-01', null, '{}', '1', 10);
            insert into lot_link values (gen_random_uuid(), HOUSE, '00000000-0000-7000-8000-0000000000e2',
                '00000000-0000-7000-8000-0000000000e3', 10, 'mL');
            insert into person values ('00000000-0000-7000-8000-0000000000f1', HOUSE, 0, 'x', now(), 'somebody', '1970-01-01',
                null, null, null, false, '[]', '[]', '[]', null, false);
            insert into course values ('00000000-0000-7000-8000-0000000000f2', HOUSE, 0, 'x', now(),
                '00000000-0000-7000-8000-0000000000f1', '00000000-0000-7000-8000-0000000000e3', null, 'SKIN',
                '{"perDoseMl": 0.5}', '2026-01-01', '2026-01-07', 7, '1', 'RUNNING');
            insert into dose_taken values (gen_random_uuid(), HOUSE, '00000000-0000-7000-8000-0000000000f2', '2026-01-01', 1,
                0.5, 'x', now());
            """;
}
