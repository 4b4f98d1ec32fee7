package org.sallowbrook.server.household;

import java.nio.charset.StandardCharsets;
import org.sallowbrook.core.measure.Checks;

/** What a password may be. */
final class Password {

    private static final int LEAST = 10;
    /** What bcrypt takes in; more would be cut off unseen. */
    private static final int MOST_BYTES = 72;

    private Password() {}

    static Checks check(Checks checks, String field, String password) {
        return checks.that(
                password.codePointCount(0, password.length()) >= LEAST
                        && password.getBytes(StandardCharsets.UTF_8).length <= MOST_BYTES,
                field,
                "must have at least " + LEAST + " letters and at most " + MOST_BYTES
                        + " (fewer where they are not plain Latin)");
    }
}
