package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.line.EntryLine;
import mensor.server.people.Actor;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

/** The worklist, and what its entry line takes. */
@RestController
@RequestMapping("/api")
class WorklistController {
    private final Worklist worklist;

    WorklistController(Worklist worklist) {
        this.worklist = worklist;
    }

    /**
     * A page of the joints that fit, and how many there are in each group.
     *
     * @param sort a column's name, with "-" before it the other way round
     */
    @GetMapping("/joints")
    Worklist.WorklistPage rows(
            @AuthenticationPrincipal Actor actor,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "all") String group,
            @RequestParam(required = false) UUID job,
            @RequestParam(defaultValue = "") String sort,
            @RequestParam(defaultValue = "0") int from,
            @RequestParam(defaultValue = "100") int size) {
        return worklist.page(actor, find, group, job, sort, from, size);
    }

    /** Changes with whatever the list shows. */
    record WorklistVersion(String version) {}

    /** Whether there is anything new: asked often and cheaply, in place of the list. */
    @GetMapping("/joints/version")
    WorklistVersion version(@AuthenticationPrincipal Actor actor) {
        return new WorklistVersion(worklist.version(actor));
    }

    /** What the entry line understands, a line for each kind. */
    @GetMapping("/entry-line")
    List<EntryLine.Card> entryLine() {
        return EntryLine.card();
    }
}
