package mensor.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.criteria.Citation;
import mensor.criteria.Confidence;
import mensor.criteria.CriteriaBook;
import mensor.inspection.AddendumKind;
import mensor.inspection.Criterion;
import mensor.inspection.Verdict;
import mensor.judge.Ask;
import mensor.judge.Evaluation;
import mensor.judge.Finding;
import mensor.judge.Why;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Named;
import org.erdtman.jcs.JsonCanonicalizer;

/**
 * A signed inspection ({@code mensor-record/1}): its document, the evaluation as it was signed, and the signature, as one
 * text by RFC 8785. What is shown of a signed inspection is read from here and never judged again.
 */
public final class SignedRecord {
    public static final String FORMAT = "mensor-record/1";

    private final Json.Object record;

    private SignedRecord(Json.Object record) {
        this.record = record;
    }

    /** @throws UnreadableInput where it is no record */
    public static SignedRecord read(String text) {
        if (Json.read(text) instanceof Json.Object record
                && new Json.Text(FORMAT).equals(record.fields().get("format"))) {
            return new SignedRecord(record);
        }
        throw new UnreadableInput("format", "\"" + FORMAT + "\" is required");
    }

    /**
     * The text that is summed.
     *
     * @param signature a JSON object
     */
    public static String write(InspectionDocument document, Evaluation evaluation, String signature) {
        Map<String, Json> out = new LinkedHashMap<>();
        out.put("format", new Json.Text(FORMAT));
        out.put("inspection", document.json());
        out.put(
                "evaluation",
                EvaluationDocument.json("", document.inspection().joint().mark(), evaluation));
        out.put("signature", Json.read(signature));
        return canonical(Json.write(new Json.Object(out)));
    }

    /** One text for one content, by RFC 8785. */
    public static String canonical(String json) {
        try {
            return new JsonCanonicalizer(json).getEncodedString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * What an evaluation says beyond its document: for each finding, in their order, which readings decide it, its exact
     * place, what it asked, and whether its limit is a least one.
     */
    public static String details(Evaluation evaluation) {
        return Json.write(new Json.Array(
                evaluation.findings().stream().<Json>map(SignedRecord::details).toList()));
    }

    private static Json details(Finding f) {
        Map<String, Json> out = new LinkedHashMap<>();
        out.put("id", new Json.Text(f.id()));
        out.put("readings", numbers(f.readings()));
        f.span().ifPresent(s -> {
            out.put("from", new Json.Text(s.from().toString()));
            out.put("to", new Json.Text(s.to().toString()));
        });
        out.put(
                "asks",
                new Json.Array(f.asks().stream()
                        .<Json>map(a -> new Json.Text(a.words()))
                        .toList()));
        out.put(
                "least",
                new Json.Bool(f.numbers().filter(Finding.Numbers::isLeast).isPresent()));
        return new Json.Object(out);
    }

    private static Json numbers(List<Integer> indices) {
        return new Json.Array(indices.stream()
                .<Json>map(i -> new Json.Number(String.valueOf(i)))
                .toList());
    }

    /**
     * The evaluation as it was signed.
     *
     * @param details as {@link #details} wrote them; absent for a record signed before they were kept: then which readings
     *     decide is not known
     */
    public Evaluation evaluation(CriteriaBook book, Unit unit, Optional<String> details) {
        Fields f = Fields.of("evaluation", record.fields().get("evaluation"), unit);
        List<Json> kept = details.map(Json::read)
                .filter(Json.Array.class::isInstance)
                .map(a -> ((Json.Array) a).items())
                .orElse(List.of());
        List<Finding> findings = new ArrayList<>();
        f.objects("findings", (at, finding) -> {
            int n = findings.size();
            Optional<Fields> more = n < kept.size()
                    ? Optional.of(Fields.of("details[" + n + "]", kept.get(n), unit))
                    : Optional.empty();
            findings.add(finding(finding, more));
            return at;
        });
        Verdict verdict = word(Verdict.class, f.requiredText("verdict"));
        return new Evaluation(book, verdict, List.copyOf(findings), List.of(), texts(f, "notes"));
    }

    private static Finding finding(Fields f, Optional<Fields> more) {
        String id = f.requiredText("criterion");
        Criterion criterion = Named.find(Criterion.class, id)
                .orElseGet(() -> word(AddendumKind.class, id).criterion());
        Optional<Finding.Numbers> numbers = f.object("numbers").map(n -> {
            boolean least = more.flatMap(m -> m.bool("least")).orElse(false);
            return new Finding.Numbers(
                    n.requiredText("measured"), n.requiredText("allowed"), n.requiredText("margin"), least);
        });
        Optional<Span> exact = more.flatMap(m -> m.length("from").map(from -> new Span(from, m.requiredLength("to"))));
        Finding.Amounts amounts =
                new Finding.Amounts(text(f, "measured"), text(f, "allowed"), text(f, "margin"), numbers);
        Finding.Place place = new Finding.Place(
                exact.or(() -> span(f)),
                indices(f, "indications"),
                more.map(m -> indices(m, "readings")).orElse(List.of()));
        Finding.Basis basis = new Finding.Basis(
                Citation.shownAs(text(f, "citation")), word(Confidence.class, f.requiredText("confidence")));
        List<Ask> asks = more.map(m -> texts(m, "asks")).orElse(List.of()).stream()
                .map(Ask.Kind.AS_SIGNED::of)
                .toList();
        Finding.Grounds grounds = new Finding.Grounds(
                Why.AS_SIGNED.of(text(f, "reason")),
                texts(f, "trace"),
                asks,
                f.bool("nearLimit").orElse(false));
        return new Finding(
                id, criterion, word(Verdict.class, f.requiredText("verdict")), amounts, place, basis, grounds);
    }

    private static Optional<Span> span(Fields f) {
        List<Length> ends = f.list("span", (at, v) -> Fields.asLength(at, v, f.unit()));
        return ends.size() == 2 ? Optional.of(new Span(ends.get(0), ends.get(1))) : Optional.empty();
    }

    private static String text(Fields f, String field) {
        return f.text(field).orElse("");
    }

    private static List<String> texts(Fields f, String field) {
        return f.list(field, (at, v) -> v instanceof Json.Text t ? t.value() : v.said());
    }

    private static List<Integer> indices(Fields f, String field) {
        return f.list(field, (at, v) -> Fields.asNumber(at, v).intValueExact());
    }

    private static <E extends Enum<E> & Named> E word(Class<E> words, String id) {
        return Named.find(words, id)
                .orElseThrow(
                        () -> new UnreadableInput("evaluation", "\"" + id + "\" is not one of " + Named.list(words)));
    }
}
