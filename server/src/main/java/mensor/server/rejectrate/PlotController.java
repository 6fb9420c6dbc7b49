package mensor.server.rejectrate;

import java.time.LocalDate;
import java.util.UUID;
import mensor.server.people.Actor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Plots that show where to act, and the welds behind their points; of a job, a welder, a procedure, from a day to a day, or of all. */
@RestController
@RequestMapping("/api/plots")
class PlotController {
    private final Plots plots;

    PlotController(Plots plots) {
        this.plots = plots;
    }

    @GetMapping
    PlotsView all(
            @AuthenticationPrincipal Actor actor,
            @RequestParam(required = false) UUID job,
            @RequestParam(required = false) String welder,
            @RequestParam(required = false) String procedure,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to) {
        return plots.of(actor, new PlotScope(job, welder, procedure, from, to));
    }

    /** @param key of the point */
    @GetMapping("/{plot}/welds")
    PlotsView.PlotWelds welds(
            @AuthenticationPrincipal Actor actor,
            @PathVariable String plot,
            @RequestParam(defaultValue = "") String key,
            @RequestParam(required = false) UUID job,
            @RequestParam(required = false) String welder,
            @RequestParam(required = false) String procedure,
            @RequestParam(required = false) LocalDate from,
            @RequestParam(required = false) LocalDate to) {
        return plots.welds(actor, new PlotScope(job, welder, procedure, from, to), plot, key);
    }
}
