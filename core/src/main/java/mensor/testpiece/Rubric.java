package mensor.testpiece;

import java.util.List;
import java.util.Map;
import mensor.weld.Named;

/**
 * How well a coupon is made, from 0 to 10 (common practice, no source): for teaching. It says nothing of pass and fail, which
 * are the code's.
 */
public enum Rubric implements Named {
    PROFILE("profile", "Size and profile", 2, "legs and throat as asked, face flat to slightly convex"),
    TOES("toes", "Toes", 2, "wetted in, no undercut, no overlap, straight"),
    UNIFORMITY("uniformity", "Uniformity", 2, "ripples and width alike from end to end"),
    TIE_INS("tie-ins", "Tie-ins", 2, "starts and stops that cannot be found, craters filled"),
    CLEANING("cleaning", "Cleaning", 1, "slag and spatter off, no strikes beside the weld"),
    DEFECTS("defects", "Defects", 1, "none seen");

    private final String id;
    private final String title;
    private final int most;
    private final String full;

    Rubric(String id, String title, int most, String full) {
        this.id = id;
        this.title = title;
        this.most = most;
        this.full = full;
    }

    @Override
    public String id() {
        return id;
    }

    public String title() {
        return title;
    }

    /** The most points for it. */
    public int most() {
        return most;
    }

    /** What earns all of them. */
    public String full() {
        return full;
    }

    /**
     * The sum of the points.
     *
     * @throws IllegalArgumentException where a point is missing or out of its range, naming it
     */
    public static int sum(Map<Rubric, Integer> points) {
        int sum = 0;
        for (Rubric r : List.of(values())) {
            Integer given = points.get(r);
            if (given == null || given < 0 || given > r.most) {
                throw new IllegalArgumentException(r.id);
            }
            sum += given;
        }
        return sum;
    }
}
