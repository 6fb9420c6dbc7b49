package mensor.server;

import java.util.Map;
import mensor.server.demo.HalfFilledDemo;
import org.springframework.boot.EnvironmentPostProcessor;
import org.springframework.boot.SpringApplication;
import org.springframework.core.env.ConfigurableEnvironment;
import org.springframework.core.env.MapPropertySource;

/**
 * Before the database is opened: a half filled demo is cleared; with {@code mensor.data=mem} the database is kept in memory, for
 * a start that only lays the classes out.
 */
public class MemoryDatabase implements EnvironmentPostProcessor {
    @Override
    public void postProcessEnvironment(ConfigurableEnvironment environment, SpringApplication application) {
        String data = environment.getProperty("mensor.data");
        if (data != null && environment.getProperty("mensor.demo", Boolean.class, false)) {
            HalfFilledDemo.clear(data);
        }
        if ("mem".equals(data)) {
            environment
                    .getPropertySources()
                    .addFirst(new MapPropertySource(
                            "memory", Map.of("spring.datasource.url", "jdbc:h2:mem:mensor;DB_CLOSE_DELAY=-1")));
        }
    }
}
