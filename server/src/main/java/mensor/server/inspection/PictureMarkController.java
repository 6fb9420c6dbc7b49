package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureMarks;
import mensor.server.photo.PictureMeasures;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RestController;

/** What is measured in pictures, and the marks on them. */
@RestController
class PictureMarkController {
    private static final String MARKS = "/api/inspections/{id}/photos/{photoId}/marks";

    private final Bench bench;
    private final Photos photos;
    private final PictureMarks marks;
    private final PictureMeasures measures;

    PictureMarkController(Bench bench, Photos photos, PictureMarks marks, PictureMeasures measures) {
        this.bench = bench;
        this.photos = photos;
        this.marks = marks;
        this.measures = measures;
    }

    @GetMapping("/api/pictures/quantities")
    List<PictureMeasures.PictureQuantityView> quantities() {
        return measures.quantities();
    }

    /** Nothing is stored. */
    @PostMapping("/api/pictures/measure")
    PictureMeasures.PictureValue measure(@RequestBody PictureMeasures.MeasureForm form) {
        return measures.of(form);
    }

    @GetMapping(MARKS)
    List<PictureMarks.PictureMarkView> all(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photoId) {
        check(actor, id, photoId);
        return marks.of(photoId);
    }

    @PutMapping(MARKS + "/{mark}")
    List<PictureMarks.PictureMarkView> add(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID photoId,
            @PathVariable UUID mark,
            @RequestBody PictureMarks.MarkForm form) {
        check(actor, id, photoId);
        mayMark(actor);
        marks.add(actor, photoId, mark, form);
        return marks.of(photoId);
    }

    @DeleteMapping(MARKS + "/{mark}")
    List<PictureMarks.PictureMarkView> takeOff(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID photoId,
            @PathVariable UUID mark) {
        check(actor, id, photoId);
        mayMark(actor);
        marks.takeOff(actor, photoId, mark);
        return marks.of(photoId);
    }

    private void check(Actor actor, UUID id, UUID photoId) {
        bench.checkSees(actor, id);
        photos.file(id, photoId); // of this inspection
    }

    private static void mayMark(Actor actor) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer reads what others mark");
        }
    }
}
