package mensor.exchange;

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

    static Json texts(List<String> all) {
        return new Json.Array(all.stream().<Json>map(Json.Text::new).toList());
    }

    /** A spreadsheet runs what begins like a formula: such a name is quoted. */
    static String cell(String name) {
        return name.matches("^\\s*[=+@-].*") ? "'" + name : name;
    }
}
