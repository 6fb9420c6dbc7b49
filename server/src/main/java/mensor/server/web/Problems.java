package mensor.server.web;

import jakarta.persistence.PersistenceException;
import java.sql.SQLException;
import java.sql.SQLTransientConnectionException;
import java.util.List;
import org.apache.tomcat.util.http.InvalidParameterException;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.slf4j.MDC;
import org.springframework.beans.TypeMismatchException;
import org.springframework.dao.ConcurrencyFailureException;
import org.springframework.dao.DataAccessException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.HttpStatusCode;
import org.springframework.http.ProblemDetail;
import org.springframework.http.ResponseEntity;
import org.springframework.http.converter.HttpMessageNotReadableException;
import org.springframework.security.access.AccessDeniedException;
import org.springframework.transaction.TransactionException;
import org.springframework.web.bind.annotation.ExceptionHandler;
import org.springframework.web.bind.annotation.RestControllerAdvice;
import org.springframework.web.context.request.WebRequest;
import org.springframework.web.servlet.mvc.method.annotation.ResponseEntityExceptionHandler;
import tools.jackson.core.JacksonException;

/** Every error as problem+json in the trade's words; what went wrong inside is logged and never leaves. */
@RestControllerAdvice
class Problems extends ResponseEntityExceptionHandler {
    private static final Logger LOG = LoggerFactory.getLogger(Problems.class);

    /** SQL states, as the standard has them. */
    private static final String VALUE_TOO_LONG = "22001";

    private static final String NO_SUCH_LETTER = "22021";

    private static final String UNIQUE = "23505";
    private static final String FOREIGN_KEY = "23503";

    @ExceptionHandler
    ResponseEntity<ProblemDetail> refused(Refusal e) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(e.status(), e.getMessage());
        if (!e.fields().isEmpty()) {
            problem.setProperty("errors", e.fields());
        }
        if (e.current() != null) {
            problem.setProperty("current", e.current());
        }
        ResponseEntity.BodyBuilder response = ResponseEntity.status(e.status());
        if (e.retryAfterSeconds() > 0) {
            response.header(HttpHeaders.RETRY_AFTER, String.valueOf(e.retryAfterSeconds()));
        }
        return response.body(problem);
    }

    @ExceptionHandler
    ProblemDetail changedMeanwhile(ConcurrencyFailureException e) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.CONFLICT, "somebody changed this at the same moment; check it and repeat");
    }

    /** Two requests made the same thing at once, or a text is longer than its column: the database refused, nothing was stored. */
    @ExceptionHandler
    ProblemDetail refusedByDatabase(DataIntegrityViolationException e) {
        String state = e.getMostSpecificCause() instanceof SQLException s ? String.valueOf(s.getSQLState()) : "";
        if (state.equals(VALUE_TOO_LONG)) {
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.UNPROCESSABLE_CONTENT, "a text is longer than what is kept of it; make it shorter");
        }
        if (state.equals(NO_SUCH_LETTER)) {
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.UNPROCESSABLE_CONTENT, "a text holds a sign that cannot be kept; type it again");
        }
        if (state.equals(UNIQUE) || state.equals(FOREIGN_KEY)) {
            return ProblemDetail.forStatusAndDetail(
                    HttpStatus.CONFLICT, "somebody stored the same at the same moment; look at it again");
        }
        return unexpected(e);
    }

    /** The disk is full, or cannot be written: what is stored can still be read. */
    @ExceptionHandler({DataAccessException.class, TransactionException.class, PersistenceException.class})
    ProblemDetail noDatabase(Exception e) {
        return DiskFault.of(e)
                .map(why -> {
                    LOG.error("not stored: {}", why);
                    return ProblemDetail.forStatusAndDetail(HttpStatus.INSUFFICIENT_STORAGE, why);
                })
                .orElseGet(() -> isAway(e)
                        ? ProblemDetail.forStatusAndDetail(
                                HttpStatus.SERVICE_UNAVAILABLE,
                                "the database cannot be reached now; look whether it was stored before you repeat it")
                        : unexpected(e));
    }

    /** No connection, or one that broke: the database was stopped, or the network is down. */
    private static boolean isAway(Throwable failure) {
        for (Throwable t = failure; t != null && t != t.getCause(); t = t.getCause()) {
            if (t instanceof SQLTransientConnectionException
                    || t instanceof SQLException s
                            && s.getSQLState() != null
                            && (s.getSQLState().startsWith("08")
                                    || s.getSQLState().startsWith("57P"))) {
                return true;
            }
        }
        return false;
    }

    @ExceptionHandler
    ProblemDetail tooLarge(BodyLimits.TooLarge e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.CONTENT_TOO_LARGE, e.getMessage());
    }

    /** A word in the address where a number or one of a list is wanted. */
    @Override
    protected ResponseEntity<Object> handleTypeMismatch(
            TypeMismatchException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                status, "“" + e.getValue() + "” in the address cannot be read as “" + e.getPropertyName() + "”");
        return handleExceptionInternal(e, problem, headers, status, request);
    }

    @ExceptionHandler
    ProblemDetail badAddress(InvalidParameterException e) {
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST, "the address holds letters that cannot be read");
    }

    @ExceptionHandler
    ProblemDetail denied(AccessDeniedException e) {
        return ProblemDetail.forStatusAndDetail(HttpStatus.FORBIDDEN, "your role does not allow this");
    }

    @ExceptionHandler
    ProblemDetail unexpected(Exception e) {
        LOG.error("unexpected", e);
        return ProblemDetail.forStatusAndDetail(
                HttpStatus.INTERNAL_SERVER_ERROR,
                "something went wrong inside Mensor; look whether it was stored before you repeat it (in the log: "
                        + MDC.get(RequestIds.NAME) + ")");
    }

    @Override
    protected ResponseEntity<Object> handleHttpMessageNotReadable(
            HttpMessageNotReadableException e, HttpHeaders headers, HttpStatusCode status, WebRequest request) {
        if (e.getCause() instanceof BodyLimits.TooLarge large) {
            return ResponseEntity.status(HttpStatus.CONTENT_TOO_LARGE).body(tooLarge(large));
        }
        String field = e.getCause() instanceof JacksonException x ? path(x) : "";
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(
                HttpStatus.BAD_REQUEST,
                field.isEmpty()
                        ? "the request could not be read as JSON of the required shape"
                        : field + ": not of the required kind");
        problem.setProperty(
                "errors",
                field.isEmpty() ? List.of() : List.of(new Refusal.FieldProblem(field, "not of the required kind")));
        return ResponseEntity.badRequest().body(problem);
    }

    /** As in {@code roles[0]}. */
    private static String path(JacksonException x) {
        StringBuilder path = new StringBuilder();
        for (JacksonException.Reference step : x.getPath()) {
            if (step.getPropertyName() == null) {
                path.append('[').append(step.getIndex()).append(']');
            } else {
                path.append(path.isEmpty() ? "" : ".").append(step.getPropertyName());
            }
        }
        return path.toString();
    }
}
