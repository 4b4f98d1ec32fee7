package org.sallowbrook.server.archive;

import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Lists that were kept elsewhere, read in; for the keeper. A file comes with each request, and nothing of it lies about. */
@RestController
@RequestMapping("/api/archive/tables")
class ListsInController {

    private static final String TABLE = "text/csv";

    private static final int LONGEST_NAME = 200;

    private final ListsInService lists;

    ListsInController(ListsInService lists) {
        this.lists = lists;
    }

    @GetMapping
    List<ListsInService.ListInView> lists() {
        return lists.lists();
    }

    @GetMapping("/taken")
    List<ListsInService.TakenListView> taken() {
        return lists.taken();
    }

    /** @param columns by heading, parted by commas, empty for what is left out; absent where the headings say */
    @PostMapping(value = "/{list}/look", consumes = TABLE)
    ListsInService.TableView look(
            @PathVariable String list,
            @RequestParam(required = false) @Nullable String columns,
            @RequestParam(required = false) Lists.@Nullable Decimal decimal,
            @RequestParam(required = false) Cells.@Nullable Days days,
            @RequestBody(required = false) byte @Nullable [] file) {
        return lists.look(list, bytes(file), asked(columns, decimal, days));
    }

    /** @param without lines, parted by commas, that are left out */
    @PostMapping(value = "/{list}/{id}", consumes = TABLE)
    ListsInService.TakenListView take(
            @PathVariable String list,
            @PathVariable UUID id,
            @RequestParam String name,
            @RequestParam(required = false) @Nullable String columns,
            @RequestParam(required = false) Lists.@Nullable Decimal decimal,
            @RequestParam(required = false) Cells.@Nullable Days days,
            @RequestParam(defaultValue = "") String without,
            @RequestBody(required = false) byte @Nullable [] file) {
        Checks.begin()
                .that(!name.isBlank() && name.length() <= LONGEST_NAME, "name", "must have 1 to 200 letters")
                .that(without.matches("(\\d{1,5}(,\\d{1,5})*)?"), "without", "must be numbers of lines")
                .done();
        return lists.take(
                id,
                list,
                name,
                bytes(file),
                asked(columns, decimal, days),
                without.isEmpty()
                        ? List.of()
                        : Arrays.stream(without.split(","))
                                .map(Integer::valueOf)
                                .toList());
    }

    @PostMapping("/taken/{id}/back")
    ListsInService.TakenListView back(@PathVariable UUID id) {
        return lists.back(id);
    }

    /** An empty file is sent as nothing at all. */
    private static byte[] bytes(byte @Nullable [] file) {
        return file == null ? new byte[0] : file;
    }

    private static ListsInService.Asked asked(
            @Nullable String columns, Lists.@Nullable Decimal decimal, Cells.@Nullable Days days) {
        return new ListsInService.Asked(columns == null ? null : Arrays.asList(columns.split(",", -1)), decimal, days);
    }
}
