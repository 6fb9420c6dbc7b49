package mensor.server.reading;

import java.io.IOException;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import mensor.server.web.Refusal;

/** The other end of {@link OwnProcess}: reads one file from its input, writes what it comes to, and ends. */
public final class ReadingProcess {
    static final int REFUSED = 20;
    static final int DAMAGED = 21;

    private ReadingProcess() {}

    /** @param args the reading's class, and how many seconds it may take */
    public static void main(String[] args) throws ReflectiveOperationException, IOException {
        endsAfter(Integer.parseInt(args[1]));
        OutputStream out = System.out;
        System.setOut(System.err); // what a library says is no answer
        FileReading reading =
                (FileReading) Class.forName(args[0]).getDeclaredConstructor().newInstance();
        try {
            byte[] answer = reading.read(System.in.readAllBytes());
            out.write(answer);
            out.flush();
        } catch (Refusal e) {
            Refusal.FieldProblem first = e.fields().get(0);
            PrintStream said = new PrintStream(out, true, StandardCharsets.UTF_8);
            said.print(first.field() + "\n" + first.problem());
            said.flush();
            Runtime.getRuntime().halt(REFUSED);
        } catch (IOException | RuntimeException | StackOverflowError e) {
            Runtime.getRuntime().halt(DAMAGED);
        }
        Runtime.getRuntime().halt(0);
    }

    /** Whoever started it may be gone. */
    private static void endsAfter(int seconds) {
        Thread watch = new Thread(() -> {
            try {
                Thread.sleep(seconds * 1000L);
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            }
            Runtime.getRuntime().halt(DAMAGED);
        });
        watch.setDaemon(true);
        watch.start();
    }
}
