package mensor.server.testpiece;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.time.Duration;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import mensor.server.web.UploadedFile;
import org.springframework.http.CacheControl;
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

/** Test pieces of their own, and two beside each other. */
@RestController
@RequestMapping("/api/pieces")
class PieceController {
    private final Pieces pieces;
    private final SeriesOfPieces series;

    PieceController(Pieces pieces, SeriesOfPieces series) {
        this.pieces = pieces;
        this.series = series;
    }

    @GetMapping
    PieceView.PieceRows rows(@AuthenticationPrincipal Actor actor, @RequestParam(required = false) String find) {
        return pieces.rows(actor, find);
    }

    /** The body is a {@code mensor-test-piece/1} file. */
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    PieceView take(@AuthenticationPrincipal Actor actor, @RequestBody String file) {
        return pieces.take(actor, file);
    }

    @GetMapping("/{id}")
    PieceView open(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return pieces.open(actor, id);
    }

    @PutMapping("/{id}")
    PieceView put(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Pieces.PieceChange change) {
        return pieces.put(actor, id, change);
    }

    @DeleteMapping("/{id}")
    PieceView takeOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return pieces.setWithdrawn(actor, id, true);
    }

    @PostMapping("/{id}/restore")
    PieceView restore(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return pieces.setWithdrawn(actor, id, false);
    }

    @GetMapping("/{id}/beside/{other}")
    PieceView.SideBySide beside(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID other) {
        return series.beside(actor, id, other);
    }

    @PutMapping("/{id}/rating")
    PieceView rate(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody Ratings.RatingForm form) {
        return pieces.rate(actor, id, form);
    }

    @PutMapping("/{id}/specimens/{specimen}")
    PieceView test(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID specimen,
            @RequestBody SpecimenForm form) {
        return pieces.test(actor, id, specimen, form);
    }

    @DeleteMapping("/{id}/specimens/{specimen}")
    PieceView testOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID specimen) {
        return pieces.setTestWithdrawn(actor, id, specimen, true);
    }

    @PostMapping("/{id}/specimens/{specimen}/restore")
    PieceView testOn(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID specimen) {
        return pieces.setTestWithdrawn(actor, id, specimen, false);
    }

    /** Sets its weld up at the bench. */
    @PostMapping("/{id}/weld")
    PieceView toTheBench(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return pieces.toTheBench(actor, id);
    }

    /** The body is the picture's bytes. */
    @UploadedFile
    @PutMapping("/{id}/photos/{photo}")
    PieceView picture(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID photo,
            HttpServletRequest request)
            throws IOException {
        pieces.open(actor, id); // refused before the picture is opened
        PictureFile file = PictureFile.of(request.getInputStream().readNBytes(PictureFile.MOST_BYTES + 1));
        return pieces.addPicture(actor, id, photo, file);
    }

    @DeleteMapping("/{id}/photos/{photo}")
    PieceView pictureOff(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photo) {
        return pieces.takePictureOff(actor, id, photo);
    }

    @GetMapping(
            value = "/{id}/photos/{photo}",
            produces = {"image/jpeg", "image/png"})
    ResponseEntity<byte[]> whole(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photo) {
        PictureFile file = pieces.picture(actor, id, photo);
        return answer(file.type(), file.bytes());
    }

    @GetMapping(value = "/{id}/photos/{photo}/thumbnail", produces = "image/jpeg")
    ResponseEntity<byte[]> thumbnail(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID photo) {
        return answer("image/jpeg", pieces.picture(actor, id, photo).thumbnail());
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
