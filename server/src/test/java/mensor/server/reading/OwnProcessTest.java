package mensor.server.reading;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import mensor.server.web.Refusal;
import org.junit.jupiter.api.Test;

/** What a file makes of the process that reads it stays there. */
class OwnProcessTest {
    private static byte[] read(Class<? extends FileReading> reading, String file) {
        return OwnProcess.read(reading, file.getBytes(StandardCharsets.UTF_8), "file", "this is damaged");
    }

    public static final class Turned implements FileReading {
        @Override
        public byte[] read(byte[] file) {
            System.out.println("what a library says is no answer");
            return new StringBuilder(new String(file, StandardCharsets.UTF_8))
                    .reverse()
                    .toString()
                    .getBytes(StandardCharsets.UTF_8);
        }
    }

    public static final class Greedy implements FileReading {
        @Override
        public byte[] read(byte[] file) {
            List<byte[]> all = new ArrayList<>();
            while (all.size() < 1_000_000) {
                all.add(new byte[16 << 20]);
            }
            return all.get(0);
        }
    }

    public static final class Deep implements FileReading {
        @Override
        public byte[] read(byte[] file) throws IOException {
            return read(file);
        }
    }

    public static final class Refusing implements FileReading {
        @Override
        public byte[] read(byte[] file) {
            throw Refusal.invalid("drawing", "a sheet is up to 5 m long: “naïve”");
        }
    }

    @Test
    void itAnswersWhatTheFileComesTo() {
        assertThat(new String(read(Turned.class, "weld é"), StandardCharsets.UTF_8))
                .isEqualTo("é dlew");
    }

    @Test
    void memoryDepthAndRefusalsAreAnsweredInWords() {
        assertThatThrownBy(() -> read(Greedy.class, "x"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("more time or memory");
        assertThatThrownBy(() -> read(Deep.class, "x"))
                .isInstanceOf(Refusal.class)
                .hasMessage("file: this is damaged");
        assertThatThrownBy(() -> read(Refusing.class, "x"))
                .isInstanceOf(Refusal.class)
                .hasMessage("drawing: a sheet is up to 5 m long: “naïve”");
    }
}
