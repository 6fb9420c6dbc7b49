package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.criteria.Rule;
import mensor.inspection.AddendumKind;
import mensor.inspection.BurnThrough;
import mensor.inspection.Criterion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.MeltThrough;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.length.Length;

/**
 * The root of a weld made from one side: incomplete penetration and burn-through reject, undercut at the root by its own
 * rule, melt-through and root concavity only by the contract's limit, for the code has none.
 */
final class RootCheck {
    private final Inspection inspection;
    private final Rule.Root rule;

    RootCheck(Inspection inspection, Rule.Root rule) {
        this.inspection = inspection;
        this.rule = rule;
    }

    /** Whether anything of the root was recorded: an indication, or a reading of its kind. */
    static boolean isRecorded(Inspection inspection) {
        boolean seen = inspection.indications().stream().anyMatch(i -> i.criterion() == Criterion.ROOT);
        return seen
                || Occurrence.readings(inspection, Reading.Station.class).stream()
                        .anyMatch(f -> f.what().rootReinforcement().isPresent()
                                || f.what().rootWidth().isPresent());
    }

    /** Heights at the root, from indications and from readings. */
    static List<DepthCheck.Measured> meltThrough(Inspection inspection) {
        return depths(inspection, MeltThrough.class, 1);
    }

    static List<DepthCheck.Measured> concavity(Inspection inspection) {
        return depths(inspection, RootConcavity.class, -1);
    }

    /** Those indications, and the readings of a root flush or above (1), or flush or below (−1), as positive depths. */
    private static List<DepthCheck.Measured> depths(Inspection inspection, Class<? extends Indication> kind, int sign) {
        Stream<DepthCheck.Measured> read = Occurrence.readings(inspection, Reading.Station.class).stream()
                .filter(f -> f.what().rootReinforcement().isPresent())
                .filter(f -> f.what().rootReinforcement().get().signum() != -sign)
                .map(f -> {
                    Length height = f.what().rootReinforcement().get();
                    return DepthCheck.Measured.ofReading(f, sign < 0 ? height.negate() : height);
                });
        return Stream.concat(Occurrence.indications(inspection, kind).stream().map(DepthCheck.Measured::of), read)
                .toList();
    }

    /** Judges what was recorded; leaves the finding open where nothing was that speaks for the root. */
    void judge(Finding.Builder finding) {
        WorstPart worst =
                new WorstPart(finding).add("", forbidden(finding.fresh()).build());
        UndercutCheck undercut = new UndercutCheck(inspection, rule.undercut());
        if (undercut.hasAny()) {
            Finding.Builder part = finding.fresh();
            undercut.judge(part);
            worst.add("", part.build());
        }
        worst.add(
                        "",
                        height(
                                        finding.fresh(),
                                        meltThrough(inspection),
                                        rule.meltThroughMost(),
                                        AddendumKind.MELT_THROUGH_MAX,
                                        rule.meltThroughAdvice(),
                                        "melt-through")
                                .build())
                .add(
                        "",
                        height(
                                        finding.fresh(),
                                        concavity(inspection),
                                        rule.concavityMost(),
                                        AddendumKind.ROOT_CONCAVITY_MAX,
                                        rule.concavityAdvice(),
                                        "root concavity")
                                .build());
        if (rule.underCrown()) {
            Finding.Builder crowned = finding.fresh().confidence(rule.adviceConfidence());
            new CrownedRootCheck(inspection, crowned).judgeWhereItLies();
            worst.add("", crowned.build());
        }
        worst.settle();
        if (finding.isOpen() && isJudged()) {
            finding.accept(Why.ROOT_NOTHING_LIMITED.of());
        }
    }

    /** A width of the root tells nothing of how it is; a height of zero is a flush root. */
    private boolean isJudged() {
        return inspection.indications().stream().anyMatch(i -> i.criterion() == Criterion.ROOT)
                || Occurrence.readings(inspection, Reading.Station.class).stream()
                        .anyMatch(f -> f.what().rootReinforcement().isPresent());
    }

    /** Incomplete penetration and burn-through reject. */
    private Finding.Builder forbidden(Finding.Builder finding) {
        List<Integer> rejecting = new ArrayList<>();
        Indication first = null;
        for (int i = 0; i < inspection.indications().size(); i++) {
            Indication x = inspection.indications().get(i);
            boolean rejects = x instanceof BurnThrough
                    || x instanceof IncompletePenetration p
                            && p.depth().map(Length::isPositive).orElse(true);
            if (rejects) {
                rejecting.add(i);
                first = first == null ? x : first;
            }
        }
        if (first != null) {
            String kind = first.kind().words();
            finding.indications(rejecting)
                    .span(first.span())
                    .measured(kind)
                    .allowed("none")
                    .reject(Why.ROOT_NONE_ALLOWED.of(kind, first.span()));
        }
        return finding;
    }

    /** Against the code's own limit; where it has none, by the contract's, else the Engineer sets it. */
    private Finding.Builder height(
            Finding.Builder finding,
            List<DepthCheck.Measured> found,
            Optional<Length> most,
            AddendumKind addendum,
            Length advice,
            String what) {
        if (most.isEmpty()) {
            noLimit(finding, found, addendum, what, advice);
        } else if (!found.isEmpty()) {
            finding.confidence(rule.adviceConfidence());
            DepthCheck.atMost(finding, found, most.get(), inspection.units(), what);
        }
        return finding;
    }

    private void noLimit(
            Finding.Builder finding,
            List<DepthCheck.Measured> found,
            AddendumKind addendum,
            String what,
            Length advice) {
        List<DepthCheck.Measured> real =
                found.stream().filter(d -> d.depth().isPositive()).toList();
        if (real.isEmpty()) {
            return;
        }
        if (inspection.addendum(addendum).isPresent()) {
            finding.trace(what + " is judged by the contract's limit " + addendum.id())
                    .accept(Why.ROOT_BY_CONTRACT.of());
            return;
        }
        DepthCheck.Measured worst = real.get(0);
        for (DepthCheck.Measured d : real) {
            worst = d.depth().isOver(worst.depth()) ? d : worst;
        }
        finding.confidence(rule.adviceConfidence())
                .trace("a welder's test piece may have " + what + " up to " + advice.shownWithUnit()
                        + "; that is advice here, no limit")
                .measured(worst.depth().in(inspection.units()).shownWithUnit())
                .span(worst.span())
                .indications(real.stream()
                        .filter(d -> !d.reading())
                        .map(DepthCheck.Measured::index)
                        .toList())
                .readings(real.stream()
                        .filter(DepthCheck.Measured::reading)
                        .map(DepthCheck.Measured::index)
                        .toList())
                .incomplete(Why.ENGINEER_SETS_LIMIT.of(what), Ask.Kind.ASK_ENGINEER.of(what, worst.span()));
    }
}
