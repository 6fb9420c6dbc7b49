package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Measure;
import mensor.criteria.Rule;
import mensor.criteria.RuleWords;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Misalignment;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.weld.Connection;

/** Answers one criterion's rule for one inspection: a method per shape of rule. */
final class CriterionCheck implements Rule.Cases<Finding> {
    private final Inspection inspection;
    private final Criterion criterion;
    private final Finding.Builder finding;
    private final EntriesWithoutRule rest;
    private final boolean part;

    CriterionCheck(Inspection inspection, Criterion criterion, Finding.Builder finding, EntriesWithoutRule rest) {
        this(inspection, criterion, finding, rest, false);
    }

    /** @param part of a criterion: what it does not decide is left open */
    private CriterionCheck(
            Inspection inspection,
            Criterion criterion,
            Finding.Builder finding,
            EntriesWithoutRule rest,
            boolean part) {
        this.inspection = inspection;
        this.criterion = criterion;
        this.finding = finding;
        this.rest = rest;
        this.part = part;
    }

    private List<Occurrence<Indication>> ofCriterion() {
        return Occurrence.indications(inspection, Indication.class).stream()
                .filter(f -> f.what().criterion() == criterion)
                .toList();
    }

    private List<Occurrence<Indication>> ofKind(Rule.NoneAllowed rule) {
        return ofCriterion().stream()
                .filter(f -> rule.kind().map(k -> k == f.what().kind()).orElse(true))
                .toList();
    }

    @Override
    public Finding readiness(Rule.Readiness rule) {
        new ReadinessCheck(inspection, finding.allowed(limit(rule))).judge(rule);
        return finding.build();
    }

    @Override
    public Finding noneAllowed(Rule.NoneAllowed rule) {
        new NoneAllowedCheck(inspection, finding.allowed(limit(rule))).judge(rule, ofKind(rule));
        return orNothing(rule);
    }

    @Override
    public Finding craterFilled(Rule.CraterFilled rule) {
        new CraterCheck(inspection, finding.allowed(limit(rule))).judge();
        return orNothing(rule);
    }

    @Override
    public Finding arcStrikeDressed(Rule.ArcStrikeDressed rule) {
        new ArcStrikeCheck(inspection, finding.allowed(limit(rule))).judge(rule);
        return orNothing(rule);
    }

    @Override
    public Finding slag(Rule.SlagRemoved rule) {
        new CleaningCheck(inspection, finding.allowed(limit(rule))).slag(rule);
        return orNothing(rule);
    }

    @Override
    public Finding spatter(Rule.SpatterTight rule) {
        new CleaningCheck(inspection, finding.allowed(limit(rule))).spatter();
        return orNothing(rule);
    }

    @Override
    public Finding toeAngle(Rule.ToeAngle rule) {
        new ToeAngleCheck(inspection, finding).judge(rule);
        return orNothing(rule);
    }

    @Override
    public Finding concavityWithinCrown(Rule.ConcavityWithinCrown rule) {
        new CrownedRootCheck(inspection, finding).judge();
        return orNothing(rule);
    }

    @Override
    public Finding offset(Rule.Offset rule) {
        Connection c = inspection.joint().connection();
        List<Occurrence<Misalignment>> found = Occurrence.indications(inspection, Misalignment.class);
        List<Occurrence<Reading.Station>> read = Occurrence.readings(inspection, Reading.Station.class).stream()
                .filter(f -> f.what().offset().isPresent())
                .toList();
        boolean recorded = !found.isEmpty() || !read.isEmpty();
        if (c != Connection.BUTT && c != Connection.PIPE_BUTT && !recorded) {
            return finding.notApplicable(Why.ALIGNMENT_OF_BUTTS_ONLY.of()).build();
        }
        finding.allowed(limit(rule));
        if (recorded) {
            List<DepthCheck.Measured> measured = new ArrayList<>();
            found.forEach(f -> measured.add(DepthCheck.Measured.of(f)));
            read.forEach(f -> measured.add(
                    DepthCheck.Measured.ofReading(f, f.what().offset().orElseThrow())));
            finding.trace("allowed: " + rule.reckoned());
            DepthCheck.atMost(finding, measured, rule.most(), inspection.units(), "offset");
        }
        return orNothing(rule);
    }

    @Override
    public Finding convexityByWidth(Rule.ConvexityByWidth rule) {
        new ConvexityCheck(inspection, rule).judge(finding);
        return orNothing(rule);
    }

    @Override
    public Finding faceHeight(Rule.FaceHeight rule) {
        new GrooveFaceCheck(inspection).height(finding, rule);
        return orNothing(rule);
    }

    @Override
    public Finding grooveFace(Rule.GrooveFace rule) {
        new GrooveFaceCheck(inspection).convexity(finding, rule);
        return orNothing(rule);
    }

    @Override
    public Finding grooveSize(Rule.GrooveSize rule) {
        new GrooveFaceCheck(inspection).size(finding, rule);
        return finding.build();
    }

    @Override
    public Finding filletSize(Rule.FilletSize rule) {
        new FilletSizeCheck(inspection, rule).judge(finding);
        return finding.build();
    }

    @Override
    public Finding undercut(Rule.Undercut rule) {
        UndercutCheck check = new UndercutCheck(inspection, rule);
        if (check.hasAny()) {
            check.judge(finding);
        }
        return orNothing(rule);
    }

