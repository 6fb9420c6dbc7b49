package mensor.server;

import java.util.stream.Collectors;
import mensor.server.people.DemoSignIns;
import mensor.server.people.People;
import mensor.server.people.Role;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;

/** Says where the application is, and in the demo who can sign in. */
@Component
@Order(2)
class Welcome implements ApplicationRunner {
    private final ServletWebServerApplicationContext context;
    private final DemoSignIns signIns;
    private final People people;

    Welcome(ServletWebServerApplicationContext context, DemoSignIns signIns, People people) {
        this.context = context;
        this.signIns = signIns;
        this.people = people;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        StringBuilder text = new StringBuilder(
                "Mensor is at http://localhost:" + context.getWebServer().getPort() + "\n");
        if (signIns.isDemo()) {
            text.append("Demo data; sign in as one of:\n");
            signIns.list()
                    .forEach(s -> text.append(String.format(
                            "  %-7s password %s   %s, %s%n",
                            s.login(),
                            s.password(),
                            s.name(),
                            s.roles().stream().map(Role::words).collect(Collectors.joining(" and ")))));
        } else if (people.isEmpty()) {
            text.append("Nobody is registered yet: the first visitor makes the quality manager.\n");
        }
        System.out.print(text);
        System.out.flush();
    }
}
