package mensor.server.report;

import java.nio.charset.StandardCharsets;
import java.util.Locale;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.practice.EyeView;
import mensor.server.practice.EyeView.EyeKindView;
import mensor.server.practice.Eyes;
import mensor.server.web.Refusal;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** How small a flaw is still seen, on paper and as a list of all trials. */
@RestController
@RequestMapping("/api/eyes")
class EyeReportController {
    private final Eyes eyes;

    EyeReportController(Eyes eyes) {
        this.eyes = eyes;
    }

    /** PDF, or CSV: each true flaw with its size and whether it was found. */
    @GetMapping("/{person}/report")
    ResponseEntity<byte[]> one(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID person,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper) {
        return answer(eyes.of(actor, person), as, paper);
    }

    @GetMapping("/report")
    ResponseEntity<byte[]> everybody(
            @AuthenticationPrincipal Actor actor,
            @RequestParam(defaultValue = "pdf") String as,
            @RequestParam(required = false) Paper paper) {
        return answer(eyes.of(actor, null), as, paper);
    }

    private static ResponseEntity<byte[]> answer(EyeView e, String as, Paper paper) {
        return switch (as) {
            case "csv" -> ReportController.answer(csv(e).getBytes(StandardCharsets.UTF_8), as, "eye");
            case "pdf" ->
                ReportController.answer(
                        (paper == null ? Paper.usual("in") : paper)
                                .printOnOnePage("The eye of " + e.person(), "The eye of " + e.person(), page(e)),
                        as,
                        "eye");
            default -> throw Refusal.invalid("as", "pdf or csv");
        };
    }

    private static String csv(EyeView e) {
        StringBuilder out = new StringBuilder("flaw,size mm,found\r\n");
        e.kinds()
                .forEach(k -> k.all()
                        .forEach(t -> out.append(k.title())
                                .append(',')
                                .append(String.format(Locale.ROOT, "%.3f", t.size()))
                                .append(',')
                                .append(t.found() ? "yes" : "no")
                                .append("\r\n")));
        return out.toString();
    }

    private static String page(EyeView e) {
        Html h = new Html();
        h.add("h1", "How small a flaw is still seen: " + e.person());
        h.add(
                "p",
                e.welds() + " made-up welds handed in, the verdict right in " + e.right() + "; "
                        + String.format(Locale.ROOT, "%.1f", e.calledPerWeld())
                        + " a weld called that is not there.");
        h.open("table").open("tr");
        h.add("th", "Flaw").add("th", "Found").add("th", "").add("th", "Sizes put down");
        h.close("tr");
        for (EyeKindView k : e.kinds()) {
            h.open("tr")
                    .add("td", k.title())
                    .add("td", k.found() + " of " + k.trials())
                    .add("td", k.said());
            h.add(
                    "td",
                    k.bias() == null
                            ? "none"
                            : String.format(
                                    Locale.ROOT,
                                    "%d, in the mean %.2f mm too %s",
                                    k.sized(),
                                    Math.abs(k.bias()),
                                    k.bias() < 0 ? "small" : "large"));
            h.close("tr");
        }
        h.close("table");
        h.add(
                "p",
                "caution",
                "A logistic curve through hits and misses by greatest likelihood; the bound is the profile likelihood's, one-sided. It holds for "
                        + "made-up welds on a screen: at a real weld, with glare, slag and fatigue, less is seen.");
        return h.toString();
    }
}
