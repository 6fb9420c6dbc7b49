package mensor.server.web;

import java.util.List;
import org.springframework.http.HttpStatus;

/** A request that cannot be done, with the reason in the trade's words and, where one is at fault, the fields. */
public final class Refused extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final HttpStatus status;
    private final transient List<FieldProblem> fields;
    private final transient Object current;
    private final long retryAfterSeconds;

    /** One field's problem. */
    public record FieldProblem(String field, String problem) {}

    private Refused(HttpStatus status, String message, List<FieldProblem> fields, Object current, long retryAfter) {
        super(message);
        this.status = status;
        this.fields = fields;
        this.current = current;
        this.retryAfterSeconds = retryAfter;
    }

    public static Refused notFound(String why) {
        return new Refused(HttpStatus.NOT_FOUND, why, List.of(), null, 0);
    }

    public static Refused forbidden(String why) {
        return new Refused(HttpStatus.FORBIDDEN, why, List.of(), null, 0);
    }

    public static Refused unauthorized(String why) {
        return new Refused(HttpStatus.UNAUTHORIZED, why, List.of(), null, 0);
    }

    public static Refused conflict(String why) {
        return new Refused(HttpStatus.CONFLICT, why, List.of(), null, 0);
    }

    /** Somebody changed it meanwhile: carries what stands there now. */
    public static Refused stale(String why, Object current) {
        return new Refused(HttpStatus.CONFLICT, why, List.of(), current, 0);
    }

    public static Refused invalid(String field, String problem) {
        return invalid(List.of(new FieldProblem(field, problem)));
    }

    public static Refused invalid(List<FieldProblem> fields) {
        FieldProblem first = fields.get(0);
        String said = first.field().isEmpty() ? first.problem() : first.field() + ": " + first.problem();
        return new Refused(HttpStatus.UNPROCESSABLE_CONTENT, said, fields, null, 0);
    }

    public static Refused tooMany(long seconds) {
        return new Refused(
                HttpStatus.TOO_MANY_REQUESTS,
                "too many wrong passwords; try again in " + seconds + " s",
                List.of(),
                null,
                seconds);
    }

    public HttpStatus status() {
        return status;
    }

    public List<FieldProblem> fields() {
        return fields;
    }

    public Object current() {
        return current;
    }

    public long retryAfterSeconds() {
        return retryAfterSeconds;
    }
}
