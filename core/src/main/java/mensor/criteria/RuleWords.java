package mensor.criteria;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import mensor.inspection.CheckMethod;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Toe;

/**
 * A rule in words, limit by limit: what the criteria book's page shows, and what an unread criterion says is allowed. It reads
 * the same data that the judge answers, so that the two cannot differ.
 */
public final class RuleWords implements Rule.Cases<List<RuleWords.Limit>> {
    private final Unit unit;

    private RuleWords(Unit unit) {
        this.unit = unit;
    }

    /**
     * One limit.
     *
     * @param clause where it stands, if it has a clause of its own; else empty
     * @param of what it limits
     * @param allowed how much
     * @param by how it was reckoned, or on what it depends; may be empty
     */
    public record Limit(String clause, String of, String allowed, String by, Confidence confidence) {}

    public static List<Limit> of(Rule rule, Unit unit) {
        return rule.answer(new RuleWords(unit));
    }

    /** All that it allows, in one line; where a limit goes by a width or another measure, from its first value to its last. */
    public static String allowed(Rule rule, Unit unit) {
        Map<String, List<String>> values = of(rule, unit).stream()
                .collect(Collectors.groupingBy(
                        Limit::of, LinkedHashMap::new, Collectors.mapping(Limit::allowed, Collectors.toList())));
        return values.entrySet().stream()
                .map(e -> (e.getKey().isEmpty() ? "" : e.getKey() + ": ") + range(e.getValue()))
                .collect(Collectors.joining("; "));
    }

    private static String range(List<String> values) {
        List<String> distinct = values.stream().distinct().toList();
        return distinct.size() == 1 ? distinct.get(0) : distinct.get(0) + " to " + distinct.get(distinct.size() - 1);
    }

    /** What the rule allows where it has one limit, without the name of what it limits. */
    public static String limit(Rule rule, Unit unit) {
        List<Limit> limits = of(rule, unit);
        return limits.size() == 1 ? limits.get(0).allowed() : allowed(rule, unit);
    }

    private static List<Limit> one(String of, String allowed, String by) {
        return List.of(new Limit("", of, allowed, by, Confidence.HIGH));
    }

    @Override
    public List<Limit> readiness(Rule.Readiness rule) {
        return one(
                "",
                "cleaned, at ambient, not coated",
                "a steel that can crack late: no sooner than " + rule.delayHours() + " h after the last welding");
    }

    @Override
    public List<Limit> noneAllowed(Rule.NoneAllowed rule) {
        return one(rule.thing(), "none", "");
    }

    @Override
    public List<Limit> craterFilled(Rule.CraterFilled rule) {
        return one("crater", "filled to the size", "not the ends of intermittent fillets outside their segments");
    }

    @Override
    public List<Limit> convexityByWidth(Rule.ConvexityByWidth rule) {
        List<Limit> lines = new ArrayList<>();
        Optional<Length> from = Optional.empty();
        for (WidthStep s : rule.steps()) {
            String width = s.width()
                    .map(w -> "face up to " + (s.widthIncluded() ? "" : "just under ") + w.shownWithUnit() + " wide")
                    .orElse(from.map(f -> "wider").orElse("any width"));
            String orElse = rule.orElse()
                    .filter(o -> o.isOver(s.convexity()))
                    .map(o -> " (here " + o.in(unit).shownWithUnit() + ": half the thickness is greater)")
                    .orElse("");
            lines.add(new Limit("", "convexity", s.convexity().shownWithUnit() + orElse, width, s.confidence()));
            from = s.width();
        }
        lines.add(new Limit("", "underfill", "none", "", Confidence.HIGH));
        return lines;
    }

    @Override
    public List<Limit> faceHeight(Rule.FaceHeight rule) {
        String below = rule.below().isPositive()
                ? "at most " + rule.below().shownWithUnit() + " below the surface"
                : "not below the surface";
        return List.of(
                new Limit(
                        "", "reinforcement", "0 to " + rule.most().shownWithUnit(), rule.reckoned(), rule.confidence()),
                new Limit("", "face", below, "", rule.confidence()));
    }

    @Override
    public List<Limit> grooveFace(Rule.GrooveFace rule) {
        return List.of(
                new Limit(
                        "",
                        "convexity",
                        rule.convexity().map(Length::shownWithUnit).orElse("no limit"),
                        "",
                        rule.confidence()),
                new Limit("", "underfill", "none", "", Confidence.HIGH));
    }

