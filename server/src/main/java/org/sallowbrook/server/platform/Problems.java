package org.sallowbrook.server.platform;

import jakarta.persistence.PersistenceException;
import java.util.List;
import org.sallowbrook.core.measure.InvalidInput;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.core.NestedExceptionUtils;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.OptimisticLockingFailureException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.transaction.CannotCreateTransactionException;
import org.springframework.transaction.TransactionSystemException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.multipart.MaxUploadSizeExceededException;
import org.springframework.web.multipart.MultipartException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;

/** Errors as RFC 9457 problem details that say what was wrong and what to do. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {

    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    @ExceptionHandler
    ResponseEntity<ProblemDetail> invalid(InvalidInput e) {
        return of(
                HttpStatus.BAD_REQUEST,
                "Nothing was saved yet: see what is said at each field.",
                "errors",
                e.violations());
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> problem(Problem e) {
        if (e instanceof Problem.NotFound) {
            return of(HttpStatus.NOT_FOUND, e.getMessage(), null, null);
        }
        if (e instanceof Problem.Refused refused) {
            return of(HttpStatus.UNPROCESSABLE_CONTENT, e.getMessage(), "findings", refused.findings());
        }
        if (e instanceof Problem.Stale stale) {
            var answer = of(HttpStatus.CONFLICT, e.getMessage(), "changedBy", stale.by());
            ProblemDetail body = answer.getBody();
            if (body != null) {
                body.setProperty("changedAt", stale.at());
                body.setProperty("version", stale.version());
                body.setProperty("current", stale.current());
            }
            return answer;
        }
        if (e instanceof Problem.Throttled throttled) {
            return ResponseEntity.status(HttpStatus.TOO_MANY_REQUESTS)
                    .header(HttpHeaders.RETRY_AFTER, String.valueOf(throttled.seconds()))
                    .body(ProblemDetail.forStatusAndDetail(HttpStatus.TOO_MANY_REQUESTS, e.getMessage()));
        }
        if (e instanceof Problem.SignInFailed) {
            return of(HttpStatus.UNAUTHORIZED, e.getMessage(), null, null);
        }
        if (e instanceof Problem.NoVersion) {
            return of(HttpStatus.PRECONDITION_REQUIRED, e.getMessage(), null, null);
        }
        return of(HttpStatus.CONFLICT, e.getMessage(), null, null);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> mismatch(MethodArgumentTypeMismatchException e) {
        // An id that is no id names nothing.
        return e.getRequiredType() == java.util.UUID.class
                ? of(HttpStatus.NOT_FOUND, "There is no such thing.", null, null)
                : of(
                        HttpStatus.BAD_REQUEST,
                        "Nothing was saved yet: see what is said at each field.",
                        "errors",
                        List.of(new InvalidInput.Violation(e.getName(), "has a value that does not fit")));
    }

    /** A record that another version wrote: nothing is guessed of it. */
    @ExceptionHandler
    ResponseEntity<ProblemDetail> unreadable(Stored.Unreadable e) {
        LOG.error("unreadable: {}", e.getMessage());
        return of(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "What is kept of this can't be read by this version, and nothing was guessed of it. The log names the field.",
                null,
                null);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> raced(OptimisticLockingFailureException e) {
        return of(HttpStatus.CONFLICT, "Somebody else changed it meanwhile. Look at it again.", null, null);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> notMultipart(MultipartException e) {
        return of(HttpStatus.BAD_REQUEST, "The request can't be read as a form with a file.", null, null);
    }

    @ExceptionHandler({
        DataAccessException.class,
        CannotCreateTransactionException.class,
        TransactionSystemException.class,
        PersistenceException.class
    })
    ResponseEntity<ProblemDetail> storage(Exception e) throws Exception {
        ProblemDetail body = Storage.problem(e);
        if (body == null) {
            return anythingElse(e);
        }
        LOG.warn("storage: {}", NestedExceptionUtils.getMostSpecificCause(e).getMessage());
        return ResponseEntity.status(body.getStatus()).body(body);
    }

    @ExceptionHandler
    ResponseEntity<ProblemDetail> anythingElse(Exception e) throws Exception {
        if (e instanceof org.springframework.security.core.AuthenticationException
                || e instanceof org.springframework.security.access.AccessDeniedException) {
            throw e;
        }
        LOG.error("unexpected", e);
        return of(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong on our side; this was not saved. The log says more.",
                null,
                null);
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        String message = NestedExceptionUtils.getRootCause(e) instanceof BodyLimit.TooLarge tooLarge
                ? String.valueOf(tooLarge.getMessage())
                : "The request is not JSON that can be read.";
        ProblemDetail body = ProblemDetail.forStatusAndDetail(HttpStatus.BAD_REQUEST, message);
        body.setProperty("errors", List.of(new InvalidInput.Violation("", message)));
        return ResponseEntity.badRequest().body(body);
    }

    @Override
    protected ResponseEntity<Object> handleMaxUploadSizeExceededException(
            MaxUploadSizeExceededException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(
                HttpStatus.CONTENT_TOO_LARGE, "The picture is larger than 12 MB. Send a smaller one.");
        return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE).body(body);
    }

    private static ResponseEntity<ProblemDetail> of(
            HttpStatus status,
            String detail,
            @org.jspecify.annotations.Nullable String key,
            @org.jspecify.annotations.Nullable Object value) {
        ProblemDetail body = ProblemDetail.forStatusAndDetail(status, detail);
        if (key != null) {
            body.setProperty(key, value);
        }
        return ResponseEntity.status(status).body(body);
    }
}
