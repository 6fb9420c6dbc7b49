package mensor.server;

import java.util.stream.Collectors;
import mensor.server.people.DemoSignIns;
import mensor.server.people.FirstVisit;
import mensor.server.people.People;
import mensor.server.people.Role;
import mensor.server.web.StartGate;
import org.springframework.beans.factory.annotation.Value;
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
    private final FirstVisit firstVisit;
    private final StartGate gate;
    private final boolean tls;

    Welcome(
            ServletWebServerApplicationContext context,
            DemoSignIns signIns,
            People people,
            FirstVisit firstVisit,
            StartGate gate,
            @Value("${server.ssl.certificate:}") String certificate) {
        this.gate = gate;
        this.firstVisit = firstVisit;
        this.tls = !certificate.isEmpty();
        this.context = context;
        this.signIns = signIns;
        this.people = people;
    }

    @Override
    public void run(ApplicationArguments arguments) {
        gate.open();
        StringBuilder text = new StringBuilder("Mensor is at " + (tls ? "https" : "http") + "://localhost:"
                + context.getWebServer().getPort() + "\n");
        text.append(
                firstVisit.isOnNetwork()
                        ? tls
                                ? "Other machines can reach it.\n"
                                : "Other machines can reach it, and what they send can be read on the way: see --tls-key in ./mensor help.\n"
                        : "Only this machine can reach it; --host 0.0.0.0 opens it to the network.\n");
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
            text.append("Nobody is registered yet: the first visitor makes the quality manager"
                    + firstVisit
                            .code()
                            .map(c -> ", and is asked for this code: " + c)
                            .orElse("") + ".\n");
        }
        System.out.print(text);
        System.out.flush();
    }
}