    @Override
    public List<Limit> filletSize(Rule.FilletSize rule) {
        List<Limit> lines = new ArrayList<>();
        boolean noUnderrun =
                rule.underruns().stream().allMatch(u -> u.underrun().isZero());
        for (Underrun u : rule.underruns()) {
            lines.addAll(one(
                    "under the drawn size",
                    noUnderrun ? "none" : u.underrun().shownWithUnit(),
                    u.sizeUnder()
                            .map(s -> "size under " + s.shownWithUnit())
                            .orElse(noUnderrun ? "" : "any greater size")));
        }
        if (!noUnderrun) {
            lines.addAll(one(
                    "length that is under size",
                    100 / rule.portionDivisor() + "%",
                    "none on web-to-flange welds within " + rule.noUnderrunFlanges()
                            + " flange widths of a girder's end"));
        }
        rule.openings()
                .ifPresent(o -> lines.addAll(one(
                        "fit-up opening",
                        o.most().shownWithUnit(),
                        "over " + o.free().shownWithUnit() + " the size grows by the whole opening; parts of "
                                + o.thickParts().shownWithUnit() + " and over: "
                                + o.thick().shownWithUnit() + " by referral")));
        return lines;
    }

    @Override
    public List<Limit> grooveSize(Rule.GrooveSize rule) {
        return one("throat of a partial penetration", "not under the drawing's", "judged where it was read");
    }

    @Override
    public List<Limit> undercut(Rule.Undercut rule) {
        List<Limit> lines = new ArrayList<>();
        boolean alike = rule.depths().values().stream().distinct().count() == 1;
        for (Toe toe : rule.depths().keySet()) {
            ToeDepth d = rule.depths().get(toe);
            String by = d.exception()
                    .map(e -> "up to " + e.shownWithUnit() + " for "
                            + rule.accumulated().shownWithUnit() + " in any "
                            + rule.window().shownWithUnit())
                    .orElse("at any length");
            String name = toe == Toe.ROOT ? "root undercut" : alike ? "undercut" : "undercut, toe " + toe.id();
            lines.addAll(one(name, d.anyLength().shownWithUnit(), by));
            if (alike) {
                break;
            }
        }
        return lines;
    }

    @Override
    public List<Limit> poreSums(Rule.PoreSums rule) {
        return rule.sums().stream()
                .flatMap(s -> one(
                        "sum of pore diameters",
                        s.sum().shownWithUnit() + " in any " + s.window().shownWithUnit(),
                        "pores of " + rule.countedFrom().shownWithUnit() + " and over")
                        .stream())
                .toList();
    }

    @Override
    public List<Limit> poreSpacing(Rule.PoreSpacing rule) {
        return one(
                "pores",
                "one in any " + rule.window().shownWithUnit() + ", none over "
                        + rule.most().shownWithUnit(),
                "every visible pore counts");
    }

    @Override
    public List<Limit> eitherWay(Rule.EitherWay rule) {
        List<Limit> lines = new ArrayList<>();
        rule.ifSo().answer(this).forEach(l -> lines.add(when(l, "if " + rule.fact())));
        rule.otherwise().answer(this).forEach(l -> lines.add(when(l, "otherwise")));
        return lines;
    }

    private static Limit when(Limit l, String condition) {
        return new Limit(
                l.clause(), l.of(), l.allowed(), condition + (l.by().isEmpty() ? "" : "; " + l.by()), l.confidence());
    }

    @Override
    public List<Limit> graded(Rule.Graded rule) {
        return rule.rule().answer(this).stream()
                .map(l -> new Limit(
                        l.clause(), l.of(), l.allowed(), l.by(), l.confidence().lower(rule.confidence())))
                .toList();
    }

    @Override
    public List<Limit> noted(Rule.Noted rule) {
        return rule.rule().answer(this);
    }

    @Override
    public List<Limit> allOf(Rule.AllOf rule) {
        return rule.parts().stream()
                .flatMap(p -> p.rule().answer(this).stream()
                        .map(l -> new Limit(p.clause(), l.of(), l.allowed(), l.by(), l.confidence())))
                .toList();
    }

    @Override
    public List<Limit> atMost(Rule.AtMost rule) {
        List<Limit> lines = new ArrayList<>();
        boolean alike = rule.bounds().values().stream()
                        .map(b -> b.base().rounded())
                        .distinct()
                        .count()
                == 1;
        for (Toe toe : Toe.values()) {
            Bound b = rule.bounds().get(toe);
            if (b != null && (lines.isEmpty() || !alike)) {
                String name = rule.measure().title() + (alike || toe == Toe.ROOT ? "" : ", toe " + toe.id());
                lines.add(new Limit("", name, bound(b), by(b, rule.shortRun()), rule.confidence()));
            }
        }
        return lines;
    }

