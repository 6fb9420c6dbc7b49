package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.PrintStream;
import java.io.PrintWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Judge;

/** {@code mensor judge FILE…}: one line of JSON per readable file, in order; one line of error per unreadable one. */
public final class JudgeCommand {
    private static final int ACCEPTED = 0;
    private static final int REJECTED = 1;
    private static final int INCOMPLETE = 2;
    private static final int UNREADABLE = 3;
    /** Of several files the worst decides. */
    private static final List<Integer> WORST_FIRST = List.of(UNREADABLE, REJECTED, INCOMPLETE, ACCEPTED);

    private final InputStream in;
    private final Writer out;
    private final PrintWriter err;

    public JudgeCommand(InputStream in, Writer out, PrintWriter err) {
        this.in = in;
        this.out = out;
        this.err = err;
    }

    public static void main(String[] args) {
        PrintStream stdout = System.out;
        Writer out = new java.io.BufferedWriter(new OutputStreamWriter(stdout, StandardCharsets.UTF_8), 1 << 16);
        PrintWriter err = new PrintWriter(new OutputStreamWriter(System.err, StandardCharsets.UTF_8), true);
        System.exit(FileCommand.codeOf(() -> new JudgeCommand(System.in, out, err).run(List.of(args)), err));
    }

    /** The exit code: 0 accept, 1 reject, 2 incomplete, 3 unreadable. */
    public int run(List<String> files) {
        if (files.isEmpty()) {
            err.println("mensor judge: name one or more inspection files, or - for standard input");
            return UNREADABLE;
        }
        int worst = ACCEPTED;
        try {
            for (String file : files) {
                int code = judge(file);
                worst = WORST_FIRST.indexOf(code) < WORST_FIRST.indexOf(worst) ? code : worst;
            }
            out.flush();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return worst;
    }

    private record Judged(Verdict verdict, String line) {}

    private int judge(String file) throws IOException {
        try {
            Judged judged = InputFiles.within(() -> {
                InspectionDocument document = InspectionDocument.read(InputFiles.text(file, in));
                Evaluation evaluation = Judge.evaluate(document.inspection(), document.book());
                return new Judged(
                        evaluation.verdict(),
                        EvaluationDocument.write(
                                file, document.inspection().joint().mark(), evaluation));
            });
            out.write(judged.line());
            out.write('\n');
            return switch (judged.verdict()) {
                case REJECT -> REJECTED;
                case INCOMPLETE -> INCOMPLETE;
                case ACCEPT, NOT_APPLICABLE -> ACCEPTED;
            };
        } catch (UnreadableInput e) {
            out.flush();
            err.println(InputFiles.oneLine(file, e));
            return UNREADABLE;
        }
    }
}
