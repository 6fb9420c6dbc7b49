package mensor.server.cause;

import java.util.List;
import java.util.UUID;
import mensor.server.inspection.Bench;
import mensor.server.people.Actor;
import mensor.server.testpiece.Ratings;
import mensor.server.testpiece.SpecimenForm;
import mensor.server.testpiece.Specimens;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Why a weld is as it is: its causes, what was changed, what was tested, and the page for its welder. */
@RestController
@RequestMapping("/api/inspections/{id}")
class CauseController {
    private final Bench bench;
    private final DefectCauses tracing;
    private final Trials trials;
    private final Specimens tests;
    private final CoachingNotes coaching;

    CauseController(Bench bench, DefectCauses tracing, Trials trials, Specimens tests, CoachingNotes coaching) {
        this.bench = bench;
        this.tracing = tracing;
        this.trials = trials;
        this.tests = tests;
        this.coaching = coaching;
    }

    /** @param also troubles that were seen and that no criterion judges */
    @GetMapping("/causes")
    CausesView causes(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam(required = false, defaultValue = "") List<String> also) {
        return tracing.view(bench.open(actor, id), also);
    }

    @PutMapping("/trials/{trial}")
    CausesView changed(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID trial,
            @RequestBody Trials.TrialForm form) {
        trials.changed(actor, id, bench.open(actor, id).joint(), trial, form);
        return tracing.view(bench.open(actor, id), List.of());
    }

    /** What the next weld showed; from the bench of any weld of that welder. */
    @PutMapping("/trials/{trial}/outcome")
    CausesView showed(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID trial,
            @RequestBody Trials.OutcomeForm form) {
        trials.showed(actor, trial, form);
        return tracing.view(bench.open(actor, id), List.of());
    }

    @PutMapping("/tests/{test}")
    CausesView tested(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID test,
            @RequestBody SpecimenForm form) {
        tests.record(actor, bench.open(actor, id).joint().id(), test, form);
        return tracing.view(bench.open(actor, id), List.of());
    }

    @DeleteMapping("/tests/{test}")
    CausesView testOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID test) {
        tests.setWithdrawn(actor, bench.open(actor, id).joint().id(), test, true);
        return tracing.view(bench.open(actor, id), List.of());
    }

    @PostMapping("/tests/{test}/restore")
    CausesView testOn(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID test) {
        tests.setWithdrawn(actor, bench.open(actor, id).joint().id(), test, false);
        return tracing.view(bench.open(actor, id), List.of());
    }

    @GetMapping("/note")
    NoteView note(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return coaching.note(actor, id);
    }

    @PutMapping("/rating")
    NoteView rate(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Ratings.RatingForm form) {
        return coaching.rate(actor, id, form);
    }
}
