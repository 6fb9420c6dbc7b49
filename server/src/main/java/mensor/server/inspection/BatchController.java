package mensor.server.inspection;

import java.util.UUID;
import mensor.server.people.Actor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The sheet of like welds; {@code id} is the inspection that it was opened from. */
@RestController
@RequestMapping("/api/inspections/{id}/sheet")
class BatchController {
    private final Batches batches;

    BatchController(Batches batches) {
        this.batches = batches;
    }

    @GetMapping
    Batches.Sheet sheet(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return batches.sheet(actor, id);
    }

    @PostMapping
    Batches.Sheet put(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Batches.Common common) {
        batches.put(actor, common);
        return batches.sheet(actor, id);
    }

    @PostMapping("/sign")
    Batches.Sheet sign(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Batches.SignAll form) {
        batches.sign(actor, form);
        return batches.sheet(actor, id);
    }
}
