package org.sallowbrook.server.archive;

import jakarta.persistence.EntityManager;
import jakarta.persistence.metamodel.EntityType;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemException;
import java.nio.file.Files;
import java.nio.file.NoSuchFileException;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.sql.Connection;
import java.sql.SQLException;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Predicate;
import javax.sql.DataSource;
import org.hibernate.Session;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.household.Loosening;
import org.sallowbrook.core.measure.Checks;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.server.archive.Tables.Table;
import org.sallowbrook.server.household.HouseholdService;
import org.sallowbrook.server.household.PeopleService;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.sallowbrook.server.platform.ReadIn;
import org.sallowbrook.server.platform.Stored;
import org.springframework.dao.InvalidDataAccessApiUsageException;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import tools.jackson.databind.json.JsonMapper;

/** All records of a household out into one file, and what is new of such a file in; and the end of a household. */
@Service
class ArchiveService {

    /** How many of one kind come, and how many stay behind and why. */
    record ReadKindView(String what, Integer comes, Integer same, Integer differs, Integer hangs, Integer clash) {}

    /** @param fate null where it comes */
    record ReadLineView(String what, String name, Scratch.@Nullable Fate fate) {}

    /** @param here the name by which it signs in here; null where it is nobody's here yet */
    record ReadAccountView(
            UUID id, String username, String name, @Nullable String here) {}

    /**
     * What would happen, line by line; nothing has yet.
     *
     * @param empty whether nothing is here yet, so that everything comes and the household's settings with it
     * @param own whether it is of this very household
     * @param lines of what has a name, the first of each kind
     */
    record ArchiveView(
            UUID id,
            String household,
            Instant madeAt,
            Boolean empty,
            Boolean own,
            Integer rows,
            List<ReadKindView> kinds,
            List<ReadLineView> lines,
            List<ReadAccountView> accounts) {}

    /**
     * @param me which account of the archive is whoever reads it; null for none of them
     * @param reason whose records these are, in words
     */
    record ReadInRequest(@Nullable UUID me, String reason) {}

    record ReadInView(Integer rows) {}

    /** @param name the household's, so that nobody does it by a slip */
    record DeleteHouseholdRequest(String name, String password) {}

    private record Waiting(
            UUID household, Path file, Instant at, @Nullable ReadInView taken) {}

    private static final Duration KEPT = Duration.ofHours(1);
    private static final int MOST_WAITING = 8;
    private static final int LINES_OF_A_KIND = 100;
    private static final int COUNTED = 1000;
    private static final int MOST_SAID = 5;

    private final ArchiveWriter writer;
    private final Migrations migrations;
    private final DataSource dataSource;
    private final EntityManager entities;
    private final JdbcClient jdbc;
    private final HouseholdService household;
    private final PeopleService people;
    private final Gatekeeper gatekeeper;
    private final PasswordEncoder passwords;
    private final List<ReadIn> rooms;
    private final JsonMapper json;
    private final Clock clock;
    private final Progress progress;
    private final Map<UUID, Waiting> waiting = new LinkedHashMap<>();

    ArchiveService(
            ArchiveWriter writer,
            Migrations migrations,
            DataSource dataSource,
            EntityManager entities,
            JdbcClient jdbc,
            HouseholdService household,
            PeopleService people,
            Gatekeeper gatekeeper,
            PasswordEncoder passwords,
            List<ReadIn> rooms,
            JsonMapper json,
            Clock clock,
            Progress progress) {
        this.progress = progress;
        this.writer = writer;
        this.migrations = migrations;
        this.dataSource = dataSource;
        this.entities = entities;
        this.jdbc = jdbc;
        this.household = household;
        this.people = people;
        this.gatekeeper = gatekeeper;
        this.passwords = passwords;
        this.rooms = rooms;
        this.json = json;
        this.clock = clock;
    }

    /** @return a file that the caller deletes */
    Path write() throws IOException {
        Path file = Archives.file(0);
        try {
            writer.write(file);
            return file;
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(file);
            throw e;
        }
    }

    /** What is on record of one person. @return a file that the caller deletes */
    Path writePerson(UUID person) throws IOException {
        people.one(person);
        Path file = Archives.file(0);
        try {
            writer.writePerson(file, person);
            return file;
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(file);
            throw e;
        }
    }

    /** @param name the file's, without its ending */
    record ListView(String name, String words) {}

    List<ListView> lists() {
        return Lists.names().entrySet().stream()
                .map(l -> new ListView(l.getKey(), l.getValue()))
                .sorted(Comparator.comparing(ListView::words))
                .toList();
    }

