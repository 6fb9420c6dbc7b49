package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import mensor.server.inspection.WorklistCheck;
import org.junit.jupiter.api.extension.AfterAllCallback;
import org.junit.jupiter.api.extension.BeforeAllCallback;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.springframework.boot.web.server.servlet.context.ServletWebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application on a free port with a fresh database in a temporary folder, started once for all tests. */
public class RunningMensor implements BeforeAllCallback, AfterAllCallback {
    static final String PASSWORD = "a-long-password";
    private static ConfigurableApplicationContext context;

    @Override
    public void beforeAll(ExtensionContext extension) {
        root(extension).getOrComputeIfAbsent("mensor", k -> start());
    }

    /** Whatever was stored, and by whichever way: the worklist's rows are what the other tables make of them. */
    @Override
    public void afterAll(ExtensionContext extension) {
        assertThat(WorklistCheck.changeWhenMadeAnew(context)).isEqualTo("NONE");
    }

    private static ExtensionContext.Store root(ExtensionContext e) {
        return e.getRoot().getStore(ExtensionContext.Namespace.GLOBAL);
    }

    private static Running start() {
        try {
            Path data = Files.createTempDirectory("mensor-test");
            context = MensorApplication.start(
                    "--server.port=0",
                    "--mensor.data=" + data,
                    "--mensor.demo=false",
                    "--mensor.mail.host=simulated",
                    "--mensor.address=https://mensor.shop.example/",
                    "--spring.data.jpa.repositories.bootstrap-mode=default", // every query is read, asked or not
                    "--mensor.db=" + TestDatabase.address());
            TestBrowser first = browser();
            first.post("/api/people/first", "{'login':'quinn','name':'Quinn','password':'" + PASSWORD + "'}")
                    .expect(200);
            for (String[] p : new String[][] {
                {"ines", "INSPECTOR"},
                {"tomas", "INSPECTOR"},
                {"rufus", "REPAIR_LEAD"},
                {"wanda", "WELDING_ENGINEER"},
                {"vera", "VIEWER"},
                {"igor", "INSTRUCTOR"},
                {"lea", "LEARNER"},
                {"noah", "LEARNER"}
            }) {
                first.post(
                                "/api/people",
                                "{'login':'" + p[0] + "','name':'" + p[0] + "','roles':['" + p[1] + "'],'password':'"
                                        + PASSWORD + "'}")
                        .expect(200);
            }
            for (String book : new String[] {"d1.1-static", "d1.1-cyclic", "d1.1-welder-test"}) {
                first.post(
                                "/api/criteria/" + book + "/check",
                                "{'copyEdition':'2020','checkedOn':'2026-01-15','checkedBy':'Quinn'}")
                        .expect(200);
            }
            return new Running();
        } catch (java.io.IOException e) {
            throw new java.io.UncheckedIOException(e);
        }
    }

    /** Closes the application when the last test is through. */
    private static final class Running implements ExtensionContext.Store.CloseableResource, AutoCloseable {
        @Override
        public void close() {
            context.close();
            TestDatabase.close();
        }
    }

    static <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    static ConfigurableApplicationContext context() {
        return context;
    }

    static int port() {
        return ((ServletWebServerApplicationContext) context).getWebServer().getPort();
    }

    /** A visitor who is not signed in. */
    static TestBrowser browser() {
        return new TestBrowser("http://localhost:" + port());
    }

    static TestBrowser as(String login) {
        TestBrowser b = browser();
        b.signIn(login, PASSWORD);
        return b;
    }
}
