package mensor.judge;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.DoubleStream;
import mensor.criteria.Rule;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;

/** Toe angles against the least. */
final class ToeAngleCheck {
    private final Inspection inspection;
    private final Finding.Builder finding;

    ToeAngleCheck(Inspection inspection, Finding.Builder finding) {
        this.inspection = inspection;
        this.finding = finding;
    }

    void judge(Rule.ToeAngle rule) {
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            DoubleStream.concat(f.what().toeAngleA().stream(), f.what().toeAngleB().stream())
                    .filter(degrees -> degrees < rule.degrees())
                    .min()
                    .ifPresent(degrees -> lowAngle(rule, f, degrees));
        }
    }

    private void lowAngle(Rule.ToeAngle rule, Occurrence<Reading.Station> f, double degrees) {
        String read = BigDecimal.valueOf(degrees).stripTrailingZeros().toPlainString();
        finding.trace("toe angle " + read + "° at " + f.what().at().shown());
        if (finding.isOpen()) {
            finding.confidence(rule.confidence())
                    .measured(read + "°")
                    .allowed("at least " + rule.degrees() + "°")
                    .span(f.what().span())
                    .readings(List.of(f.index()))
                    .reject(Why.TOE_ANGLE_LOW.of(read, f.what().at(), rule.degrees()));
        }
    }
}
