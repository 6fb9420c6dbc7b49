package mensor.repair;

import mensor.weld.Named;

/** How metal was taken out or dressed. */
public enum RemovalMethod implements Named {
    WHEEL("wheel", "grinding wheel"),
    BURR("burr", "burr"),
    FLAP_DISC("flap-disc", "flap disc"),
    CUT_OFF("cut-off", "thin cut-off wheel, not side-loaded"),
    CARBON_ARC("carbon-arc", "carbon-arc gouge, skin ground bright"),
    OXYGEN("oxygen", "oxygen gouge");

    private final String id;
    private final String title;

    RemovalMethod(String id, String title) {
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
