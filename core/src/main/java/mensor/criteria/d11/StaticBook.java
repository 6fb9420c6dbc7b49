package mensor.criteria.d11;

import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.CriteriaBook;
import mensor.criteria.LateCracking;
import mensor.criteria.NoLimit;
import mensor.criteria.Rule;
import mensor.criteria.SizeEvidence;
import mensor.criteria.ToeDepth;
import mensor.inspection.CheckMethod;
import mensor.inspection.Criterion;
import mensor.inspection.IndicationKind;
import mensor.inspection.Judgeable;
import mensor.inspection.ReadValue;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Joint;
import mensor.weld.Penetration;
import mensor.weld.Toe;

/** AWS D1.1/D1.1M, statically loaded nontubular connections; the other books of D1.1 say where they differ. */
public class StaticBook implements CriteriaBook {
    private static final String DOCUMENT = "AWS D1.1/D1.1M";
    private static final String RESTART =
            "the table does not name it; what it makes (overlap, undercut, underfill, convexity) is recorded and judged as that";

    @Override
    public String id() {
        return "d1.1-static";
    }

    @Override
    public String title() {
        return "AWS D1.1 statically loaded, nontubular";
    }

    @Override
    public String edition() {
        return "2020 numbering (2015 in parentheses), from memory";
    }

    @Override
    public boolean hasColumn(Unit unit) {
        return true;
    }

    @Override
    public boolean isStructural() {
        return true;
    }

    @Override
    public Optional<Refusal> refuses(Joint joint) {
        boolean tube = joint.connection() == Connection.TUBE_TO_PLATE || joint.connection() == Connection.PIPE_BUTT;
        if (tube) {
            return Optional.of(new Refusal(
                    "connection", id() + " is for nontubular work; a tube to plate or a pipe butt needs d1.1-tubular"));
        }
        return Optional.empty();
    }

    @Override
    public Rule rule(Criterion criterion, Joint joint, Unit column) {
        return switch (criterion) {
            case READINESS -> new Rule.Readiness(LateCracking.HOURS);
            case CRACK -> new Rule.NoneAllowed("crack");
            case FUSION -> new Rule.NoneAllowed("incomplete fusion");
            case CRATER -> new Rule.CraterFilled();
            case OVERLAP -> new Rule.NoneAllowed("overlap");
            case PROFILE -> joint.isFillet() ? convexity(joint, column) : grooveProfile(joint, column);
            case SIZE -> joint.isFillet() ? filletSize(column) : new Rule.GrooveSize(SizeEvidence.in(column));
            case LENGTH -> new Rule.NoneAllowed("missing length");
            case AS_DRAWN -> new Rule.NoneAllowed("departure from the drawing");
            case UNDERCUT -> undercut(joint, column);
            case POROSITY -> pores(joint, column);
            case ARC_STRIKE -> new Rule.ArcStrikeDressed(EnumSet.allOf(CheckMethod.class));
            case SLAG -> new Rule.SlagRemoved();
            case SPATTER -> new Rule.SpatterTight();
            case ROOT -> root(joint, column);
            case MISALIGNMENT -> offset(joint, column);
            case BASE_METAL -> baseMetal(column);
        };
    }

    Rule.FilletSize filletSize(Unit column) {
        return StaticTables.filletSize(column);
    }

    Rule undercut(Joint joint, Unit column) {
        return undercut(joint, column, Toe.A, Toe.B);
    }

    Rule root(Joint joint, Unit column) {
        return root(undercut(joint, column, Toe.ROOT), column);
    }

    static Rule root(Rule.Undercut undercut, Unit column) {
        return new Rule.Root(
                undercut,
                Optional.empty(),
                Optional.empty(),
                StaticTables.meltThroughAdvice(column),
                StaticTables.rootConcavityAdvice(column),
                false,
                Confidence.MEDIUM);
    }

    /** A butt of plates or of pipes: what the code says of butts holds for both. */
    private static boolean isButt(Joint joint) {
        return joint.connection() == Connection.BUTT || joint.connection() == Connection.PIPE_BUTT;
    }

    /** No pore in a complete penetration butt across tension; the sums in all else. */
    Rule pores(Joint joint, Unit column) {
        return noneAcrossTension(joint, StaticTables.pores(column));
    }

    static Rule noneAcrossTension(Joint joint, Rule otherwise) {
        boolean butt = !joint.isFillet()
                && isButt(joint)
                && joint.penetration().filter(Penetration.COMPLETE::equals).isPresent();
        Rule none = new Rule.NoneAllowed("pore in a complete penetration butt across tension");
        return butt
                ? Rule.either(joint.transverseTension(), none, otherwise, "the butt lies across tension")
                : otherwise;
    }

    /** For the profile a partial penetration is as thick as its throat; one that is not known may be of any depth. */
    private Rule grooveProfile(Joint joint, Unit column) {
        if (joint.flush()) {
            return flush(joint, column);
        }
        boolean partial =
                joint.penetration().filter(Penetration.PARTIAL::equals).isPresent();
        if (!partial) {
            return grooveProfile(joint, joint.thicker().thickness(), column);
        }
        if (joint.throat().isPresent()) {
            return grooveProfile(joint, joint.throat().get(), column);
        }
        Length none = Length.zero(column);
        Rule deep = grooveProfile(joint, joint.thicker().thickness(), column);
        Rule shallow = grooveProfile(joint, none, column);
        return new Rule.EitherWay(
                deep, shallow, "the throat is nearly as deep as the member", "give the throat that the drawing asks");
    }

