package org.sallowbrook.server.archive;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.Severity;
import org.sallowbrook.server.platform.Gatekeeper;
import org.sallowbrook.server.platform.ListIn;
import org.sallowbrook.server.platform.Member;
import org.sallowbrook.server.platform.Once;
import org.sallowbrook.server.platform.Owned;
import org.sallowbrook.server.platform.Problem;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.TransactionDefinition;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionTemplate;

/** Lists kept elsewhere: looked at line by line, taken in as a whole or not at all, taken back in one touch. */
@Service
class ListsInService {

    record ListColumnView(
            String key, String words, String unit, Boolean wanted, Boolean number, List<String> choices) {}

    record ListInView(String name, String words, String hint, List<ListColumnView> columns) {}

    /** @param column it is taken for; null while it is left out */
    record TableHeadingView(String heading, @Nullable String column, List<String> examples) {}

    /** @param column whose cell it is, in words; empty where the whole line is refused */
    record TableWrongView(String column, String message) {}

    enum Fate {
        COMES,
        HERE,
        WRONG
    }

    /** @param line in the file, from 1; name: what it would be called, or what stands in it */
    record TableLineView(Integer line, String name, Fate fate, List<TableWrongView> wrong) {}

    /**
     * Nothing is taken in yet.
     *
     * @param letters how its letters were guessed; empty where they are sure
     * @param asked whether the days of the file may be read both ways
     */
    record TableView(
            String letters,
            Lists.Decimal decimal,
            Cells.@Nullable Days days,
            Boolean asked,
            List<TableHeadingView> headings,
            List<String> missing,
            Integer comes,
            Integer here,
            Integer wrong,
            List<TableLineView> lines) {}

    record TakenListView(
            UUID id,
            String words,
            String file,
            Integer lines,
            Instant takenAt,
            String takenBy,
            @Nullable Instant backAt,
            @Nullable String backBy) {}

    /**
     * How a file is read.
     *
     * @param columns by heading what it is taken for, empty for nothing; null where the headings say
     * @param decimal null where the file says
     * @param days null where the file says, or nobody
     */
    record Asked(@Nullable List<String> columns, Lists.@Nullable Decimal decimal, Cells.@Nullable Days days) {}

    private static final int EXAMPLES = 3;
    private static final int MOST_SHOWN = 50;
    private static final int LONGEST_NAME = 300;
    private static final int REMEMBERED = 20;

    private final List<ListIn> lists;
    private final TakenLists taken;
    private final TakenLines lines;
    private final Gatekeeper gatekeeper;
    private final Once once;
    private final TransactionTemplate tried;
    private final Clock clock;
    private final Progress progress;
    private final EntityManager entities;

    ListsInService(
            List<ListIn> lists,
            TakenLists taken,
            TakenLines lines,
            Gatekeeper gatekeeper,
            Once once,
            PlatformTransactionManager transactions,
            Clock clock,
            Progress progress,
            EntityManager entities) {
        this.progress = progress;
        this.entities = entities;
        this.lists = lists.stream().sorted(Comparator.comparing(ListIn::words)).toList();
        this.taken = taken;
        this.lines = lines;
        this.gatekeeper = gatekeeper;
        this.once = once;
        this.clock = clock;
        tried = new TransactionTemplate(transactions);
        tried.setPropagationBehavior(TransactionDefinition.PROPAGATION_REQUIRES_NEW);
    }

    List<ListInView> lists() {
        return lists.stream()
                .map(l -> new ListInView(
                        l.name(),
                        l.words(),
                        l.hint(),
                        l.columns().stream()
                                .map(c -> new ListColumnView(
                                        c.key(),
                                        c.words(),
                                        c.unit(),
                                        c.wanted(),
                                        c.kind() == ListIn.Kind.NUMBER,
                                        c.choices().stream()
                                                .map(x -> x.toLowerCase(java.util.Locale.ROOT)
                                                        .replace('_', ' '))
                                                .toList()))
                                .toList()))
                .toList();
    }

    private ListIn list(String name) {
        return lists.stream()
                .filter(l -> l.name().equals(name))
                .findFirst()
                .orElseThrow(() -> new Problem.NotFound("list"));
    }

