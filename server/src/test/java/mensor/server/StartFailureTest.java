package mensor.server;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.catchThrowable;

import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.api.io.TempDir;

/** What stops a start is said in one clear line. */
@ExtendWith(RunningMensor.class)
class StartFailureTest {
    @TempDir
    Path data;

    private static String start(int port, Path data) {
        Throwable e = catchThrowable(() -> MensorApplication.start("--server.port=" + port, "--mensor.data=" + data)
                .close());
        return e == null ? null : StartFailure.explain(e);
    }

    @Test
    void aPortInUse() {
        assertThat(start(RunningMensor.port(), data))
                .isEqualTo("port " + RunningMensor.port() + " is in use; name another with --port");
    }

    @Test
    void aDatabaseFromANewerVersion() throws Exception {
        assertThat(start(0, data)).as("a fresh start").isNull();
        try (Connection c = DriverManager.getConnection("jdbc:h2:file:" + data.resolve("mensor"), "mensor", "");
                Statement s = c.createStatement()) {
            s.execute(
                    "insert into \"flyway_schema_history\" (\"installed_rank\",\"version\",\"description\",\"type\",\"script\",\"checksum\",\"installed_by\",\"execution_time\",\"success\") values (99,'99','later','SQL','V99__later.sql',1,'mensor',1,true)");
        }
        assertThat(start(0, data)).contains("newer version of Mensor");
    }

    @Test
    void aDataFolderThatIsNone() throws Exception {
        Path file = Files.writeString(data.resolve("file"), "x");
        assertThat(start(0, file.resolve("sub"))).contains("data folder");
    }

    /** As on a disk that is mounted for reading alone; tried by hand on one. */
    @Test
    void aDatabaseThatCannotBeWritten() {
        assertThat(start(0, data)).as("a fresh start").isNull();
        Throwable e = catchThrowable(() -> MensorApplication.start(
                        "--server.port=0",
                        "--mensor.data=" + data,
                        "--spring.datasource.url=jdbc:h2:file:" + data.resolve("mensor") + ";ACCESS_MODE_DATA=r")
                .close());
        assertThat(e).isNotNull();
        assertThat(StartFailure.explain(e))
                .as(String.valueOf(e))
                .isEqualTo("the data folder cannot be written; name another with --data");
    }

    private static String withDatabase(Path data, String... more) {
        List<String> args = new ArrayList<>(List.of("--server.port=0", "--mensor.data=" + data));
        args.addAll(List.of(more));
        Throwable e = catchThrowable(
                () -> MensorApplication.start(args.toArray(String[]::new)).close());
        return e == null ? null : StartFailure.explain(e);
    }

    @Test
    void aPostgresqlThatIsNotThere() {
        assertThat(withDatabase(data, "--mensor.db=jdbc:postgresql://localhost:1/mensor"))
                .startsWith("the database that MENSOR_DB names cannot be reached: ")
                .contains("localhost:1");
    }

    @Test
    void anAddressThatNamesNoPostgresql() {
        assertThat(withDatabase(data, "--mensor.db=postgres://somewhere/mensor"))
                .isEqualTo("MENSOR_DB begins with jdbc:postgresql://, this is postgres://somewhere/mensor");
        assertThat(withDatabase(data, "--mensor.demo=true", "--mensor.db=jdbc:postgresql://localhost/mensor"))
                .isEqualTo("the demo is kept in the embedded database; start it without MENSOR_DB");
    }
}
