package mensor.server;

import ch.qos.logback.classic.Level;
import ch.qos.logback.classic.Logger;
import java.time.Clock;
import mensor.server.db.WhichDatabase;
import org.slf4j.LoggerFactory;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.SpringBootApplication;
import org.springframework.boot.security.autoconfigure.UserDetailsServiceAutoConfiguration;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.annotation.Bean;
import org.springframework.scheduling.annotation.EnableScheduling;

/** The application: REST under {@code /api}, and the browser's part. */
@EnableScheduling
@SpringBootApplication(exclude = UserDetailsServiceAutoConfiguration.class)
public class MensorApplication {
    /** The build found out what is wired to what on the embedded database; on another one, sessions too are kept in it. */
    private static final String WIRED_BEFOREHAND = "spring.aot.enabled";

    public static void main(String[] args) throws Throwable {
        try {
            // What stops a start before its logging is set up is said in one line too, not with where in the code.
            ((Logger) LoggerFactory.getLogger(SpringApplication.class)).setLevel(Level.OFF);
            if (args.length > 0 && MoveCommand.WORDS.contains(args[0])) {
                ((Logger) LoggerFactory.getLogger("org.flywaydb"))
                        .setLevel(Level.ERROR); // nothing of ours sets logging up here
                System.out.println(new MoveCommand(System.getenv()).run(args));
                return;
            }
            start(args);
        } catch (Throwable e) { // whatever stops the start is said in one line, where it is known what it means
            if (e.getClass().getSimpleName().equals("AbandonedRunException")) {
                throw e; // a start that was wanted only so far, while it is built
            }
            String known = StartFailure.explain(e);
            boolean moving = args.length > 0 && MoveCommand.WORDS.contains(args[0]);
            System.err.println(
                    "mensor: " + (known != null ? known : moving ? e.getMessage() : "could not start: " + e));
            System.exit(1);
        }
    }

    /** Starts with command-line style arguments, for example {@code --server.port=0}. */
    public static ConfigurableApplicationContext start(String... args) {
        if (!WhichDatabase.isEmbedded(WhichDatabase.named(args, System.getenv()))) {
            System.setProperty(WIRED_BEFOREHAND, "false");
        }
        return SpringApplication.run(MensorApplication.class, args);
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }
}