    /** A file, with what each of its columns is taken for. */
    private record Table(
            ListIn list,
            Spreadsheet sheet,
            List<Cells.Heading> headings,
            List<ListIn.@Nullable Column> columns,
            Cells.Written written) {

        List<ListIn.Column> missing() {
            return list.columns().stream()
                    .filter(c -> c.wanted() && !columns.contains(c))
                    .toList();
        }

        /** What could not be understood is put into {@code wrong}. */
        ListIn.Line line(Spreadsheet.Row row, List<TableWrongView> wrong) {
            Cells cells = new Cells(written);
            Map<String, Object> read = new HashMap<>();
            for (int i = 0; i < row.cells().size(); i++) {
                String cell = row.cells().get(i);
                if (i >= columns.size()) {
                    if (!cell.isBlank()) {
                        wrong.add(new TableWrongView("", "“" + cell + "” stands under no heading"));
                    }
                    continue;
                }
                ListIn.Column column = columns.get(i);
                if (column == null) {
                    continue;
                }
                try {
                    Object value = cells.read(column, headings.get(i), cell);
                    if (value != null) {
                        read.put(column.key(), value);
                    }
                } catch (Cells.Unread e) {
                    wrong.add(new TableWrongView(column.words(), String.valueOf(e.getMessage())));
                }
            }
            for (ListIn.Column c : list.columns()) {
                if (c.wanted()
                        && !read.containsKey(c.key())
                        && wrong.stream().noneMatch(w -> w.column().equals(c.words()))) {
                    wrong.add(new TableWrongView(c.words(), "is wanted"));
                }
            }
            return new ListIn.Line(read);
        }
    }

    private Table read(ListIn list, byte[] file, Asked asked) {
        Spreadsheet sheet = Spreadsheet.read(file, list);
        List<Cells.Heading> headings =
                sheet.headings().stream().map(Cells.Heading::of).toList();
        List<ListIn.@Nullable Column> columns = new ArrayList<>();
        for (int i = 0; i < headings.size(); i++) {
            int at = i;
            List<String> said = asked.columns();
            ListIn.Column found = list.columns().stream()
                    .filter(c -> said == null
                            ? headings.get(at).means(c) && !columns.contains(c)
                            : at < said.size() && c.key().equals(said.get(at)))
                    .findFirst()
                    .orElse(null);
            if (found != null && columns.contains(found)) {
                throw Spreadsheet.wrong("has two columns that are both taken for " + found.words());
            }
            columns.add(found);
        }
        List<String> numbers = cells(sheet, columns, ListIn.Kind.NUMBER);
        List<String> dayCells = cells(sheet, columns, ListIn.Kind.DAY);
        Lists.Decimal decimal = asked.decimal() != null ? asked.decimal() : decimal(numbers, sheet.separator());
        Cells.Days days = asked.days() != null
                ? asked.days()
                : dayCells.stream()
                        .map(Cells::way)
                        .filter(java.util.Objects::nonNull)
                        .findFirst()
                        .orElse(null);
        return new Table(list, sheet, headings, columns, new Cells.Written(decimal, days));
    }

    /** What stands in the columns of a kind. */
    private static List<String> cells(Spreadsheet sheet, List<ListIn.@Nullable Column> columns, ListIn.Kind kind) {
        List<String> cells = new ArrayList<>();
        for (Spreadsheet.Row row : sheet.rows()) {
            for (int i = 0; i < Math.min(columns.size(), row.cells().size()); i++) {
                ListIn.Column column = columns.get(i);
                if (column != null && column.kind() == kind) {
                    cells.add(row.cells().get(i));
                }
            }
        }
        return cells;
    }

    /** As they stand in it; where both do, as spreadsheets that part fields like this write them. */
    private static Lists.Decimal decimal(List<String> cells, char separator) {
        boolean comma = cells.stream().anyMatch(c -> c.matches("-?\\d+,\\d+.*"));
        boolean point = cells.stream().anyMatch(c -> c.matches("-?\\d+\\.\\d+"));
        return comma && (!point || separator == ';') ? Lists.Decimal.COMMA : Lists.Decimal.POINT;
    }

