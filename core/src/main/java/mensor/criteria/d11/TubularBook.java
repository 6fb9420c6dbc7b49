package mensor.criteria.d11;

import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;

/** AWS D1.1/D1.1M, tubular connections: as statically loaded, but undercut and porosity as cyclically loaded, whatever the loads. */
public final class TubularBook extends CyclicBook {
    @Override
    public String id() {
        return "d1.1-tubular";
    }

    @Override
    public String title() {
        return "AWS D1.1 tubular";
    }

    /** For all loads. */
    @Override
    public boolean isCyclic() {
        return false;
    }

    @Override
    public Optional<Refusal> refuses(Joint joint) {
        return Optional.empty();
    }

    /** The 2010 table made no difference of loads; later ones do. */
    @Override
    Rule undercut(Joint joint, Unit column) {
        return new Rule.Graded(super.undercut(joint, column), Confidence.MEDIUM);
    }

    @Override
    Rule pores(Joint joint, Unit column) {
        return new Rule.Graded(super.pores(joint, column), Confidence.MEDIUM);
    }

    @Override
    Rule root(Joint joint, Unit column) {
        return root(undercut(joint, column, mensor.weld.Toe.ROOT), column);
    }

    /** Pipe butts by their wall; over 1/8 in [3 mm] only where they are welded from both sides. */
    @Override
    Rule offset(Joint joint, Unit column) {
        if (joint.connection() != Connection.PIPE_BUTT) {
            return super.offset(joint, column);
        }
        Length most = StaticTables.pipeOffsetMost(column);
        Length oneSide = StaticTables.offsetMost(column);
        return new Rule.Graded(
                Rule.either(
                        joint.isWeldedFromBothSides(),
                        pipeOffset(joint, most, ""),
                        pipeOffset(joint, oneSide, ", welded from one side"),
                        "the pipe is welded from both sides"),
                Confidence.MEDIUM);
    }

    private static Rule pipeOffset(Joint joint, Length most, String how) {
        Length wall = joint.thinner().thickness();
        return new Rule.Offset(
                wall.dividedBy(5).min(most).in(most.unit()),
                "the lesser of 20% of " + wall.shownWithUnit() + " and " + most.shownWithUnit() + how);
    }

    @Override
    Length reinforcement(Length t, Unit column) {
        return StaticTables.reinforcement(t, column);
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        Citation c = super.citation(criterion, joint);
        return switch (criterion) {
            case READINESS, CRACK, FUSION, CRATER, PROFILE, SIZE, LENGTH, UNDERCUT, POROSITY, ROOT ->
                new Citation(c.document(), "Table 10.15 (9.16)", Confidence.LOW);
            case OVERLAP, AS_DRAWN, ARC_STRIKE, SLAG, SPATTER, MISALIGNMENT, BASE_METAL -> c;
        };
    }
}
