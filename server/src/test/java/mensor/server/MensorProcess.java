package mensor.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Mensor as a process of its own, which can be killed: as it ships, where the build has laid that out. */
final class MensorProcess implements AutoCloseable {
    /** The folder of the application as the script starts it; null where the build has not laid it out. */
    private static final String SHIPPED = System.getProperty("mensor.shipped");

    /** For a start with demo data: those that the build made, where it did; else the start makes them. */
    static final String READY_DEMO = "--mensor.demo-from=" + SHIPPED + "/demo";

    private final Process process;
    private final String address;

    private MensorProcess(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    /** Beside other tests it may still be laid out. */
    private static boolean isShipped() {
        return SHIPPED != null && Files.exists(Path.of(SHIPPED, "built"));
    }

    static MensorProcess start(Path data, String... more) throws IOException {
        boolean shipped = isShipped();
        List<String> command = new ArrayList<>(
                List.of(Path.of(System.getProperty("java.home"), "bin", "java").toString(), "-XX:TieredStopAtLevel=1"));
        command.addAll(
                !shipped
                        ? List.of("-cp", System.getProperty("java.class.path"), "mensor.server.MensorApplication")
                        : List.of(
                                "-XX:SharedArchiveFile=app.jsa",
                                "-Xshare:auto",
                                "-Xlog:disable",
                                "-Dspring.aot.enabled=true",
                                "-jar",
                                "mensor-server-0.1.0-app.jar"));
        command.addAll(List.of("--server.port=0", "--mensor.data=" + data));
        command.addAll(List.of(more));
        Process process = new ProcessBuilder(command)
                .directory(!shipped ? null : Path.of(SHIPPED).toFile())
                .redirectErrorStream(true)
                .start();
        BufferedReader out = process.inputReader(StandardCharsets.UTF_8);
        List<String> said = new ArrayList<>();
        for (String line = out.readLine(); line != null; line = out.readLine()) {
            said.add(line);
            if (line.startsWith("Mensor is at ")) {
                return new MensorProcess(process, line.substring("Mensor is at ".length()));
            }
        }
        throw new IllegalStateException("did not start: " + said);
    }

    String address() {
        return address;
    }

    void kill() {
        try {
            process.destroyForcibly().waitFor();
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    @Override
    public void close() {
        kill();
    }
}
