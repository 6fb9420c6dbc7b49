package mensor.cause;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.inspection.Inspection;
import mensor.inspection.Slag;
import mensor.judge.Evaluation;
import mensor.weld.Joint;
import mensor.weld.Pass;
import mensor.weld.Polarity;
import mensor.weld.Progression;
import mensor.weld.RodTable;
import mensor.weld.Sign;

/**
 * What looking cannot see: reasons to doubt the fusion of a weld although its surface passes, with the test that would tell
 * (common practice, no source). The engineer decides on the test; the verdict of the inspection is not touched.
 */
public record FusionDoubt(String why, String test) {

    /** @param oldWeldUnder it is known that an old weld lies under this one and was not taken down to clean metal */
    public static List<FusionDoubt> of(
            Inspection inspection, Evaluation evaluation, Surroundings around, boolean oldWeldUnder) {
        FactCollection gathering = new FactCollection(inspection, around);
        String test = test(inspection.joint());
        List<FusionDoubt> doubts = new ArrayList<>();
        List<Pass> measured = gathering.measured();
        if (gathering.isThick()
                && measured.stream()
                        .anyMatch(p ->
                                p.progression().filter(Progression.DOWN::equals).isPresent())) {
            doubts.add(new FusionDoubt(
                    "welded vertical down on 1/4 in or over: such a weld looks smooth and flat and has little or no root fusion",
                    test));
        }
        Optional<String> cold = gathering.cold();
        if (cold.isPresent() && slagAtTheToes(inspection)) {
            doubts.add(new FusionDoubt(cold.get() + ", with slag at the toes", test));
        } else if (cold.isPresent() && looksWell(evaluation)) {
            doubts.add(new FusionDoubt(cold.get() + ": a smooth weld on a cold setting proves no fusion", test));
        }
        if (measured.stream().anyMatch(FusionDoubt::onTheWrongPole)) {
            doubts.add(new FusionDoubt("a low-hydrogen rod was run on DCEN: it runs as if cold", test));
        }
        if (oldWeldUnder) {
            doubts.add(new FusionDoubt(
                    "welded over an old weld that was not taken down to clean metal: it can look sound and have no root fusion",
                    test));
        }
        return List.copyOf(doubts);
    }

    private static boolean onTheWrongPole(Pass p) {
        return p.polarity().filter(Polarity.DCEN::equals).isPresent()
                && p.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
    }

    private static boolean slagAtTheToes(Inspection inspection) {
        return inspection.indications().stream().anyMatch(i -> i instanceof Slag s && s.trapped())
                || inspection.welding().signs().contains(Sign.SLAG_HARD_TO_FREE);
    }

    /** The test that shows the root of such a joint. */
    private static String test(Joint joint) {
        String onTheWeld = joint.isFillet() ? "MT of the weld, a macro section where one can be cut" : "UT of the weld";
        String onACoupon = joint.isFillet()
                ? "or a fillet break (nick break) of a coupon welded the same way"
                : "or a bend or a macro of a coupon welded the same way";
        return onTheWeld + ", " + onACoupon + "; the engineer decides";
    }

    /** Whether the shape of the weld passes: nothing of its profile, size or fusion rejects. */
    private static boolean looksWell(Evaluation evaluation) {
        return evaluation.rejected().stream().noneMatch(f -> switch (f.criterion()) {
            case PROFILE, FUSION, OVERLAP -> true;
            default -> false;
        });
    }
}
