package mensor.criteria.d11;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.criteria.ToeDepth;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.FilletTestPiece;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** AWS D1.1/D1.1M, the look at a welder's test piece before it is cut or bent: as statically loaded, but stricter where said. */
public final class WelderTestBook extends StaticBook {
    @Override
    public String id() {
        return "d1.1-welder-test";
    }

    @Override
    public String title() {
        return "AWS D1.1 welder's test piece";
    }

    /** Plate or pipe. */
    @Override
    public Optional<Refusal> refuses(Joint joint) {
        return Optional.empty();
    }

    /** No underrun at all. */
    @Override
    Rule.FilletSize filletSize(Unit column) {
        return super.filletSize(column).withoutUnderrun(Length.zero(column));
    }

    @Override
    Rule undercut(Joint joint, Unit column) {
        return depth(column, Toe.A, Toe.B);
    }

    private static Rule.Undercut depth(Unit column, Toe... toes) {
        ToeDepth most = new ToeDepth(StaticTables.undercutThin(column).anyLength(), Optional.empty());
        Map<Toe, ToeDepth> depths = new java.util.EnumMap<>(Toe.class);
        for (Toe toe : toes) {
            depths.put(toe, most);
        }
        return new Rule.Undercut(depths, StaticTables.undercutAccumulated(column), StaticTables.undercutWindow(column));
    }

    @Override
    Rule root(Joint joint, Unit column) {
        Length meltThrough = StaticTables.meltThroughAdvice(column);
        Length concavity = StaticTables.rootConcavityAdvice(column);
        return new Rule.Root(
                depth(column, Toe.ROOT),
                Optional.of(meltThrough),
                Optional.of(concavity),
                meltThrough,
                concavity,
                true,
                Confidence.MEDIUM);
    }

    /** The sums, for a butt across tension too; the fillet piece that is broken shows no pore. */
    @Override
    Rule pores(Joint joint, Unit column) {
        Rule sums = StaticTables.pores(column);
        if (!joint.isFillet()) {
            return sums;
        }
        return Rule.either(
                joint.testPiece().map(FilletTestPiece.BREAK::equals),
                new Rule.NoneAllowed("visible pore of a fillet-break piece"),
                sums,
                "this is the fillet-break piece");
    }

    @Override
    public List<String> notes(Joint joint) {
        List<String> notes = new ArrayList<>(super.notes(joint));
        if (!joint.isFillet()) {
            notes.add("Reinforcement merges smoothly into the members: an eye tells, no gauge.");
        }
        return notes;
    }

    @Override
    Length reinforcement(Length t, Unit column) {
        return StaticTables.reinforcement(Length.zero(column), column);
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        Citation c = super.citation(criterion, joint);
        return switch (criterion) {
            case SIZE, UNDERCUT, PROFILE, ROOT, POROSITY, CRACK, FUSION, CRATER ->
                new Citation(c.document(), "6.10.1 (4.9.1)", Confidence.MEDIUM);
            default -> c;
        };
    }
}
