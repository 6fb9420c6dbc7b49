package mensor.server.study;

import java.math.BigDecimal;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import mensor.exchange.GaugeStudyFile;
import mensor.length.Unit;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
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

/** Studies of gauges and people. */
@RestController
@RequestMapping("/api/studies")
class StudyController {
    private static final int LONGEST_NAME = 60;
    private final Studies studies;

    StudyController(Studies studies) {
        this.studies = studies;
    }

    @GetMapping
    List<StudyView.StudyRowView> all() {
        return studies.all();
    }

    @GetMapping("/{id}")
    StudyView open(@PathVariable UUID id) {
        return studies.open(id);
    }

    /** The body is a {@code mensor-study/1} file. */
    @PutMapping(value = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    StudyView put(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody String file) {
        return studies.put(actor, id, file);
    }

    /**
     * The body is a list (CSV) with the columns person, part, reading and, where it is known, reference.
     *
     * @param tolerance how wide what is allowed is, in the units
     */
    @PutMapping(value = "/{id}/readings", consumes = "text/csv")
    StudyView putList(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @RequestParam String title,
            @RequestParam String gauge,
            @RequestParam String quantity,
            @RequestParam String units,
            @RequestParam(required = false) BigDecimal tolerance,
            @RequestBody String list) {
        if (!units.equals("in") && !units.equals("mm")) {
            throw Refusal.invalid("units", "in or mm");
        }
        return studies.putList(
                actor,
                id,
                new GaugeStudyFile.Heading(
                        named("title", title, 120),
                        named("gauge", gauge, LONGEST_NAME),
                        named("quantity", quantity, LONGEST_NAME),
                        units.equals("in") ? Unit.INCH : Unit.MILLIMETRE,
                        tolerance == null ? OptionalDouble.empty() : OptionalDouble.of(tolerance.doubleValue())),
                list);
    }

    private static String named(String field, String value, int longest) {
        if (value.isBlank() || value.strip().length() > longest) {
            throw Refusal.invalid(field, "up to " + longest + " letters are required");
        }
        return value.strip();
    }

    @DeleteMapping("/{id}")
    StudyView takeOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return studies.setWithdrawn(actor, id, true);
    }

    @PostMapping("/{id}/restore")
    StudyView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return studies.setWithdrawn(actor, id, false);
    }

    /** The register takes the gauge's uncertainty from this study. */
    @PostMapping("/{id}/use")
    StudyView use(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return studies.use(actor, id, true);
    }

    @DeleteMapping("/{id}/use")
    StudyView useNoMore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return studies.use(actor, id, false);
    }
}