    private String bound(Bound b) {
        if (b.isNone()) {
            return "none";
        }
        String base = b.base().shownWithUnit(unit);
        return b.ofWidth().signum() == 0 ? base : b.reckoned();
    }

    private static String by(Bound b, Optional<ShortRun> run) {
        String how = b.ofWidth().signum() == 0 && !b.isNone() ? b.reckoned() : "";
        String shortOnly = b.onlyShort() ? run.map(RuleWords::run).orElse("") : "";
        return how + (how.isEmpty() || shortOnly.isEmpty() ? "" : "; ") + shortOnly;
    }

    private static String run(ShortRun r) {
        return "along at most " + r.total().shownWithUnit() + " in any "
                + r.window().shownWithUnit()
                + (r.shorterDivisor() > 0 ? " (a shorter weld: 1/" + r.shorterDivisor() + " of its length)" : "");
    }

    @Override
    public List<Limit> toeAngle(Rule.ToeAngle rule) {
        return List.of(new Limit("", "toe angle", "at least " + rule.degrees() + "°", "", rule.confidence()));
    }

    @Override
    public List<Limit> throatSize(Rule.ThroatSize rule) {
        return one(
                "throat under the nominal " + rule.nominal().shownWithUnit(unit),
                bound(rule.under()),
                by(rule.under(), Optional.of(rule.shortRun())));
    }

    @Override
    public List<Limit> concavityWithinCrown(Rule.ConcavityWithinCrown rule) {
        return one(
                "root concavity", "the smallest reinforcement read", "the joint with its crown is not under the wall");
    }

    @Override
    public List<Limit> anySize(Rule.AnySize rule) {
        return List.of(new Limit("", "", "no limit", rule.why(), rule.confidence()));
    }

    @Override
    public List<Limit> notJudged(Rule.NotJudged rule) {
        return one("", "not judged", rule.why());
    }

    @Override
    public List<Limit> arcStrikeDressed(Rule.ArcStrikeDressed rule) {
        String methods = rule.checkedBy().stream().map(CheckMethod::id).sorted().collect(Collectors.joining(" or "));
        String checked = methods.isEmpty() ? "" : rule.eitherSuffices() ? " or checked" : " and checked";
        return one("arc strike", "ground smooth" + checked, methods);
    }

    @Override
    public List<Limit> slag(Rule.SlagRemoved rule) {
        return one(
                "slag",
                rule.trappedFree().isPresent() ? "no limit for what is trapped" : "none trapped or open",
                rule.trappedFree().map(w -> w + "; ").orElse("") + "what only covers is cleaned first");
    }

    @Override
    public List<Limit> spatter(Rule.SpatterTight rule) {
        return one("spatter", "tight may stay", "what is loose is cleaned first");
    }

    @Override
    public List<Limit> root(Rule.Root rule) {
        List<Limit> lines = new ArrayList<>(one("incomplete penetration, burn-through", "none", ""));
        lines.addAll(rule.undercut().answer(this));
        lines.add(rootLimit("melt-through", rule.meltThroughMost(), rule.meltThroughAdvice(), rule));
        lines.add(rootLimit("root concavity", rule.concavityMost(), rule.concavityAdvice(), rule));
        if (rule.underCrown()) {
            lines.addAll(one("root concavity", "the reinforcement over it at most", "not thinner than the base metal"));
        }
        return lines;
    }

    private static Limit rootLimit(String of, Optional<Length> most, Length advice, Rule.Root rule) {
        return new Limit(
                "",
                of,
                most.map(Length::shownWithUnit).orElse("the Engineer sets it"),
                most.isPresent() ? "" : "a test piece may have " + advice.shownWithUnit(),
                rule.adviceConfidence());
    }

    @Override
    public List<Limit> offset(Rule.Offset rule) {
        return one("departure from the drawn alignment", rule.most().shownWithUnit(), rule.reckoned());
    }

    @Override
    public List<Limit> baseMetal(Rule.BaseMetal rule) {
        return List.of(new Limit(
                "",
                "damage beside the weld",
                "dressed smooth, at most " + rule.most().shownWithUnit() + " gone",
                "and at most " + 100 / rule.thicknessDivisor() + "% of the thickness; beyond that the Engineer decides",
                rule.confidence()));
    }
}
