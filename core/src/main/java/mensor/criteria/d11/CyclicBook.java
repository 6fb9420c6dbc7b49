package mensor.criteria.d11;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.Rule;
import mensor.criteria.ToeDepth;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.Toe;
import mensor.weld.Use;

/** AWS D1.1/D1.1M, cyclically loaded nontubular connections: as statically loaded, but undercut, porosity and the thickest crown. */
public class CyclicBook extends StaticBook {
    @Override
    public String id() {
        return "d1.1-cyclic";
    }

    @Override
    public String title() {
        return "AWS D1.1 cyclically loaded, nontubular";
    }

    @Override
    public boolean isCyclic() {
        return true;
    }

    /** 0.01 in [0.25 mm] in a primary member across tension, 1/32 in [1 mm] in all else, at any length. */
    @Override
    Rule undercut(Joint joint, Unit column) {
        return Rule.either(
                primaryAcrossTension(joint),
                depth(StaticTables.undercutAcrossTension(column), column, Toe.A, Toe.B),
                depth(StaticTables.undercutCyclic(column), column, Toe.A, Toe.B),
                FACT);
    }

    private static final String FACT = "the weld lies across the tension of a primary member";

    /** Known to be so, known not to be so, or not known. */
    private static Optional<Boolean> primaryAcrossTension(Joint joint) {
        boolean neither = joint.primary().filter(p -> !p).isPresent()
                || joint.transverseTension().filter(t -> !t).isPresent();
        if (neither) {
            return Optional.of(false);
        }
        return joint.primary().flatMap(p -> joint.transverseTension().map(t -> p && t));
    }

    private static Rule.Undercut depth(Length most, Unit column, Toe... toes) {
        Map<Toe, ToeDepth> depths = new EnumMap<>(Toe.class);
        for (Toe toe : toes) {
            depths.put(toe, new ToeDepth(most, Optional.empty()));
        }
        return new Rule.Undercut(depths, StaticTables.undercutAccumulated(column), StaticTables.undercutWindow(column));
    }

    @Override
    Rule root(Joint joint, Unit column) {
        return Rule.either(
                primaryAcrossTension(joint),
                root(depth(StaticTables.undercutAcrossTension(column), column, Toe.ROOT), column),
                root(depth(StaticTables.undercutCyclic(column), column, Toe.ROOT), column),
                FACT);
    }

    /** One pore in 4 in [100 mm], none over 3/32 in [2.5 mm]; stiffeners to web by the static sums; butts across tension none. */
    @Override
    Rule pores(Joint joint, Unit column) {
        if (joint.isFillet() && joint.use() == Use.STIFFENER_TO_WEB) {
            return StaticTables.pores(column);
        }
        return noneAcrossTension(joint, StaticTables.poreSpacing(column));
    }

    @Override
    Length reinforcement(Length t, Unit column) {
        return StaticTables.reinforcement(t, column).min(StaticTables.reinforcementCyclic(column));
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        Citation c = super.citation(criterion, joint);
        return criterion == Criterion.POROSITY
                ? new Citation(c.document(), "Table 8.1 (6.1) item 8, cyclic", Confidence.HIGH)
                : c;
    }
}
