package mensor.criteria.d11;

import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.length.Unit;
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

    @Override
    mensor.length.Length reinforcement(mensor.length.Length t, Unit column) {
        return StaticTables.reinforcement(t, column);
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        Citation c = super.citation(criterion, joint);
        return switch (criterion) {
            case READINESS, CRACK, FUSION, CRATER, PROFILE, SIZE, LENGTH, UNDERCUT, POROSITY, ROOT ->
                new Citation(c.document(), "Table 10.15 (9.16)", Confidence.LOW);
            case OVERLAP, AS_DRAWN, ARC_STRIKE, SLAG, SPATTER, MISALIGNMENT -> c;
        };
    }
}
