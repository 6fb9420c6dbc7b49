package mensor.server.inspection;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.web.UploadedFile;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** Pictures of an inspection: PNG or JPEG, at a place along the weld or of one entry. */
@RestController
@RequestMapping("/api/inspections/{id}/photos/{photoId}")
class PhotoController {
    private final Bench bench;
    private final EntryRecorder recorder;
    private final BenchViews views;
    private final Photos photos;

    PhotoController(Bench bench, EntryRecorder recorder, BenchViews views, Photos photos) {
        this.bench = bench;
        this.recorder = recorder;
        this.views = views;
        this.photos = photos;
    }

    /** The body is the picture's bytes; what they are is told by themselves, not by a name. */
    @UploadedFile
    @PutMapping
    BenchView put(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID photoId,
            @RequestParam(required = false) UUID entry,
            @RequestParam(required = false) String at,
            HttpServletRequest request)
            throws IOException {
        bench.version(actor, id); // refused before the picture is opened
        PictureFile picture = PictureFile.of(request.getInputStream().readNBytes(PictureFile.MOST_BYTES + 1));
        return views.of(recorder.photo(actor, id, photoId, new Photos.Place(entry, at), picture));
    }

    @DeleteMapping
    BenchView takeOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photoId) {
        return views.of(recorder.photoOff(actor, id, photoId, true));
    }

    @PostMapping("/restore")
    @Transactional
    BenchView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photoId) {
        return views.of(recorder.photoOff(actor, id, photoId, false));
    }

    @GetMapping(produces = {"image/jpeg", "image/png"})
    ResponseEntity<byte[]> whole(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photoId) {
        PictureFile file = file(actor, id, photoId);
        return answer(file.type(), file.bytes());
    }

    @GetMapping(value = "/thumbnail", produces = "image/jpeg")
    ResponseEntity<byte[]> thumbnail(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photoId) {
        return answer("image/jpeg", file(actor, id, photoId).thumbnail());
    }

    private PictureFile file(Actor actor, UUID id, UUID photoId) {
        bench.checkSees(actor, id);
        return photos.file(id, photoId);
    }

    /** A picture never changes under its id. */
    private static ResponseEntity<byte[]> answer(String type, byte[] bytes) {
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(type))
                .cacheControl(
                        CacheControl.maxAge(Duration.ofDays(30)).cachePrivate().immutable())
                .body(bytes);
    }
}
