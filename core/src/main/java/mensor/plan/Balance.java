package mensor.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import mensor.length.Length;
import mensor.weld.Connection;
import mensor.weld.Joint;

/** The order that keeps a joint square and straight (common practice, no source). */
final class Balance {
    /** More beads than this are said as "and so on". */
    private static final int SAID = 3;

    private Balance() {}

    /** @param twoSides the weld itself is laid from both sides, as a double groove */
    static List<String> lines(Joint joint, int beads, boolean twoSides) {
        List<String> lines = new ArrayList<>();
        boolean leans =
                joint.isFillet() && (joint.connection() == Connection.TEE || joint.connection() == Connection.CORNER);
        String first = joint.isFillet()
                ? "set it 1–3° away from the side welded first, or by what a trial piece pulled; tack both ends; "
                : "";
        if (twoSides || leans) {
            lines.add("to stay square: " + first + (twoSides ? "sides" : "if the other side is welded too, sides")
                    + " turn about: " + turns(beads));
        }
        Length longWeld = joint.length().unit().pick(Length.inches(24), Length.millimetres("600"));
        if (!joint.closed() && joint.length().isOver(longWeld)) {
            lines.add("over " + longWeld.shownWithUnit()
                    + " long: from the middle out, each rod toward the middle, so that it bows less");
        }
        return lines;
    }

    private static String turns(int beads) {
        return IntStream.rangeClosed(1, Math.min(beads, SAID))
                        .mapToObj(n -> "bead " + n + " here, bead " + n + " there")
                        .collect(Collectors.joining(", "))
                + (beads > SAID ? ", and so on" : "");
    }
}
