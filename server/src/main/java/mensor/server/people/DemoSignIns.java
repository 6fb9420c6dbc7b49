package mensor.server.people;

import java.util.List;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/** The made-up people of the demo, whose passwords everybody may know; nobody at all outside the demo. */
@Component
public class DemoSignIns {
    private static final String PASSWORD = "lock-bridge-12";
    private static final List<SignIn> PEOPLE = List.of(
            new SignIn("ines", "Ines Marl", List.of(Role.INSPECTOR), PASSWORD),
            new SignIn("tomas", "Tomas Reed", List.of(Role.INSPECTOR), PASSWORD),
            new SignIn("rufus", "Rufus Dane", List.of(Role.REPAIR_LEAD), PASSWORD),
            new SignIn("wanda", "Wanda Oake", List.of(Role.WELDING_ENGINEER), PASSWORD),
            new SignIn("quinn", "Quinn Sato", List.of(Role.QUALITY_MANAGER), PASSWORD),
            new SignIn("vera", "Vera Holm", List.of(Role.VIEWER), PASSWORD),
            new SignIn("igor", "Igor Thane", List.of(Role.INSTRUCTOR), PASSWORD),
            new SignIn("lea", "Lea Brandt", List.of(Role.LEARNER), PASSWORD),
            new SignIn("noah", "Noah Pike", List.of(Role.LEARNER), PASSWORD),
            new SignIn("mira", "Mira Solane", List.of(Role.LEARNER), PASSWORD),
            new SignIn("otto", "Otto Venn", List.of(Role.LEARNER), PASSWORD),
            new SignIn("june", "June Ashby", List.of(Role.LEARNER), PASSWORD));

    private final boolean demo;

    DemoSignIns(@Value("${mensor.demo}") boolean demo) {
        this.demo = demo;
    }

    /** A way to sign in to the demo. */
    public record SignIn(String login, String name, List<Role> roles, String password) {}

    public boolean isDemo() {
        return demo;
    }

    public List<SignIn> list() {
        return demo ? PEOPLE : List.of();
    }
}
