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

    /** Heights at the root, from indications and from readings. */
    static List<DepthCheck.Measured> meltThrough(Inspection inspection) {
        return depths(inspection, Indication.MeltThrough.class, 1);
    }

    static List<DepthCheck.Measured> concavity(Inspection inspection) {
        return depths(inspection, Indication.RootConcavity.class, -1);
    }

    /** Those indications, and the root reinforcement readings above (1) or below (−1) the surface as positive depths. */
    private static List<DepthCheck.Measured> depths(Inspection inspection, Class<? extends Indication> kind, int sign) {
        Stream<DepthCheck.Measured> read = Found.readings(inspection, Reading.Station.class).stream()
                .filter(f -> f.what().rootReinforcement().isPresent())
                .filter(f -> f.what().rootReinforcement().get().signum() == sign)
                .map(f -> {
                    Length height = f.what().rootReinforcement().get();
                    return DepthCheck.Measured.ofReading(f, sign < 0 ? height.negate() : height);
                });
        return Stream.concat(Found.indications(inspection, kind).stream().map(DepthCheck.Measured::of), read)
                .toList();
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
    private void limited(Finding.Builder finding, List<DepthCheck.Measured> found, Length most, String what) {
        if (!found.isEmpty() && (finding.isOpen() || finding.build().verdict() != Verdict.REJECT)) {
            finding.confidence(rule.adviceConfidence());
            DepthCheck.atMost(finding, found, most, inspection.units(), what);
        }
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
            finding.trace(what + " is judged by the contract's limit " + addendum.id());
            return;
        }
        DepthCheck.Measured worst = real.get(0);
        for (DepthCheck.Measured d : real) {
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
                            .map(DepthCheck.Measured::index)
                            .toList())
                    .readings(real.stream()
                            .filter(DepthCheck.Measured::reading)
                            .map(DepthCheck.Measured::index)
                            .toList())
                    .incomplete(
                            "the book has no production limit for " + what + ": the Engineer sets the limit",
                            "ask the Engineer for the limit of " + what + " at "
                                    + worst.span().shown());
        }
    }
}
