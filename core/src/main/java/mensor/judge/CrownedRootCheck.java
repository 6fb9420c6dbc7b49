package mensor.judge;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.SpanSet;

/** Root concavity against the least reinforcement read: the joint with its crown is not thinner than the wall. */
final class CrownedRootCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    CrownedRootCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge() {
        List<DepthCheck.Measured> concave = RootCheck.concavity(inspection);
        List<DepthCheck.Measured> real =
                concave.stream().filter(m -> m.depth().isPositive()).toList();
        Optional<Length> crown = Occurrence.readings(inspection, Reading.Station.class).stream()
                .flatMap(f -> f.what().reinforcement().stream())
                .min(Length::compareTo);
        if (real.isEmpty()) {
            if (!concave.isEmpty()) {
                finding.measured("0").accept(Why.NOTHING_THERE.of("root concavity of depth 0"));
            }
        } else if (crown.isEmpty()) {
            finding.measured(real.get(0).depth().in(inspection.units()).shownWithUnit())
                    .span(real.get(0).span())
                    .indications(real.stream()
                            .filter(m -> !m.reading())
                            .map(DepthCheck.Measured::index)
                            .toList())
                    .incomplete(Why.CONCAVITY_WANTS_REINFORCEMENT.of(), Ask.Kind.READ_REINFORCEMENT.of());
        } else {
            DepthCheck.atMost(
                    finding,
                    real,
                    crown.get().max(Length.zero(inspection.units())),
                    inspection.units(),
                    "root concavity");
        }
    }

    /**
     * Each concavity against the reinforcement read on its own stretch: one reading inside speaks for it, and a smaller
     * one, or a flush face, rejects.
     */
    void judgeWhereItLies() {
        WorstPart worst = new WorstPart(finding);
        RootCheck.concavity(inspection).stream()
                .filter(m -> m.depth().isPositive())
                .forEach(m -> worst.add("", under(m)));
        worst.settle();
    }

    private Finding under(DepthCheck.Measured m) {
        Optional<Length> crown = crownOver(m.span());
        Finding.Builder part = finding.fresh()
                .span(m.span())
                .measured(m.depth().in(inspection.units()).shownWithUnit());
        if (m.reading()) {
            part.readings(List.of(m.index()));
        } else {
            part.indications(List.of(m.index()));
        }
        if (crown.isEmpty()) {
            return part.incomplete(Why.CONCAVITY_WANTS_REINFORCEMENT.of(), Ask.Kind.READ_REINFORCEMENT.of())
                    .build();
        }
        Length over = crown.get().in(inspection.units());
        part.atMost(m.depth().in(inspection.units()), over);
        return m.depth().isOver(over)
                ? part.reject(Why.CONCAVITY_OVER_CROWN.of(m.depth(), m.span(), over))
                        .build()
                : part.accept(Why.WITHIN_LIMIT.of("root concavity " + m.depth().shownWithUnit(), m.span(), over))
                        .build();
    }

    private Optional<Length> crownOver(Span span) {
        SpanSet stretch = inspection.joint().ruler().straight(List.of(span));
        Optional<Length> least = Occurrence.readings(inspection, Reading.Station.class).stream()
                .map(Occurrence::what)
                .filter(s -> inspection.joint().ruler().isOn(stretch, s.at()))
                .flatMap(s -> s.reinforcement().stream())
                .min(Length::compareTo);
        return inspection.joint().flush() && least.isEmpty() ? Optional.of(Length.zero(inspection.units())) : least;
    }
}
