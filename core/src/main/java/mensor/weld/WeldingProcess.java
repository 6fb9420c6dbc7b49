package mensor.weld;

/** How a pass is laid: by stick, which Mensor is for, or a layer by another process under or over it. */
public enum WeldingProcess implements Named {
    SMAW("SMAW", "stick"),
    GTAW("GTAW", "TIG"),
    GMAW("GMAW", "MIG"),
    FCAW("FCAW", "flux-cored"),
    SAW("SAW", "submerged arc");

    private final String id;
    private final String shopName;

    WeldingProcess(String id, String shopName) {
        this.id = id;
        this.shopName = shopName;
    }

    @Override
    public String id() {
        return id;
    }

    /** What it is called on the floor. */
    public String shopName() {
        return shopName;
    }

    public boolean isStick() {
        return this == SMAW;
    }
}
