package mensor.server.contract;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Gauges past their calibration that the quality manager lets stand in one inspection. */
@Service
public class Waivers {
    private final WaiverRepository waivers;
    private final People people;
    private final Clock clock;

    Waivers(WaiverRepository waivers, People people, Clock clock) {
        this.waivers = waivers;
        this.people = people;
        this.clock = clock;
    }

    public record WaiverView(String gauge, String reason, String by, Instant at) {}

    @Transactional(readOnly = true)
    public List<WaiverView> of(UUID inspectionId) {
        return waivers.findByInspectionIdOrderByWaivedAt(inspectionId).stream()
                .map(w -> new WaiverView(w.gauge(), w.reason(), people.nameOf(w.waivedBy()), w.waivedAt()))
                .toList();
    }

    public void checkMay(Actor actor) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("only the quality manager waives a gauge's calibration");
        }
    }

    @Transactional
    public void waive(Actor actor, UUID inspectionId, String gauge, String reason) {
        checkMay(actor);
        if (reason == null || reason.isBlank() || reason.length() > 500) {
            throw Refusal.invalid("reason", "say why the readings of this gauge may stand");
        }
        boolean there = of(inspectionId).stream().anyMatch(w -> w.gauge().equals(gauge));
        if (there) {
            throw Refusal.conflict(gauge + " is waived for this inspection already");
        }
        waivers.save(new WaiverEntity(inspectionId, gauge, reason.strip(), actor.id(), clock.instant()));
    }
}
