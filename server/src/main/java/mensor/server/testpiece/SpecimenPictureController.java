package mensor.server.testpiece;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.UUID;
import mensor.server.people.Actor;
import mensor.server.photo.PictureFile;
import mensor.server.web.Refusal;
import mensor.server.web.UploadedFile;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The picture of a specimen's bent, broken or cut face. */
@RestController
@RequestMapping("/api/specimens/{id}/photos")
class SpecimenPictureController {
    private final Specimens specimens;
    private final Pieces pieces;

    SpecimenPictureController(Specimens specimens, Pieces pieces) {
        this.specimens = specimens;
        this.pieces = pieces;
    }

    /** A piece's own specimen is for whoever sees the piece; a weld's for the shop. */
    private void check(Actor actor, UUID id) {
        specimens.pieceOf(id).ifPresentOrElse(piece -> pieces.open(actor, piece), () -> {
            if (actor.seesSignedOnly()) {
                throw Refusal.notFound("there is no such specimen");
            }
        });
    }

    /** The body is the picture's bytes. */
    @UploadedFile
    @PutMapping
    ResponseEntity<Void> put(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, HttpServletRequest request)
            throws IOException {
        check(actor, id);
        specimens.keepPicture(id, PictureFile.of(request.getInputStream().readNBytes(PictureFile.MOST_BYTES + 1)));
        return ResponseEntity.noContent().build();
    }

    @GetMapping(produces = {"image/jpeg", "image/png"})
    ResponseEntity<byte[]> whole(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        check(actor, id);
        PictureFile file = specimens.picture(id);
        return ResponseEntity.ok()
                .contentType(MediaType.parseMediaType(file.type()))
                .body(file.bytes());
    }
}
