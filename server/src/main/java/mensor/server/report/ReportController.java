package mensor.server.report;

import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import mensor.server.job.Jobs;
import mensor.server.job.StoredJob;
import mensor.server.people.Actor;
import mensor.server.repair.DefectViews;
import mensor.server.repair.DefectsView;
import mensor.server.web.Refusal;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Reports: of one weld at once, of a lot or a job in the background; the repair ticket on paper. */
@RestController
@RequestMapping("/api")
class ReportController {
    private static final Set<String> FORMS = Set.of("pdf", "csv", "json");

    private final WeldReports reports;
    private final ReportRuns runs;
    private final DefectViews defects;
    private final Jobs jobs;
    private final JsonMapper json;
    private final Clock clock;

    ReportController(
            WeldReports reports, ReportRuns runs, DefectViews defects, Jobs jobs, JsonMapper json, Clock clock) {
        this.reports = reports;
        this.runs = runs;
        this.defects = defects;
        this.jobs = jobs;
        this.json = json;
        this.clock = clock;
    }

    /** What is signed of one weld: PDF, CSV or JSON. */
    @GetMapping("/joints/{id}/report")
    ResponseEntity<byte[]> ofWeld(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper) {
        checkForm(as);
        WeldReport w = reports.of(actor, id);
        byte[] file = switch (as) {
            case "csv" -> ReportFiles.csv(w).getBytes(StandardCharsets.UTF_8);
            case "json" -> ReportFiles.json(w, clock.instant(), json).getBytes(StandardCharsets.UTF_8);
            default ->
                (paper == null ? Paper.usual(w.units()) : paper)
                        .printOnOnePage(w.name(), w.job() + " · " + w.name(), WeldPage.of(w));
        };
        return answer(file, as, w.mark());
    }

    private static void checkForm(String as) {
        if (as == null || !FORMS.contains(as)) {
            throw Refusal.invalid("as", "pdf, csv or json");
        }
    }

    static ResponseEntity<byte[]> answer(byte[] file, String as, String name) {
        MediaType type = switch (as) {
            case "csv" -> new MediaType("text", "csv", StandardCharsets.UTF_8);
            case "json" -> MediaType.APPLICATION_JSON;
            case "xlsx" ->
                MediaType.parseMediaType("application/vnd.openxmlformats-officedocument.spreadsheetml.sheet");
            default -> MediaType.APPLICATION_PDF;
        };
        ContentDisposition as2 = (as.equals("pdf") ? ContentDisposition.inline() : ContentDisposition.attachment())
                .filename(name.replaceAll("[^A-Za-z0-9._-]+", "-") + "-report." + as)
                .build();
        return ResponseEntity.ok()
                .contentType(type)
                .header(HttpHeaders.CONTENT_DISPOSITION, as2.toString())
                .body(file);
    }

    /** The repair ticket: A5 for the pocket, or letter. */
    @GetMapping(value = "/defects/{id}/ticket.pdf", produces = MediaType.APPLICATION_PDF_VALUE)
    ResponseEntity<byte[]> ticket(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "A5") String paper) {
        Paper on = paper.equalsIgnoreCase("letter") ? Paper.LETTER : paper.equalsIgnoreCase("a4") ? Paper.A4 : Paper.A5;
        DefectsView.TicketView t = defects.ticket(actor, id);
        String title = t.defect().number() + " " + t.mark();
        return answer(
                on.printOnOnePage(title, title + " · " + t.job(), TicketPage.of(t, on == Paper.A5)), "pdf", title);
    }

    /** A report of many welds is made in the background. */
    @PostMapping("/reports")
    ReportView begin(@AuthenticationPrincipal Actor actor, @RequestBody ReportForm form) {
        checkForm(form.as());
        if (form.job() == null) {
            throw Refusal.invalid("job", "of which job?");
        }
        StoredJob job = jobs.get(form.job());
        List<UUID> welds = reports.welds(job.id(), form.lot());
        if (welds.isEmpty()) {
            throw Refusal.invalid("lot", "no weld belongs to it");
        }
        boolean whole = form.lot() == null || form.lot().isBlank();
        return runs.begin(
                actor,
                whole ? job.name() : job.name() + ", " + form.lot(),
                new ReportForm(
                        job.id(),
                        form.lot(),
                        form.as(),
                        form.paper() == null ? Paper.usual(job.units()) : form.paper()),
                welds.size());
    }

    /** Those that this person asked for, the newest first. */
    @GetMapping("/reports")
    List<ReportView> mine(@AuthenticationPrincipal Actor actor) {
        return runs.of(actor);
    }

    @GetMapping("/reports/{id}")
    ReportView one(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return runs.view(actor, id);
    }

    @DeleteMapping("/reports/{id}")
    ReportView stop(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        runs.stop(actor, id);
        return runs.view(actor, id);
    }

    @GetMapping("/reports/{id}/file")
    ResponseEntity<byte[]> file(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        ReportView view = runs.view(actor, id);
        return answer(runs.file(actor, id), view.as(), view.title());
    }
}
