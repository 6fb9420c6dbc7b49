package mensor.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mensor.length.Unit;
import mensor.study.GaugeReadings;
import mensor.weld.InvalidField;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/** The readings of a gauge study as a {@code mensor-study/1} document or as a list (CSV); both are described in docs/formats.md. */
public final class GaugeStudyFile {
    public static final String FORMAT = "mensor-study/1";
    public static final String KIND = "gauge";
    private static final int LONGEST_NAME = 60;
    private static final int MOST_ROWS = 40_000;
    private static final Pattern FRACTION = Pattern.compile("(-?)(?:(\\d{1,6})[ -])?(\\d{1,6})/(\\d{1,6})");

    private GaugeStudyFile() {}

    /** @throws UnreadableInput naming the field by its path */
    public static GaugeReadings read(String json) {
        Fields f = Fields.of("", Json.read(json), Unit.INCH);
        StudyFile.check(f, KIND);
        try {
            List<String> people = f.list("people", GaugeStudyFile::name);
            List<String> parts = f.list("parts", GaugeStudyFile::name);
            List<Double> references = f.list("references", GaugeStudyFile::value);
            List<double[][]> readings = f.list(
                    "readings",
                    (at, of) -> StudyFile.items(
                                    at,
                                    of,
                                    (where, repeat) -> StudyFile.items(where, repeat, GaugeStudyFile::value).stream()
                                            .mapToDouble(Double::doubleValue)
                                            .toArray())
                            .toArray(new double[0][]));
            if (readings.isEmpty()) {
                throw f.error("readings", "a list for each person is required");
            }
            GaugeReadings all = new GaugeReadings(
                    StudyFile.text(f, "title", 120),
                    StudyFile.text(f, "gauge", LONGEST_NAME),
                    StudyFile.text(f, "quantity", LONGEST_NAME),
                    StudyFile.units(f),
                    f.number("tolerance")
                            .map(n -> OptionalDouble.of(n.doubleValue()))
                            .orElse(OptionalDouble.empty()),
                    people,
                    parts,
                    references.isEmpty()
                            ? Optional.empty()
                            : Optional.of(references.stream()
                                    .mapToDouble(Double::doubleValue)
                                    .toArray()),
                    readings.toArray(new double[0][][]));
            f.end();
            return all;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static String name(String path, Json value) {
        if (value instanceof Json.Text t
                && !t.value().isBlank()
                && t.value().strip().length() <= LONGEST_NAME) {
            return t.value().strip();
        }
        throw new UnreadableInput(path, "a name of up to " + LONGEST_NAME + " letters is required");
    }

    private static double value(String path, Json value) {
        return value instanceof Json.Text t
                ? number(path, t.value())
                : Fields.asNumber(path, value).doubleValue();
    }

    /** A number as a gauge shows it, or a fraction; under zero too, as a difference to a master. */
    private static double number(String field, String typed) {
        String text = typed.strip().replace('\u2212', '-');
        Matcher fraction = FRACTION.matcher(text);
        if (fraction.matches()) {
            double over = Double.parseDouble(fraction.group(4));
            double whole = fraction.group(2) == null ? 0 : Double.parseDouble(fraction.group(2));
            if (over > 0) {
                return (fraction.group(1).isEmpty() ? 1 : -1) * (whole + Double.parseDouble(fraction.group(3)) / over);
            }
        }
        if (text.length() > 30 || !text.matches("[+-]?(\\d+\\.?\\d*|\\.\\d+)")) {
            throw new UnreadableInput(
                    field, "a reading as 0.312 or 5/16 is required, got \"" + shortened(typed) + "\"");
        }
        return Double.parseDouble(text);
    }

    private static String shortened(String text) {
        return text.length() <= 40 ? text : text.substring(0, 40) + "…";
    }

    public static String write(GaugeReadings g) {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("format", new Json.Text(FORMAT));
        fields.put("kind", new Json.Text(KIND));
        fields.put("title", new Json.Text(g.title()));
        fields.put("gauge", new Json.Text(g.gauge()));
        fields.put("quantity", new Json.Text(g.quantity()));
        fields.put("units", new Json.Text(g.units().symbol()));
        g.tolerance().ifPresent(t -> fields.put("tolerance", number(t)));
        fields.put("people", StudyFile.texts(g.people()));
        fields.put("parts", StudyFile.texts(g.parts()));
        g.references().ifPresent(r -> fields.put("references", numbers(r)));
        fields.put(
                "readings",
                new Json.Array(Arrays.stream(g.readings())
                        .<Json>map(a -> new Json.Array(Arrays.stream(a)
                                .<Json>map(GaugeStudyFile::numbers)
                                .toList()))
                        .toList()));
        return Json.write(new Json.Object(fields));
    }

    private static Json numbers(double[] values) {
        return new Json.Array(
                Arrays.stream(values).<Json>mapToObj(GaugeStudyFile::number).toList());
    }

    private static Json number(double value) {
        return new Json.Number(plain(value));
    }

    private static String plain(double value) {
        return new BigDecimal(Double.toString(value)).stripTrailingZeros().toPlainString();
    }

    /** What of a study does not stand in its list of readings. */
    public record Heading(String title, String gauge, String quantity, Unit units, OptionalDouble tolerance) {}

    /**
     * A list with the columns person, part, reading and, where it is known, reference; a row for each reading, the repeats in the order of the rows.
     *
     * @throws UnreadableInput naming the line
     */
    public static GaugeReadings readList(Heading heading, String text) {
        String content = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String head = content.lines().findFirst().orElse("");
        char separator = head.indexOf(';') >= 0 ? ';' : head.indexOf('\t') >= 0 ? '\t' : ',';
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator)
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(content), format)) {
            return list(heading, parser);
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            throw new UnreadableInput("", "cannot be read as a list of readings");
        }
    }

    private static GaugeReadings list(Heading heading, CSVParser parser) {
        Map<String, Integer> columns = null;
        Map<String, Map<String, List<Double>>> all = new LinkedHashMap<>();
        Map<String, Double> references = new LinkedHashMap<>();
        List<String> parts = new ArrayList<>();
        int rows = 0;
        for (CSVRecord r : parser) {
            String line = "line " + parser.getCurrentLineNumber();
            if (columns == null) {
                columns = columns(r);
                continue;
            }
            if (++rows > MOST_ROWS) {
                throw new UnreadableInput(line, "more than " + MOST_ROWS + " readings");
            }
            String person = cell(r, columns, "person", line);
            String part = cell(r, columns, "part", line);
            double reading = number(line, cell(r, columns, "reading", line));
            if (!parts.contains(part)) {
                parts.add(part);
            }
            all.computeIfAbsent(person, k -> new LinkedHashMap<>())
                    .computeIfAbsent(part, k -> new ArrayList<>())
                    .add(reading);
            if (columns.containsKey("reference") && columns.get("reference") < r.size()) {
                String said = r.get(columns.get("reference")).strip();
                if (!said.isEmpty()) {
                    Double before = references.put(part, number(line, said));
                    if (before != null && !before.equals(references.get(part))) {
                        throw new UnreadableInput(line, "part " + part + " has two references");
                    }
                }
            }
        }
        if (columns == null || all.isEmpty()) {
            throw new UnreadableInput(
                    "", "the list is empty: a line of headings and a row for each reading are required");
        }
        return joined(heading, all, references, parts);
    }

    private static GaugeReadings joined(
            Heading heading,
            Map<String, Map<String, List<Double>>> all,
            Map<String, Double> references,
            List<String> parts) {
        List<String> people = List.copyOf(all.keySet());
        int repeats = all.values().iterator().next().values().iterator().next().size();
        double[][][] readings = new double[people.size()][repeats][parts.size()];
        for (int a = 0; a < people.size(); a++) {
            for (int p = 0; p < parts.size(); p++) {
                List<Double> read = all.get(people.get(a)).getOrDefault(parts.get(p), List.of());
                if (read.size() != repeats) {
                    throw new UnreadableInput(
                            "readings",
                            String.format(
                                    Locale.ROOT,
                                    "%s read part %s %d times, the first of the list %d times: every person reads every part as"
                                            + " often",
                                    people.get(a),
                                    parts.get(p),
                                    read.size(),
                                    repeats));
                }
                for (int r = 0; r < repeats; r++) {
                    readings[a][r][p] = read.get(r);
                }
            }
        }
        if (!references.isEmpty() && references.size() < parts.size()) {
            throw new UnreadableInput("references", "some parts have one and some have none");
        }
        return new GaugeReadings(
                heading.title(),
                heading.gauge(),
                heading.quantity(),
                heading.units(),
                heading.tolerance(),
                people,
                parts,
                references.isEmpty()
                        ? Optional.empty()
                        : Optional.of(
                                parts.stream().mapToDouble(references::get).toArray()),
                readings);
    }

    private static Map<String, Integer> columns(CSVRecord head) {
        Map<String, Integer> columns = new LinkedHashMap<>();
        for (int i = 0; i < head.size(); i++) {
            String said = head.get(i).strip().toLowerCase(Locale.ROOT);
            String known = switch (said) {
                case "person", "appraiser", "inspector", "who" -> "person";
                case "part", "piece", "place" -> "part";
                case "reading", "value", "measured" -> "reading";
                case "reference", "true", "truth", "master" -> "reference";
                default -> "";
            };
            if (!known.isEmpty() && columns.put(known, i) != null) {
                throw new UnreadableInput("line 1", "two columns say the " + known);
            }
        }
        for (String wanted : List.of("person", "part", "reading")) {
            if (!columns.containsKey(wanted)) {
                throw new UnreadableInput(
                        "line 1",
                        "no column \"" + wanted
                                + "\": person, part and reading are required, reference where it is known");
            }
        }
        return columns;
    }

    private static String cell(CSVRecord r, Map<String, Integer> columns, String column, String line) {
        int i = columns.get(column);
        String said = i < r.size() ? r.get(i).strip().replaceFirst("^'(?=[=+@-])", "") : "";
        if (said.isEmpty() || said.length() > LONGEST_NAME) {
            throw new UnreadableInput(
                    line, "the " + column + " is missing, or is longer than " + LONGEST_NAME + " letters");
        }
        return said;
    }

    /** The readings as a list, each person's repeats one after another. */
    public static String writeList(GaugeReadings g) {
        StringWriter out = new StringWriter();
        try (CSVPrinter csv = new CSVPrinter(
                out,
                CSVFormat.RFC4180
                        .builder()
                        .setHeader("person", "part", "reading", "reference")
                        .get())) {
            for (int a = 0; a < g.people().size(); a++) {
                for (int r = 0; r < g.repeats(); r++) {
                    for (int p = 0; p < g.parts().size(); p++) {
                        csv.printRecord(
                                StudyFile.cell(g.people().get(a)),
                                StudyFile.cell(g.parts().get(p)),
                                plain(g.readings()[a][r][p]),
                                g.references().isPresent()
                                        ? plain(g.references().get()[p])
                                        : "");
                    }
                }
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }
}
