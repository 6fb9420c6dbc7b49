package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import mensor.criteria.Rule;
import mensor.length.Length;
import mensor.look.AddendumKind;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
import mensor.look.Verdict;

/**
 * The root of a weld made from one side: incomplete penetration and burn-through reject, undercut at the root by its own
 * rule, melt-through and root concavity only by the contract's limit, for the book has none.
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
        boolean seen = inspection.indications().stream().anyMatch(i -> i.criterion() == mensor.look.Criterion.ROOT);
        return seen
                || Found.readings(inspection, Reading.Station.class).stream()
                        .anyMatch(f -> f.what().rootReinforcement().isPresent()
                                || f.what().rootWidth().isPresent());
    }

    /** Heights or depths at the root that only a contract can limit, from indications and from readings. */
    record RootDepth(boolean reading, int index, mensor.length.Span span, Length depth) {}

    static List<RootDepth> meltThrough(Inspection inspection) {
        Stream<RootDepth> seen = Found.indications(inspection, Indication.MeltThrough.class).stream()
                .map(f -> new RootDepth(
                        false, f.index(), f.what().span(), f.what().height()));
        return Stream.concat(seen, rootReadings(inspection, 1)).toList();
    }

    static List<RootDepth> concavity(Inspection inspection) {
        Stream<RootDepth> seen = Found.indications(inspection, Indication.RootConcavity.class).stream()
                .map(f -> new RootDepth(
                        false, f.index(), f.what().span(), f.what().deep()));
        return Stream.concat(seen, rootReadings(inspection, -1)).toList();
    }

    /** Root reinforcement readings above (1) or below (−1) the surface, as positive depths. */
    private static Stream<RootDepth> rootReadings(Inspection inspection, int sign) {
        return Found.readings(inspection, Reading.Station.class).stream()
                .filter(f -> f.what().rootReinforcement().isPresent())
                .filter(f -> f.what().rootReinforcement().get().signum() == sign)
                .map(f -> {
                    Length height = f.what().rootReinforcement().get();
                    return new RootDepth(true, f.index(), f.what().span(), sign < 0 ? height.negate() : height);
                });
    }

    /** Judges what was recorded; leaves the finding open where nothing was. */
    void judge(Finding.Builder finding) {
        UndercutCheck undercut = new UndercutCheck(inspection, rule.undercut());
        if (undercut.hasAny()) {
            undercut.judge(finding);
        }
        List<Integer> rejecting = new ArrayList<>();
        Indication first = null;
        for (int i = 0; i < inspection.indications().size(); i++) {
            Indication x = inspection.indications().get(i);
            boolean rejects = x instanceof Indication.BurnThrough
                    || x instanceof Indication.IncompletePenetration p
                            && p.depth().map(Length::isPositive).orElse(true);
            if (rejects) {
                rejecting.add(i);
                first = first == null ? x : first;
            }
        }
        if (first != null) {
            finding.indications(rejecting)
                    .span(first.span())
                    .measured(first.kind().replace('-', ' '))
                    .allowed("none")
                    .reject(first.kind().replace('-', ' ') + " at "
                            + first.span().shown() + "; none is allowed");
            return;
        }
        if (rule.meltThroughMost().isPresent() || rule.concavityMost().isPresent()) {
            limited(finding, meltThrough(inspection), rule.meltThroughMost().orElseThrow(), "melt-through");
            limited(finding, concavity(inspection), rule.concavityMost().orElseThrow(), "root concavity");
        } else {
            noLimit(
                    finding,
                    meltThrough(inspection),
                    AddendumKind.MELT_THROUGH_MAX,
                    "melt-through",
                    rule.meltThroughAdvice());
            noLimit(
                    finding,
                    concavity(inspection),
                    AddendumKind.ROOT_CONCAVITY_MAX,
                    "root concavity",
                    rule.concavityAdvice());
        }
        if (finding.isOpen() && isRecorded(inspection)) {
            finding.accept("nothing of what was recorded at the root is limited here");
        }
    }

    /** Against the book's own limit; an earlier reject stands. */
    private void limited(Finding.Builder finding, List<RootDepth> found, Length most, String what) {
        if (found.isEmpty() || !finding.isOpen() && finding.build().verdict() == Verdict.REJECT) {
            return;
        }
        finding.confidence(rule.adviceConfidence());
        DepthCheck.atMost(
                finding,
                found.stream()
                        .map(d -> new DepthCheck.Measured(
                                d.reading(),
                                d.index(),
                                d.span(),
                                d.depth(),
                                d.reading()
                                        ? inspection.readings().get(d.index()).division()
                                        : inspection
                                                .indications()
                                                .get(d.index())
                                                .division()))
                        .toList(),
                most,
                inspection.units(),
                what);
    }

    private void noLimit(
            Finding.Builder finding, List<RootDepth> found, AddendumKind addendum, String what, Length advice) {
        List<RootDepth> real =
                found.stream().filter(d -> d.depth().isPositive()).toList();
        if (real.isEmpty()) {
            return;
        }
        if (inspection.addendum(addendum).isPresent()) {
            finding.trace(what + " is judged by the contract's limit " + addendum.id());
            return;
        }
        RootDepth worst = real.get(0);
        for (RootDepth d : real) {
            worst = d.depth().isOver(worst.depth()) ? d : worst;
        }
        finding.confidence(rule.adviceConfidence())
                .trace("a welder's test piece may have " + what + " up to " + advice.shownWithUnit()
                        + "; that is advice here, no limit");
        if (finding.isOpen() || finding.build().verdict() == Verdict.ACCEPT) {
            finding.measured(worst.depth().in(inspection.units()).shownWithUnit())
                    .span(worst.span())
                    .indications(real.stream()
                            .filter(d -> !d.reading())
                            .map(RootDepth::index)
                            .toList())
                    .readings(real.stream()
                            .filter(RootDepth::reading)
                            .map(RootDepth::index)
                            .toList())
                    .incomplete(
                            "the book has no production limit for " + what + ": the Engineer sets the limit",
                            "ask the Engineer for the limit of " + what + " at "
                                    + worst.span().shown());
        }
    }
}
