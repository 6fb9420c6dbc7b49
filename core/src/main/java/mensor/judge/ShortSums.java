package mensor.judge;

import java.util.List;
import mensor.criteria.ShortRun;
import mensor.length.Length;
import mensor.length.SpanSet;
import mensor.weld.Joint;

/** What the sums of short imperfections are taken of. */
final class ShortSums {
    private ShortSums() {}

    /** The allowance: of a weld shorter than the window a share of its welded length, where the rule has one. */
    static Length allowed(ShortRun run, Joint joint) {
        boolean shorter = joint.length().isUnder(run.window());
        return shorter && run.shorterDivisor() > 0 ? joint.weldedLength().dividedBy(run.shorterDivisor()) : run.total();
    }

    static SpanSet welded(Joint joint) {
        return joint.segments().isEmpty()
                ? SpanSet.of(List.of(joint.ruler().whole()))
                : joint.ruler().straight(joint.segments());
    }
}
