package mensor.server.machine;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The register of welding machines. */
@RestController
@RequestMapping("/api/machines")
class MachineController {
    private final Machines machines;

    MachineController(Machines machines) {
        this.machines = machines;
    }

    /** @param version the one that was shown; absent for a new machine */
    @AllOptional
    record MachineChange(MachineForm form, Long version) {}

    @GetMapping
    List<Machines.MachineView> all() {
        return machines.all();
    }

    @PutMapping("/{id}")
    Machines.MachineView put(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody MachineChange change) {
        return machines.put(actor, id, change.form(), change.version());
    }
}
