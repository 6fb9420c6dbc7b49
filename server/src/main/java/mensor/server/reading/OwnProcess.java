package mensor.server.reading;

import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.Duration;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import mensor.server.web.Desks;
import mensor.server.web.Refusal;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;

/**
 * Reads what anybody may have made (PDF, spreadsheets) in a Java process of its own, with a heap and a time limit, so that no file can take the server's
 * memory or its time. Two at once. The limits are set by the system properties {@code mensor.reading.seconds} and {@code mensor.reading.heap}.
 */
public final class OwnProcess {
    private static final Logger LOG = LoggerFactory.getLogger(OwnProcess.class);
    private static final int SECONDS = Integer.getInteger("mensor.reading.seconds", 30);
    private static final String HEAP = System.getProperty("mensor.reading.heap", "512m");
    private static final int MOST_ANSWER = 256 << 20;

    private static final Desks DESKS =
            new Desks(2, Duration.ofSeconds(60), "other files are read at this moment; send it again shortly");

    private static final Set<Process> RUNNING = ConcurrentHashMap.newKeySet();

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(() -> RUNNING.forEach(Process::destroyForcibly)));
    }

    private OwnProcess() {}

    /**
     * What a file comes to.
     *
     * @param field that a refusal names
     * @param damaged what is said where it cannot be read
     */
    public static byte[] read(Class<? extends FileReading> reading, byte[] file, String field, String damaged) {
        return DESKS.at(() -> {
            try {
                return in(started(reading), file, field, damaged);
            } catch (IOException e) {
                LOG.error("no process to read a file in", e);
                throw Refusal.busy("no file can be read at this moment; send it again shortly");
            }
        });
    }

    private static Process started(Class<? extends FileReading> reading) throws IOException {
        return new ProcessBuilder(
                        Path.of(System.getProperty("java.home"), "bin", "java").toString(),
                        "-Xmx" + HEAP,
                        "-XX:+UseSerialGC",
                        "-XX:TieredStopAtLevel=1",
                        "-XX:+ExitOnOutOfMemoryError",
                        "-Djava.awt.headless=true",
                        "-cp",
                        System.getProperty("java.class.path"),
                        ReadingProcess.class.getName(),
                        reading.getName(),
                        String.valueOf(SECONDS + 5))
                .redirectError(ProcessBuilder.Redirect.DISCARD)
                .start();
    }

    private static byte[] in(Process process, byte[] file, String field, String damaged) throws IOException {
        RUNNING.add(process);
        try {
            Thread sent = new Thread(() -> send(file, process));
            sent.start();
            Thread ended = new Thread(() -> endAfterTime(process));
            ended.setDaemon(true);
            ended.start();
            byte[] answer = answer(process.getInputStream());
            boolean over = !process.waitFor(SECONDS, TimeUnit.SECONDS);
            if (over || answer.length > MOST_ANSWER) {
                process.destroyForcibly();
            }
            return told(over ? -1 : process.exitValue(), answer, field, damaged);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw Refusal.busy("Mensor is stopping");
        } finally {
            process.destroyForcibly();
            RUNNING.remove(process);
        }
    }

    private static byte[] told(int exit, byte[] answer, String field, String damaged) {
        if (exit == 0 && answer.length <= MOST_ANSWER) {
            return answer;
        }
        if (exit == ReadingProcess.REFUSED) {
            String[] said = new String(answer, StandardCharsets.UTF_8).split("\n", 2);
            throw Refusal.invalid(said[0], said.length > 1 ? said[1] : damaged);
        }
        if (exit == ReadingProcess.DAMAGED || exit == 1) {
            throw Refusal.invalid(field, damaged);
        }
        throw Refusal.invalid(
                field, "this file needs more time or memory to be read than is taken here; make it smaller or simpler");
    }

    private static void endAfterTime(Process process) {
        try {
            if (!process.waitFor(SECONDS, TimeUnit.SECONDS)) {
                process.destroyForcibly();
            }
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static void send(byte[] file, Process process) {
        try (OutputStream out = process.getOutputStream()) {
            out.write(file);
        } catch (IOException e) {
            LOG.debug("the process ended before it had read all", e);
        }
    }

    /** A little over what is taken, so that too much is seen to be so. */
    private static byte[] answer(InputStream in) throws IOException {
        ByteArrayOutputStream out = new ByteArrayOutputStream();
        byte[] buffer = new byte[1 << 16];
        for (int n = in.read(buffer); n >= 0 && out.size() <= MOST_ANSWER; n = in.read(buffer)) {
            out.write(buffer, 0, n);
        }
        return out.toByteArray();
    }
}
