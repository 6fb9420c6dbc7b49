package mensor.server.practice;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What somebody's handed-in practice says of the eye: of each kind of flaw how surely it is found, by its size, and how true the sizes are.
 *
 * @param right verdicts that were right, of all
 * @param calledPerWeld how often something was called that is not there
 * @param people whose eye may be asked for
 */
public record EyeView(
        String person,
        int welds,
        int right,
        double rightLow,
        double rightHigh,
        double calledPerWeld,
        List<EyeKindView> kinds,
        List<EyePersonView> people) {

    /**
     * Sizes in mm.
     *
     * @param said in one sentence
     * @param a90 nine in ten of this size are found
     * @param surely nine in ten of this size are found, with 95 % confidence
     * @param curve the share that is found, by size; empty where there is none
     * @param sized of how many a size was put down
     * @param bias in the mean
     * @param spread standard deviation
     */
    public record EyeKindView(
            String id,
            String title,
            int trials,
            int found,
            String said,
            @Nullable Double a90,
            @Nullable Double surely,
            List<DetectionTrialView> all,
            List<CurvePointView> curve,
            int sized,
            @Nullable Double bias,
            @Nullable Double spread) {}

    public record DetectionTrialView(double size, boolean found) {}

    public record CurvePointView(double size, double share) {}

    public record EyePersonView(UUID id, String name) {}
}
