package mensor.exchange;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;

/**
 * A list of welds as a spreadsheet writes it: comma, semicolon or tab between the cells, quotes, a byte-order mark, a decimal
 * comma. The first line names the columns; those that are not known are said and left out. Described in docs/formats.md.
 */
public final class WeldList {
    private static final String GROOVE = "groove.";
    private static final int MOST_ROWS = 100_000;
    private static final Pattern DECIMAL_COMMA = Pattern.compile("(\\d*),(\\d+)(\\D.*)?");
    private static final Pattern STRETCH =
            Pattern.compile("(.+?)\\s*(?:–|\\bto\\b|(?<=[\\d ])-(?=\\s*\\.?\\d)(?!\\s*\\d+/))\\s*(.+)");

    /** A column: how it is headed, other headings it goes by, and the field of the joint that it fills, if one. */
    public enum Column {
        MARK("mark", "mark", "joint", "joint mark", "piece mark"),
        WELD_NO("weld no", "weldNo", "weld number", "weld", "no"),
        SIDE("side", "side"),
        LOT("lot", "", "place", "area"),
        DRAWING("drawing", "", "drawing no", "dwg"),
        REVISION("rev", "", "revision", "drawing rev"),
        TYPE("type", "weld", "weld type"),
        CONNECTION("connection", "connection", "joint type"),
        CORNER("corner", "corner"),
        SIZE("size", "size", "leg", "fillet size"),
        THROAT("throat", "throat"),
        PENETRATION("penetration", "penetration"),
        PREP("prep", "groove.prep", "preparation"),
        ANGLE("included angle", "groove.includedAngle", "groove angle"),
        ROOT_FACE("root face", "groove.rootFace", "land"),
        ROOT_OPENING("root opening", "groove.rootOpening"),
        BACKING("backing", "backing"),
        FLUSH("flush", "flush"),
        ONE_SIDED("one sided", "oneSided", "one side"),
        UPPER("upper member", "upper", "upper", "stands above"),
        LENGTH("length", "length"),
        POSITION("position", "position"),
        MEMBER_A("member a", "members[0].name", "first member"),
        THICKNESS_A("thickness a", "members[0].thickness", "t1", "thickness"),
        MEMBER_B("member b", "members[1].name", "second member"),
        THICKNESS_B("thickness b", "members[1].thickness", "t2"),
        DATUM("datum", "datum"),
        CLOSED("closed", "closed", "all around"),
        SEGMENTS("segments", "segments", "stretches"),
        GRADE("grade", "grade", "base metal", "material"),
        DELAYED("delayed", "delayed"),
        PRIMARY("primary", "primary"),
        TRANSVERSE("transverse tension", "transverseTension"),
        WELDER("welder", "", "stamp"),
        WPS("wps", "", "procedure"),
        /** The sheet of the weld map, and where on it: shares of its width and height. */
        SHEET("sheet", "", "map sheet"),
        X("x", ""),
        Y("y", "");

        private final String heading;
        private final String field;
        private final List<String> names;

        Column(String heading, String field, String... others) {
            this.heading = heading;
            this.field = field;
            this.names =
                    Stream.concat(Stream.of(heading), Arrays.stream(others)).toList();
        }

        public String heading() {
            return heading;
        }

        static Optional<Column> of(String heading) {
            String plain = heading.strip()
                    .toLowerCase(Locale.ROOT)
                    .replaceAll("[\\s_.]+", " ")
                    .strip();
            return Arrays.stream(values()).filter(c -> c.names.contains(plain)).findFirst();
        }

        /** The heading of the column that fills a field of the joint, for an error of that field. */
        static String headingOf(String field) {
            String plain = field.replaceFirst("^segments\\[.*", "segments");
            return Arrays.stream(values())
                    .filter(c -> c.field.equals(plain))
                    .map(Column::heading)
                    .findFirst()
                    .orElse(field);
        }
    }

    /** One weld; {@code line} as the spreadsheet counts its rows, the headings being 1. Empty cells are left out. */
    public record Row(int line, Map<Column, String> cells) {
        public String cell(Column c) {
            return cells.getOrDefault(c, "");
        }
    }

    /** @param ignored headings that are not known, whose cells are left out */
    public record Sheet(List<String> ignored, List<Row> rows) {}

    private WeldList() {}

