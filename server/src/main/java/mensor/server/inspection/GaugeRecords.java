package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.server.gauge.Gauges;
import mensor.server.gauge.StoredGauge;
import org.jspecify.annotations.Nullable;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Every look that a gauge touched: what has to be read again once it is found out of calibration. */
@RestController
class GaugeRecords {
    private final Gauges gauges;
    private final InspectionRepository inspections;

    GaugeRecords(Gauges gauges, InspectionRepository inspections) {
        this.gauges = gauges;
        this.inspections = inspections;
    }

    record GaugeUse(
            UUID inspectionId,
            String mark,
            @Nullable String weldNo,
            String capacity,
            int revision,
            String verdict,
            boolean signed) {}

    @GetMapping("/api/gauges/{id}/records")
    List<GaugeUse> records(@PathVariable UUID id) {
        StoredGauge gauge = gauges.get(id);
        return inspections
                .touchedBy(
                        "%\"" + id + "\"%",
                        "%\"gauge\":\"" + gauge.name().replace("\\", "\\\\").replace("\"", "\\\"") + "\"%")
                .stream()
                .map(l -> new GaugeUse(
                        l.inspectionId(), l.mark(), l.weldNo(), l.capacity(), l.revision(), l.verdict(), l.isSigned()))
                .toList();
    }
}
