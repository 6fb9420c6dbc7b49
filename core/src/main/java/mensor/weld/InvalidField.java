package mensor.weld;

/** A description of a weld or of an inspection that cannot be: names the field by its path and says what was wanted. */
public final class InvalidField extends IllegalArgumentException {
    private static final long serialVersionUID = 1L;
    private final String field;
    private final String problem;

    public InvalidField(String field, String problem) {
        super(field + ": " + problem);
        this.field = field;
        this.problem = problem;
    }

    /** The path of the field, for example {@code indications[2].depth}. */
    public String field() {
        return field;
    }

    public String problem() {
        return problem;
    }

    /** The same problem, its field seen from one level up. */
    public InvalidField under(String parent) {
        return new InvalidField(field.isEmpty() ? parent : parent + "." + field, problem);
    }
}
