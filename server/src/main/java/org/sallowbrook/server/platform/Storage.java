package org.sallowbrook.server.platform;

import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.sallowbrook.core.measure.InvalidInput;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.http.HttpStatus;
import org.springframework.http.ProblemDetail;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;

/** What the database's refusals mean to whoever waits for an answer. */
final class Storage {

    private Storage() {}

    /** @return null for what is not the database's doing, a mistake of ours in asking it included */
    static @Nullable ProblemDetail problem(Throwable thrown) {
        String state = null;
        boolean gone = false;
        for (Throwable at = thrown; at != null; at = at.getCause() == at ? null : at.getCause()) {
            gone |= at instanceof DataAccessResourceFailureException
                    || at instanceof CannotCreateTransactionException
                    || at instanceof TransactionSystemException
                    || at instanceof SQLTransientConnectionException;
            if (at instanceof SQLException sql && sql.getSQLState() != null) {
                state = sql.getSQLState();
            }
        }
        if (state == null) {
            return gone ? away() : null;
        }
        return of(state);
    }

    private static @Nullable ProblemDetail of(String state) {
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
                switch (state.substring(0, 2)) {
                    case "22", "23" -> wrong("Something in it can't be kept as it is.");
                    // Connections, resources, an operator's hand, the system: what a moment may mend.
                    case "08", "53", "57", "58", "XX" -> away();
                    default -> null;
                };
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
