package mensor.judge;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.length.Length;

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
}
