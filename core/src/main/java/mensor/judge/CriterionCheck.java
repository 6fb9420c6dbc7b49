package mensor.judge;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.criteria.Rule;
import mensor.criteria.RuleWords;
import mensor.length.Length;
import mensor.length.SpanSet;
import mensor.look.CheckMethod;
import mensor.look.Conditions;
import mensor.look.Criterion;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
import mensor.weld.Connection;
import mensor.weld.Joint;

/** Answers one criterion's rule for one inspection: a method per shape of rule. */
final class CriterionCheck implements Rule.Cases<Finding> {
    static final String NOT_LOOKED = "not looked at yet";

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

    @Override
    public Finding readiness(Rule.Readiness rule) {
        Conditions c = inspection.conditions();
        List<String> wanting = new ArrayList<>();
        want(
                wanting,
                c.cleaned(),
                "not cleaned",
                "clean the weld: slag and spatter off",
                "say whether the weld is cleaned");
        want(
                wanting,
                c.ambient(),
                "not at ambient temperature",
                "let the weld cool to ambient temperature",
                "say whether the weld is at ambient temperature");
        if (c.coated().orElse(false)) {
            wanting.add("coated");
            finding.ask("take the coating off before the look");
        }
        boolean covering = Found.indications(inspection, Indication.Slag.class).stream()
                .anyMatch(f -> !f.what().trapped());
        if (covering) {
            wanting.add("slag still covers the weld");
            finding.ask("clean the slag off first");
        }
        boolean loose = Found.indications(inspection, Indication.Spatter.class).stream()
                .anyMatch(f -> f.what().loose());
        if (loose) {
            wanting.add("loose spatter");
            finding.ask("clean the loose spatter off first");
        }
        if (inspection.joint().delayed().orElse(false)) {
            delayed(rule, wanting, c.hoursSinceWelding());
        }
        c.viewing().ifPresent(v -> {
            want(wanting, v.light(), "not light enough", "bring light to the weld", "say whether the light is enough");
            want(
                    wanting,
                    v.near(),
                    "eye not within 24 in, or below 30°",
                    "get the eye within 24 in and not below 30°",
                    "say whether the eye comes within 24 in, not below 30°");
            want(
                    wanting,
                    v.gauges(),
                    "a gauge out of calibration",
                    "change the gauge for one within its calibration",
                    "choose the day's gauges");
        });
        finding.allowed("cleaned, at ambient, not coated");
        if (wanting.isEmpty()) {
            finding.measured("ready").accept("cleaned, at ambient temperature, not coated");
        } else {
            String why = String.join(", ", wanting);
            finding.measured(why).incomplete("not ready to be judged: " + why);
        }
        return finding.build();
    }

    private void want(List<String> wanting, Optional<Boolean> answer, String no, String todo, String unanswered) {
        if (answer.isEmpty()) {
            wanting.add(unanswered);
            finding.ask(unanswered);
        } else if (!answer.get()) {
            wanting.add(no);
            finding.ask(todo);
        }
    }

    private void delayed(Rule.Readiness rule, List<String> wanting, Optional<BigDecimal> hours) {
        BigDecimal wait = BigDecimal.valueOf(rule.delayHours());
        finding.trace("this steel can crack late: looked at no sooner than " + wait + " h after the last welding");
        if (hours.isEmpty()) {
            wanting.add("hours since welding not recorded");
            finding.ask("record the hours since the last welding; " + wait + " are wanted");
        } else if (hours.get().compareTo(wait) < 0) {
            wanting.add(hours.get().toPlainString() + " h since welding");
            finding.ask("wait until " + wait + " h after the last welding");
        }
    }

    @Override
    public Finding noneAllowed(Rule.NoneAllowed rule) {
        finding.allowed("none");
        List<Found<Indication>> found = ofCriterion();
        List<Found<Indication>> real =
                found.stream().filter(f -> isSomething(f.what())).toList();
        if (!real.isEmpty()) {
            Indication first = real.get(0).what();
            if (first.isPlaced()) {
                finding.span(first.span());
            }
            finding.traceEach(real, f -> inWords(f.what()));
            finding.measured(real.size() == 1 ? inWords(first) : real.size() + " places")
                    .indications(Found.indices(real))
                    .reject(inWords(first) + (real.size() > 1 ? " and " + (real.size() - 1) + " more" : "") + "; no "
                            + rule.thing() + " is allowed");
        } else if (!found.isEmpty()) {
            finding.measured("0").indications(Found.indices(found)).accept("of depth 0: nothing there");
        }
        return orLooked();
    }

