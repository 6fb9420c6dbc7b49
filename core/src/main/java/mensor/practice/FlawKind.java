package mensor.practice;

import mensor.weld.Named;

/** What a made-up weld can have that an eye should find. */
public enum FlawKind implements Named {
    UNDERCUT("undercut", "undercut", "depth"),
    PORE("pore", "pore", "diameter"),
    CRACK("crack", "crack", "length"),
    CRATER("crater", "unfilled crater", "depth"),
    SHORT_LEG("short-leg", "short leg", "what is missing of the leg");

    private final String id;
    private final String title;
    private final String size;

    FlawKind(String id, String title, String size) {
        this.id = id;
        this.title = title;
        this.size = size;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** What its size is. */
    public String sizeWords() {
        return size;
    }
}
