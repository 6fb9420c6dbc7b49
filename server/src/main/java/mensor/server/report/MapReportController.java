package mensor.server.report;

import java.util.UUID;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import mensor.server.weldmap.MapView;
import mensor.server.weldmap.WeldMaps;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RestController;

/** A job's weld map on paper. */
@RestController
class MapReportController {
    private final WeldMaps maps;
    private final Jobs jobs;

    MapReportController(WeldMaps maps, Jobs jobs) {
        this.maps = maps;
        this.jobs = jobs;
    }

    @GetMapping("/api/jobs/{job}/map/report")
    ResponseEntity<byte[]> report(@AuthenticationPrincipal Actor actor, @PathVariable UUID job) {
        MapView map = maps.of(actor, job);
        if (map.sheets().isEmpty()) {
            throw Refusal.conflict("there is no drawing yet");
        }
        String title = "Weld map, " + map.job();
        return ReportController.answer(
                Paper.usual(jobs.get(job).unit().symbol())
                        .printAcross(
                                title,
                                title + ". Visual inspection; where a weld stands as of this print.",
                                MapPaper.of(map, sheet -> maps.picture(job, sheet))),
                "pdf",
                title);
    }
}
