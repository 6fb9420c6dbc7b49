package mensor.testpiece;

import mensor.weld.Named;

/** What is cut from a test piece, and how it is tested. */
public enum SpecimenKind implements Named {
    FACE_BEND("face-bend", "Face bend"),
    ROOT_BEND("root-bend", "Root bend"),
    SIDE_BEND("side-bend", "Side bend"),
    FILLET_BREAK("fillet-break", "Fillet break"),
    MACRO("macro", "Macro section"),
    NICK_BREAK("nick-break", "Nick-break");

    private final String id;
    private final String title;

    SpecimenKind(String id, String title) {
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
