package mensor.criteria;

import java.util.Locale;
import java.util.Optional;
import mensor.weld.Joint;

/** Steels that can crack late (AWS D1.1, visual table: A514, A517, A709 HPS 100W; from memory). */
public final class LateCracking {
    /** How long after the last welding such a steel is inspected. */
    public static final int HOURS = 48;

    private LateCracking() {}

    /** Says so where the grade is one of them and the joint does not tell whether the wait applies. */
    public static Optional<String> note(Joint joint) {
        if (joint.delayed().isPresent() || joint.grade().isEmpty()) {
            return Optional.empty();
        }
        String grade = joint.grade().get().toUpperCase(Locale.ROOT).replaceAll("[ -]", "");
        boolean named = grade.contains("A514") || grade.contains("A517") || grade.contains("HPS100W");
        return named
                ? Optional.of("The code inspects " + joint.grade().get() + " no sooner than " + HOURS
                        + " h after welding; the joint does not say whether that applies (delayed).")
                : Optional.empty();
    }
}
