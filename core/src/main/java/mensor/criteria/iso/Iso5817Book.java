package mensor.criteria.iso;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.EnumSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Bound;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.CriteriaBook;
import mensor.criteria.LateCracking;
import mensor.criteria.Measure;
import mensor.criteria.NoLimit;
import mensor.criteria.Rule;
import mensor.criteria.SizeEvidence;
import mensor.criteria.iso.Iso5817Tables.Level;
import mensor.inspection.CheckMethod;
import mensor.inspection.Criterion;
import mensor.inspection.IndicationKind;
import mensor.inspection.Judgeable;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.Penetration;
import mensor.weld.Toe;

/** ISO 5817:2014, one quality level: what its Table 1 says of the surface of a weld, clause by clause. */
public final class Iso5817Book implements CriteriaBook {
    private static final String DOCUMENT = "ISO 5817:2014";
    private static final String UNNAMED_DAMAGE = "the table does not name damage of the base metal beside the weld";
    private static final Confidence SURE = Confidence.HIGH;
    private final Level level;

    private Iso5817Book(Level level) {
        this.level = level;
    }

    /** The three quality levels, the stringent first. */
    public static List<CriteriaBook> levels() {
        return List.of(new Iso5817Book(Level.B), new Iso5817Book(Level.C), new Iso5817Book(Level.D));
    }

    @Override
    public String id() {
        return "iso5817-" + level.name().toLowerCase(java.util.Locale.ROOT);
    }

    @Override
    public String title() {
        return "ISO 5817 quality level " + level.name();
    }

    @Override
    public String edition() {
        return "2014 (the changes of 2023 are not known), from memory";
    }

    @Override
    public boolean hasColumn(Unit unit) {
        return unit == Unit.MILLIMETRE;
    }

    @Override
    public Optional<Refusal> refuses(Joint joint) {
        return Optional.empty();
    }

    @Override
    public Rule rule(Criterion criterion, Joint joint, Unit column) {
        Length t = joint.thinner().thickness();
        return switch (criterion) {
            case READINESS -> new Rule.Readiness(LateCracking.HOURS);
            case CRACK -> new Rule.NoneAllowed("crack");
            case FUSION -> new Rule.NoneAllowed("lack of fusion");
            case CRATER -> Rule.AtMost.of(Measure.CRATER, Iso5817Tables.craterPipe(level, t), SURE);
            case OVERLAP -> Rule.AtMost.of(Measure.OVERLAP, Iso5817Tables.overlap(level), SURE);
            case PROFILE -> profile(joint, t);
            case SIZE -> joint.isFillet() ? filletSize(joint, t) : new Rule.GrooveSize(SizeEvidence.in(column));
            case LENGTH -> new Rule.NoneAllowed("missing length");
            case AS_DRAWN -> new Rule.NoneAllowed("departure from the drawing");
            case UNDERCUT -> undercut(joint);
            case POROSITY -> pores(joint, t);
            case ARC_STRIKE -> strayArcs();
            case SLAG -> new Rule.SlagRemoved();
            case SPATTER -> new Rule.SpatterTight();
            case ROOT -> root(joint, t);
            case MISALIGNMENT -> misalignment(joint, t);
            case BASE_METAL -> new Rule.AnySize(UNNAMED_DAMAGE, SURE);
        };
    }

    private Rule profile(Joint joint, Length t) {
        List<Rule.Part> parts = new ArrayList<>();
        if (joint.isFillet()) {
            RealLength a = joint.nominalThroat().orElseThrow();
            parts.add(part("1.10", Rule.AtMost.of(Measure.CONVEXITY, Iso5817Tables.convexity(level), SURE)));
            parts.add(part("1.16", Rule.AtMost.of(Measure.LEG_DIFFERENCE, Iso5817Tables.unequalLegs(level, a), SURE)));
        } else {
            Bound most = Iso5817Tables.excessWeldMetal(level);
            parts.add(part("1.9", Rule.AtMost.of(Measure.REINFORCEMENT, most, SURE)));
            if (!isButt(joint)) {
                parts.add(part("1.9", Rule.AtMost.of(Measure.CONVEXITY, most, SURE)));
            }
        }
        parts.add(part("1.12", Iso5817Tables.toeAngle(level, joint.isFillet())));
        parts.add(part(
                "1.14",
                Rule.AtMost.of(Measure.UNDERFILL, Iso5817Tables.underfill(level, t), Iso5817Tables.SHORT, SURE)));
        if (level != Level.D) {
            Rule none = new Rule.NoneAllowed("poor restart", Optional.of(IndicationKind.POOR_RESTART));
            parts.add(part("1.19", new Rule.Graded(none, Confidence.MEDIUM)));
        }
        return new Rule.AllOf(parts);
    }

    private Rule filletSize(Joint joint, Length t) {
        RealLength a = joint.nominalThroat().orElseThrow();
        List<Rule.Part> parts = new ArrayList<>();
        parts.add(part(
                "1.20",
                new Rule.ThroatSize(
                        a, Iso5817Tables.throatUnder(level, t, a), Iso5817Tables.SHORT, SizeEvidence.millimetres())));
        Iso5817Tables.throatOver(level, a)
                .ifPresent(b -> parts.add(part("1.21", Rule.AtMost.of(Measure.THROAT_OVER, b, SURE))));
        parts.add(part("3.2", Rule.AtMost.of(Measure.GAP, Iso5817Tables.rootGap(level, t, a), SURE)));
        return new Rule.AllOf(parts);
    }

