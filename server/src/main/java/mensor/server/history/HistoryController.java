package mensor.server.history;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.people.Role;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Every change of a weld, and of all that was recorded, decided and done about it; and of what the shop keeps. */
@RestController
class HistoryController {
    private final History history;

    HistoryController(History history) {
        this.history = history;
    }

    @GetMapping("/api/joints/{id}/history")
    List<History.HistoryChange> ofJoint(@PathVariable UUID id) {
        return history.ofJoint(id);
    }

    /** Of jobs, procedures, acceptance criteria, gauges, people and welders, for the quality manager. */
    @GetMapping("/api/history")
    History.HistoryPage ofShop(
            @AuthenticationPrincipal Actor actor,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "100") int most) {
        if (!actor.is(Role.QUALITY_MANAGER)) {
            throw Refusal.forbidden("the quality manager reads the history of the shop");
        }
        return history.ofShop(what, find, Math.max(1, Math.min(most, 5_000)));
    }
}
