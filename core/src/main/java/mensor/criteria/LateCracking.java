package mensor.criteria;

import java.util.Optional;
import mensor.weld.Joint;

/** Steels that can crack late (AWS D1.1, visual table: A514, A517, A709 HPS 100W; from memory). */
public final class LateCracking {
    /** How long after the last welding such a steel is inspected. */
    public static final int HOURS = 48;

    private LateCracking() {}

    /** Says so where the grade is one of them and nobody said whether the wait applies: it does. */
    public static Optional<String> note(Joint joint) {
        boolean byGrade = joint.delayed().isEmpty() && joint.isDelayed();
        return byGrade
                ? Optional.of("The code inspects " + joint.grade().orElseThrow() + " no sooner than " + HOURS
                        + " h after welding; say so on the joint where the wait does not apply.")
                : Optional.empty();
    }
}
