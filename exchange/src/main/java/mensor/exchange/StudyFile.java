package mensor.exchange;

import java.util.ArrayList;
import java.util.List;
import mensor.length.Unit;

/** What all {@code mensor-study/1} documents have in common. */
final class StudyFile {
    private StudyFile() {}

    static void check(Fields f, String kind) {
        String format = f.requiredText("format");
        if (!format.equals(GaugeStudyFile.FORMAT)) {
            throw f.error("format", "\"" + GaugeStudyFile.FORMAT + "\" is required, got \"" + format + "\"");
        }
        String said = f.requiredText("kind");
        if (!said.equals(kind)) {
            throw f.error("kind", "\"" + kind + "\" is required, got \"" + said + "\"");
        }
    }

    static String text(Fields f, String field, int longest) {
        String said = f.requiredText(field).strip();
        if (said.isEmpty() || said.length() > longest) {
            throw f.error(field, "a text of up to " + longest + " letters is required");
        }
        return said;
    }

    static Unit units(Fields f) {
        return switch (f.requiredText("units")) {
            case "in" -> Unit.INCH;
            case "mm" -> Unit.MILLIMETRE;
            default -> throw f.error("units", "\"in\" or \"mm\" is required");
        };
    }

    /** Reads one item of a list. */
    interface Item<T> {
        T read(String path, Json value);
    }

    static <T> List<T> items(String path, Json value, Item<T> item) {
        if (!(value instanceof Json.Array a)) {
            throw new UnreadableInput(path, "a list is required, got " + value.said());
        }
        List<T> all = new ArrayList<>();
        for (int i = 0; i < a.items().size(); i++) {
            all.add(item.read(path + "[" + i + "]", a.items().get(i)));
        }
        return all;
    }

    /** The kind of study that a file says it is; empty where it says none. */
    static String kind(String json) {
        return Fields.of("", Json.read(json), Unit.INCH).text("kind").orElse("");
    }

    /** A cell of a list, quoted where it must be. */
    static String quoted(String name) {
        String safe = cell(name);
        return safe.matches("[^,\"\r\n]*") ? safe : "\"" + safe.replace("\"", "\"\"") + "\"";
    }

    static Json texts(List<String> all) {
        return new Json.Array(all.stream().<Json>map(Json.Text::new).toList());
    }

    /** A spreadsheet runs what begins like a formula: such a name is quoted. */
    static String cell(String name) {
        return name.matches("^\\s*[=+@-].*") ? "'" + name : name;
    }
}