    byte[] list(String name, Lists.Decimal decimal) {
        if (!Lists.names().containsKey(name)) {
            throw new Problem.NotFound("list");
        }
        return writer.list(name, decimal);
    }

    String fileName() {
        return "sallowbrook-" + LocalDate.now(clock) + ".zip";
    }

    /** Says what would happen; nothing has yet. @param length as it was announced; -1 where it was not */
    ArchiveView read(InputStream in, long length) throws IOException {
        Path path = Archives.file(Math.max(0, length));
        UUID id = Owned.newId();
        UUID here = Member.current().householdId();
        try {
            try {
                Files.copy(in, path, StandardCopyOption.REPLACE_EXISTING);
            } catch (FileSystemException e) {
                throw Archives.full();
            }
            try (ArchiveFile file = ArchiveFile.open(path);
                    Progress.Work work = reading(file);
                    Connection db = dataSource.getConnection()) {
                db.setAutoCommit(false);
                try {
                    Scratch scratch = new Scratch(db, here, file, migrations, json, work);
                    Map<UUID, UUID> ids = ids(db, file, here, null);
                    scratch.fill(ids, false);
                    scratch.compare(isEmpty());
                    ArchiveView view = view(id, file, scratch, ids, here);
                    keep(id, new Waiting(here, path, clock.instant(), null));
                    return view;
                } finally {
                    db.rollback();
                    db.setAutoCommit(true);
                }
            }
        } catch (SQLException e) {
            Files.deleteIfExists(path);
            throw new IllegalStateException("reading an archive", e);
        } catch (IOException | RuntimeException e) {
            Files.deleteIfExists(path);
            throw e;
        }
    }

    private Progress.Work reading(ArchiveFile file) {
        return progress.begin(
                Progress.Step.READING,
                file.head().rows().values().stream().mapToInt(Integer::intValue).sum());
    }

    private ArchiveView view(UUID id, ArchiveFile file, Scratch scratch, Map<UUID, UUID> ids, UUID here)
            throws SQLException, IOException {
        List<ReadKindView> kinds = new ArrayList<>();
        List<ReadLineView> lines = new ArrayList<>();
        int rows = 0;
        for (Table table : Tables.ALL) {
            Map<String, Integer> fates = scratch.fates(table);
            if (fates.isEmpty()) {
                continue;
            }
            int comes = fates.getOrDefault("", 0);
            rows += comes;
            kinds.add(new ReadKindView(
                    table.words(),
                    comes,
                    fates.getOrDefault(Scratch.Fate.SAME.name(), 0),
                    fates.getOrDefault(Scratch.Fate.DIFFERS.name(), 0),
                    fates.getOrDefault(Scratch.Fate.HANGS.name(), 0),
                    fates.getOrDefault(Scratch.Fate.CLASH.name(), 0)));
            if (table.label() != null) {
                scratch.lines(table, LINES_OF_A_KIND)
                        .forEach(l -> lines.add(new ReadLineView(table.words(), l.name(), l.fate())));
            }
        }
        return new ArchiveView(
                id,
                file.head().household().name(),
                file.head().madeAt(),
                isEmpty(),
                file.head().household().id().equals(here),
                rows,
                kinds,
                lines,
                accounts(file, ids));
    }

    private List<ReadAccountView> accounts(ArchiveFile file, Map<UUID, UUID> ids) throws IOException {
        Map<UUID, String> here = usernames();
        List<ReadAccountView> found = new ArrayList<>();
        file.rows(Tables.ACCOUNTS, (row, line) -> {
            UUID id = UUID.fromString(row.path("id").asString());
            found.add(new ReadAccountView(
                    id,
                    row.path("username").asString(),
                    row.path("display_name").asString(),
                    here.get(ids.getOrDefault(id, id))));
        });
        return found;
    }

    private Map<UUID, String> usernames() {
        Map<UUID, String> names = new HashMap<>();
        jdbc.sql("select id, username from account where household_id = ?")
                .param(Member.current().householdId())
                .query((r, n) -> names.put(r.getObject(1, UUID.class), r.getString(2)))
                .list();
        return names;
    }

