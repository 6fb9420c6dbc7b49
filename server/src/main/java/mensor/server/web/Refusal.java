package mensor.server.web;

import java.util.List;
import org.springframework.http.HttpStatus;

/** A request that cannot be done, with the reason in the trade's words and, where one is at fault, the fields. */
public final class Refusal extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final HttpStatus status;
    private final transient List<FieldProblem> fields;
    private final transient Object current;
    private final long retryAfterSeconds;

    /** One field's problem. */
    public record FieldProblem(String field, String problem) {}

    private Refusal(HttpStatus status, String message, List<FieldProblem> fields, Object current, long retryAfter) {
        super(message);
        this.status = status;
        this.fields = fields;
        this.current = current;
        this.retryAfterSeconds = retryAfter;
    }

    public static Refusal notFound(String why) {
        return new Refusal(HttpStatus.NOT_FOUND, why, List.of(), null, 0);
    }

    public static Refusal forbidden(String why) {
        return new Refusal(HttpStatus.FORBIDDEN, why, List.of(), null, 0);
    }

    public static Refusal unauthorized(String why) {
        return new Refusal(HttpStatus.UNAUTHORIZED, why, List.of(), null, 0);
    }

    public static Refusal conflict(String why) {
        return new Refusal(HttpStatus.CONFLICT, why, List.of(), null, 0);
    }

    /** Somebody changed it meanwhile: carries what stands there now. */
    public static Refusal stale(String why, Object current) {
        return new Refusal(HttpStatus.CONFLICT, why, List.of(), current, 0);
    }

    public static Refusal invalid(String field, String problem) {
        return invalid(List.of(new FieldProblem(field, problem)));
    }

    public static Refusal invalid(List<FieldProblem> fields) {
        FieldProblem first = fields.get(0);
        String said = first.field().isEmpty() ? first.problem() : first.field() + ": " + first.problem();
        return new Refusal(HttpStatus.UNPROCESSABLE_CONTENT, said, fields, null, 0);
    }

    public static Refusal tooMany(long seconds) {
        return new Refusal(
                HttpStatus.TOO_MANY_REQUESTS,
                "too many wrong passwords; try again in " + seconds + " s",
                List.of(),
                null,
                seconds);
    }

    /** There is no room for it just now; the same again a little later is taken. */
    public static Refusal busy(String why) {
        return new Refusal(HttpStatus.SERVICE_UNAVAILABLE, why, List.of(), null, 2);
    }

    public static Refusal tooLarge(String why) {
        return new Refusal(HttpStatus.CONTENT_TOO_LARGE, why, List.of(), null, 0);
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
