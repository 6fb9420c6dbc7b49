package mensor.server.people;

import java.util.List;
import mensor.server.web.AllOptional;
import mensor.server.web.Refused;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
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
    record NewPerson(String login, String name, Role role, String certificate, String password) {}

    @GetMapping
    List<Actor> all() {
        return people.all();
    }

    @PostMapping
    Actor add(@AuthenticationPrincipal Actor actor, @RequestBody NewPerson p) {
        if (!actor.role().managesPeople()) {
            throw Refused.forbidden("the quality manager adds people");
        }
        return people.add(p.login(), p.name(), p.role(), p.certificate(), p.password());
    }
}
