package mensor.server.people;

import java.util.List;
import java.util.UUID;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** The list of people; the quality manager adds to it. */
@RestController
@RequestMapping("/api/people")
class PeopleController {
    private final People people;

    PeopleController(People people) {
        this.people = people;
    }

    @AllOptional
    record NewPassword(String password) {}

    @GetMapping
    List<Actor> all() {
        return people.all();
    }

    private static void managed(Actor actor) {
        if (!actor.managesPeople()) {
            throw Refusal.forbidden("the quality manager adds people, and says who holds which role and which papers");
        }
    }

    @PostMapping
    Actor add(@AuthenticationPrincipal Actor actor, @RequestBody People.NewPerson p) {
        managed(actor);
        return people.add(p);
    }

    @PutMapping("/{id}/roles")
    People.WithPapers hold(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody People.RolesForm form) {
        managed(actor);
        return people.hold(id, form);
    }

    @PutMapping("/{id}/active")
    People.WithPapers setActive(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody People.ActiveForm form) {
        managed(actor);
        return people.setActive(id, form);
    }

    @PutMapping("/{id}/password")
    void resetPassword(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody NewPassword form) {
        managed(actor);
        people.resetPassword(id, form.password());
    }

    /** Lets somebody who mistyped too often try again at once. */
    @PostMapping("/{id}/unlock")
    void unlock(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        managed(actor);
        people.unlock(id);
    }

    /** Whoever is signed in as this person, on whatever device, no longer is. */
    @DeleteMapping("/{id}/sessions")
    void endSessions(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        managed(actor);
        people.endSessions(id);
    }

    /** Everybody with their papers, those who left too, for the quality manager's list. */
    @GetMapping("/papers")
    List<People.WithPapers> papers() {
        return people.withPapers();
    }

    @PutMapping("/{id}/papers")
    People.WithPapers certify(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody People.Papers papers) {
        managed(actor);
        return people.certify(id, papers);
    }
}