    private boolean hasPores() {
        return !Occurrence.indications(inspection, Porosity.class).isEmpty();
    }

    @Override
    public Finding poreSums(Rule.PoreSums rule) {
        if (hasPores()) {
            new PorosityCheck(inspection, rule).judge(finding);
        }
        return orNothing(rule);
    }

    @Override
    public Finding poreSpacing(Rule.PoreSpacing rule) {
        if (hasPores()) {
            new PoreSpacingCheck(inspection, rule).judge(finding);
        }
        return orNothing(rule);
    }

    @Override
    public Finding graded(Rule.Graded rule) {
        finding.confidence(rule.confidence());
        return rule.rule().answer(this);
    }

    @Override
    public Finding eitherWay(Rule.EitherWay rule) {
        Finding ifSo = rule.ifSo().answer(new CriterionCheck(inspection, criterion, finding.fresh(), rest, part));
        Finding otherwise =
                rule.otherwise().answer(new CriterionCheck(inspection, criterion, finding.fresh(), rest, part));
        if (ifSo.verdict() == otherwise.verdict()) {
            return ifSo;
        }
        finding.like(ifSo)
                .trace(said(ifSo) + " if " + rule.fact() + ": " + ifSo.reason().words())
                .trace(said(otherwise) + " otherwise: " + otherwise.reason().words())
                .incomplete(
                        Why.EITHER_WAY.of(said(ifSo), rule.fact(), said(otherwise)),
                        Ask.Kind.SETTLE_FACT.of(rule.ask()));
        return finding.build();
    }

    @Override
    public Finding noted(Rule.Noted rule) {
        finding.trace(rule.note());
        return rule.rule().answer(this);
    }

    @Override
    public Finding allOf(Rule.AllOf rule) {
        if (criterion == Criterion.ROOT && isRootOutOfReach()) {
            return notOneSided();
        }
        if (criterion == Criterion.SIZE && inspection.coveredBy(Criterion.SIZE).isPresent()) {
            finding.trace("the throat over the fit-up gap is demonstrated by "
                    + inspection.coveredBy(Criterion.SIZE).get());
        }
        WorstPart worst = new WorstPart(finding);
        for (Rule.Part p : rule.parts()) {
            worst.add(
                    p.clause(),
                    p.rule().answer(new CriterionCheck(inspection, criterion, finding.fresh(), rest, true)));
        }
        if (worst.isOpen()) {
            return orNothing(rule);
        }
        worst.settle();
        return finding.build();
    }

    @Override
    public Finding atMost(Rule.AtMost rule) {
        boolean demonstrated = rule.measure() == Measure.GAP
                && inspection.coveredBy(Criterion.SIZE).isPresent();
        if (!demonstrated) {
            new AtMostCheck(inspection, rule).judge(finding);
        }
        return orNothing(rule);
    }

    @Override
    public Finding throatSize(Rule.ThroatSize rule) {
        new ThroatSizeCheck(inspection, rule).judge(finding);
        return finding.build();
    }

    /** What was recorded of the criterion accepts; that somebody looked is wanted all the same. */
    @Override
    public Finding anySize(Rule.AnySize rule) {
        List<Occurrence<Indication>> found = ofCriterion();
        finding.allowed("no limit").confidence(rule.confidence());
        if (!found.isEmpty() || criterion.clearable()) {
            finding.trace(rule.why());
        }
        if (!found.isEmpty()) {
            finding.measured(found.size() + " recorded")
                    .indications(Occurrence.indices(found))
                    .accept(Why.RULE_SAYS.of(rule.why()));
        }
        return orNothing(rule);
    }

    @Override
    public Finding baseMetal(Rule.BaseMetal rule) {
        new BaseMetalCheck(inspection, finding.allowed(limit(rule))).judge(rule);
        return orNothing(rule);
    }

    @Override
    public Finding notJudged(Rule.NotJudged rule) {
        return finding.notApplicable(Why.RULE_SAYS.of(rule.why())).build();
    }

    private static String said(Finding f) {
        return switch (f.verdict()) {
            case ACCEPT -> "accepts";
            case REJECT -> "rejects";
            case INCOMPLETE -> "incomplete";
            case NOT_APPLICABLE -> "not asked";
        };
    }

    @Override
    public Finding root(Rule.Root rule) {
        if (isRootOutOfReach()) {
            return notOneSided();
        }
        new RootCheck(inspection, rule).judge(finding);
        return orNothing(rule);
    }

    private boolean isRootOutOfReach() {
        return !inspection.joint().oneSided() && !RootCheck.isRecorded(inspection);
    }

    private Finding notOneSided() {
        return finding.notApplicable(Why.ROOT_NOT_ONE_SIDED.of()).build();
    }

    /** What the rule allows, in the words of the code's page. */
    private String limit(Rule rule) {
        return RuleWords.limit(rule, inspection.units());
    }

    /** What was not decided by anything recorded: cleared, covered, or not inspected yet. */
    private Finding orNothing(Rule rule) {
        if (finding.isOpen() && !part) {
            Optional<String> free = rest.freeIndication(criterion);
            if (free.isPresent()) {
                return finding.measured("recorded")
                        .allowed("no limit")
                        .accept(Why.RULE_SAYS.of(free.get()))
                        .build();
            }
            NothingRecorded.answer(inspection, criterion, finding.allowed(limit(rule)));
        }
        return finding.build();
    }
}
