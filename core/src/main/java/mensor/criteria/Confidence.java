package mensor.criteria;

import mensor.weld.Named;

/** How sure the builders are of a value that stands here from memory. */
public enum Confidence implements Named {
    HIGH("high"),
    MEDIUM("medium"),
    LOW("low");

    private final String id;

    Confidence(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }

    public Confidence lower(Confidence other) {
        return other.ordinal() > ordinal() ? other : this;
    }
}