    /** What each line would do; tried at its room's own door and taken back at once. */
    TableView look(String name, byte[] file, Asked asked) {
        Table table = read(list(name), file, asked);
        List<TableLineView> read = new ArrayList<>();
        Map<String, Integer> seen = new HashMap<>();
        try (Progress.Work work =
                progress.begin(Progress.Step.READING, table.sheet().rows().size())) {
            for (Spreadsheet.Row row : table.sheet().rows()) {
                work.done(1);
                read.add(
                        table.missing().isEmpty()
                                ? look(table, row, seen)
                                : new TableLineView(row.line(), words(row), Fate.WRONG, List.of()));
            }
        }
        List<TableHeadingView> headings = new ArrayList<>();
        for (int i = 0; i < table.headings().size(); i++) {
            int at = i;
            ListIn.Column column = table.columns().get(i);
            headings.add(new TableHeadingView(
                    table.sheet().headings().get(i),
                    column == null ? null : column.key(),
                    table.sheet().rows().stream()
                            .map(r -> at < r.cells().size() ? r.cells().get(at) : "")
                            .filter(c -> !c.isBlank())
                            .limit(EXAMPLES)
                            .toList()));
        }
        boolean eitherWay =
                cells(table.sheet(), table.columns(), ListIn.Kind.DAY).stream().anyMatch(Cells::eitherWay);
        return new TableView(
                table.sheet().letters(),
                table.written().decimal(),
                table.written().days(),
                eitherWay,
                headings,
                table.missing().stream().map(ListIn.Column::words).toList(),
                count(read, Fate.COMES),
                count(read, Fate.HERE),
                count(read, Fate.WRONG),
                read);
    }

    private static int count(List<TableLineView> lines, Fate fate) {
        return (int) lines.stream().filter(l -> l.fate() == fate).count();
    }

    private TableLineView look(Table table, Spreadsheet.Row row, Map<String, Integer> seen) {
        List<TableWrongView> wrong = new ArrayList<>();
        ListIn.Line line = table.line(row, wrong);
        String name = words(row);
        if (!wrong.isEmpty()) {
            return new TableLineView(row.line(), name, Fate.WRONG, wrong);
        }
        String same = table.list().same(line);
        Integer before = seen.get(same);
        if (before != null) {
            return new TableLineView(
                    row.line(), name, Fate.HERE, List.of(new TableWrongView("", "the same as line " + before)));
        }
        try {
            TableLineView view = tried.execute(status -> {
                status.setRollbackOnly();
                return table.list().here(line)
                        ? new TableLineView(row.line(), name, Fate.HERE, List.of())
                        : new TableLineView(row.line(), table.list().take(line).name(), Fate.COMES, List.of());
            });
            // What is refused stands for no other: the same line again is refused for itself.
            seen.put(same, row.line());
            return view;
        } catch (InvalidInput | Problem e) {
            return new TableLineView(row.line(), name, Fate.WRONG, why(table.list(), e));
        }
    }

    private static String words(Spreadsheet.Row row) {
        String all = String.join(
                ", ",
                row.cells().stream().filter(c -> !c.isBlank()).limit(EXAMPLES).toList());
        return all.length() > LONGEST_NAME ? all.substring(0, LONGEST_NAME) : all;
    }

    /** What the room's door says, at the columns as they are called here. */
    private static List<TableWrongView> why(ListIn list, RuntimeException e) {
        if (e instanceof InvalidInput invalid) {
            return invalid.violations().stream()
                    .map(v -> new TableWrongView(
                            list.columns().stream()
                                    .filter(c -> c.key().equals(v.field()))
                                    .map(ListIn.Column::words)
                                    .findFirst()
                                    .orElse(v.field()),
                            v.message()))
                    .toList();
        }
        if (e instanceof Problem.Refused refused) {
            return refused.findings().stream()
                    .filter(f -> f.severity() == Severity.STOP || f.severity() == Severity.WARN)
                    .map(f -> new TableWrongView("", f.message() + " " + f.action()))
                    .toList();
        }
        return List.of(new TableWrongView("", String.valueOf(e.getMessage())));
    }

    /**
     * Takes in every line that is not here yet. Asked for again, it answers what it did.
     *
     * @param without lines that were refused when it was looked at, and that whoever reads it has seen refused
     */
    @Transactional
    public TakenListView take(UUID id, String name, String fileName, byte[] file, Asked asked, List<Integer> without) {
        // The same id with another file is no repeat.
        if (once.repeated("list", id, taken::existsById, name, fileName, Arrays.hashCode(file))) {
            return view(taken.findById(id).orElseThrow(() -> new Problem.NotFound("list")));
        }
        Table table = read(list(name), file, asked);
        if (!table.missing().isEmpty()) {
            throw Spreadsheet.wrong("has no column for "
                    + String.join(
                            ", ",
                            table.missing().stream().map(ListIn.Column::words).toList()));
        }
        TakenList all = new TakenList(id);
        all.list = name;
        all.file = fileName;
        // No finer than it is kept: asked for again, it is the same.
        all.takenAt = clock.instant().truncatedTo(ChronoUnit.MICROS);
        all.takenBy = Member.current().displayName();
        taken.saveAndFlush(all);
        try (Progress.Work work =
                progress.begin(Progress.Step.COMPARING, table.sheet().rows().size())) {
            take(table, all, without, work);
        }
        gatekeeper.record("list", id, "LIST_READ", told(all));
        TakenList kept = taken.findById(id).orElseThrow();
        kept.lines = all.lines;
        return view(taken.saveAndFlush(kept));
    }