    /** @param thicker the thickness that counts */
    private Rule grooveProfile(Joint joint, Length thicker, Unit column) {
        if (hasReinforcementLimit(joint)) {
            Length t = thicker;
            Length most = reinforcement(t, column);
            // the step over 2 in [50 mm] is the less sure one
            Confidence sure = t.isOver(column.pick(StaticTables.in(2, 1), StaticTables.mm("50")))
                    ? Confidence.MEDIUM
                    : Confidence.HIGH;
            return new Rule.FaceHeight(
                    most,
                    Length.zero(column),
                    "reinforcement 0 to " + most.shownWithUnit() + " for " + t.shownWithUnit(),
                    sure);
        }
        if (joint.connection() == Connection.LAP) {
            return new Rule.GrooveFace(Optional.empty(), Confidence.HIGH);
        }
        return new Rule.GrooveFace(Optional.of(StaticTables.grooveConvexity(thicker, column)), Confidence.MEDIUM);
    }

    Length reinforcement(Length t, Unit column) {
        return StaticTables.reinforcement(t, column);
    }

    private static Rule flush(Joint joint, Unit column) {
        Length left = StaticTables.flush(column);
        Length twentieth = joint.thinner().thickness().dividedBy(20);
        Length most = joint.faying() ? Length.zero(column) : left;
        return new Rule.FaceHeight(
                most,
                left.min(twentieth).in(column),
                "flush: at most " + most.shownWithUnit() + " left"
                        + (joint.faying() ? " on a faying surface" : "")
                        + ", the thinner part reduced by at most the lesser of "
                        + left.shownWithUnit() + " and 5% of "
                        + joint.thinner().thickness().shownWithUnit(),
                Confidence.HIGH);
    }

    private static Rule convexity(Joint joint, Unit column) {
        boolean outside = joint.corner().filter(Corner.OUTSIDE::equals).isPresent();
        Optional<Length> halfThickness =
                outside ? Optional.of(joint.thinner().thickness().dividedBy(2)) : Optional.empty();
        return new Rule.ConvexityByWidth(StaticTables.convexity(column), halfThickness, Confidence.MEDIUM);
    }

    static Rule.Undercut undercut(Joint joint, Unit column, Toe... toes) {
        Map<Toe, ToeDepth> depths = new EnumMap<>(Toe.class);
        for (Toe toe : toes) {
            boolean thick = !joint.member(toe).thickness().isUnder(StaticTables.undercutThick(column));
            depths.put(toe, thick ? StaticTables.undercutThickDepth(column) : StaticTables.undercutThin(column));
        }
        return new Rule.Undercut(depths, StaticTables.undercutAccumulated(column), StaticTables.undercutWindow(column));
    }

    /** As for a flush face: the code's visual table does not name damage beside the weld. */
    private static Rule baseMetal(Unit column) {
        return new Rule.BaseMetal(StaticTables.flush(column), 20, Confidence.LOW);
    }

    Rule offset(Joint joint, Unit column) {
        Length tenth = joint.thinner().thickness().dividedBy(10);
        Length most = StaticTables.offsetMost(column);
        return new Rule.Offset(
                tenth.min(most).in(column),
                "the lesser of 10% of " + joint.thinner().thickness().shownWithUnit() + " and " + most.shownWithUnit());
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        StaticTables.Clause clause = StaticTables.CLAUSES.get(criterion.id());
        return new Citation(DOCUMENT, clause.number(), clause.confidence());
    }

    @Override
    public Optional<NoLimit> noLimit(Judgeable what, Joint joint) {
        String table = citation(Criterion.PROFILE, joint).clause();
        if (what == IndicationKind.POOR_RESTART) {
            return Optional.of(new NoLimit(table, RESTART, Confidence.HIGH));
        }
        if (what == ReadValue.TOE_ANGLE) {
            return Optional.of(new NoLimit(table, "the table names no angle at the toe", Confidence.MEDIUM));
        }
        if (what == ReadValue.CONCAVITY && joint.isFillet()) {
            return Optional.of(new NoLimit(
                    table, "concavity has no limit of its own; throat and legs must give the size", Confidence.HIGH));
        }
        if (joint.isFillet() || joint.flush() || hasReinforcementLimit(joint)) {
            return Optional.empty();
        }
        boolean lapFace =
                joint.connection() == Connection.LAP && (what == ReadValue.CONVEXITY || what == ReadValue.CONCAVITY);
        if (what == ReadValue.REINFORCEMENT || lapFace) {
            return Optional.of(new NoLimit(
                    "7.23, Tables 7.8, 7.9 (5.23, 5.8, 5.9)",
                    ((ReadValue) what).words() + " of such a groove has no limit",
                    Confidence.MEDIUM));
        }
        return Optional.empty();
    }

    private static boolean hasReinforcementLimit(Joint joint) {
        return isButt(joint) || joint.corner().filter(Corner.OUTSIDE::equals).isPresent();
    }

    @Override
    public List<String> notes(Joint joint) {
        return LateCracking.note(joint).stream().toList();
    }
}