    /** @throws UnreadableInput where it is no list of welds at all; what is wrong with one row is found later */
    public static Sheet read(String text) {
        String content = text.startsWith("\uFEFF") ? text.substring(1) : text;
        String head = content.lines().filter(l -> !l.isBlank()).findFirst().orElse("");
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setDelimiter(separator(head))
                .setIgnoreSurroundingSpaces(true)
                .setIgnoreEmptyLines(false)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(content), format)) {
            return read(parser);
        } catch (IOException | UncheckedIOException | IllegalStateException | IllegalArgumentException e) {
            throw new UnreadableInput(
                    "",
                    "cannot be read as a list: "
                            + String.valueOf(e.getMessage()).lines().findFirst().orElse(""));
        }
    }

    private static char separator(String head) {
        String unquoted = head.replaceAll("\"[^\"]*\"", "");
        long tabs = unquoted.chars().filter(c -> c == '\t').count();
        long semicolons = unquoted.chars().filter(c -> c == ';').count();
        long commas = unquoted.chars().filter(c -> c == ',').count();
        return tabs > 0 && tabs >= semicolons ? '\t' : semicolons > 0 && semicolons >= commas ? ';' : ',';
    }

    private static Sheet read(CSVParser parser) {
        Map<Integer, Column> columns = null;
        List<String> ignored = new ArrayList<>();
        List<Row> rows = new ArrayList<>();
        int line = 0;
        for (CSVRecord r : parser) {
            line++;
            boolean blank = r.stream().allMatch(String::isBlank);
            if (blank) {
                continue;
            }
            if (columns == null) {
                columns = headings(r, ignored);
                continue;
            }
            Map<Column, String> cells = new EnumMap<>(Column.class);
            columns.forEach((i, c) -> {
                if (i < r.size() && !r.get(i).isBlank()) {
                    cells.put(c, r.get(i).strip().replaceFirst("^'(?=[=+@-])", ""));
                }
            });
            rows.add(new Row(line, cells));
            if (rows.size() > MOST_ROWS) {
                throw new UnreadableInput("", "more than " + MOST_ROWS + " rows; import it in parts");
            }
        }
        if (columns == null) {
            throw new UnreadableInput("", "the list is empty; a line of headings and a row for each weld are required");
        }
        return new Sheet(List.copyOf(ignored), List.copyOf(rows));
    }

    private static Map<Integer, Column> headings(CSVRecord r, List<String> ignored) {
        Map<Integer, Column> columns = new LinkedHashMap<>();
        for (int i = 0; i < r.size(); i++) {
            Optional<Column> c = Column.of(r.get(i));
            if (c.isPresent() && columns.containsValue(c.get())) {
                throw new UnreadableInput("", "the column \"" + r.get(i) + "\" is there twice");
            }
            if (c.isPresent()) {
                columns.put(i, c.get());
            } else if (!r.get(i).isBlank()) {
                ignored.add(r.get(i));
            }
        }
        for (Column c : List.of(Column.MARK, Column.LENGTH)) {
            if (!columns.containsValue(c)) {
                throw new UnreadableInput(
                        "",
                        "no column is headed \"" + c.heading() + "\"; the first line names the columns: "
                                + String.join(
                                        ", ",
                                        Arrays.stream(Column.values())
                                                .map(Column::heading)
                                                .toList()));
            }
        }
        return columns;
    }

    /** The joint of a row in the inspection format's shape; what is wrong with it shows when it is read. */
    public static String joint(Row row) {
        Map<String, Json> joint = new LinkedHashMap<>();
        Map<String, Json> groove = new LinkedHashMap<>();
        List<Map<String, Json>> members = List.of(new LinkedHashMap<>(), new LinkedHashMap<>());
        row.cells().forEach((column, cell) -> {
            String field = column.field;
            if (field.startsWith("members[")) {
                int n = field.charAt("members[".length()) - '0';
                members.get(n).put(field.substring(field.indexOf('.') + 1), text(column, cell));
            } else if (field.startsWith(GROOVE)) {
                groove.put(field.substring(GROOVE.length()), value(column, cell));
            } else if (!field.isEmpty()) {
                joint.put(field, value(column, cell));
            }
        });
        boolean grooved = joint.containsKey("penetration") || !groove.isEmpty();
        joint.putIfAbsent("weld", new Json.Text(grooved ? "groove" : "fillet"));
        boolean isGroove = joint.get("weld") instanceof Json.Text t && t.value().equals("groove");
        joint.putIfAbsent("connection", new Json.Text(isGroove ? "butt" : "tee"));
        if (!groove.isEmpty()) {
            joint.put("groove", new Json.Object(groove));
        }
        List<Json> given = members.stream()
                .filter(m -> !m.isEmpty())
                .map(m -> (Json) new Json.Object(m))
                .toList();
        joint.put("members", new Json.Array(given));
        return Json.write(new Json.Object(joint));
    }

    private static Json.Text text(Column column, String cell) {
        boolean isLength = column == Column.THICKNESS_A || column == Column.THICKNESS_B;
        return new Json.Text(isLength ? decimalPoint(cell) : cell);
    }

    private static Json value(Column column, String cell) {
        return switch (column) {
            case SIZE, THROAT, LENGTH, ROOT_FACE, ROOT_OPENING -> new Json.Text(decimalPoint(cell));
            case CLOSED, DELAYED, PRIMARY, TRANSVERSE, BACKING, FLUSH, ONE_SIDED -> yesNo(cell);
            case ANGLE -> number(decimalPoint(cell.replace("°", "").strip()));
            case SEGMENTS -> segments(cell);
            case SIDE, TYPE, CONNECTION, CORNER, PENETRATION ->
                new Json.Text(cell.toLowerCase(Locale.ROOT).replaceFirst(" side$", ""));
            case POSITION -> new Json.Text(cell.toUpperCase(Locale.ROOT));
            default -> new Json.Text(cell);
        };
    }

    private static String decimalPoint(String cell) {
        Matcher m = DECIMAL_COMMA.matcher(cell);
        return m.matches() ? m.group(1) + "." + m.group(2) + (m.group(3) == null ? "" : m.group(3)) : cell;
    }

    /** What is no number stays a text, and is refused when the joint is read. */
    private static Json number(String cell) {
        return cell.matches("\\d{1,3}(\\.\\d{1,3})?") ? new Json.Number(cell) : new Json.Text(cell);
    }

    /** What is neither yes nor no stays a text, and is refused when the joint is read. */
    private static Json yesNo(String cell) {
        return switch (cell.toLowerCase(Locale.ROOT)) {
            case "yes", "y", "true", "1", "x" -> new Json.Bool(true);
            case "no", "n", "false", "0" -> new Json.Bool(false);
            default -> new Json.Text(cell);
        };
    }

    private static Json segments(String cell) {
        List<Json> all = new ArrayList<>();
        for (String part : cell.split("[;|]|,\\s")) {
            Matcher m = STRETCH.matcher(part.strip());
            Map<String, Json> stretch = new LinkedHashMap<>();
            stretch.put("from", new Json.Text(decimalPoint(m.matches() ? m.group(1) : part.strip())));
            if (m.matches()) {
                stretch.put("to", new Json.Text(decimalPoint(m.group(2))));
            }
            all.add(new Json.Object(stretch));
        }
        return new Json.Array(all);
    }

    /** A row's problem with the heading of the column it lies in. */
    public static UnreadableInput inColumn(UnreadableInput e) {
        return new UnreadableInput(Column.headingOf(e.field()), e.problem());
    }

    /** The cells of a joint, as an export writes them; the other cells are the caller's. */
    public static Map<Column, String> cells(String jointJson) {
        Json.Object joint = (Json.Object) Json.read(jointJson);
        Map<Column, String> cells = new EnumMap<>(Column.class);
        for (Column c : Column.values()) {
            Json value = c.field.isEmpty() ? null : at(joint, c.field);
            if (value != null) {
                cells.put(c, shown(value));
            }
        }
        return cells;
    }

    private static Json at(Json.Object joint, String field) {
        if (field.startsWith(GROOVE)) {
            return joint.fields().get("groove") instanceof Json.Object g
                    ? g.fields().get(field.substring(GROOVE.length()))
                    : null;
        }
        if (!field.startsWith("members[")) {
            return joint.fields().get(field);
        }
        int n = field.charAt("members[".length()) - '0';
        boolean there = joint.fields().get("members") instanceof Json.Array a
                && a.items().size() > n;
        return there
                ? ((Json.Object) ((Json.Array) joint.fields().get("members"))
                                .items()
                                .get(n))
                        .fields()
                        .get(field.substring(field.indexOf('.') + 1))
                : null;
    }

    private static String shown(Json value) {
        if (value instanceof Json.Text t) {
            return t.value();
        }
        if (value instanceof Json.Number n) {
            return n.text();
        }
        if (value instanceof Json.Bool b) {
            return b.value() ? "yes" : "no";
        }
        if (value instanceof Json.Array a) {
            return String.join(
                    "; ",
                    a.items().stream()
                            .map(s -> (Json.Object) s)
                            .map(s -> shown(s.fields().get("from")) + " to "
                                    + shown(s.fields().get("to")))
                            .toList());
        }
        return value.said();
    }

    /** The list with all known columns, commas between the cells, a byte-order mark so that spreadsheets read the letters. */
    public static String write(List<Map<Column, String>> rows) {
        StringBuilder out = new StringBuilder("\uFEFF");
        String[] headings = Arrays.stream(Column.values()).map(Column::heading).toArray(String[]::new);
        try (CSVPrinter printer = new CSVPrinter(
                out, CSVFormat.RFC4180.builder().setHeader(headings).get())) {
            for (Map<Column, String> cells : rows) {
                printer.printRecord(Arrays.stream(Column.values())
                        .map(c -> unformulaed(cells.getOrDefault(c, "")))
                        .toList());
            }
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return out.toString();
    }

    /** A cell that a spreadsheet would take for a formula is made a text. */
    private static String unformulaed(String cell) {
        return cell.matches("[=+@\\t\\r].*|-[^\\d. ].*") ? "'" + cell : cell;
    }
}
