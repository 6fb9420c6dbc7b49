package mensor.server.gauge;

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

/** The register of gauges and the signed-in inspector's kit of the day. */
@RestController
@RequestMapping("/api")
class GaugeController {
    private final Gauges gauges;

    GaugeController(Gauges gauges) {
        this.gauges = gauges;
    }

    /** @param version the one that was shown; absent for a new gauge */
    @AllOptional
    record GaugeChange(GaugeForm form, Long version) {}

    @GetMapping("/gauges")
    List<Gauges.GaugeView> all() {
        return gauges.all();
    }

    @PutMapping("/gauges/{id}")
    Gauges.GaugeView put(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody GaugeChange change) {
        return gauges.put(actor, id, change.form(), change.version());
    }

    @GetMapping("/kit")
    List<UUID> kit(@AuthenticationPrincipal Actor actor) {
        return gauges.kit(actor.id());
    }

    @PutMapping("/kit")
    List<UUID> takeKit(@AuthenticationPrincipal Actor actor, @RequestBody List<UUID> ids) {
        return gauges.takeKit(actor, ids);
    }
}
