package mensor.server.people;

import java.util.List;
import java.util.UUID;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
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
    record NewPerson(String login, String name, List<Role> roles, String certificate, String password) {}

    @GetMapping
    List<Actor> all() {
        return people.all();
    }

    @PostMapping
    Actor add(@AuthenticationPrincipal Actor actor, @RequestBody NewPerson p) {
        if (!actor.managesPeople()) {
            throw Refusal.forbidden("the quality manager adds people");
        }
        return people.add(p.login(), p.name(), p.roles(), p.certificate(), p.password());
    }

    @PutMapping("/{id}/roles")
    People.WithPapers hold(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody People.RolesForm form) {
        if (!actor.managesPeople()) {
            throw Refusal.forbidden("the quality manager says who holds which role");
        }
        return people.hold(id, form);
    }

    /** Everybody with their papers, for the quality manager's list. */
    @GetMapping("/papers")
    List<People.WithPapers> papers() {
        return people.withPapers();
    }

    @PutMapping("/{id}/papers")
    People.WithPapers certify(
            @AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody People.Papers papers) {
        if (!actor.managesPeople()) {
            throw Refusal.forbidden("the quality manager keeps the papers");
        }
        return people.certify(id, papers);
    }
}
