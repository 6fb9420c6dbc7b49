package mensor.server.report;

import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.testpiece.PieceView;
import mensor.server.testpiece.PieceView.SeriesView;
import mensor.server.testpiece.Pieces;
import mensor.server.testpiece.SeriesOfPieces;
import mensor.server.testpiece.TestPieceView;
import mensor.server.testpiece.TestPieces;
import mensor.server.web.Refusal;
import mensor.server.welder.Welders;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** Reports of test pieces: of one, of a series, and what a welder is qualified for. */
@RestController
@RequestMapping("/api")
class PieceReportController {
    private final Pieces pieces;
    private final SeriesOfPieces series;
    private final TestPieces bench;
    private final Welders welders;
    private final JsonMapper json;

    PieceReportController(Pieces pieces, SeriesOfPieces series, TestPieces bench, Welders welders, JsonMapper json) {
        this.pieces = pieces;
        this.series = series;
        this.bench = bench;
        this.welders = welders;
        this.json = json;
    }

    /** PDF or JSON ({@code mensor-test-piece/1}). */
    @GetMapping("/pieces/{id}/report")
    ResponseEntity<byte[]> piece(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper) {
        PieceView p = pieces.open(actor, id);
        String name = "piece-" + p.form().number();
        if (as.equals("json")) {
            return ReportController.answer(PieceFiles.json(p, json).getBytes(StandardCharsets.UTF_8), as, name);
        }
        checkPdf(as, "pdf or json");
        TestPieceView cut = p.jointId() == null || actor.seesSignedOnly() ? null : bench.open(actor, p.jointId());
        String title = "Test piece " + p.form().number() + ", " + p.welderName();
        return ReportController.answer(
                paper(paper, p.form().units())
                        .printOnOnePage(
                                title,
                                title,
                                PiecePaper.of(
                                        p, series.settings(actor, id), cut, photo -> pieces.picture(actor, id, photo))),
                as,
                name);
    }

    /** PDF, CSV, or JSON: a list of {@code mensor-test-piece/1}. */
    @GetMapping("/series/{welder}/report")
    ResponseEntity<byte[]> series(
            @AuthenticationPrincipal Actor actor,
            @PathVariable String welder,
            @RequestParam(required = false) String drill,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper) {
        SeriesView s = series.of(actor, welder, drill);
        String name = "series-" + welder;
        return switch (as) {
            case "csv" -> ReportController.answer(PieceFiles.csv(s).getBytes(StandardCharsets.UTF_8), as, name);
            case "json" -> {
                List<PieceView> all = s.cards().stream()
                        .map(c -> pieces.open(actor, c.piece().id()))
                        .toList();
                yield ReportController.answer(PieceFiles.json(all, json).getBytes(StandardCharsets.UTF_8), as, name);
            }
            default -> {
                checkPdf(as, "pdf, csv or json");
                String title = "Series of " + s.name();
                yield ReportController.answer(
                        paper(paper, "in").printOnOnePage(title, title, PiecePaper.of(s)), as, name);
            }
        };
    }

    /** The welder qualification record. */
    @GetMapping("/welders/{stamp}/report")
    ResponseEntity<byte[]> welder(
            @AuthenticationPrincipal Actor actor,
            @PathVariable String stamp,
            @RequestParam(required = false) Paper paper) {
        Welders.WelderView w = welders.all().stream()
                .filter(x -> x.form().stamp().equals(stamp))
                .findFirst()
                .orElseThrow(() -> Refusal.notFound("there is no welder " + stamp + " on record"));
        String title = "Welder qualification record " + stamp;
        return ReportController.answer(
                paper(paper, "in").printOnOnePage(title, title, PiecePaper.of(w, series.of(actor, stamp, null))),
                "pdf",
                "welder-" + stamp);
    }

    private static Paper paper(Paper asked, String units) {
        return asked == null ? Paper.usual(units) : asked;
    }

    private static void checkPdf(String as, String known) {
        if (!as.equals("pdf")) {
            throw Refusal.invalid("as", known);
        }
    }
}
