package mensor.inspection;

import mensor.weld.Named;

/** What is asked of a joint as fitted up that no gauge answers. */
public enum FitUpQuestion implements Named {
    SCALE_OFF("scale-off", "Rust and loose mill scale off"),
    TACKS("tacks", "Tacks sound, none cracked"),
    SQUARE("square", "Member square, or pre-set as required"),
    TIGHT_ELSEWHERE("tight-elsewhere", "Tight everywhere else");

    private final String id;
    private final String title;

    FitUpQuestion(String id, String title) {
        this.id = id;
        this.title = title;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }
}
