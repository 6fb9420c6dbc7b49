package mensor.server;

import java.io.BufferedReader;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Mensor as a process of its own, which can be killed. */
final class MensorProcess implements AutoCloseable {
    private final Process process;
    private final String address;

    private MensorProcess(Process process, String address) {
        this.process = process;
        this.address = address;
    }

    static MensorProcess start(Path data, String... more) throws IOException {
        List<String> command = new ArrayList<>(List.of(
                Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                "-XX:TieredStopAtLevel=1",
                "-cp",
                System.getProperty("java.class.path"),
                "mensor.server.MensorApplication",
                "--server.port=0",
                "--mensor.data=" + data));
        command.addAll(List.of(more));
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
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
