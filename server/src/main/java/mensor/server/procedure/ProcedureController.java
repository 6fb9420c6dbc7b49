package mensor.server.procedure;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.exchange.ProcedureFile;
import mensor.exchange.UnreadableInput;
import mensor.length.Length;
import mensor.server.people.Actor;
import mensor.server.web.Refusal.FieldProblem;
import mensor.weld.ProcedureCheck;
import mensor.weld.Range;
import mensor.weld.RodTable;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Welding procedures: written, checked, frozen by use, and exchanged as files. */
@RestController
@RequestMapping("/api/procedures")
class ProcedureController {
    private final Procedures procedures;
    private final ProcedureUse use;
    private final JsonMapper json;

    ProcedureController(Procedures procedures, ProcedureUse use, JsonMapper json) {
        this.procedures = procedures;
        this.use = use;
        this.json = json;
    }

    /** @param used how many joints were set up with it; from one on it is frozen */
    record ProcedureView(UUID id, ProcedureForm form, long used, List<ProcedureCheck.Breach> breaches, long version) {}

    record ProcedureChange(ProcedureForm form, long version) {}

    record ProcedurePreview(List<FieldProblem> problems, List<ProcedureCheck.Breach> breaches) {}

    /** A rod with the amps that its table gives. */
    record RodView(
            String electrode,
            String diameter,
            String metric,
            @Nullable Range amps,
            boolean lowHydrogen,
            @Nullable Integer group) {}

    @GetMapping
    List<ProcedureView> all() {
        Map<UUID, Long> used = use.byProcedure();
        return procedures.all().stream()
                .map(p -> view(p, used.getOrDefault(p.id(), 0L)))
                .toList();
    }

    @GetMapping("/{id}")
    ProcedureView one(@PathVariable UUID id) {
        return view(procedures.get(id));
    }

    /** What is typed so far: what cannot be, and what lies outside the prequalified limits. */
    @PostMapping("/preview")
    ProcedurePreview preview(@RequestBody ProcedureForm form) {
        try {
            return new ProcedurePreview(
                    List.of(), ProcedureCheck.breaches(ProcedureFile.read(procedures.document(form))));
        } catch (UnreadableInput e) {
            return new ProcedurePreview(List.of(new FieldProblem(e.field(), e.problem())), List.of());
        }
    }

    @PostMapping
    ProcedureView create(@AuthenticationPrincipal Actor actor, @RequestBody ProcedureForm form) {
        return view(procedures.create(actor, procedures.document(form)));
    }

    /** A {@code mensor-procedure/1} document, taken in as a new procedure. */
    @PostMapping(value = "/import", consumes = MediaType.TEXT_PLAIN_VALUE)
    ProcedureView take(@AuthenticationPrincipal Actor actor, @RequestBody String document) {
        return view(procedures.create(actor, document));
    }

    @PutMapping("/{id}")
    ProcedureView change(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody ProcedureChange change) {
        return view(procedures.change(actor, id, change.version(), procedures.document(change.form()), use.of(id)));
    }

    @GetMapping(value = "/{id}/document", produces = "application/json")
    String document(@PathVariable UUID id) {
        return procedures.get(id).document();
    }

    @GetMapping("/rods")
    List<RodView> rods() {
        return RodTable.classes().stream()
                .flatMap(c -> RodTable.diameters().stream().map(d -> rod(c, d)))
                .toList();
    }

    private static RodView rod(String electrode, Length diameter) {
        return new RodView(
                electrode,
                diameter.shown(),
                RodTable.metricName(diameter),
                RodTable.amps(electrode, diameter).orElse(null),
                RodTable.isLowHydrogen(electrode).orElse(false),
                RodTable.group(electrode).orElse(null));
    }

    private ProcedureView view(StoredProcedure p) {
        return view(p, use.of(p.id()));
    }

    private ProcedureView view(StoredProcedure p, long used) {
        return new ProcedureView(
                p.id(),
                json.readValue(p.document(), ProcedureForm.class),
                used,
                ProcedureCheck.breaches(p.read()),
                p.version());
    }
}
