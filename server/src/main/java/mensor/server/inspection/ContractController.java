package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.server.contract.DeviationForm;
import mensor.server.contract.Deviations;
import mensor.server.contract.Waivers;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** What stands beside the code of one inspection: the Engineer's documents, waived gauges; and other books to compare with. */
@RestController
@RequestMapping("/api/inspections/{id}")
class ContractController {
    private final Bench bench;
    private final Rejudgement rejudgement;
    private final BenchViews views;
    private final Deviations deviations;
    private final Waivers waivers;
    private final CodeComparison comparison;

    ContractController(
            Bench bench,
            Rejudgement rejudgement,
            BenchViews views,
            Deviations deviations,
            Waivers waivers,
            CodeComparison comparison) {
        this.bench = bench;
        this.rejudgement = rejudgement;
        this.views = views;
        this.deviations = deviations;
        this.waivers = waivers;
        this.comparison = comparison;
    }

    @AllOptional
    record WithdrawnDeviation(String why) {}

    @AllOptional
    record WaiverForm(String gauge, String reason) {}

    @PostMapping("/deviations")
    @Transactional
    BenchView deviate(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody DeviationForm form) {
        Bench.State o = bench.open(actor, id);
        deviations.record(actor, o.joint(), form);
        rejudgement.rejudgeOpen(o.joint().id());
        return views.of(bench.open(actor, id));
    }

    @PostMapping("/deviations/{deviationId}/withdraw")
    @Transactional
    BenchView withdraw(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID deviationId,
            @RequestBody WithdrawnDeviation form) {
        Bench.State o = bench.open(actor, id);
        deviations.withdraw(actor, o.joint().id(), deviationId, form.why());
        rejudgement.rejudgeOpen(o.joint().id());
        return views.of(bench.open(actor, id));
    }

    @PostMapping("/waivers")
    @Transactional
    BenchView waive(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody WaiverForm form) {
        waivers.checkMay(actor);
        Bench.State o = bench.open(actor, id);
        if (o.inspection().isSigned()) {
            throw mensor.server.web.Refusal.conflict("this inspection is signed; a waiver comes before the signature");
        }
        boolean named =
                views.of(o).gaugeFaults().stream().anyMatch(f -> f.gauge().equals(form.gauge()));
        if (!named) {
            throw mensor.server.web.Refusal.invalid(
                    "gauge", "no reading of this inspection waits for a waiver of that gauge");
        }
        waivers.waive(actor, id, form.gauge(), form.reason());
        rejudgement.rejudgeOpen(o.joint().id());
        return views.of(bench.open(actor, id));
    }

    /** The look by other books, criterion by criterion; nothing of it is kept. */
    @GetMapping("/comparison")
    List<CodeComparison.CodeColumn> compare(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestParam List<String> codes) {
        return comparison.of(bench.open(actor, id), codes);
    }
}
