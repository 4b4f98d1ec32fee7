package org.sallowbrook.server.platform;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import java.lang.reflect.RecordComponent;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.CoreVersion;
import org.sallowbrook.core.measure.Finding;

/**
 * What every calculator answers.
 *
 * @param numbers stand beside these in the answer; all of them null where it can't be done, and a STOP says why
 */
public record Answer<N extends Record>(
        Boolean feasible, String coreVersion, @JsonUnwrapped N numbers, List<Finding> findings, List<String> because) {

    /** The findings of a calculator, with the note that no card and no person was looked at. */
    public static <N extends Record> Answer<N> of(
            Class<N> type, @Nullable N numbers, List<Finding> findings, List<String> because) {
        return new Answer<>(
                numbers != null,
                CoreVersion.CURRENT,
                numbers == null ? none(type) : numbers,
                ungated(findings),
                because);
    }

    /** Of what can always be reckoned. */
    public static <N extends Record> Answer<N> of(N numbers, List<Finding> findings, List<String> because) {
        return new Answer<>(true, CoreVersion.CURRENT, numbers, ungated(findings), because);
    }

    private static <N extends Record> N none(Class<N> type) {
        Class<?>[] types = Arrays.stream(type.getRecordComponents())
                .map(RecordComponent::getType)
                .toArray(Class<?>[]::new);
        try {
            var constructor = type.getDeclaredConstructor(types);
            constructor.setAccessible(true);
            return constructor.newInstance(
                    Stream.generate(() -> null).limit(types.length).toArray());
        } catch (ReflectiveOperationException e) {
            throw new IllegalStateException("numbers of an answer must bear null: " + type, e);
        }
    }

    /** The findings of a calculator, with the note that no card and no person was looked at. */
    public static List<Finding> ungated(List<Finding> findings) {
        List<Finding> all = new ArrayList<>(findings);
        all.add(Finding.note(
                "UNGATED",
                "Only reckoned: no plant card and no person was looked at.",
                "Save it as a batch or a course to have every safety rule applied."));
        return all;
    }
}