    /** A recorded depth of zero is nothing there; an absent one is. */
    private static boolean isSomething(Indication i) {
        if (i instanceof Indication.Overlap o) {
            return o.depth().map(Length::isPositive).orElse(true);
        }
        if (i instanceof Indication.Porosity p) {
            return p.diameter().isPositive();
        }
        return !(i instanceof Indication.ShortWeld s) || s.missing().isPositive();
    }

    private String inWords(Indication i) {
        if (i instanceof Indication.ShortWeld s) {
            return s.missing().in(inspection.units()).shownWithUnit() + " missing";
        }
        if (i instanceof Indication.NotAsDrawn n) {
            return n.what().id().replace('-', ' ')
                    + n.at().map(a -> " at " + a.shown()).orElse("");
        }
        String toe = i instanceof Indication.Overlap o
                ? " on the " + inspection.joint().toeName(o.toe())
                : "";
        return i.kind().words() + toe + " at " + i.span().shown();
    }

    private List<Found<Indication>> ofCriterion() {
        return Found.indications(inspection, Indication.class).stream()
                .filter(f -> f.what().criterion() == criterion)
                .toList();
    }

    @Override
    public Finding craterFilled(Rule.CraterFilled rule) {
        finding.allowed("filled");
        List<Found<Indication.Crater>> found = Found.indications(inspection, Indication.Crater.class);
        Joint joint = inspection.joint();
        SpanSet segments = joint.ruler().straight(joint.segments());
        boolean everyCrater = segments.isEmpty() || !joint.isFillet();
        List<Found<Indication.Crater>> counting = found.stream()
                .filter(f ->
                        everyCrater || joint.ruler().isOn(segments, f.what().at()))
                .toList();
        List<Found<Indication.Crater>> open = counting.stream()
                .filter(f -> f.what().depth().map(Length::isPositive).orElse(true))
                .toList();
        if (counting.size() < found.size()) {
            finding.trace((found.size() - counting.size())
                    + " crater(s) at ends of the intermittent fillet, outside its segments: not judged");
        }
        if (!open.isEmpty()) {
            Indication.Crater first = open.get(0).what();
            String how = first.depth()
                    .map(d -> d.in(inspection.units()).shownWithUnit() + " below the section")
                    .orElse("not filled");
            finding.measured(how)
                    .span(first.span())
                    .indications(Found.indices(open))
                    .reject("crater at " + first.at().shown() + " " + how
                            + (open.size() > 1 ? " and " + (open.size() - 1) + " more" : ""));
        } else if (!found.isEmpty()) {
            finding.measured(counting.isEmpty() ? "outside the segments" : "filled")
                    .indications(Found.indices(found))
                    .accept(counting.isEmpty() ? "only ends outside the segments" : "every crater is filled");
        }
        return orLooked();
    }

    @Override
    public Finding convexityByWidth(Rule.ConvexityByWidth rule) {
        new ConvexityCheck(inspection, rule).judge(finding);
        if (finding.isOpen()) {
            finding.allowed("convexity " + rule.steps().get(0).convexity().shown() + " to "
                    + rule.steps().get(rule.steps().size() - 1).convexity().shownWithUnit() + " by width");
        }
        return orLooked();
    }

    @Override
    public Finding faceHeight(Rule.FaceHeight rule) {
        new GrooveFaceCheck(inspection).height(finding, rule);
        if (finding.isOpen()) {
            finding.allowed(rule.reckoned());
        }
        return orLooked();
    }

