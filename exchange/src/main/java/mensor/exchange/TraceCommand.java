package mensor.exchange;

import java.io.InputStream;
import java.io.PrintWriter;
import java.util.List;
import mensor.cause.CauseTrace;
import mensor.cause.Tracer;
import mensor.inspection.Inspection;
import mensor.judge.Judge;
import tools.jackson.databind.json.JsonMapper;

/**
 * {@code mensor trace [--all] FILE…}: the likely causes of what rejects ({@code --all}: of every indication), one line of
 * {@code mensor-causes/1} a file. Exit 0 when all were answered, 3 where one cannot be read.
 */
public final class TraceCommand extends FileCommand {
    public TraceCommand(InputStream in, PrintWriter out, PrintWriter err) {
        super(in, out, err);
    }

    public static void main(String[] args) {
        start(args, TraceCommand::new);
    }

    @Override
    public int run(List<String> arguments) {
        List<String> files = arguments.stream().filter(a -> !a.equals("--all")).toList();
        boolean all = files.size() < arguments.size();
        return InputFiles.answerEach("trace", files, in, out, err, text -> {
            InspectionDocument document = InspectionDocument.read(text);
            Inspection inspection = document.inspection();
            List<CauseTrace> traced = all
                    ? Tracer.traceAll(inspection, Judge.evaluate(inspection, document.book()))
                    : Tracer.trace(inspection, Judge.evaluate(inspection, document.book()));
            return JsonMapper.shared()
                    .writeValueAsString(CausesDocument.of(inspection.joint().mark(), traced));
        });
    }
}
