package mensor.e2e;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.stream.Stream;

/** The packaged application as its own process, on a free port with a fresh data folder; closing it leaves nothing behind. */
final class StartedMensor implements AutoCloseable {
    private static final String JAR = "mensor-server-0.1.0-app.jar";
    private static Path unpacked;

    private final Path data;
    private final Process process;
    private String address;

    StartedMensor(boolean demo) {
        try {
            data = Files.createTempDirectory("mensor-e2e");
            process = java(List.of(
                            "-XX:TieredStopAtLevel=1",
                            "-Dspring.aot.enabled=true", // as the script starts it
                            "-jar",
                            JAR,
                            "--server.port=0",
                            "--mensor.data=" + data,
                            "--mensor.demo=" + demo))
                    .directory(unpacked().toFile())
                    .redirectErrorStream(true)
                    .start();
            waitForAddress();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static StartedMensor shared;

    /** One with demo data for the classes that leave each other's welds alone; it ends with the tests. */
    static synchronized StartedMensor shared() {
        if (shared == null) {
            shared = new StartedMensor(true);
            Runtime.getRuntime().addShutdownHook(new Thread(shared::close));
        }
        return shared;
    }

    /** Unpacked once for all tests: it starts several times faster than the jar. */
    private static synchronized Path unpacked() throws IOException {
        if (unpacked == null) {
            Path jar = Path.of("..", "server", "target", JAR).toAbsolutePath();
            Path folder = Files.createDirectories(Path.of("target", "app").toAbsolutePath());
            delete(folder);
            Process p = java(List.of(
                            "-Djarmode=tools", "-jar", jar.toString(), "extract", "--destination", folder.toString()))
                    .redirectErrorStream(true)
                    .redirectOutput(Path.of("target", "extract.log").toFile())
                    .start();
            try {
                if (p.waitFor() != 0) {
                    throw new IllegalStateException("the application could not be unpacked, see target/extract.log");
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
                throw new IllegalStateException(e);
            }
            unpacked = folder;
        }
        return unpacked;
    }

    private static ProcessBuilder java(List<String> arguments) {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(arguments);
        return new ProcessBuilder(command);
    }

    private void waitForAddress() throws IOException {
        BufferedReader out = process.inputReader(StandardCharsets.UTF_8);
        List<String> said = new ArrayList<>();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.add(line);
            if (line.startsWith("Mensor is at ")) {
                address = line.substring("Mensor is at ".length());
                Thread drain = new Thread(() -> out.lines().forEach(l -> {}));
                drain.setDaemon(true);
                drain.start();
                return;
            }
        }
        throw new IllegalStateException("did not start: " + said);
    }

    String address() {
        return address;
    }

    @Override
    public void close() {
        process.destroy();
        try {
            process.waitFor();
            delete(data);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void delete(Path folder) throws IOException {
        try (Stream<Path> files = Files.walk(folder)) {
            for (Path p : files.sorted(Comparator.reverseOrder()).toList()) {
                Files.deleteIfExists(p);
            }
        }
    }
}
