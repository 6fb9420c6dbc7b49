package mensor.criteria.d11;

import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.CriteriaBook;
import mensor.criteria.Rule;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.look.AddendumKind;
import mensor.look.Criterion;
import mensor.weld.Connection;
import mensor.weld.Corner;
import mensor.weld.Joint;
import mensor.weld.Toe;

/** AWS D1.1/D1.1M, statically loaded nontubular connections: fillet welds. */
public final class StaticBook implements CriteriaBook {
    private static final String DOCUMENT = "AWS D1.1/D1.1M";

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
    public Optional<Refusal> refuses(Joint joint) {
        boolean tube = joint.connection() == Connection.TUBE_TO_PLATE || joint.connection() == Connection.PIPE_BUTT;
        if (tube) {
            return Optional.of(new Refusal(
                    "connection", id() + " is for nontubular work; a tube to plate or a pipe butt wants d1.1-tubular"));
        }
        if (!joint.isFillet()) {
            return Optional.of(new Refusal(
                    "weld", "this version of Mensor judges fillet welds by " + id() + ", not groove welds"));
        }
        return Optional.empty();
    }

    @Override
    public Rule rule(Criterion criterion, Joint joint, Unit column) {
        return switch (criterion) {
            case READINESS -> new Rule.Readiness(StaticTables.DELAY_HOURS);
            case CRACK -> new Rule.NoneAllowed("crack");
            case FUSION -> new Rule.NoneAllowed("incomplete fusion");
            case CRATER -> new Rule.CraterFilled();
            case OVERLAP -> new Rule.NoneAllowed("overlap");
            case PROFILE -> convexity(joint, column);
            case SIZE -> StaticTables.filletSize(column);
            case LENGTH -> new Rule.NoneAllowed("missing length");
            case AS_DRAWN -> new Rule.NoneAllowed("departure from the drawing");
            case UNDERCUT -> undercut(joint, column, Toe.A, Toe.B);
            case POROSITY -> StaticTables.pores(column);
            case ARC_STRIKE -> new Rule.ArcStrikeDressed();
            case SLAG -> new Rule.SlagRemoved();
            case SPATTER -> new Rule.SpatterTight();
            case ROOT ->
                new Rule.Root(
                        undercut(joint, column, Toe.ROOT),
                        StaticTables.meltThroughAdvice(column),
                        StaticTables.rootConcavityAdvice(column),
                        Confidence.MEDIUM);
            case MISALIGNMENT -> offset(joint, column);
        };
    }

    private static Rule convexity(Joint joint, Unit column) {
        boolean outside = joint.corner().filter(Corner.OUTSIDE::equals).isPresent();
        Optional<Length> halfThickness =
                outside ? Optional.of(joint.thinner().thickness().dividedBy(2)) : Optional.empty();
        return new Rule.ConvexityByWidth(StaticTables.convexity(column), halfThickness, Confidence.MEDIUM);
    }

    private static Rule.Undercut undercut(Joint joint, Unit column, Toe... toes) {
        Map<Toe, Rule.ToeDepth> depths = new EnumMap<>(Toe.class);
        for (Toe toe : toes) {
            boolean thick = !joint.member(toe).thickness().isUnder(StaticTables.undercutThick(column));
            depths.put(toe, thick ? StaticTables.undercutThickDepth(column) : StaticTables.undercutThin(column));
        }
        return new Rule.Undercut(depths, StaticTables.undercutAccumulated(column), StaticTables.undercutWindow(column));
    }

    private static Rule offset(Joint joint, Unit column) {
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
    public Optional<Length> loosest(AddendumKind kind, Joint joint, Unit column) {
        return switch (kind) {
            case UNDERCUT_DEPTH ->
                Optional.of(StaticTables.undercutThickDepth(column).anyLength());
            case POROSITY_DIAMETER ->
                Optional.of(StaticTables.pores(column).sums().get(0).sum());
            case CONVEXITY_MAX -> Optional.of(loosestConvexity(joint, column));
            case SIZE_UNDERRUN -> Optional.of(loosestUnderrun(joint, column));
            default -> Optional.empty();
        };
    }

    private static Length loosestConvexity(Joint joint, Unit column) {
        Rule.ConvexityByWidth rule = (Rule.ConvexityByWidth) convexity(joint, column);
        Length widest = rule.steps().get(rule.steps().size() - 1).convexity();
        return rule.orElse().map(widest::max).orElse(widest);
    }

    /** A joint drawn by its throat is compared by its leg of equal throat, rounded to the nanometre. */
    private static Length loosestUnderrun(Joint joint, Unit column) {
        Length size = joint.size()
                .orElseGet(() -> joint.dihedral()
                        .legOf(
                                mensor.length.RealLength.of(joint.throat().orElseThrow()),
                                mensor.weld.LegMeaning.CONTACT)
                        .rounded());
        return StaticTables.filletSize(column).underruns().stream()
                .filter(u -> u.sizeUnder().map(size::isUnder).orElse(true))
                .findFirst()
                .orElseThrow()
                .underrun();
    }

    @Override
    public Optional<String> note(Joint joint) {
        if (joint.delayed().isPresent() || joint.grade().isEmpty()) {
            return Optional.empty();
        }
        String grade = joint.grade().get().toUpperCase(java.util.Locale.ROOT).replaceAll("[ -]", "");
        boolean named = grade.contains("A514") || grade.contains("A517") || grade.contains("HPS100W");
        return named
                ? Optional.of("The code looks at " + joint.grade().get()
                        + " no sooner than 48 h after welding; the joint does not say whether that applies (delayed).")
                : Optional.empty();
    }
}
