package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Files;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;

/**
 * The description of the interface in docs/api, from which the browser's types are made, is the one that the running
 * application gives. After a change of the interface: {@code mvn -pl server test -Dtest=OpenApiTest -Dopenapi.write=true}.
 */
@ExtendWith(RunningMensor.class)
class OpenApiTest {
    @Test
    void theDescriptionIsTheCommittedOne() throws Exception {
        JsonMapper mapper = JsonMapper.builder()
                .enable(SerializationFeature.INDENT_OUTPUT, SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .build();
        String running = RunningMensor.browser().get("/api/openapi").expect(200).text();
        String sorted = mapper.writeValueAsString(mapper.readValue(running, java.util.TreeMap.class)) + "\n";
        Path committed = Path.of("..", "docs", "api", "openapi.json");
        if (Boolean.getBoolean("openapi.write")) {
            Files.createDirectories(committed.getParent());
            Files.writeString(committed, sorted);
        }
        assertThat(sorted).isEqualToNormalizingNewlines(Files.readString(committed));
    }
}
