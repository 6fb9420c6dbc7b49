package mensor.server.db;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.stream.Stream;

/** The files of scans, which stand beside the database. */
final class ScanFiles {
    static final String FOLDER = "scans";

    private ScanFiles() {}

    /** Those in a data folder, or in what was written of one. Each is whole, since a file gets its name only once it is. */
    static List<Path> of(Path data) throws IOException {
        Path folder = data.resolve(FOLDER);
        if (!Files.isDirectory(folder)) {
            return List.of();
        }
        try (Stream<Path> all = Files.list(folder)) {
            return all.filter(p -> !p.toString().endsWith(".part")).sorted().toList();
        }
    }
}
