package mensor.weld;

/** What becomes of a welder's fillet test piece: one is broken open, the other cut and etched. */
public enum FilletTestPiece implements Named {
    BREAK("break"),
    MACRO("macro");

    private final String id;

    FilletTestPiece(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
