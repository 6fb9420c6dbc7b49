package mensor.server.demo;

import java.util.Map;
import java.util.stream.Collectors;
import mensor.server.people.Actor;
import mensor.server.people.DemoSignIns;
import mensor.server.people.People;
import org.springframework.stereotype.Component;

/** The people of the demo, each with a sign-in. */
@Component
class DemoPeople {
    private final DemoSignIns signIns;
    private final People people;

    DemoPeople(DemoSignIns signIns, People people) {
        this.signIns = signIns;
        this.people = people;
    }

    /** Whether the demo is asked for and nobody is there yet. */
    boolean isWanted() {
        return signIns.isDemo() && people.isEmpty();
    }

    /** Adds them; by login. */
    Map<String, Actor> load() {
        return signIns.list().stream()
                .map(s -> people.add(new People.NewPerson(
                        s.login(),
                        s.name(),
                        s.roles(),
                        s.login().equals("ines") ? "QC-118" : s.login().equals("tomas") ? "QC-131" : null,
                        s.password())))
                .collect(Collectors.toMap(Actor::login, a -> a));
    }
}
