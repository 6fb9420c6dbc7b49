package mensor.testpiece;

import mensor.weld.Named;

/** What a test piece is made as. */
public enum PieceKind implements Named {
    GROOVE_PLATE("groove-plate", "Groove plate", true),
    FILLET_TEE("fillet-tee", "Fillet tee", true),
    T_STACK("t-stack", "T-stack", true),
    TUBE_TO_PLATE("tube-to-plate", "Tube to plate", true),
    PIPE("pipe", "Pipe", true),
    LAP("lap", "Lap", true),
    CORNER("corner", "Corner", true),
    PAD("pad", "Pad of beads", false),
    BEAD("bead", "Single bead on plate", false);

    private final String id;
    private final String title;
    private final boolean joins;

    PieceKind(String id, String title, boolean joins) {
        this.id = id;
        this.title = title;
        this.joins = joins;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** It joins two members: it can be judged at the bench, by a code. A bead on plate joins nothing. */
    public boolean joins() {
        return joins;
    }
}
