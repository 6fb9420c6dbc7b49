package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
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
    /** Records that share a name with one of the interface and are never sent. */
    private static final List<String> INSIDE = List.of(
            "mensor.plan.PassPlan$Point",
            "mensor.plan.PassPlan$Stretch",
            "mensor.exchange.WeldList$Row",
            "mensor.exchange.WeldList$Sheet");

    @Test
    void theDescriptionIsTheCommittedOne() throws Exception {
        JsonMapper mapper = JsonMapper.builder()
                .enable(SerializationFeature.INDENT_OUTPUT, SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
                .build();
        String running = RunningMensor.browser().get("/api/openapi").expect(200).text();
        String sorted = mapper.writeValueAsString(mapper.readValue(running, TreeMap.class)) + "\n";
        Path committed = Path.of("..", "docs", "api", "openapi.json");
        if (Boolean.getBoolean("openapi.write")) {
            Files.createDirectories(committed.getParent());
            Files.writeString(committed, sorted);
        }
        assertThat(sorted).isEqualToNormalizingNewlines(Files.readString(committed));
    }

    /** The interface's own tests make forms from the kinds that the running application describes. */
    @Test
    void theKindsThatTheInterfaceIsTestedWithAreTheCommittedOnes() throws Exception {
        JsonMapper mapper =
                JsonMapper.builder().enable(SerializationFeature.INDENT_OUTPUT).build();
        String kinds = mapper.writeValueAsString(mapper.readTree(
                        RunningMensor.as("ines").get("/api/kinds").expect(200).text()))
                + "\n";
        Path committed = Path.of("..", "web", "src", "test", "kinds.json");
        if (Boolean.getBoolean("openapi.write")) {
            Files.writeString(committed, kinds);
        }
        assertThat(kinds).isEqualToNormalizingNewlines(Files.readString(committed));
    }

    /** The description names a schema by its record's simple name: two of one name would be described as one. */
    @Test
    void noTwoRecordsOfTheInterfaceShareAName() {
        var schemas = RunningMensor.browser()
                .get("/api/openapi")
                .expect(200)
                .json()
                .get("components")
                .get("schemas");
        Map<String, List<String>> byName = new TreeMap<>();
        new ClassFileImporter()
                        .withImportOption(ImportOption.Predefined.DO_NOT_INCLUDE_TESTS)
                        .importPackages("mensor.server", "mensor.exchange", "mensor.drawing", "mensor.plan")
                        .stream()
                        .filter(c -> c.isRecord() && schemas.has(c.getSimpleName()))
                        .filter(c -> !INSIDE.contains(c.getFullName()))
                        .forEach(c -> byName.computeIfAbsent(c.getSimpleName(), k -> new ArrayList<>())
                                .add(c.getFullName()));
        byName.values().removeIf(classes -> classes.size() == 1);
        assertThat(byName).isEmpty();
    }
}
