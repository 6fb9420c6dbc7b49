package mensor.exchange;

import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.function.IntSupplier;

/** A command that answers files: what it reads from, where its answers go and where its errors. */
abstract class FileCommand {
    final InputStream in;
    final PrintWriter out;
    final PrintWriter err;

    FileCommand(InputStream in, PrintWriter out, PrintWriter err) {
        this.in = in;
        this.out = out;
        this.err = err;
    }

    /** Makes the command of its streams. */
    interface Made {
        FileCommand of(InputStream in, PrintWriter out, PrintWriter err);
    }

    /** Runs the command on the process's own streams, in UTF-8, and ends the process with its code. */
    static void start(String[] arguments, Made command) {
        PrintWriter out = new PrintWriter(new OutputStreamWriter(System.out, StandardCharsets.UTF_8), true);
        PrintWriter err = new PrintWriter(new OutputStreamWriter(System.err, StandardCharsets.UTF_8), true);
        System.exit(codeOf(() -> command.of(System.in, out, err).run(List.of(arguments)), err));
    }

    /** The code of a run; what fails otherwise ends as an unreadable file does, never with the code of a verdict. */
    static int codeOf(IntSupplier run, PrintWriter err) {
        try {
            return run.getAsInt();
        } catch (RuntimeException | Error e) {
            err.println("mensor: " + e);
            return InputFiles.UNREADABLE;
        }
    }

    /** @return the exit code */
    abstract int run(List<String> arguments);
}