    /**
     * What each id of the archive is here. They stay as they are, so that a printed label still opens its jar, unless something
     * of another household on this server has one; then all are changed, to the same ones each time it is read.
     */
    private Map<UUID, UUID> ids(Connection db, ArchiveFile file, UUID here, @Nullable UUID me)
            throws SQLException, IOException {
        Map<UUID, UUID> changed = new HashMap<>();
        boolean change = false;
        for (Table table : Tables.ALL) {
            if (!Scratch.hasId(table)) {
                continue;
            }
            List<UUID> ids = new ArrayList<>();
            file.rows(table, (row, line) -> {
                try {
                    ids.add(UUID.fromString(row.path("id").asString()));
                } catch (IllegalArgumentException e) {
                    throw ArchiveFile.refused("tables/" + table.name() + ".json row " + line + ": id must be an id");
                }
            });
            ids.forEach(id -> changed.put(id, changedId(here, id)));
            for (int from = 0; !change && from < ids.size(); from += COUNTED) {
                List<UUID> some = ids.subList(from, Math.min(ids.size(), from + COUNTED));
                change = Scratch.taken(db, table, here, false, some)
                        || Scratch.taken(
                                db,
                                table,
                                here,
                                true,
                                some.stream().map(changed::get).toList());
            }
        }
        Map<UUID, UUID> ids = change ? changed : new HashMap<>();
        ids.put(file.head().household().id(), here);
        Map<String, UUID> byName = new HashMap<>();
        Map<UUID, String> usernames = usernames();
        usernames.forEach((id, name) -> byName.put(name, id));
        file.rows(Tables.ACCOUNTS, (row, line) -> {
            UUID id = UUID.fromString(row.path("id").asString());
            UUID same = byName.get(row.path("username").asString());
            if (id.equals(me)) {
                ids.put(id, Member.current().accountId());
            } else if (same != null && !usernames.containsKey(id)) {
                ids.put(id, same);
            }
        });
        return ids;
    }

    /** In the same order as before: the time in it stays. */
    private static UUID changedId(UUID here, UUID id) {
        UUID named = UUID.nameUUIDFromBytes((here + " " + id).getBytes(StandardCharsets.US_ASCII));
        return new UUID(id.getMostSignificantBits(), named.getLeastSignificantBits());
    }

    private synchronized void keep(UUID id, Waiting reading) {
        waiting.keySet().stream()
                .limit(Math.max(0, waiting.size() + 1 - MOST_WAITING))
                .toList()
                .forEach(this::discard);
        waiting.put(id, reading);
    }

    /** Nobody came back to say yes or no: all of a household does not lie about for longer than it is looked at. */
    @Scheduled(fixedDelay = 600_000)
    void discardOld() {
        Instant before = clock.instant().minus(KEPT);
        discard(w -> w.at().isBefore(before));
    }

    private synchronized void discard(Predicate<Waiting> which) {
        waiting.entrySet().stream()
                .filter(w -> which.test(w.getValue()))
                .map(Map.Entry::getKey)
                .toList()
                .forEach(this::discard);
    }

    private synchronized void discard(UUID id) {
        Waiting reading = waiting.remove(id);
        if (reading != null) {
            delete(reading.file());
        }
    }

