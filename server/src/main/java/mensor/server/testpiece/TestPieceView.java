package mensor.server.testpiece;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A test piece as it stands. Places in mm from the datum for the drawing, and as read.
 *
 * @param length of the weld, mm
 * @param lesson it looked good and broke badly
 * @param qualifies what it would qualify the welder for; absent where position or rods are not known
 */
public record TestPieceView(
        UUID jointId,
        UUID inspectionId,
        String mark,
        String inWords,
        String units,
        @Nullable String position,
        @Nullable String welder,
        @Nullable String wps,
        String thickness,
        double length,
        String visual,
        boolean signed,
        List<CutView> cuts,
        List<CutView> discards,
        List<String> problems,
        String citation,
        BendView bend,
        List<Specimens.SpecimenView> tests,
        String decision,
        List<String> lines,
        boolean lesson,
        @Nullable QualifiesView qualifies) {

    /** A specimen and where it is cut, or a piece that is cut off. */
    public record CutView(
            String kind,
            String name,
            double from,
            double to,
            String shown,
            @Nullable String byClock) {}

    /** @param elongation of the outer fibre, percent */
    public record BendView(String thickness, String radius, String opening, double elongation) {}

    /**
     * @param thickest absent is unlimited
     * @param leastDiameter of pipe, outside; absent where the test was on plate
     * @param ready the piece is accepted and its inspection signed: it may be confirmed
     * @param written it stands in the welder's tests
     */
    public record QualifiesView(
            List<RodGroup> groups,
            List<String> positions,
            @Nullable String thickest,
            @Nullable String leastDiameter,
            String citation,
            boolean ready,
            boolean written) {}

    /** Rods of a group and those below it, with backing or without. */
    public record RodGroup(int group, boolean backing) {}

    /**
     * A test piece in the list of all.
     *
     * @param scores of each rater, 0 to 10
     */
    public record TestPieceRow(
            UUID jointId,
            String mark,
            String inWords,
            @Nullable String position,
            @Nullable String welder,
            String job,
            String visual,
            boolean signed,
            int tested,
            int planned,
            String decision,
            boolean lesson,
            List<Integer> scores) {}
}
