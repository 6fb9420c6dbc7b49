package mensor.server.testpiece;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import org.springframework.http.MediaType;
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

/** A welder's series, the class, drills, what was handed out, and the rubric. */
@RestController
@RequestMapping("/api")
class TrainingController {
    private final SeriesOfPieces series;
    private final SchoolClass schoolClass;
    private final Drills drills;
    private final Handouts handouts;
    private final Rubrics rubrics;

    TrainingController(
            SeriesOfPieces series, SchoolClass schoolClass, Drills drills, Handouts handouts, Rubrics rubrics) {
        this.series = series;
        this.schoolClass = schoolClass;
        this.drills = drills;
        this.handouts = handouts;
        this.rubrics = rubrics;
    }

    @GetMapping("/series/{welder}")
    PieceView.SeriesView series(
            @AuthenticationPrincipal Actor actor,
            @PathVariable String welder,
            @RequestParam(required = false) String drill) {
        return series.of(actor, welder, drill);
    }

    @GetMapping("/class")
    PieceView.ClassView schoolClass(@AuthenticationPrincipal Actor actor) {
        return schoolClass.open(actor);
    }

    @PostMapping("/handouts")
    PieceView.ClassView give(@AuthenticationPrincipal Actor actor, @RequestBody Handouts.HandoutForm form) {
        handouts.give(actor, form);
        return schoolClass.open(actor);
    }

    @DeleteMapping("/handouts/{id}")
    PieceView.ClassView takeBack(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        handouts.takeBack(id);
        return schoolClass.open(actor);
    }

    @GetMapping("/drills")
    List<Drills.DrillView> drills() {
        return drills.all();
    }

    /** As a {@code mensor-drill/1} file. */
    @GetMapping(value = "/drills/{id}/document", produces = MediaType.APPLICATION_JSON_VALUE)
    String drill(@PathVariable String id) {
        return drills.file(id);
    }

    /** The body is a {@code mensor-drill/1} file. */
    @PutMapping(value = "/drills/{id}/document", consumes = MediaType.APPLICATION_JSON_VALUE)
    List<Drills.DrillView> putDrill(
            @AuthenticationPrincipal Actor actor, @PathVariable String id, @RequestBody String file) {
        return drills.put(actor, id, file);
    }

    @DeleteMapping("/drills/{id}")
    List<Drills.DrillView> takeDrillOff(@AuthenticationPrincipal Actor actor, @PathVariable String id) {
        return drills.takeOff(actor, id);
    }

    @GetMapping("/rubric")
    Rubrics.RubricOfShop rubric() {
        return rubrics.ofShop();
    }

    @PutMapping("/rubric")
    Rubrics.RubricOfShop putRubric(@AuthenticationPrincipal Actor actor, @RequestBody Rubrics.RubricForm form) {
        return rubrics.put(actor, form);
    }
}
