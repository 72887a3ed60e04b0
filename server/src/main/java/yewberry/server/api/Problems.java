package yewberry.server.api;

import java.sql.SQLException;
import java.util.concurrent.CancellationException;
import org.apache.catalina.connector.ClientAbortException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.method.annotation.MethodArgumentTypeMismatchException;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;
import tools.jackson.core.exc.StreamReadException;
import tools.jackson.databind.DatabindException;
import yewberry.core.Busy;
import yewberry.core.Locked;
import yewberry.core.Refused;
import yewberry.server.jobs.Unconfirmed;
import yewberry.server.publications.Conflict;
import yewberry.server.publications.Missing;
import yewberry.server.store.Reopening;
import yewberry.server.store.UnknownKind;
import yewberry.server.web.TooLarge;

/** Errors as RFC 9457 problem details, with a {@code detail} written for people. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger log = LoggerFactory.getLogger(Problems.class);

    private final Reopening reopening;

    Problems(Reopening reopening) {
        this.reopening = reopening;
    }

    @ExceptionHandler
    ProblemDetail refused(Refused refused) {
        return problem(HttpStatus.UNPROCESSABLE_CONTENT, "Not possible", refused.getMessage());
    }

    @ExceptionHandler
    ProblemDetail locked(Locked locked) {
        return problem(HttpStatus.LOCKED, "Locked", locked.getMessage());
    }

    @ExceptionHandler
    ProblemDetail busy(Busy busy) {
        return problem(HttpStatus.SERVICE_UNAVAILABLE, "Not now", busy.getMessage());
    }

    @ExceptionHandler
    ProblemDetail tooLarge(TooLarge large) {
        return problem(HttpStatus.CONTENT_TOO_LARGE, "Too large", large.getMessage());
    }

    @ExceptionHandler
    ProblemDetail missing(Missing missing) {
        return problem(HttpStatus.NOT_FOUND, "Not there", missing.getMessage());
    }

    @ExceptionHandler
    ProblemDetail unconfirmed(Unconfirmed question) {
        return problem(HttpStatus.PRECONDITION_REQUIRED, "To be confirmed", question.getMessage());
    }

    @ExceptionHandler
    ProblemDetail conflict(Conflict conflict) {
        return problem(HttpStatus.CONFLICT, "Changed meanwhile", conflict.getMessage());
    }

    @ExceptionHandler({DataAccessException.class, org.jooq.exception.DataAccessException.class})
    ProblemDetail storage(Exception failure) {
        log.error("Storage failed", failure);
        reopening.after(failure);
        return problem(
                HttpStatus.INSUFFICIENT_STORAGE,
                "Not stored",
                "This could not be stored, so nothing was changed. See whether the disk is full, then try again.");
    }

    @ExceptionHandler
    ProblemDetail unknown(UnknownKind kind) {
        log.error("Unreadable database", kind);
        return problem(HttpStatus.INTERNAL_SERVER_ERROR, "Cannot be read", kind.getMessage());
    }

    @ExceptionHandler
    ProblemDetail givenUp(CancellationException cancelled) {
        return problem(
                HttpStatus.SERVICE_UNAVAILABLE,
                "Given up",
                "This took longer than 30 seconds and was given up; nothing was changed. Try it with less at once.");
    }

    @ExceptionHandler
    void left(ClientAbortException gone) {
        log.debug("Whoever asked has left", gone);
    }

    @ExceptionHandler
    ProblemDetail anything(Exception failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            if (cause instanceof SQLException) {
                return storage(failure); // whatever the layers between call it
            }
        }
        log.error("Unexpected failure", failure);
        return problem(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "Something went wrong",
                "The server met an error of its own; nothing was changed. Reload and try again.");
    }

    @ExceptionHandler
    ProblemDetail unreadableParameter(MethodArgumentTypeMismatchException mismatch) {
        return problem(
                HttpStatus.BAD_REQUEST,
                "Not understood",
                "“%s” is not possible for “%s”."
                        .formatted(mismatch.getValue(), mismatch.getName()));
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException failure,
            HttpHeaders headers,
            HttpStatusCode status,
            WebRequest request) {
        ProblemDetail problem = unreadable(failure);
        return handleExceptionInternal(
                failure, problem, headers, HttpStatus.valueOf(problem.getStatus()), request);
    }

    private ProblemDetail unreadable(Throwable failure) {
        for (Throwable cause = failure; cause != null; cause = cause.getCause()) {
            switch (cause) {
                case Refused refused -> {
                    return refused(refused);
                }
                case TooLarge large -> {
                    return tooLarge(large);
                }
                case StreamReadException broken -> {
                    return problem(
                            HttpStatus.BAD_REQUEST,
                            "Not understood",
                            "The request is not well-formed JSON (line %d, column %d)."
                                    .formatted(
                                            broken.getLocation().getLineNr(),
                                            broken.getLocation().getColumnNr()));
                }
                case DatabindException wrong when !(wrong.getCause() instanceof Refused) -> {
                    return problem(
                            HttpStatus.BAD_REQUEST,
                            "Not understood",
                            "The request does not have the form expected%s; see /api/openapi."
                                    .formatted(place(wrong)));
                }
                default -> {}
            }
        }
        return problem(
                HttpStatus.BAD_REQUEST, "Not understood", "The request has no readable content.");
    }

    private static String place(JacksonException wrong) {
        String path =
                wrong.getPath().stream()
                        .map(step ->
                                step.getPropertyName() == null
                                        ? "[" + step.getIndex() + "]"
                                        : step.getPropertyName())
                        .reduce((a, b) -> a + "." + b)
                        .orElse("");
        return path.isEmpty() ? "" : " at “" + path + "”";
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        return problem;
    }
}
