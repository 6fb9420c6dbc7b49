package mensor.server.people;

/** What a person may do. The Engineer, who acts for the owner, rarely signs in: his word comes as a recorded document. */
public enum Role {
    INSPECTOR,
    WELDING_ENGINEER,
    REPAIR_LEAD,
    QUALITY_MANAGER,
    VIEWER;

    /** Looks at welds and signs. */
    public boolean inspects() {
        return this == INSPECTOR;
    }

    /** Describes what was to be made. */
    public boolean setsUp() {
        return this == INSPECTOR || this == WELDING_ENGINEER || this == QUALITY_MANAGER;
    }

    /** Chooses what happens to a rejected place: the contractor's choice, not the inspector's. */
    public boolean decidesDisposition() {
        return this == REPAIR_LEAD || this == WELDING_ENGINEER;
    }

    /** Records the Engineer's documents. */
    public boolean recordsEngineer() {
        return this == WELDING_ENGINEER || this == QUALITY_MANAGER;
    }

    public boolean managesPeople() {
        return this == QUALITY_MANAGER;
    }

    /** Sees signed records only. */
    public boolean seesSignedOnly() {
        return this == VIEWER;
    }
}
