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
 * {@code mensor verify [--seal FILE [--head LINES:SUM]]… FILE…}: whether a job's signed records fit together, and hold what was
 * sealed, a line a file; whether a journal of seals is whole up to a head of it that was kept elsewhere. Exit 0 where every chain
 * holds, 1 where one does not, 3 where a file cannot be read.
 */
public final class VerifyCommand extends FileCommand {
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
        Journal journal = null;
        boolean[] broken = {false};
        for (int i = 0; i < arguments.size(); i++) {
            String option = arguments.get(i);
            if (!option.equals("--seal") && !option.equals("--head")) {
                files.add(option);
                continue;
            }
            if (++i == arguments.size()) {
                err.println("mensor verify: " + option + " wants "
                        + (option.equals("--seal") ? "a file" : "the lines and the sum, as printed"));
                return InputFiles.UNREADABLE;
            }
            Optional<String> fault;
            if (option.equals("--seal")) {
                journal = readSeals(arguments.get(i), seals);
                if (journal == null) {
                    return InputFiles.UNREADABLE;
                }
                fault = journal.fault();
            } else if (journal == null) {
                err.println("mensor verify: --head stands after the --seal of its journal");
                return InputFiles.UNREADABLE;
            } else {
                fault = journal.fault(arguments.get(i));
            }
            fault.ifPresent(out::println);
            broken[0] |= fault.isPresent();
        }
        if (journal != null && journal.isChained()) {
            out.println("the journal's head is " + journal.head().shown()
                    + (arguments.contains("--head")
                            ? ""
                            : "; whether lines are missing at its end, a head kept elsewhere tells (--head)"));
        }
        if (files.isEmpty() && journal != null) {
            return broken[0] ? 1 : 0;
        }
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

    /** A receipt, or a journal of them: one a line; null where it cannot be read. */
    private Journal readSeals(String file, List<Seal> seals) {
        try {
            Journal journal = Journal.of(Files.readAllBytes(Path.of(file)));
            for (String line : journal.lines()) {
                if (!line.isBlank() && !Journal.isNote(line)) {
                    seals.add(Seal.read(line));
                }
            }
            return journal;
        } catch (IOException | UnreadableInput e) {
            err.println(file + ": " + (e instanceof IOException ? "cannot be read" : e.getMessage()));
            return null;
        }
    }
}
