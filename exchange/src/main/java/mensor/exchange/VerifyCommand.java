package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.PrintWriter;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * {@code mensor verify [--seal FILE]… FILE…}: whether a job's signed records fit together, and hold what was sealed, a line a
 * file. Exit 0 where every chain holds, 1 where one does not, 3 where a file cannot be read.
 */
public final class VerifyCommand extends FileCommand {
    /** Beside the seals a journal names the jobs that were brought in. */
    private static final String BROUGHT = "\"mensor-brought/1\"";

    public VerifyCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, VerifyCommand::new);
    }

    @Override
    public int run(List<String> arguments) {
        List<String> files = new ArrayList<>();
        List<Seal> seals = new ArrayList<>();
        for (int i = 0; i < arguments.size(); i++) {
            if (!arguments.get(i).equals("--seal")) {
                files.add(arguments.get(i));
            } else if (++i == arguments.size()) {
                err.println("mensor verify: --seal wants a file");
                return InputFiles.UNREADABLE;
            } else if (!readSeals(arguments.get(i), seals)) {
                return InputFiles.UNREADABLE;
            }
        }
        boolean[] broken = {false};
        int code = InputFiles.answerEach("verify", files, in, out, err, text -> {
            ChainFile chain = ChainFile.read(text);
            Optional<String> fault = chain.check()
                    .map(f -> "record " + f.place() + ", " + f.mark() + ": " + f.problem())
                    .or(() -> fault(chain, seals));
            broken[0] |= fault.isPresent();
            return chain.job() + ": "
                    + fault.orElse(chain.links().size() + " signed records, the chain holds to its last one"
                            + sealed(chain, seals));
        });
        return code != 0 ? code : broken[0] ? 1 : 0;
    }

    /** A journal holds the seals of all jobs; those of this one are compared. */
    private static Optional<String> fault(ChainFile chain, List<Seal> seals) {
        Optional<Seal> changed = seals.stream().filter(s -> !s.isGenuine()).findFirst();
        if (changed.isPresent()) {
            return changed.get().fault(chain);
        }
        if (!seals.isEmpty() && seals.stream().noneMatch(s -> s.job().equals(chain.job()))) {
            return Optional.of(
                    "no seal is of this job; the first is of " + seals.get(0).job());
        }
        return seals.stream()
                .filter(s -> s.job().equals(chain.job()))
                .flatMap(s -> s.fault(chain).stream())
                .findFirst();
    }

    /** What was compared, and what could not be. */
    private static String sealed(ChainFile chain, List<Seal> seals) {
        if (seals.isEmpty()) {
            return "";
        }
        long without = chain.links().stream()
                .filter(l -> seals.stream()
                        .noneMatch(s -> s.place() == l.place() && s.sha256().equals(l.sha256())))
                .count();
        return " and has what was sealed" + (without == 0 ? "" : "; no seal is there of " + without + " of them");
    }

    /** A receipt, or a journal of them: one a line. */
    private boolean readSeals(String file, List<Seal> seals) {
        try {
            for (String line : Files.readAllLines(Path.of(file))) {
                if (!line.isBlank() && !line.contains(BROUGHT)) {
                    seals.add(Seal.read(line));
                }
            }
            return true;
        } catch (IOException | UnreadableInput e) {
            err.println(file + ": " + (e instanceof IOException ? "cannot be read" : e.getMessage()));
            return false;
        }
    }
}