    @Override
    public Finding grooveFace(Rule.GrooveFace rule) {
        new GrooveFaceCheck(inspection).convexity(finding, rule);
        if (finding.isOpen()) {
            finding.allowed(rule.convexity()
                    .map(c -> "convexity up to " + c.shownWithUnit())
                    .orElse("no underfill"));
        }
        return orLooked();
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
        } else {
            finding.allowed(rule.depths().values().iterator().next().anyLength().shownWithUnit() + " deep");
        }
        return orLooked();
    }

    @Override
    public Finding poreSums(Rule.PoreSums rule) {
        if (Found.indications(inspection, Indication.Porosity.class).isEmpty()) {
            Rule.WindowSum first = rule.sums().get(0);
            finding.allowed(
                    first.sum().shownWithUnit() + " in any " + first.window().shown());
        } else {
            new PorosityCheck(inspection, rule).judge(finding);
        }
        return orLooked();
    }

    @Override
    public Finding poreSpacing(Rule.PoreSpacing rule) {
        if (Found.indications(inspection, Indication.Porosity.class).isEmpty()) {
            finding.allowed("one in any " + rule.window().shownWithUnit() + ", none over "
                    + rule.most().shownWithUnit());
        } else {
            new PoreSpacingCheck(inspection, rule).judge(finding);
        }
        return orLooked();
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
                .trace(said(ifSo) + " if " + rule.fact() + ": " + ifSo.reason())
                .trace(said(otherwise) + " otherwise: " + otherwise.reason())
                .incomplete(said(ifSo) + " if " + rule.fact() + ", else " + said(otherwise), rule.ask());
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
        if (criterion == Criterion.SIZE && inspection.cover(Criterion.SIZE).isPresent()) {
            finding.trace("the throat over the fit-up gap is demonstrated by "
                    + inspection.cover(Criterion.SIZE).get().by());
        }
        WorstPart worst = new WorstPart(finding);
        for (Rule.Part p : rule.parts()) {
            worst.add(
                    p.clause(),
                    p.rule().answer(new CriterionCheck(inspection, criterion, finding.fresh(), rest, true)));
        }
        if (worst.isOpen()) {
            finding.allowed(RuleWords.allowed(rule, inspection.units()));
            return orLooked();
        }
        worst.settle();
        return finding.build();
    }

    @Override
    public Finding atMost(Rule.AtMost rule) {
        boolean demonstrated = rule.measure() == Rule.Measure.GAP
                && inspection.cover(Criterion.SIZE).isPresent();
        if (!demonstrated) {
            new AtMostCheck(inspection, rule).judge(finding);
        }
        if (finding.isOpen()) {
            finding.allowed(RuleWords.allowed(rule, inspection.units()));
        }
        return orLooked();
    }

    @Override
    public Finding toeAngle(Rule.ToeAngle rule) {
        for (Found<Reading.Station> f : Found.readings(inspection, Reading.Station.class)) {
            java.util.stream.DoubleStream.concat(f.what().toeAngleA().stream(), f.what().toeAngleB().stream())
                    .filter(degrees -> degrees < rule.degrees())
                    .min()
                    .ifPresent(degrees -> lowAngle(rule, f, degrees));
        }
        return orLooked();
    }

    private void lowAngle(Rule.ToeAngle rule, Found<Reading.Station> f, double degrees) {
        String read = BigDecimal.valueOf(degrees).stripTrailingZeros().toPlainString();
        finding.trace("toe angle " + read + "° at " + f.what().at().shown());
        if (finding.isOpen()) {
            finding.confidence(rule.confidence())
                    .measured(read + "°")
                    .allowed("at least " + rule.degrees() + "°")
                    .span(f.what().span())
                    .readings(List.of(f.index()))
                    .reject("toe angle " + read + "° at " + f.what().at().shown() + "; at least " + rule.degrees()
                            + "° wanted");
        }
    }

    @Override
    public Finding throatSize(Rule.ThroatSize rule) {
        new ThroatSizeCheck(inspection, rule).judge(finding);
        return finding.build();
    }

    @Override
    public Finding concavityWithinCrown(Rule.ConcavityWithinCrown rule) {
        List<DepthCheck.Measured> concave = RootCheck.concavity(inspection);
        List<DepthCheck.Measured> real =
                concave.stream().filter(m -> m.depth().isPositive()).toList();
        Optional<Length> crown = Found.readings(inspection, Reading.Station.class).stream()
                .flatMap(f -> f.what().reinforcement().stream())
                .min(Length::compareTo);
        if (real.isEmpty()) {
            if (!concave.isEmpty()) {
                finding.measured("0").accept("root concavity of depth 0: nothing there");
            }
        } else if (crown.isEmpty()) {
            finding.measured(real.get(0).depth().in(inspection.units()).shownWithUnit())
                    .span(real.get(0).span())
                    .indications(real.stream()
                            .filter(m -> !m.reading())
                            .map(DepthCheck.Measured::index)
                            .toList())
                    .incomplete(
                            "how deep the root may lie depends on the reinforcement, which was not read",
                            "read the reinforcement: the joint with its crown is not thinner than the wall");
        } else {
            DepthCheck.atMost(
                    finding,
                    real,
                    crown.get().max(Length.zero(inspection.units())),
                    inspection.units(),
                    "root concavity");
        }
        return orLooked();
    }

    /** What was recorded of the criterion accepts; that somebody looked is wanted all the same. */
    @Override
    public Finding anySize(Rule.AnySize rule) {
        List<Found<Indication>> found = ofCriterion();
        finding.allowed("no limit").confidence(rule.confidence()).trace(rule.why());
        if (!found.isEmpty()) {
            finding.measured(found.size() + " recorded")
                    .indications(Found.indices(found))
                    .accept(rule.why());
        }
        return orLooked();
    }

    @Override
    public Finding notJudged(Rule.NotJudged rule) {
        return finding.notApplicable(rule.why()).build();
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
    public Finding arcStrikeDressed(Rule.ArcStrikeDressed rule) {
        boolean anyCheck = rule.checkedBy().size() == CheckMethod.values().length;
        String methods = String.join(
                " or ", rule.checkedBy().stream().map(CheckMethod::id).sorted().toList());
        finding.allowed(
                rule.checkedBy().isEmpty()
                        ? "ground smooth"
                        : "ground smooth and checked" + (anyCheck ? "" : " by " + methods));
        List<Found<Indication.ArcStrike>> found = Found.indications(inspection, Indication.ArcStrike.class);
        List<Found<Indication.ArcStrike>> left =
                found.stream().filter(f -> !isDressed(f.what(), rule)).toList();
        if (!left.isEmpty()) {
            Indication.ArcStrike first = left.get(0).what();
            String lacks = first.ground().orElse(false)
                    ? "ground, not checked" + (anyCheck ? "" : " by " + methods)
                    : "not ground";
            finding.measured(lacks)
                    .span(first.span())
                    .indications(Found.indices(left))
                    .reject("arc strike at " + first.at().shown() + " " + lacks + "; correct before acceptance");
        } else if (!found.isEmpty()) {
            String by = found.stream()
                    .flatMap(f -> f.what().checked().stream())
                    .map(CheckMethod::id)
                    .distinct()
                    .reduce((a, b) -> a + ", " + b)
                    .orElse("");
            finding.measured(by.isEmpty() ? "ground" : "ground, checked by " + by)
                    .indications(Found.indices(found))
                    .accept("every arc strike is ground" + (rule.checkedBy().isEmpty() ? "" : " and checked"));
        }
        return orLooked();
    }

    private static boolean isDressed(Indication.ArcStrike a, Rule.ArcStrikeDressed rule) {
        boolean checked = rule.checkedBy().isEmpty()
                || a.checked().filter(rule.checkedBy()::contains).isPresent();
        return a.ground().orElse(false) && checked;
    }

    @Override
    public Finding slag(Rule.SlagRemoved rule) {
        finding.allowed("none trapped");
        List<Found<Indication.Slag>> found = Found.indications(inspection, Indication.Slag.class);
        List<Found<Indication.Slag>> trapped =
                found.stream().filter(f -> f.what().trapped()).toList();
        if (!trapped.isEmpty()) {
            finding.measured("trapped")
                    .span(trapped.get(0).what().span())
                    .indications(Found.indices(trapped))
                    .reject("slag trapped or open to the surface at "
                            + trapped.get(0).what().span().shown());
        } else if (!found.isEmpty()) {
            String at = found.get(0).what().span().shown();
            finding.measured("covers the weld")
                    .span(found.get(0).what().span())
                    .indications(Found.indices(found))
                    .incomplete(
                            "slag still covers the weld at " + at + ": clean first",
                            "clean the slag off at " + at + ", then look");
        }
        return orLooked();
    }

    @Override
    public Finding spatter(Rule.SpatterTight rule) {
        finding.allowed("none loose");
        List<Found<Indication.Spatter>> found = Found.indications(inspection, Indication.Spatter.class);
        List<Found<Indication.Spatter>> loose =
                found.stream().filter(f -> f.what().loose()).toList();
        if (!loose.isEmpty()) {
            String at = loose.get(0).what().span().shown();
            finding.measured("loose")
                    .span(loose.get(0).what().span())
                    .indications(Found.indices(loose))
                    .incomplete(
                            "loose spatter at " + at + ": clean first",
                            "clean the loose spatter off at " + at + ", then look");
        } else if (!found.isEmpty()) {
            finding.measured("adherent")
                    .span(found.get(0).what().span())
                    .indications(Found.indices(found))
                    .trace("tight spatter may stay unless further testing or the contract wants it off")
                    .accept("tight spatter only");
        }
        return orLooked();
    }

    @Override
    public Finding root(Rule.Root rule) {
        if (isRootOutOfReach()) {
            return notOneSided();
        }
        new RootCheck(inspection, rule).judge(finding);
        return orLooked();
    }

    private boolean isRootOutOfReach() {
        return !inspection.joint().oneSided() && !RootCheck.isRecorded(inspection);
    }

    private Finding notOneSided() {
        return finding.notApplicable("not welded from one side, and nothing of the root is recorded")
                .build();
    }

    @Override
    public Finding offset(Rule.Offset rule) {
        Connection c = inspection.joint().connection();
        List<Found<Indication.Misalignment>> found = Found.indications(inspection, Indication.Misalignment.class);
        List<Found<Reading.Station>> read = Found.readings(inspection, Reading.Station.class).stream()
                .filter(f -> f.what().offset().isPresent())
                .toList();
        boolean recorded = !found.isEmpty() || !read.isEmpty();
        if (c != Connection.BUTT && c != Connection.PIPE_BUTT && !recorded) {
            return finding.notApplicable("alignment is judged on butts").build();
        }
        finding.allowed(rule.most().shownWithUnit());
        if (recorded) {
            List<DepthCheck.Measured> measured = new ArrayList<>();
            found.forEach(f -> measured.add(DepthCheck.Measured.of(f)));
            read.forEach(f -> measured.add(
                    DepthCheck.Measured.ofReading(f, f.what().offset().orElseThrow())));
            finding.trace("allowed: " + rule.reckoned());
            DepthCheck.atMost(finding, measured, rule.most(), inspection.units(), "offset");
        }
        return orLooked();
    }

    /** What was not decided by anything recorded: cleared, covered, or not looked at yet. */
    private Finding orLooked() {
        if (finding.isOpen() && !part) {
            Optional<String> free = rest.freeIndication(criterion);
            if (free.isPresent()) {
                return finding.measured("recorded")
                        .allowed("no limit")
                        .accept(free.get())
                        .build();
            }
            looked(inspection, criterion, finding);
        }
        return finding.build();
    }

    static void looked(Inspection inspection, Criterion criterion, Finding.Builder finding) {
        Optional<mensor.look.Cover> cover = inspection.cover(criterion);
        if (inspection.isClear(criterion)) {
            String said = clearedWords(criterion);
            finding.measured(said).accept("looked at along the whole weld: " + said);
        } else if (cover.isPresent()) {
            finding.measured("covered")
                    .trace("cannot be seen; covered by " + cover.get().by())
                    .accept("cannot be seen; covered by " + cover.get().by());
        } else {
            finding.incomplete(NOT_LOOKED, question(criterion));
        }
    }

    private static String clearedWords(Criterion criterion) {
        return switch (criterion) {
            case PROFILE -> "flat to slightly convex, no underfill";
            case LENGTH -> "as specified";
            case AS_DRAWN -> "as drawn";
            case MISALIGNMENT -> "aligned";
            default -> "none seen";
        };
    }

    private static String question(Criterion criterion) {
        return switch (criterion) {
            case READINESS -> "answer whether the weld is ready to be looked at";
            case CRACK -> "look for cracks along the weld, its craters and both toes";
            case FUSION -> "look for incomplete fusion along both toes";
            case CRATER -> "look at the craters: each filled to the size";
            case OVERLAP -> "look for overlap along both toes";
            case PROFILE -> "look along the face: flat to slightly convex, no underfill; or read the convexity";
            case SIZE -> "read the legs, or try the blade, along the weld";
            case LENGTH -> "measure the weld's length";
            case AS_DRAWN -> "compare the weld with the drawing: place, returns, tabs, backing";
            case UNDERCUT -> "look for undercut along both toes";
            case POROSITY -> "look for pores along the face";
            case ARC_STRIKE -> "look for arc strikes beside the weld";
            case SLAG -> "look for slag at the toes and open on the face";
            case SPATTER -> "look for loose spatter";
            case ROOT -> "look at the root side";
            case MISALIGNMENT -> "measure the alignment across the joint";
        };
    }
}
