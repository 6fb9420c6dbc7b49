package mensor.server.machine;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import mensor.weld.Machine;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** The register of welding machines. */
@Service
public class Machines {
    private static final int LONGEST_NAME = 60;

    private final MachineRepository machines;
    private final JsonMapper json;

    Machines(MachineRepository machines, JsonMapper json) {
        this.machines = machines;
        this.json = json;
    }

    /** @param percentOff how far the display stood from the meter; absent where nobody checked */
    public record MachineView(
            UUID id,
            MachineForm form,
            @org.jspecify.annotations.Nullable Double percentOff,
            boolean unusual,
            long version) {}

    @Transactional(readOnly = true)
    public List<MachineView> all() {
        return machines.findAllByOrderByName().stream().map(this::view).toList();
    }

    /** A machine by the name on it. */
    @Transactional(readOnly = true)
    public Optional<Machine> named(String name) {
        return machines.findByName(name.strip()).map(this::form).map(MachineForm::machine);
    }

    private MachineForm form(MachineEntity m) {
        return json.readValue(m.content(), MachineForm.class);
    }

    private MachineView view(MachineEntity m) {
        MachineForm form = form(m);
        Optional<Machine.MeterCheck> meter = form.machine().meter();
        return new MachineView(
                m.id(),
                form,
                meter.map(c -> Math.round(c.percentOff() * 10) / 10.0).orElse(null),
                meter.filter(Machine.MeterCheck::isUnusual).isPresent(),
                m.version());
    }

    @Transactional
    public MachineView put(Actor actor, UUID id, MachineForm form, Long version) {
        if (!actor.is(Role.WELDING_ENGINEER, Role.INSPECTOR, Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden(
                    "machines are registered by the welding engineer, an inspector or the quality manager");
        }
        if (form == null) {
            throw Refusal.invalid("form", "the machine is missing");
        }
        Machine machine;
        try {
            machine = form.machine();
        } catch (InvalidField e) {
            throw Refusal.invalid(e.field(), e.problem());
        }
        if (machine.name().length() > LONGEST_NAME) {
            throw Refusal.invalid("name", "up to " + LONGEST_NAME + " letters");
        }
        machines.findByName(machine.name()).filter(m -> !m.id().equals(id)).ifPresent(m -> {
            throw Refusal.invalid("name", "there is a machine of this name");
        });
        MachineEntity entity = machines.findById(id).orElse(null);
        if (entity != null && (version == null || !version.equals(entity.version()))) {
            throw Refusal.stale("somebody changed this machine meanwhile; check again", null);
        }
        if (entity == null) {
            entity = new MachineEntity(id);
        }
        entity.set(machine.name(), json.writeValueAsString(form));
        return view(machines.saveAndFlush(entity));
    }
}
