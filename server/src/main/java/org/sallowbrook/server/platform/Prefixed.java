package org.sallowbrook.server.platform;

import java.util.ArrayList;
import java.util.List;
import java.util.function.BiFunction;
import java.util.function.Supplier;
import org.sallowbrook.core.measure.InvalidInput;
import org.sallowbrook.core.measure.InvalidInput.Violation;

/** Gives what core says of a part the path that the caller knows it by. */
public final class Prefixed {

    private Prefixed() {}

    /** Runs it; a refusal names fields below the path. */
    public static <T> T at(String path, Supplier<T> part) {
        try {
            return part.get();
        } catch (InvalidInput e) {
            throw new InvalidInput(e.violations().stream()
                    .map(v -> new Violation(path + "." + v.field(), v.message()))
                    .toList());
        }
    }

    /** Maps a list, collecting the refusals of all elements. */
    public static <A, B> List<B> each(String path, List<A> list, BiFunction<Integer, A, B> map) {
        List<B> mapped = new ArrayList<>();
        List<Violation> violations = new ArrayList<>();
        for (int i = 0; i < list.size(); i++) {
            int index = i;
            try {
                mapped.add(at(path + "[" + i + "]", () -> map.apply(index, list.get(index))));
            } catch (InvalidInput e) {
                violations.addAll(e.violations());
            }
        }
        if (!violations.isEmpty()) {
            throw new InvalidInput(violations);
        }
        return mapped;
    }
}
