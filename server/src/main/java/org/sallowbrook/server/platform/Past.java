package org.sallowbrook.server.platform;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Stream;
import org.sallowbrook.core.measure.Checks;
import org.springframework.data.domain.PageRequest;
import org.springframework.data.domain.Pageable;
import org.springframework.data.domain.Slice;

/** A page of what is over, newest first; only what a list shows, with no gate run. */
public record Past(List<Entry> entries, Boolean more) {

    public record Entry(UUID id, String name, String code, LocalDate on, String note) {}

    private static final int PAGE = 20;
    private static final int LAST = 10_000;
    private static final int MOST_LETTERS = 80;

    /** @param page from 0 */
    public static Pageable page(int page) {
        Checks.begin().range("page", page, 0, LAST).done();
        return PageRequest.of(page, PAGE);
    }

    /** The first three words looked for, in any order, as patterns of {@code like}; all fit where nothing is looked for. */
    public static List<String> patterns(String find) {
        Checks.begin()
                .that(find.length() <= MOST_LETTERS, "find", "must have at most " + MOST_LETTERS + " letters")
                .done();
        return Stream.concat(
                        Arrays.stream(find.strip().toLowerCase(Locale.ROOT).split("\\s+"))
                                .map(w -> "%" + w.replaceAll("([%_\\\\])", "\\\\$1") + "%"),
                        Stream.of("%", "%", "%"))
                .limit(3)
                .toList();
    }

    public static <T> Past of(Slice<T> slice, Function<T, Entry> entry) {
        return new Past(slice.getContent().stream().map(entry).toList(), slice.hasNext());
    }
}
