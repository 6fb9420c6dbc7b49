package mensor.exchange;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Unit;
import mensor.study.AgreementAnswers;
import mensor.weld.InvalidField;

/** The answers of an agreement study as a {@code mensor-study/1} document; described in docs/formats.md. */
public final class AgreementFile {
    public static final String KIND = "agreement";
    private static final int LONGEST = 120;

    private AgreementFile() {}

    /** @throws UnreadableInput naming the field by its path */
    public static AgreementAnswers read(String json) {
        Fields f = Fields.of("", Json.read(json), Unit.INCH);
        StudyFile.check(f, KIND);
        try {
            List<int[][][]> answers = f.list(
                    "answers",
                    (at, question) -> StudyFile.items(
                                    at,
                                    question,
                                    (b, person) -> StudyFile.items(b, person, AgreementFile::row)
                                            .toArray(new int[0][]))
                            .toArray(new int[0][][]));
            List<int[]> truth = f.list("truth", AgreementFile::row);
            AgreementAnswers all = new AgreementAnswers(
                    StudyFile.text(f, "title", LONGEST),
                    f.list("people", AgreementFile::name),
                    f.list("questions", AgreementFile::name),
                    answers.toArray(new int[0][][][]),
                    truth.isEmpty() ? Optional.empty() : Optional.of(truth.toArray(new int[0][])));
            f.end();
            return all;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static String name(String at, Json value) {
        if (value instanceof Json.Text t && !t.value().isBlank() && t.value().length() <= LONGEST) {
            return t.value();
        }
        throw new UnreadableInput(at, "a name of up to " + LONGEST + " letters is required");
    }

    private static int[] row(String at, Json value) {
        return StudyFile.items(
                        at, value, (path, v) -> switch (Fields.asNumber(path, v).toPlainString()) {
                            case "0" -> AgreementAnswers.ACCEPT;
                            case "1" -> AgreementAnswers.REJECT;
                            case "2" -> AgreementAnswers.OPEN;
                            default -> throw new UnreadableInput(path, "0 accept, 1 reject or 2 left open is required");
                        })
                .stream()
                .mapToInt(Integer::intValue)
                .toArray();
    }

    public static String write(AgreementAnswers a) {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("format", new Json.Text(GaugeStudyFile.FORMAT));
        fields.put("kind", new Json.Text(KIND));
        fields.put("title", new Json.Text(a.title()));
        fields.put("people", StudyFile.texts(a.people()));
        fields.put("questions", StudyFile.texts(a.questions()));
        List<Json> answers = new ArrayList<>();
        for (int[][][] question : a.answers()) {
            answers.add(new Json.Array(Arrays.stream(question)
                    .<Json>map(person -> new Json.Array(
                            Arrays.stream(person).map(AgreementFile::row).toList()))
                    .toList()));
        }
        fields.put("answers", new Json.Array(answers));
        a.truth()
                .ifPresent(t -> fields.put(
                        "truth",
                        new Json.Array(Arrays.stream(t).map(AgreementFile::row).toList())));
        return Json.write(new Json.Object(fields));
    }

    private static Json row(int[] values) {
        return new Json.Array(Arrays.stream(values)
                .<Json>mapToObj(v -> new Json.Number(String.valueOf(v)))
                .toList());
    }

    /** A row for each answer: question, person, pass, weld, answer and, where it is known, the truth. */
    public static String writeList(AgreementAnswers a) {
        StringBuilder out = new StringBuilder("question,person,pass,weld,answer,truth\r\n");
        String[] words = {"accept", "reject", "open"};
        for (int q = 0; q < a.questions().size(); q++) {
            for (int p = 0; p < a.people().size(); p++) {
                for (int pass = 0; pass < a.passes(); pass++) {
                    for (int w = 0; w < a.welds(); w++) {
                        String truth = a.truth().isPresent() ? words[a.truth().get()[q][w]] : "";
                        out.append(StudyFile.quoted(a.questions().get(q)))
                                .append(',')
                                .append(StudyFile.quoted(a.people().get(p)))
                                .append(',')
                                .append(pass + 1)
                                .append(',')
                                .append(w + 1)
                                .append(',')
                                .append(words[a.answers()[q][p][pass][w]])
                                .append(',')
                                .append(truth)
                                .append("\r\n");
                    }
                }
            }
        }
        return out.toString();
    }
}
