package org.sallowbrook.core.measure;

import java.util.List;
import java.util.stream.Collectors;

/** Input that makes no sense; names everything that is wrong, not the first thing only. */
public final class InvalidInput extends IllegalArgumentException {

    private static final long serialVersionUID = 1L;

    /**
     * One wrong field.
     *
     * @param field path of the field as a caller knows it
     */
    public record Violation(String field, String message) {}

    private final transient List<Violation> violations;

    public InvalidInput(List<Violation> violations) {
        super(violations.stream().map(v -> v.field() + " " + v.message()).collect(Collectors.joining("; ")));
        this.violations = List.copyOf(violations);
    }

    public List<Violation> violations() {
        return violations;
    }
}
