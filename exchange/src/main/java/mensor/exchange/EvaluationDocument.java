package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.judge.Todo;

/** An evaluation as a {@code mensor-evaluation/1} answer. */
public final class EvaluationDocument {
    public static final String FORMAT = "mensor-evaluation/1";

    private EvaluationDocument() {}

    /** One line of JSON. */
    public static String write(String file, String mark, Evaluation evaluation) {
        return Json.write(json(file, mark, evaluation));
    }

    static Json json(String file, String mark, Evaluation e) {
        Map<String, Json> out = new LinkedHashMap<>();
        out.put("format", new Json.Text(FORMAT));
        out.put("file", new Json.Text(file));
        out.put("mark", new Json.Text(mark));
        out.put("criteria", new Json.Text(e.book().id()));
        out.put("edition", new Json.Text(e.book().edition()));
        out.put("verdict", new Json.Text(e.verdict().id()));
        out.put(
                "findings",
                new Json.Array(
                        e.findings().stream().map(EvaluationDocument::finding).toList()));
        out.put("todo", lines(e.todo().stream().map(Todo::ask).toList()));
        out.put("notes", lines(e.notes()));
        return new Json.Object(out);
    }

    private static Json finding(Finding f) {
        Map<String, Json> out = new LinkedHashMap<>();
        out.put("criterion", new Json.Text(f.id()));
        out.put("verdict", new Json.Text(f.verdict().id()));
        out.put("measured", new Json.Text(f.measured()));
        out.put("allowed", new Json.Text(f.allowed()));
        out.put("margin", new Json.Text(f.margin()));
        f.numbers().ifPresent(n -> {
            Map<String, Json> numbers = new LinkedHashMap<>();
            numbers.put("measured", new Json.Text(n.measured()));
            numbers.put("allowed", new Json.Text(n.allowed()));
            numbers.put("margin", new Json.Text(n.margin()));
            out.put("numbers", new Json.Object(numbers));
        });
        f.span()
                .ifPresent(s -> out.put(
                        "span",
                        new Json.Array(List.of(new Json.Text(s.from().decimal()), new Json.Text(s.to().decimal())))));
        out.put(
                "indications",
                new Json.Array(f.indications().stream()
                        .<Json>map(i -> new Json.Number(String.valueOf(i)))
                        .toList()));
        out.put("citation", new Json.Text(f.citation().shown()));
        out.put("confidence", new Json.Text(f.confidence().id()));
        out.put("reason", new Json.Text(f.reason().words()));
        out.put("trace", lines(f.trace()));
        out.put("nearLimit", new Json.Bool(f.nearLimit()));
        return new Json.Object(out);
    }

    private static Json lines(List<String> lines) {
        return new Json.Array(lines.stream().<Json>map(Json.Text::new).toList());
    }
}
