package mensor.criteria.b31;

import java.util.ArrayList;
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
import mensor.criteria.ShortRun;
import mensor.criteria.SizeEvidence;
import mensor.inspection.CheckMethod;
import mensor.inspection.Criterion;
import mensor.inspection.IndicationKind;
import mensor.inspection.Judgeable;
import mensor.inspection.ReadValue;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** ASME B31.3, Table 341.3.2, normal fluid service: by Tw, the wall of the thinner part. */
public final class NormalServiceBook implements CriteriaBook {
    private static final String DOCUMENT = "ASME B31.3";
    private static final String THICK_PORES = "the code's table does not limit it; check the owner's specification";
    private static final String UNNAMED_DAMAGE =
            "the table does not name damage of the base metal; the wall left is the designer's question";
    private static final String UNNAMED = "the table does not name it; judged as AWS D1.1, statically loaded";

    @Override
    public String id() {
        return "b31.3-normal";
    }

    @Override
    public String title() {
        return "ASME B31.3 normal fluid service";
    }

    @Override
    public String edition() {
        return "Table 341.3.2, edition not noted, from memory";
    }

    @Override
    public boolean hasColumn(Unit unit) {
        return true;
    }

    @Override
    public Optional<Refusal> refuses(Joint joint) {
        return Optional.empty();
    }

    @Override
    public Rule rule(Criterion criterion, Joint joint, Unit column) {
        Length wall = joint.thinner().thickness();
        return switch (criterion) {
            case CRACK -> new Rule.NoneAllowed("crack");
            case FUSION -> new Rule.NoneAllowed("lack of fusion");
            case ROOT -> root(wall, column);
            case UNDERCUT ->
                new Rule.AtMost(Measure.UNDERCUT, bothToes(undercut(wall, column)), Optional.empty(), Confidence.HIGH);
            case POROSITY -> pores(wall, column);
            case PROFILE -> profile(joint, wall, column);
            case SIZE ->
                joint.isFillet()
                        ? Rule.FilletSize.legsAlone(Length.zero(column), evidence(column))
                        : new Rule.GrooveSize(SizeEvidence.in(column));
            case MISALIGNMENT -> misalignment(joint, column);
            case CRATER -> unnamed(new Rule.CraterFilled());
            case OVERLAP -> unnamed(new Rule.NoneAllowed("overlap"));
            case ARC_STRIKE -> unnamed(new Rule.ArcStrikeDressed(EnumSet.allOf(CheckMethod.class)));
            case SLAG -> slag(wall, column);
            case SPATTER -> unnamed(new Rule.SpatterTight());
            case LENGTH -> unnamed(new Rule.NoneAllowed("missing length"));
            case AS_DRAWN -> unnamed(new Rule.NoneAllowed("departure from the drawing"));
            case READINESS -> unnamed(new Rule.Readiness(LateCracking.HOURS));
            case BASE_METAL -> new Rule.AnySize(UNNAMED_DAMAGE, Confidence.HIGH);
        };
    }

    private static Rule unnamed(Rule rule) {
        return new Rule.Noted(rule, UNNAMED);
    }

    private static SizeEvidence evidence(Unit column) {
        return column.pick(SizeEvidence.inches(), SizeEvidence.millimetres());
    }

    private static Map<Toe, Bound> bothToes(Bound b) {
        return Map.of(Toe.A, b, Toe.B, b);
    }

    private static Length in(long numerator, long denominator) {
        return Length.inches(numerator, denominator);
    }

    private static Length mm(String value) {
        return Length.millimetres(value);
    }

    /** Excess weld metal outside and at the root, by the wall: 1/4 in [6], 1/2 [13], 1 [25], over. */
    static Length reinforcement(Length wall, Unit u) {
        if (!wall.isOver(u.pick(in(1, 4), mm("6")))) {
            return u.pick(in(1, 16), mm("1.5"));
        }
        if (!wall.isOver(u.pick(in(1, 2), mm("13")))) {
            return u.pick(in(1, 8), mm("3"));
        }
        return wall.isOver(u.pick(in(1, 1), mm("25"))) ? u.pick(in(3, 16), mm("5")) : u.pick(in(5, 32), mm("4"));
    }

    /** The lesser of 1/32 in [1 mm] and a quarter of the wall. */
    static Bound undercut(Length wall, Unit u) {
        return lesser(u.pick(in(1, 32), mm("1")), wall.dividedBy(4), u, "Tw/4");
    }

    /** The lesser of 1/32 in [1 mm] and 0.2 of the wall. */
    static Bound incompletePenetration(Length wall, Unit u) {
        Bound b = lesser(u.pick(in(1, 32), mm("1")), wall.dividedBy(5), u, "0.2 Tw");
        return new Bound(b.base(), b.ofWidth(), b.cap(), true, b.reckoned());
    }

    private static Bound lesser(Length most, Length ofWall, Unit u, String share) {
        return Bound.fixed(most.min(ofWall).in(u), "the lesser of " + most.shownWithUnit() + " and " + share);
    }

    /** Incomplete penetration adds up to at most 1-1/2 in [38 mm] in any 6 in [150 mm]. */
    static ShortRun penetrationRun(Unit u) {
        return u.pick(new ShortRun(in(3, 2), in(6, 1), 0), new ShortRun(mm("38"), mm("150"), 0));
    }

