package mensor.server.people;

import java.util.Locale;

/** What a person may do. The Engineer, who acts for the owner, rarely signs in: his word comes as a recorded document. */
public enum Role {
    INSPECTOR,
    WELDING_ENGINEER,
    REPAIR_LEAD,
    QUALITY_MANAGER,
    VIEWER,
    /** Sees the class, scores, comments and hands out drills. */
    INSTRUCTOR,
    /** Records own test pieces, and sees those alone. */
    LEARNER;

    public String words() {
        return name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
