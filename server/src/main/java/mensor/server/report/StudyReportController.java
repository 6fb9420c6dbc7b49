package mensor.server.report;

import java.nio.charset.StandardCharsets;
import java.util.UUID;
import mensor.server.spreadsheet.Spreadsheet;
import mensor.server.study.Studies;
import mensor.server.study.StudyView;
import mensor.server.web.Refusal;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Reports of studies. */
@RestController
@RequestMapping("/api/studies")
class StudyReportController {
    private final Studies studies;

    StudyReportController(Studies studies) {
        this.studies = studies;
    }

    /** PDF, CSV (the readings), or JSON ({@code mensor-study/1}). */
    @GetMapping("/{id}/report")
    ResponseEntity<byte[]> study(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper) {
        StudyView s = studies.open(id);
        return switch (as) {
            case "csv" -> answer(studies.list(id), as, s);
            case "xlsx" -> ReportController.answer(Spreadsheet.of(studies.list(id), s.kind()), as, s.title());
            case "json" -> answer(studies.file(id), as, s);
            case "pdf" ->
                ReportController.answer(
                        (paper == null
                                        ? Paper.usual(
                                                s.gauge() == null
                                                        ? "in"
                                                        : s.gauge().units())
                                        : paper)
                                .printOnOnePage(s.title(), "Study", StudyPaper.of(s)),
                        as,
                        s.title());
            default -> throw Refusal.invalid("as", "pdf, csv, xlsx or json");
        };
    }

    private static ResponseEntity<byte[]> answer(String file, String as, StudyView s) {
        return ReportController.answer(file.getBytes(StandardCharsets.UTF_8), as, s.title());
    }
}
