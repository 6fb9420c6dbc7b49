package mensor.criteria;

import java.util.Optional;
import java.util.stream.Stream;
import mensor.inspection.AddendumKind;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.weld.Joint;

/** The greatest value that a rule could accept for what an addendum limits: a contract can only tighten it. */
final class Loosest implements Rule.Cases<Optional<Length>> {
    private final AddendumKind kind;
    private final Joint joint;

    Loosest(AddendumKind kind, Joint joint) {
        this.kind = kind;
        this.joint = joint;
    }

    private Optional<Length> only(AddendumKind asked, Optional<Length> limit) {
        return kind == asked ? limit : Optional.empty();
    }

    @Override
    public Optional<Length> readiness(Rule.Readiness rule) {
        return Optional.empty();
    }

    /** Where nothing is allowed, nothing over zero is. */
    @Override
    public Optional<Length> noneAllowed(Rule.NoneAllowed rule) {
        return only(
                AddendumKind.POROSITY_DIAMETER,
                Optional.of(Length.zero(joint.length().unit())));
    }

    @Override
    public Optional<Length> craterFilled(Rule.CraterFilled rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> convexityByWidth(Rule.ConvexityByWidth rule) {
        Length widest = rule.steps().get(rule.steps().size() - 1).convexity();
        return only(
                AddendumKind.CONVEXITY_MAX,
                Optional.of(rule.orElse().map(widest::max).orElse(widest)));
    }

    @Override
    public Optional<Length> faceHeight(Rule.FaceHeight rule) {
        return only(AddendumKind.REINFORCEMENT_MAX, Optional.of(rule.most()));
    }

    @Override
    public Optional<Length> grooveFace(Rule.GrooveFace rule) {
        return only(AddendumKind.CONVEXITY_MAX, rule.convexity());
    }

    /** A joint drawn by its throat is compared by its leg of equal throat. */
    @Override
    public Optional<Length> filletSize(Rule.FilletSize rule) {
        RealLength size = joint.size()
                .map(RealLength::of)
                .orElseGet(() ->
                        joint.dihedral().legOf(RealLength.of(joint.throat().orElseThrow()), joint.sizeMeans()));
        return only(AddendumKind.SIZE_UNDERRUN, Optional.of(rule.underrunOf(size)));
    }

    @Override
    public Optional<Length> grooveSize(Rule.GrooveSize rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> undercut(Rule.Undercut rule) {
        return only(
                AddendumKind.UNDERCUT_DEPTH,
                rule.depths().values().stream()
                        .map(d -> d.exception().orElse(d.anyLength()))
                        .max(Length::compareTo));
    }

    @Override
    public Optional<Length> poreSums(Rule.PoreSums rule) {
        return only(
                AddendumKind.POROSITY_DIAMETER,
                rule.sums().stream().map(WindowSum::sum).min(Length::compareTo));
    }

    @Override
    public Optional<Length> poreSpacing(Rule.PoreSpacing rule) {
        return only(AddendumKind.POROSITY_DIAMETER, Optional.of(rule.most()));
    }

    /** The looser of the two; where one of them has no limit, none. */
    @Override
    public Optional<Length> eitherWay(Rule.EitherWay rule) {
        Optional<Length> a = rule.ifSo().answer(this);
        Optional<Length> b = rule.otherwise().answer(this);
        return a.isEmpty() || b.isEmpty()
                ? Optional.empty()
                : Optional.of(a.get().max(b.get()));
    }

    @Override
    public Optional<Length> graded(Rule.Graded rule) {
        return rule.rule().answer(this);
    }

    @Override
    public Optional<Length> noted(Rule.Noted rule) {
        return rule.rule().answer(this);
    }

    /** The tightest part that limits it. */
    @Override
    public Optional<Length> allOf(Rule.AllOf rule) {
        return rule.parts().stream()
                .map(p -> p.rule().answer(this))
                .flatMap(Optional::stream)
                .min(Length::compareTo);
    }

    @Override
    public Optional<Length> atMost(Rule.AtMost rule) {
        boolean asked = switch (rule.measure()) {
            case PORE -> kind == AddendumKind.POROSITY_DIAMETER;
            case UNDERCUT -> kind == AddendumKind.UNDERCUT_DEPTH;
            case REINFORCEMENT -> kind == AddendumKind.REINFORCEMENT_MAX;
            case CONVEXITY -> kind == AddendumKind.CONVEXITY_MAX;
            case EXCESS_PENETRATION -> kind == AddendumKind.MELT_THROUGH_MAX;
            case ROOT_CONCAVITY -> kind == AddendumKind.ROOT_CONCAVITY_MAX;
            default -> false;
        };
        Stream<Optional<RealLength>> greatest = rule.bounds().values().stream().map(Bound::greatest);
        return asked ? greatest.reduce(Loosest::greater).flatMap(g -> g.map(RealLength::rounded)) : Optional.empty();
    }

    private static Optional<RealLength> greater(Optional<RealLength> a, Optional<RealLength> b) {
        return a.flatMap(x -> b.map(y -> x.isOver(y) ? x : y));
    }

    @Override
    public Optional<Length> toeAngle(Rule.ToeAngle rule) {
        return Optional.empty();
    }

    /** How far the least throat lies under the drawing's; as legs where the drawing gives the leg. */
    @Override
    public Optional<Length> throatSize(Rule.ThroatSize rule) {
        RealLength under = joint.throat().isPresent()
                ? rule.under().base()
                : joint.dihedral().legOf(rule.under().base(), joint.sizeMeans());
        return only(AddendumKind.SIZE_UNDERRUN, Optional.of(under.rounded()));
    }

    @Override
    public Optional<Length> concavityWithinCrown(Rule.ConcavityWithinCrown rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> anySize(Rule.AnySize rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> notJudged(Rule.NotJudged rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> arcStrikeDressed(Rule.ArcStrikeDressed rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> slag(Rule.SlagRemoved rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> spatter(Rule.SpatterTight rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> root(Rule.Root rule) {
        return only(AddendumKind.MELT_THROUGH_MAX, rule.meltThroughMost())
                .or(() -> only(AddendumKind.ROOT_CONCAVITY_MAX, rule.concavityMost()));
    }

    @Override
    public Optional<Length> offset(Rule.Offset rule) {
        return Optional.empty();
    }

    @Override
    public Optional<Length> baseMetal(Rule.BaseMetal rule) {
        return Optional.empty();
    }
}
