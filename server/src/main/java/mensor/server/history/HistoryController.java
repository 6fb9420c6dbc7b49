package mensor.server.history;

import java.util.List;
import java.util.UUID;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** Every change of a weld, and of all that was recorded, decided and done about it. */
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
}
