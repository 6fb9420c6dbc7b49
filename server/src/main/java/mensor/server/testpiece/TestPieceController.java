package mensor.server.testpiece;

import java.util.List;
import java.util.UUID;
import mensor.server.people.Actor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Test pieces, their specimens, and what they qualify. */
@RestController
@RequestMapping("/api")
class TestPieceController {
    private final TestPieces pieces;
    private final Pieces own;

    TestPieceController(TestPieces pieces, Pieces own) {
        this.pieces = pieces;
        this.own = own;
    }

    @GetMapping("/test-pieces")
    List<TestPieceView.TestPieceRow> all(@AuthenticationPrincipal Actor actor) {
        return pieces.all(actor);
    }

    @GetMapping("/joints/{id}/test-piece")
    TestPieceView open(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return pieces.open(actor, id);
    }

    /** How often the eye accepted what the specimens then rejected, of all pieces on record. */
    @GetMapping("/test-pieces/eye")
    PieceView.EyeAgainstTest eye(@AuthenticationPrincipal Actor actor) {
        return own.eye(actor);
    }

    /** Its piece in the series of its welder; made where there is none yet. */
    @PostMapping("/joints/{id}/test-piece/piece")
    PieceView ofWeld(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return own.ofWeld(actor, id);
    }

    @PutMapping("/joints/{id}/test-piece/specimens/{specimen}")
    TestPieceView record(
            @AuthenticationPrincipal Actor actor,
            @PathVariable UUID id,
            @PathVariable UUID specimen,
            @RequestBody SpecimenForm form) {
        return pieces.record(actor, id, specimen, form);
    }

    @DeleteMapping("/joints/{id}/test-piece/specimens/{specimen}")
    TestPieceView off(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID specimen) {
        return pieces.setWithdrawn(actor, id, specimen, true);
    }

    @PostMapping("/joints/{id}/test-piece/specimens/{specimen}/restore")
    TestPieceView on(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @PathVariable UUID specimen) {
        return pieces.setWithdrawn(actor, id, specimen, false);
    }

    @PostMapping("/joints/{id}/test-piece/qualification")
    TestPieceView qualify(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return pieces.qualify(actor, id);
    }
}