    private static void delete(Path file) {
        try {
            Files.deleteIfExists(file);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private synchronized Waiting waiting(UUID id) {
        Waiting reading = waiting.get(id);
        if (reading == null || !reading.household().equals(Member.current().householdId())) {
            throw gone();
        }
        return reading;
    }

    private static Problem.NotFound gone() {
        return new Problem.NotFound("archive here any more; give it once more");
    }

    /** It is not read after all. */
    void forget(UUID id) {
        waiting(id);
        discard(id);
    }

    /** Takes in what is new of it, all or nothing. Asked for again, it answers what it did. */
    @Transactional
    public ReadInView take(UUID id, ReadInRequest request) {
        Waiting reading = waiting(id);
        if (reading.taken() != null) {
            return reading.taken();
        }
        Checks.begin()
                .that(
                        Loosening.saysWhy(request.reason()) && request.reason().length() <= 300,
                        "reason",
                        "must say in a few words whose records these are and how you know")
                .done();
        boolean empty = isEmpty();
        UUID here = Member.current().householdId();
        ReadInView taken;
        try (ArchiveFile file = ArchiveFile.open(reading.file());
                Progress.Work work = reading(file)) {
            ReadIn.Came[] came = new ReadIn.Came[1];
            int rows = entities.unwrap(Session.class).doReturningWork(db -> {
                try {
                    Scratch scratch = new Scratch(db, here, file, migrations, json, work);
                    scratch.fill(ids(db, file, here, request.me()), true);
                    scratch.compare(empty);
                    stays(scratch.madeOfThemselves());
                    scratch.closeAccounts(passwords.encode(UUID.randomUUID().toString()));
                    int all = scratch.take();
                    came[0] = scratch.came();
                    scratch.drop();
                    return all;
                } catch (IOException e) {
                    throw new UncheckedIOException(e);
                }
            });
            if (empty) {
                settings(file.head().household());
            }
            check(came[0], work);
            gatekeeper.record(
                    "archive",
                    here,
                    "ARCHIVE_READ",
                    rows + " rows of " + file.head().household().name() + " of "
                            + file.head().madeAt() + ": " + request.reason().strip());
            taken = new ReadInView(rows);
        } catch (NoSuchFileException e) {
            // Taken a moment ago by the same touch sent twice.
            throw gone();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
            @Override
            public void afterCommit() {
                done(id, reading, taken);
            }
        });
        return taken;
    }

    private synchronized void done(UUID id, Waiting reading, ReadInView taken) {
        waiting.computeIfPresent(id, (k, w) -> new Waiting(w.household(), w.file(), w.at(), taken));
        delete(reading.file());
    }

    private void settings(ArchiveHead.HouseholdOf of) {
        try {
            household.takesOver(
                    of.name(),
                    of.zone(),
                    of.region(),
                    of.latitude(),
                    of.elevationM(),
                    new HouseholdService.WhomToCall(of.emergencyNumber(), of.poisonCentre()));
        } catch (InvalidInput e) {
            throw ArchiveFile.refused("has settings that can't be kept: "
                    + e.violations().get(0).field() + " "
                    + e.violations().get(0).message());
        }
    }

    /** Every record that came as the application reads it, and every room what only it can judge. */
    private void check(ReadIn.Came came, Progress.Work work) {
        entities.clear();
        work.step(
                Progress.Step.JUDGING,
                came.ids().values().stream().mapToInt(List::size).sum());
        try {
            for (EntityType<?> type : entities.getMetamodel().getEntities()) {
                Class<?> java = type.getJavaType();
                boolean picture = Arrays.stream(java.getDeclaredFields()).anyMatch(f -> f.getType() == byte[].class);
                List<UUID> ids = picture
                        ? List.of()
                        : came.of(java.getAnnotation(jakarta.persistence.Table.class)
                                .name());
                for (int from = 0; from < ids.size(); from += COUNTED) {
                    entities.createQuery("select e from " + type.getName() + " e where e.id in :ids", java)
                            .setParameter("ids", ids.subList(from, Math.min(ids.size(), from + COUNTED)))
                            .getResultList();
                    entities.clear();
                    work.done(Math.min(COUNTED, ids.size() - from));
                }
            }
            for (ReadIn room : rooms) {
                stays(room.wrong(came));
            }
        } catch (Stored.Unreadable e) {
            throw ArchiveFile.refused("holds a document that can't be read: " + e.getMessage());
        } catch (InvalidInput e) {
            throw e;
        } catch (IllegalArgumentException | InvalidDataAccessApiUsageException e) {
            throw ArchiveFile.refused("holds a word nobody here knows: " + e.getMessage());
        }
    }

    private static void stays(List<String> wrong) {
        if (!wrong.isEmpty()) {
            throw ArchiveFile.refused("holds what could not have been written here: "
                    + String.join("; ", wrong.subList(0, Math.min(MOST_SAID, wrong.size()))));
        }
    }

    private boolean isEmpty() {
        return Boolean.TRUE.equals(jdbc.sql("""
                select not exists (select 1 from stand where household_id = :h)
                    and not exists (select 1 from lot where household_id = :h)
                    and not exists (select 1 from course where household_id = :h)
                    and not exists (select 1 from note where household_id = :h)""")
                .param("h", Member.current().householdId())
                .query(Boolean.class)
                .single());
    }

    /** The household with all it has ever written, for good. */
    @Transactional
    public void delete(DeleteHouseholdRequest request, String address) {
        Checks.begin()
                .that(
                        request.name().strip().equals(household.settings().name()),
                        "name",
                        "must be the name of this household, letter by letter")
                .done();
        household.isMine("password", request.password(), address);
        UUID here = Member.current().householdId();
        household.endAllSessions();
        entities.flush();
        entities.clear();
        Tables.OF_THIS_SERVER.forEach(t -> deleteFrom(t, "household_id = ?", here));
        for (int i = Tables.ALL.size() - 1; i >= 0; i--) {
            deleteFrom(Tables.ALL.get(i).name(), Tables.ALL.get(i).mine(), here);
        }
        deleteFrom("household", "id = ?", here);
        discard(w -> w.household().equals(here));
    }

    private void deleteFrom(String table, String mine, UUID here) {
        jdbc.sql("delete from " + table + " where " + mine).param(here).update();
    }
}
