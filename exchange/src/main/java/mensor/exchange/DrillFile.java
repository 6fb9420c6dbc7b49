package mensor.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Unit;
import mensor.testpiece.Drill;
import mensor.testpiece.Drill.Measure;
import mensor.testpiece.Drill.Value;
import mensor.testpiece.PieceKind;
import mensor.weld.InvalidField;

/** A drill as a {@code mensor-drill/1} document; described in docs/formats.md. */
public final class DrillFile {
    public static final String FORMAT = "mensor-drill/1";

    /** Those that come with the product, in the order in which they are learned (common practice, no source). */
    private static final List<String> SHIPPED = List.of(
            "single-bead",
            "one-rod-run",
            "crater-fill",
            "ten-restarts",
            "pad-of-beads",
            "horizontal-fillet",
            "t-stack",
            "uphill-without-undercut",
            "overhead-fillet",
            "groove-cap",
            "open-root",
            "pipe-tie-in");

    private DrillFile() {}

    public static List<Drill> shipped() {
        return SHIPPED.stream().map(DrillFile::shipped).toList();
    }

    private static Drill shipped(String id) {
        try (InputStream in = DrillFile.class.getResourceAsStream("/mensor/drills/" + id + ".json")) {
            return read(new String(in.readAllBytes(), StandardCharsets.UTF_8));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Reads a drill.
     *
     * @throws UnreadableInput naming the field by its path
     */
    public static Drill read(String json) {
        Fields f = Fields.of("", Json.read(json), Unit.INCH);
        String format = f.requiredText("format");
        if (!format.equals(FORMAT)) {
            throw f.error("format", "\"" + FORMAT + "\" is required, got \"" + format + "\"");
        }
        try {
            Drill drill = new Drill(
                    f.requiredText("id").strip(),
                    f.requiredText("title").strip(),
                    f.requiredWord("kind", PieceKind.class),
                    f.requiredText("purpose").strip(),
                    f.list("lookAt", DrillFile::text),
                    f.objects("aims", (at, a) -> aim(a)));
            f.end();
            return drill;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static String text(String at, Json value) {
        if (value instanceof Json.Text t) {
            return t.value().strip();
        }
        throw new UnreadableInput(at, "a text is required, got " + value.said());
    }

    private static Drill.Aim aim(Fields a) {
        Measure measure = a.requiredWord("measure", Measure.class);
        try {
            Drill.Aim aim = new Drill.Aim(
                    a.requiredText("id").strip(),
                    a.requiredText("title").strip(),
                    measure,
                    value(a, "least", measure),
                    value(a, "most", measure));
            a.end();
            return aim;
        } catch (InvalidField e) {
            throw a.error(e.field(), e.problem());
        }
    }

    private static Optional<Value> value(Fields a, String field, Measure measure) {
        return measure == Measure.LENGTH
                ? a.depth(field).map(Value.OfLength::new)
                : a.number(field)
                        .map(n -> new Value.OfNumber(a.number(field, 0, "").orElse(n.doubleValue())));
    }

    public static String write(Drill drill) {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("format", new Json.Text(FORMAT));
        fields.put("id", new Json.Text(drill.id()));
        fields.put("title", new Json.Text(drill.title()));
        fields.put("kind", new Json.Text(drill.kind().id()));
        fields.put("purpose", new Json.Text(drill.purpose()));
        fields.put(
                "lookAt",
                new Json.Array(drill.lookAt().stream().<Json>map(Json.Text::new).toList()));
        fields.put(
                "aims",
                new Json.Array(drill.aims().stream().map(DrillFile::written).toList()));
        return Json.write(new Json.Object(fields));
    }

    private static Json written(Drill.Aim aim) {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("id", new Json.Text(aim.id()));
        fields.put("title", new Json.Text(aim.title()));
        fields.put("measure", new Json.Text(aim.measure().id()));
        aim.least().ifPresent(v -> fields.put("least", written(v)));
        aim.most().ifPresent(v -> fields.put("most", written(v)));
        return new Json.Object(fields);
    }

    /** A length with its unit, so that the file means the same in any shop. */
    private static Json written(Value v) {
        return v instanceof Value.OfLength l
                ? new Json.Text(l.length().shownWithUnit())
                : new Json.Number(mensor.weld.Range.plain(((Value.OfNumber) v).number()));
    }
}
