package org.sallowbrook.core.measure;

/** How strongly a finding holds the user back. */
public enum Severity {
    /** Cannot be saved. */
    STOP,
    /** Saved, but not usable until resolved. */
    HOLD,
    /** Must be acknowledged with a reason. */
    WARN,
    /** Worth knowing. */
    NOTE
}
