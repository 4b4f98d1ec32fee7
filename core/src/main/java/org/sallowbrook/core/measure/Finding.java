package org.sallowbrook.core.measure;

import java.util.Collection;

/**
 * Something the reckoning found, as data.
 *
 * @param code stable, upper case, for programs
 * @param message what was found, for people
 * @param action what to do next
 * @param trifle whether it is a warning that costs quality or a walk only, and nobody is hurt by going on: one touch is enough
 *     for it, where others want words
 */
public record Finding(String code, Severity severity, String message, String action, boolean trifle) {

    public Finding(String code, Severity severity, String message, String action) {
        this(code, severity, message, action, false);
    }

    public static Finding stop(String code, String message, String action) {
        return new Finding(code, Severity.STOP, message, action);
    }

    public static Finding hold(String code, String message, String action) {
        return new Finding(code, Severity.HOLD, message, action);
    }

    public static Finding warn(String code, String message, String action) {
        return new Finding(code, Severity.WARN, message, action);
    }

    /** A warning for which one touch is enough. */
    public static Finding trifle(String code, String message, String action) {
        return new Finding(code, Severity.WARN, message, action, true);
    }

    public static Finding note(String code, String message, String action) {
        return new Finding(code, Severity.NOTE, message, action);
    }

    public static boolean any(Collection<Finding> findings, Severity severity) {
        return findings.stream().anyMatch(f -> f.severity() == severity);
    }
}
