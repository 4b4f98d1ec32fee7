package org.sallowbrook.server.platform;

import java.sql.SQLException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.InvalidInput;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.transaction.TransactionException;

/** What the database's refusals mean to whoever waits for an answer. */
final class Storage {

    private Storage() {}

    /** @return null for what is not the database's doing */
    static @Nullable ProblemDetail problem(Throwable thrown) {
        String state = null;
        boolean storage = false;
        for (Throwable at = thrown; at != null; at = at.getCause() == at ? null : at.getCause()) {
            storage |= at instanceof DataAccessException
                    || at instanceof TransactionException
                    || at instanceof SQLException
                    || at instanceof jakarta.persistence.PersistenceException;
            if (at instanceof SQLException sql && sql.getSQLState() != null) {
                state = sql.getSQLState();
            }
        }
        if (!storage) {
            return null;
        }
        return state == null ? away() : of(state);
    }

    private static ProblemDetail of(String state) {
        return switch (state) {
            case "23505" -> detail(HttpStatus.CONFLICT, "This was recorded already, or clashes with a record.");
            case "23503" -> detail(HttpStatus.CONFLICT, "It belongs to something that is not there any more.");
            case "22001" -> wrong("A text is longer than there is room for.");
            case "22003", "23514" -> wrong("A number is out of range.");
            case "22007", "22008" -> wrong("A date is out of range.");
            case "22021", "22P05" -> wrong("A text holds a character that can't be kept.");
            case "53100", "58030" ->
                detail(
                        HttpStatus.INSUFFICIENT_STORAGE,
                        "The disk is full; this was not saved. Free some room and send it again.");
            case "55P03", "40001", "40P01" ->
                detail(
                        HttpStatus.SERVICE_UNAVAILABLE,
                        "Somebody else of the household is saving something large; this was not saved. Try again.");
            default ->
                state.startsWith("22") || state.startsWith("23")
                        ? wrong("Something in it can't be kept as it is.")
                        : away();
        };
    }

    private static ProblemDetail away() {
        return detail(
                HttpStatus.SERVICE_UNAVAILABLE,
                "The database does not answer; this was not saved. Try again in a moment.");
    }

    private static ProblemDetail wrong(String what) {
        ProblemDetail body = detail(HttpStatus.BAD_REQUEST, what);
        body.setProperty("errors", List.of(new InvalidInput.Violation("", what)));
        return body;
    }

    private static ProblemDetail detail(HttpStatus status, String words) {
        return ProblemDetail.forStatusAndDetail(status, words);
    }
}