    private static Rule root(Length wall, Unit column) {
        Bound protrusion = Bound.fixed(reinforcement(wall, column), "as the reinforcement, by Tw");
        return new Rule.AllOf(List.of(
                new Rule.Part(
                        "Table 341.3.2, incomplete penetration",
                        Rule.AtMost.of(
                                Measure.INCOMPLETE_PENETRATION,
                                incompletePenetration(wall, column),
                                penetrationRun(column),
                                Confidence.HIGH)),
                new Rule.Part(
                        "Table 341.3.2, undercutting",
                        Rule.AtMost.of(Measure.ROOT_UNDERCUT, undercut(wall, column), Confidence.HIGH)),
                new Rule.Part(
                        "Table 341.3.2, protrusion",
                        Rule.AtMost.of(Measure.EXCESS_PENETRATION, protrusion, Confidence.HIGH)),
                new Rule.Part("Table 341.3.2, concave root", new Rule.ConcavityWithinCrown()),
                new Rule.Part(
                        "Table 341.3.2, burn-through",
                        Rule.AtMost.of(Measure.BURN_THROUGH, Bound.fixed(Length.zero(column), ""), Confidence.HIGH))));
    }

    /** None visible on thin walls; the table is silent on thick ones. */
    private static Rule pores(Length wall, Unit column) {
        return isThin(wall, column)
                ? new Rule.Graded(new Rule.NoneAllowed("visible pore"), Confidence.MEDIUM)
                : new Rule.AnySize(THICK_PORES, Confidence.MEDIUM);
    }

    /** Slag open to the surface as porosity; what only covers, which the table does not name, is cleaned first. */
    private static Rule slag(Length wall, Unit column) {
        return new Rule.Noted(
                new Rule.Graded(
                        new Rule.SlagRemoved(isThin(wall, column) ? Optional.empty() : Optional.of(THICK_PORES)),
                        Confidence.MEDIUM),
                "slag open to the surface: as porosity; slag that covers: " + UNNAMED);
    }

    private static boolean isThin(Length wall, Unit column) {
        return !wall.isOver(column.pick(in(3, 16), mm("5")));
    }

    private static Rule profile(Joint joint, Length wall, Unit column) {
        Length most = reinforcement(wall, column);
        if (!joint.isFillet()) {
            return new Rule.FaceHeight(
                    most,
                    Length.zero(column),
                    "0 to " + most.shownWithUnit() + " for a wall of " + wall.shownWithUnit()
                            + ", from the lower of the two surfaces",
                    Confidence.HIGH);
        }
        return new Rule.AllOf(List.of(
                new Rule.Part(
                        "Table 341.3.2, reinforcement",
                        Rule.AtMost.of(
                                Measure.CONVEXITY,
                                Bound.fixed(most, "by Tw, over the theoretical throat"),
                                Confidence.HIGH)),
                new Rule.Part(
                        "Table 341.3.2, underfill",
                        Rule.AtMost.of(Measure.UNDERFILL, Bound.fixed(Length.zero(column), ""), Confidence.HIGH))));
    }

    private static Rule misalignment(Joint joint, Unit column) {
        return joint.offsetMax()
                .<Rule>map(m -> new Rule.Offset(m.in(column), "the procedure's limit"))
                .orElse(new Rule.NotJudged("the procedure sets the limit, and the joint does not give it (offsetMax)"));
    }

    @Override
    public Citation citation(Criterion criterion, Joint joint) {
        return switch (criterion) {
            case CRACK, FUSION, ROOT, UNDERCUT, POROSITY, PROFILE, SLAG ->
                new Citation(DOCUMENT, "Table 341.3.2", Confidence.HIGH);
            case SIZE -> new Citation(DOCUMENT, "328.5.2", Confidence.MEDIUM);
            case MISALIGNMENT -> new Citation(DOCUMENT, "328.4.3", Confidence.MEDIUM);
            default -> new Citation("AWS D1.1/D1.1M, as statically loaded", "not named by ASME B31.3", Confidence.HIGH);
        };
    }

    @Override
    public Optional<NoLimit> noLimit(Judgeable what, Joint joint) {
        if (what == IndicationKind.POOR_RESTART) {
            return Optional.of(new NoLimit(
                    "Table 341.3.2",
                    "the table does not name it; what it makes (overlap, undercut, underfill, convexity) is recorded and judged as that",
                    Confidence.HIGH));
        }
        if (what == IndicationKind.BASE_METAL_DAMAGE) {
            return Optional.of(new NoLimit("Table 341.3.2", UNNAMED_DAMAGE, Confidence.HIGH));
        }
        if (what == ReadValue.TOE_ANGLE) {
            return Optional.of(new NoLimit("Table 341.3.2", "the table names no angle at the toe", Confidence.MEDIUM));
        }
        boolean pore = what == IndicationKind.POROSITY
                && pores(joint.thinner().thickness(), joint.length().unit()) instanceof Rule.AnySize;
        return pore ? Optional.of(new NoLimit("Table 341.3.2", THICK_PORES, Confidence.MEDIUM)) : Optional.empty();
    }

    @Override
    public List<String> notes(Joint joint) {
        List<String> notes = new ArrayList<>(LateCracking.note(joint).stream().toList());
        notes.add("Craters, overlap, arc strikes, slag that covers, spatter, length, drawing and readiness: " + UNNAMED
                + ".");
        if (pores(joint.thinner().thickness(), joint.length().unit()) instanceof Rule.AnySize) {
            notes.add("Porosity: the code's table does not limit it; check the owner's specification.");
        }
        if (joint.offsetMax().isEmpty()) {
            notes.add("Misalignment: the procedure sets the limit; the joint does not give it (offsetMax).");
        }
        return notes;
    }
}
