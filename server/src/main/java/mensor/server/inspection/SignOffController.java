package mensor.server.inspection;

import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.record.Signatures;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Signing, and the frozen record to read. */
@RestController
@RequestMapping("/api/inspections/{id}")
class SignOffController {
    private final SignOff signing;
    private final Signatures signatures;
    private final Bench bench;
    private final BenchViews views;

    SignOffController(SignOff signing, Signatures signatures, Bench bench, BenchViews views) {
        this.signing = signing;
        this.signatures = signatures;
        this.bench = bench;
        this.views = views;
    }

    @PostMapping("/sign")
    @Transactional
    BenchView sign(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody SignOff.SignForm form) {
        return views.of(signing.sign(actor, id, form));
    }

    @GetMapping(value = "/record", produces = "application/json")
    String record(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        bench.open(actor, id);
        return signatures.frozen(id).orElseThrow(() -> Refusal.notFound("this inspection is not signed yet"));
    }
}
