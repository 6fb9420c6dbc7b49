package mensor.server.inspection;

import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import mensor.server.contract.Waivers;
import mensor.server.gauge.GaugeForm;
import mensor.server.gauge.Gauges;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Gauges of an inspection that were not in calibration on the day of the reading: each warns, and stops the signature until waived. */
@Component
class GaugeFaults {
    private final Gauges gauges;
    private final Waivers waivers;
    private final TypedEntries typed;

    GaugeFaults(Gauges gauges, Waivers waivers, TypedEntries typed) {
        this.typed = typed;
        this.gauges = gauges;
        this.waivers = waivers;
    }

    /**
     * A gauge that may not be used.
     *
     * @param fault "G-7 was due for calibration on …"
     * @param entries what it read
     * @param waived the quality manager's word, if he let it stand
     */
    public record GaugeFaultView(String gauge, String fault, List<UUID> entries, Waivers.@Nullable WaiverView waived) {}

    List<GaugeFaultView> of(Bench.State o) {
        Map<String, String> faults = new LinkedHashMap<>();
        Map<String, List<UUID>> entries = new LinkedHashMap<>();
        for (EntryEntity e : Stream.concat(o.judged().readings().stream(), o.judged().indications().stream())
                .toList()) {
            gaugeOf(o, e)
                    .ifPresent(g -> g.gauge()
                            .fault(e.enteredAt().atZone(ZoneId.systemDefault()).toLocalDate())
                            .ifPresent(f -> {
                                faults.put(g.name(), f);
                                entries.computeIfAbsent(g.name(), k -> new ArrayList<>())
                                        .add(e.id());
                            }));
        }
        for (UUID id : o.judged().conditions().gaugeIds()) {
            gauges.find(id)
                    .ifPresent(g -> g.gauge().fault(gauges.today()).ifPresent(f -> faults.putIfAbsent(g.name(), f)));
        }
        List<Waivers.WaiverView> waived = waivers.of(o.inspection().id());
        return faults.keySet().stream()
                .map(name -> new GaugeFaultView(
                        name,
                        faults.get(name),
                        entries.getOrDefault(name, List.of()),
                        waived.stream()
                                .filter(w -> w.gauge().equals(name))
                                .findFirst()
                                .orElse(null)))
                .toList();
    }

    private Optional<GaugeForm> gaugeOf(Bench.State o, EntryEntity e) {
        return typed.of(e, o.joint().unit()).gauge().flatMap(o.judged().contract()::gauge);
    }
}
