package mensor.exchange;

import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.StandardCharsets;
import java.util.List;
import mensor.cause.Traced;
import mensor.cause.Tracer;
import mensor.judge.Judge;
import mensor.look.Inspection;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code mensor trace [--all] FILE…}: the likely causes of what rejects ({@code --all}: of every indication), one line of
 * {@code mensor-causes/1} a file. Exit 0 when all were answered, 3 where one cannot be read.
 */
public final class TraceCommand {
    private final InputStream in;
    private final PrintWriter out;
    private final PrintWriter err;

    public TraceCommand(InputStream in, PrintWriter out, PrintWriter err) {
        this.in = in;
        this.out = out;
        this.err = err;
    }

    public static void main(String[] args) {
        PrintWriter out = new PrintWriter(new OutputStreamWriter(System.out, StandardCharsets.UTF_8), true);
        PrintWriter err = new PrintWriter(new OutputStreamWriter(System.err, StandardCharsets.UTF_8), true);
        System.exit(new TraceCommand(System.in, out, err).run(List.of(args)));
    }

    public int run(List<String> arguments) {
        List<String> files = arguments.stream().filter(a -> !a.equals("--all")).toList();
        boolean all = files.size() < arguments.size();
        return InputFiles.answerEach("trace", files, in, out, err, text -> {
            InspectionDocument document = InspectionDocument.read(text);
            Inspection look = document.inspection();
            List<Traced> traced =
                    all ? Tracer.traceAll(look) : Tracer.trace(look, Judge.evaluate(look, document.book()));
            return JsonMapper.shared()
                    .writeValueAsString(CausesDocument.of(look.joint().mark(), traced));
        });
    }
}