    /** Each toe by the member that it lies on. */
    private Rule undercut(Joint joint) {
        Map<Toe, Bound> bounds = new EnumMap<>(Toe.class);
        for (Toe toe : List.of(Toe.A, Toe.B)) {
            bounds.put(toe, Iso5817Tables.undercut(level, joint.member(toe).thickness()));
        }
        return new Rule.AtMost(Measure.UNDERCUT, bounds, Optional.of(Iso5817Tables.SHORT), SURE);
    }

    private Rule pores(Joint joint, Length t) {
        if (joint.isFillet()) {
            RealLength a = joint.nominalThroat().orElseThrow();
            return Rule.AtMost.of(Measure.PORE, Iso5817Tables.pore(level, t, "a", a), SURE);
        }
        Rule whole = Rule.AtMost.of(Measure.PORE, Iso5817Tables.pore(level, t, "s", RealLength.of(t)), SURE);
        if (joint.penetration().filter(Penetration.PARTIAL::equals).isEmpty()) {
            return whole;
        }
        return joint.throat()
                .<Rule>map(s -> Rule.AtMost.of(Measure.PORE, Iso5817Tables.pore(level, t, "s", RealLength.of(s)), SURE))
                .orElseGet(() -> new Rule.EitherWay(
                        whole,
                        new Rule.NoneAllowed("pore"),
                        "the throat is nearly as deep as the member",
                        "give the throat that the drawing asks"));
    }

    /** Level D permits one where the parent metal is unaffected: ground or checked tells. */
    private Rule strayArcs() {
        return level == Level.D
                ? new Rule.Graded(new Rule.ArcStrikeDressed(EnumSet.allOf(CheckMethod.class), true), Confidence.MEDIUM)
                : new Rule.ArcStrikeDressed(EnumSet.of(CheckMethod.MT, CheckMethod.PT));
    }

    /** The table's allowance for a root that is not through is of butts welded from one side; elsewhere none is allowed. */
    private Rule root(Joint joint, Length t) {
        Bound through =
                isButt(joint) && joint.oneSided() ? Iso5817Tables.incompletePenetration(level, t) : Iso5817Tables.NP;
        Bound hollow = Iso5817Tables.rootUndercut(level, t);
        Confidence sure = Iso5817Tables.rootUndercutConfidence(t);
        return new Rule.AllOf(List.of(
                part("1.6", Rule.AtMost.of(Measure.INCOMPLETE_PENETRATION, through, Iso5817Tables.SHORT, SURE)),
                part("1.8", Rule.AtMost.of(Measure.ROOT_UNDERCUT, hollow, Iso5817Tables.SHORT, sure)),
                part(
                        "1.11",
                        Rule.AtMost.of(Measure.EXCESS_PENETRATION, Iso5817Tables.excessPenetration(level, t), SURE)),
                part("1.15", Rule.AtMost.of(Measure.BURN_THROUGH, Iso5817Tables.NP, SURE)),
                part("1.17", Rule.AtMost.of(Measure.ROOT_CONCAVITY, hollow, Iso5817Tables.SHORT, sure))));
    }

    private Rule misalignment(Joint joint, Length t) {
        Bound b = Iso5817Tables.misalignment(level, t, joint.connection() == Connection.PIPE_BUTT);
        return new Rule.Offset(b.base().rounded(), b.reckoned());
    }

    private static boolean isButt(Joint joint) {
        return joint.connection() == Connection.BUTT || joint.connection() == Connection.PIPE_BUTT;
    }

    private static Rule.Part part(String clause, Rule rule) {
        return new Rule.Part("Table 1, " + clause, rule);
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        String rows = switch (criterion) {
            case CRACK -> "1.1, 1.2";
            case FUSION -> "1.5";
            case CRATER -> "1.4";
            case OVERLAP -> "1.13";
            case PROFILE -> joint.isFillet() ? "1.10, 1.12, 1.14, 1.16, 1.19" : "1.9, 1.12, 1.14, 1.19";
            case SIZE -> "1.20, 1.21, 3.2";
            case UNDERCUT -> "1.7";
            case POROSITY -> "1.3";
            case ARC_STRIKE -> "1.22";
            case SPATTER -> "1.23";
            case ROOT -> "1.6, 1.8, 1.11, 1.15, 1.17";
            case MISALIGNMENT -> "3.1";
            case READINESS, LENGTH, AS_DRAWN, SLAG, BASE_METAL -> "";
        };
        return rows.isEmpty()
                ? new Citation("common practice", "the table does not name it", SURE)
                : new Citation(DOCUMENT, "Table 1, " + rows, SURE);
    }

    /** Every row of the table has a limit for what it names. */
    @Override
    public Optional<NoLimit> noLimit(Judgeable what, Joint joint) {
        if (what == IndicationKind.BASE_METAL_DAMAGE) {
            return Optional.of(new NoLimit("Table 1", UNNAMED_DAMAGE, SURE));
        }
        if (what == IndicationKind.POOR_RESTART && level == Level.D) {
            return Optional.of(new NoLimit(
                    "Table 1, 1.19",
                    "permitted; what it makes (undercut, underfill, a pore) is judged as that",
                    Confidence.MEDIUM));
        }
        return Optional.empty();
    }

    @Override
    public List<String> notes(Joint joint) {
        List<String> notes = new ArrayList<>(LateCracking.note(joint).stream().toList());
        notes.add("Not judged here: root porosity (1.18), several imperfections in one section (4.1)"
                + (level == Level.D ? "." : ", systematic imperfections (allowed in level D only)."));
        if (joint.flush()) {
            notes.add(
                    "The drawing asks for a flush face; the table has no number for that: excess weld metal is judged by 1.9.");
        }
        return notes;
    }
}
