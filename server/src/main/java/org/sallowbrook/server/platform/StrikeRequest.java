package org.sallowbrook.server.platform;

import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.Checks;

/**
 * Why something that was noted is struck out. It stays in the record and leaves every reckoning.
 *
 * @param second who signed for it as a second person, where what was noted was noted for safety; else unused
 */
public record StrikeRequest(String reason, @Nullable UUID second) {

    private static final int MOST_LETTERS = 300;

    /** @throws org.sallowbrook.core.measure.InvalidInput when no reason is given */
    public String checked() {
        Checks.begin()
                .that(
                        !reason.isBlank() && reason.length() <= MOST_LETTERS,
                        "reason",
                        "must have 1 to " + MOST_LETTERS + " letters")
                .done();
        return reason.strip();
    }
}
