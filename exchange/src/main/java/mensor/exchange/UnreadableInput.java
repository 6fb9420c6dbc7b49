package mensor.exchange;

/** Input that cannot be read as the format says: the field's path, what is wrong and what was wanted. */
public final class UnreadableInput extends RuntimeException {
    private static final long serialVersionUID = 1L;
    private final String field;
    private final String problem;

    public UnreadableInput(String field, String problem) {
        super(field.isEmpty() ? problem : field + ": " + problem);
        this.field = field;
        this.problem = problem;
    }

    public String field() {
        return field;
    }

    public String problem() {
        return problem;
    }
}
