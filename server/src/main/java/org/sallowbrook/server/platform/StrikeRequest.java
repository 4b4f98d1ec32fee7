package org.sallowbrook.server.platform;

import org.sallowbrook.core.measure.Checks;

/** Why something that was noted is struck out. It stays in the record and leaves every reckoning. */
public record StrikeRequest(String reason) {

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