    private void take(Table table, TakenList all, List<Integer> without, Progress.Work work) {
        // What is here is looked up before anything comes: of the file's own lines each is its own, as it was shown.
        Map<Integer, ListIn.Line> come = new LinkedHashMap<>();
        Set<String> seen = new HashSet<>();
        for (Spreadsheet.Row row : table.sheet().rows()) {
            work.done(1);
            if (!without.contains(row.line())) {
                List<TableWrongView> wrong = new ArrayList<>();
                ListIn.Line line = table.line(row, wrong);
                if (!wrong.isEmpty()) {
                    throw refused(row.line(), wrong);
                }
                whole(table.list(), row.line(), () -> {
                    if (seen.add(table.list().same(line)) && !table.list().here(line)) {
                        come.put(row.line(), line);
                    }
                });
            }
        }
        work.step(Progress.Step.TAKING_IN, come.size());
        come.forEach((number, line) -> {
            work.done(1);
            whole(table.list(), number, () -> keep(all, number, table.list().take(line)));
            forget(all.lines);
        });
    }

    /** Hibernate looks through all it remembers before each question; a thousand lines would be looked through a thousand times. */
    private void forget(int lines) {
        if (lines % REMEMBERED == 0) {
            entities.flush();
            entities.clear();
        }
    }

    /** What a line is refused for refuses all. */
    private static void whole(ListIn list, int line, Runnable deed) {
        try {
            deed.run();
        } catch (InvalidInput | Problem e) {
            throw refused(line, why(list, e));
        }
    }

    private static InvalidInput refused(int line, List<TableWrongView> wrong) {
        return Spreadsheet.wrong("line " + line + ": "
                + (wrong.get(0).column() + " " + wrong.get(0).message()).strip()
                + ". Nothing was taken in; look at the file again");
    }

    private String told(TakenList all) {
        return list(all.list).words() + ", " + all.lines + (all.lines == 1 ? " line of " : " lines of ") + all.file;
    }

    private void keep(TakenList all, int line, ListIn.Brought brought) {
        TakenLine kept = new TakenLine(Owned.newId());
        kept.listId = all.id;
        kept.line = line;
        kept.handle = brought.handle();
        kept.name = brought.name().length() > LONGEST_NAME ? brought.name().substring(0, LONGEST_NAME) : brought.name();
        lines.save(kept);
        all.lines++;
    }

    /** Takes all of it back, or nothing. @throws Problem.Conflict naming the line with which something was done since */
    @Transactional
    public TakenListView back(UUID id) {
        TakenList all = taken.findById(id).orElseThrow(() -> new Problem.NotFound("list"));
        if (all.backAt == null) {
            ListIn list = list(all.list);
            List<TakenLine> brought = lines.findAllByListIdOrderByLineDesc(id);
            list.mayGoBack(brought.stream().map(l -> l.handle).toList());
            int done = 0;
            for (TakenLine line : brought) {
                try {
                    list.takeBack(line.handle);
                    forget(++done);
                } catch (Problem.NotFound e) {
                    // Somebody took this one away by hand.
                    continue;
                } catch (Problem e) {
                    throw new Problem.Conflict(
                            "All stays as it is: " + line.name + " (line " + line.line + "). " + e.getMessage());
                }
            }
            all = taken.findById(id).orElseThrow();
            all.backAt = clock.instant();
            all.backBy = Member.current().displayName();
            gatekeeper.record("list taken back", id, "LIST_TAKEN_BACK", told(all));
        }
        return view(taken.saveAndFlush(all));
    }

    /** The latest. */
    @Transactional(readOnly = true)
    public List<TakenListView> taken() {
        return taken.findAllByOrderByTakenAtDescIdDesc(Limit.of(MOST_SHOWN)).stream()
                .map(this::view)
                .toList();
    }

    private TakenListView view(TakenList l) {
        return new TakenListView(l.id, list(l.list).words(), l.file, l.lines, l.takenAt, l.takenBy, l.backAt, l.backBy);
    }
}
