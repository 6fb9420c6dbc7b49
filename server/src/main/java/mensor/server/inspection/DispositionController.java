package mensor.server.inspection;

import java.util.UUID;
import mensor.server.disposition.Dispositions;
import mensor.server.people.Actor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Disposing of the rejected findings of a look. */
@RestController
@RequestMapping("/api/inspections/{id}/dispositions")
class DispositionController {
    private final Bench bench;
    private final BenchViews views;
    private final Dispositions dispositions;

    DispositionController(Bench bench, BenchViews views, Dispositions dispositions) {
        this.bench = bench;
        this.views = views;
        this.dispositions = dispositions;
    }

    @PutMapping("/{finding}")
    BenchView decide(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable String finding,
            @RequestBody Dispositions.Decision decision) {
        Bench.Opened o = bench.open(actor, id);
        dispositions.decide(actor, id, o.inspection().isSigned(), o.judged().evaluation(), finding, decision);
        return views.of(o);
    }
}
