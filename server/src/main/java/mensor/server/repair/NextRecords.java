package mensor.server.repair;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import mensor.inspection.IndicationKind;
import mensor.repair.Disposition;
import mensor.repair.RemovalMethod;
import mensor.repair.RepairState;
import mensor.server.joint.JointForm;
import mensor.server.joint.Joints;
import mensor.server.repair.DefectsView.RepairChoice;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What is recorded next at a rejected place, what that asks for, and what stops it. */
@Component
class NextRecords {
    private final Holds holds;
    private final Joints joints;
    private final JsonMapper json;

    NextRecords(Holds holds, Joints joints, JsonMapper json) {
        this.holds = holds;
        this.joints = joints;
        this.json = json;
    }

    /** Steels that the code names are not gouged with oxygen. */
    private boolean isQuenched(DefectEntity d) {
        return joints.find(d.jointId())
                .map(j -> json.readValue(j.document(), JointForm.class).delayed())
                .filter(Boolean.TRUE::equals)
                .isPresent();
    }

    DefectsView.@Nullable NextRecord of(DefectEntity d) {
        Optional<RepairState> next = d.disposition().flatMap(x -> d.state().next(x));
        if (next.isEmpty()) {
            return null;
        }
        String stopped = holds.open(d).stream()
                .filter(h -> h.kind().stops(next.get()))
                .map(h -> h.kind().words())
                .collect(Collectors.joining("; "));
        boolean crack = d.indicationKind().filter(IndicationKind.CRACK::equals).isPresent();
        Disposition x = d.disposition().orElseThrow();
        List<String> asks = switch (next.get()) {
            case EXTENT_KNOWN -> crack ? List.of("from", "to", "foundBy") : List.of("from", "to");
            case EXCAVATED ->
                x == Disposition.BLEND || x == Disposition.ADD_METAL
                        ? List.of("from", "to", "method")
                        : List.of("from", "to", "method", "depth");
            case CAVITY_ACCEPTED -> {
                List<String> wanted = new ArrayList<>(List.of("clean", "seenBy"));
                if (crack) {
                    wanted.addAll(List.of("proof", "proofReport"));
                }
                if (x == Disposition.BLEND) {
                    wanted.add("left");
                }
                yield wanted;
            }
            case WELDED -> List.of("welder", "rod", "diameter", "rods", "minutes", "preheat", "weldedAt");
            default -> List.of("cleaned", "cooled");
        };
        return new DefectsView.NextRecord(
                next.get().id(),
                next.get().title(),
                asks,
                asks.contains("method")
                        ? List.of(RemovalMethod.values()).stream()
                                .filter(m -> m != RemovalMethod.OXYGEN || !isQuenched(d))
                                .map(m -> new RepairChoice(m.id(), m.title()))
                                .toList()
                        : List.of(),
                stopped.isEmpty() ? null : stopped);
    }
}
