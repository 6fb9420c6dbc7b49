package mensor.exchange;

/** Of what a {@code mensor-study/1} document is. */
public final class StudyKind {
    private StudyKind() {}

    /** @throws UnreadableInput where it is no such document */
    public static String of(String json) {
        return StudyFile.kind(json);
    }
}
