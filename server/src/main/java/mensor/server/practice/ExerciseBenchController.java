package mensor.server.practice;

import java.util.List;
import java.util.UUID;
import mensor.server.inspection.Bench;
import mensor.server.inspection.BenchView;
import mensor.server.inspection.EntryLines;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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

/** The ordinary bench of a weld that was handed out to practice on or for a study. */
@RestController
@RequestMapping("/api/exercises/{id}")
class ExerciseBenchController {
    private final Exercises exercises;

    ExerciseBenchController(Exercises exercises) {
        this.exercises = exercises;
    }

    /** @param version which stands now */
    record ExerciseVersion(long version) {}

    @GetMapping("/bench")
    BenchView open(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return exercises.bench(actor, id);
    }

    @GetMapping("/bench/version")
    ExerciseVersion version(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return new ExerciseVersion(exercises.version(actor, id));
    }

    @PutMapping("/bench/entries/{entryId}")
    BenchView put(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestBody Bench.EntryForm form) {
        return exercises.record(
                actor, id, List.of(new Bench.NewEntry(entryId, form.kind(), form.content())), form.version());
    }

    @PostMapping("/bench/entries")
    BenchView putAll(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody List<Bench.NewEntry> several) {
        return exercises.record(actor, id, several, null);
    }

    /** What lines mean, before they are recorded; nothing is stored. */
    @PostMapping("/bench/lines")
    List<EntryLines.LineView> read(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody EntryLines.LinesForm form) {
        return exercises.read(actor, id, form);
    }

    @DeleteMapping("/bench/entries/{entryId}")
    BenchView takeOff(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID entryId,
            @RequestParam long version) {
        return exercises.takeOff(actor, id, entryId, version);
    }

    @PostMapping("/bench/entries/{entryId}/restore")
    BenchView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID entryId) {
        return exercises.restore(actor, id, entryId);
    }

    /** A picture of a real weld. */
    @GetMapping(
            value = "/pictures/{picture}",
            produces = {"image/jpeg", "image/png"})
    ResponseEntity<byte[]> picture(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID picture) {
        PictureFile file = exercises.picture(actor, id, picture);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.type()))
                .body(file.bytes());
    }
}
