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
    /** As the script lays it out. */
    private static final Path APP = Path.of("..", "server", "target", "app").toAbsolutePath();

    private final Path data;
    private final Process process;
    private String address;

    StartedMensor(boolean demo) {
        try {
            data = Files.createTempDirectory("mensor-e2e");
            process = java(List.of(
                            "-XX:TieredStopAtLevel=1",
                            "-XX:SharedArchiveFile=app.jsa",
                            "-Xshare:auto",
                            "-Xlog:disable",
                            "-Dspring.aot.enabled=true", // as the script starts it
                            "-jar",
                            "mensor-server-0.1.0-app.jar",
                            "--server.port=0",
                            "--mensor.data=" + data,
                            "--mensor.demo-from=demo",
                            "--mensor.demo=" + demo))
                    .directory(APP.toFile())
                    .redirectErrorStream(true)
                    .start();
            waitForAddress();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
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
