package mensor.server.welding;

import java.util.Optional;
import mensor.exchange.InspectionParts;
import mensor.server.machine.Machines;
import mensor.server.web.Refusal;
import mensor.weld.ArcForceScale;
import mensor.weld.InvalidField;
import mensor.weld.Machine;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** What a machine's own numbers come to: its arc force in percent of its scale, by the card of the register. */
@Component
class MachineReadings {
    private final Machines machines;
    private final JsonMapper json;

    MachineReadings(Machines machines, JsonMapper json) {
        this.machines = machines;
        this.json = json;
    }

    Optional<Machine> named(String name) {
        return machines.named(name);
    }

    /** The content with {@code arcForce} in percent where the machine's own number was read. */
    String withArcForce(WeldingContent said, String typed) {
        boolean named = said.machine() != null && !said.machine().isBlank();
        String shown = said.arcForceShown() == null
                ? said.arcForceWord()
                : said.arcForceShown().toPlainString();
        if (!named && shown == null) {
            return typed;
        }
        if (!named) {
            throw Refusal.invalid("machine", "on which machine? Its scale says what the number means");
        }
        Machine machine = machines.named(said.machine())
                .orElseThrow(() -> Refusal.invalid("machine", "no machine of this name is registered"));
        if (shown == null) {
            return typed;
        }
        ArcForceScale scale = machine.arcForce()
                .orElseThrow(() -> Refusal.invalid(
                        "arcForceShown", "the card of " + machine.name() + " has no scale of arc force"));
        try {
            double percent = scale.percent(shown);
            ObjectNode content = (ObjectNode) json.readTree(typed);
            content.put("arcForce", Math.round(percent * 10) / 10.0);
            return InspectionParts.canonical(json.writeValueAsString(content));
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
    }
}
