package mensor.testpiece;

import mensor.weld.Named;

/** Why a test piece is made. */
public enum Purpose implements Named {
    QUALIFICATION("qualification"),
    PROCEDURE("procedure"),
    PRACTICE("practice");

    private final String id;

    Purpose(String id) {
        this.id = id;
    }

    @Override
    public String id() {
        return id;
    }
}
