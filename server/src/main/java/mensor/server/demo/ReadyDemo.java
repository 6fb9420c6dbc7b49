package mensor.server.demo;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardCopyOption;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.stream.Stream;

/**
 * Demo data that the build made beforehand, in a folder of its own: copied, so that the demo is there within seconds. What it says
 * of today and of an hour ago grows old; after half a day the start fills the demo anew.
 */
public final class ReadyDemo {
    /** When it was made, ISO 8601: written last, so that what is not whole is not taken. */
    static final String MADE_AT = "made-at";

    static final Duration GOOD_FOR = Duration.ofHours(12);

    private ReadyDemo() {}

    /** Copies it where nothing is kept yet; what is there is never touched. */
    public static void copy(Path from, Path data, Instant now) {
        try {
            if (!isFresh(from, now) || !isEmpty(data)) {
                return;
            }
            Files.createDirectories(data);
            HalfFilledDemo.begin(data);
            for (Path file : files(from)) {
                Path copy = data.resolve(from.relativize(file).toString());
                Files.createDirectories(copy.getParent());
                Files.copy(file, copy, StandardCopyOption.REPLACE_EXISTING, StandardCopyOption.COPY_ATTRIBUTES);
            }
            HalfFilledDemo.end(data);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static boolean isFresh(Path from, Instant now) throws IOException {
        Path madeAt = from.resolve(MADE_AT);
        if (!Files.exists(madeAt)) {
            return false;
        }
        Duration age = Duration.between(Instant.parse(Files.readString(madeAt).strip()), now);
        return !age.isNegative() && age.compareTo(GOOD_FOR) < 0;
    }

    private static boolean isEmpty(Path data) {
        return HalfFilledDemo.FILES.stream().noneMatch(f -> Files.exists(data.resolve(f)));
    }

    private static List<Path> files(Path from) throws IOException {
        try (Stream<Path> all = Files.walk(from)) {
            return all.filter(Files::isRegularFile)
                    .filter(f -> !f.getFileName().toString().equals(MADE_AT))
                    .toList();
        }
    }
}
