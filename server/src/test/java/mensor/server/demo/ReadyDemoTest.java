package mensor.server.demo;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.stream.Stream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;

class ReadyDemoTest {
    private static final Instant MADE = Instant.parse("2026-05-12T06:00:00Z");

    @TempDir
    Path folder;

    private Path from;
    private Path data;

    @BeforeEach
    void make() throws IOException {
        from = Files.createDirectories(folder.resolve("ready"));
        data = folder.resolve("data");
        Files.writeString(from.resolve("mensor.mv.db"), "rows");
        Files.writeString(from.resolve("seal-key"), "key");
        Files.writeString(Files.createDirectory(from.resolve("scans")).resolve("a.scan"), "points");
        Files.writeString(from.resolve(ReadyDemo.MADE_AT), MADE + "\n");
    }

    private boolean isCopiedAfter(Duration age) throws IOException {
        ReadyDemo.copy(from, data, MADE.plus(age));
        if (!Files.exists(data)) {
            return false;
        }
        try (Stream<Path> files = Files.walk(data)) {
            assertThat(files.filter(Files::isRegularFile)
                            .map(f -> data.relativize(f).toString())
                            .toList())
                    .containsExactlyInAnyOrder("mensor.mv.db", "seal-key", "scans/a.scan");
        }
        return true;
    }

    @Test
    void isCopiedWholeWhileItIsFresh() throws IOException {
        assertThat(isCopiedAfter(Duration.ofHours(11))).isTrue();
    }

    /** "Welded 22 hours ago" would not be true any more; nor is what comes from tomorrow. */
    @Test
    void isLeftOnceItIsOld() throws IOException {
        assertThat(isCopiedAfter(Duration.ofHours(12))).isFalse();
        assertThat(isCopiedAfter(Duration.ofMinutes(-1))).isFalse();
    }

    @Test
    void isLeftWhereItIsNotWhole() throws IOException {
        Files.delete(from.resolve(ReadyDemo.MADE_AT));
        assertThat(isCopiedAfter(Duration.ZERO)).isFalse();
    }

    @Test
    void neverTouchesWhatIsKept() throws IOException {
        Files.writeString(Files.createDirectory(data).resolve("mensor.mv.db"), "mine");
        ReadyDemo.copy(from, data, MADE);
        assertThat(data.resolve("mensor.mv.db")).hasContent("mine");
        assertThat(data.resolve("seal-key")).doesNotExist();
    }

    /** The files that were there go with it, so that the next start copies it anew. */
    @Test
    void aCopyThatWasCutOffIsClearedAtTheNextStart() throws IOException {
        Files.createDirectory(data);
        HalfFilledDemo.begin(data);
        Files.writeString(data.resolve("seal-key"), "key");
        HalfFilledDemo.clear(data.toString());
        assertThat(isCopiedAfter(Duration.ZERO)).isTrue();
    }
}
