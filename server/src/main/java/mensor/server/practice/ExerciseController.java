package mensor.server.practice;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.web.AllOptional;
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

/** Made-up welds to practice on. */
@RestController
@RequestMapping("/api/exercises")
class ExerciseController {
    private final Exercises exercises;

    ExerciseController(Exercises exercises) {
        this.exercises = exercises;
    }

    @AllOptional
    record LineForm(String line) {}

    /** @param at mm from the datum */
    @AllOptional
    record GaugeAtForm(String gauge, String toe, Double at) {}

    /** A stretch in view, mm from the datum, for so many seconds. */
    @AllOptional
    record LookForm(Double from, Double to, Long seconds) {}

    @GetMapping
    List<ExerciseView.ExerciseRowView> all(
            @AuthenticationPrincipal Actor actor, @RequestParam(defaultValue = "false") boolean others) {
        return exercises.all(actor, others);
    }

    @PutMapping("/{id}")
    ExerciseView begin(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody SettingForm setting) {
        return exercises.begin(actor, id, setting);
    }

    @GetMapping("/{id}")
    ExerciseView open(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.open(actor, id);
    }

    @PutMapping("/{id}/lines/{line}")
    ExerciseView record(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID line,
            @RequestBody LineForm form) {
        return exercises.record(actor, id, line, form.line());
    }

    @DeleteMapping("/{id}/lines/{line}")
    ExerciseView takeBack(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID line) {
        return exercises.takeBack(actor, id, line);
    }

    @PostMapping("/{id}/gauged")
    ExerciseView gauge(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody GaugeAtForm form) {
        if (form.at() == null) {
            throw Refusal.invalid("at", "where is it held?");
        }
        return exercises.gauge(actor, id, form.gauge(), form.toe(), form.at());
    }

    @PostMapping("/{id}/looks")
    void look(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody LookForm form) {
        if (form.from() == null || form.to() == null || form.seconds() == null) {
            throw Refusal.invalid("from", "a stretch and how long it was in view are required");
        }
        exercises.look(actor, id, form.from(), form.to(), form.seconds());
    }

    @PostMapping("/{id}/hand-in")
    ExerciseView handIn(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.handIn(actor, id);
    }

    @GetMapping(value = "/{id}/surface", produces = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    byte[] surface(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.surface(actor, id);
    }
}
