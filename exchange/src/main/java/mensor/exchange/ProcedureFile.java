package mensor.exchange;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.BiFunction;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.PassKind;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Procedure;
import mensor.weld.ProcedurePass;
import mensor.weld.Progression;
import mensor.weld.Range;
import mensor.weld.Steel;
import mensor.weld.Technique;
import mensor.weld.WeldType;
import mensor.weld.WeldingProcess;

/** A welding procedure as a {@code mensor-procedure/1} document; described in docs/formats.md. */
public final class ProcedureFile {
    public static final String FORMAT = "mensor-procedure/1";

    private ProcedureFile() {}

    /**
     * Reads a procedure.
     *
     * @throws UnreadableInput naming the field by its path
     */
    public static Procedure read(String json) {
        Fields bare = Fields.of("", Json.read(json), Unit.INCH);
        String format = bare.requiredText("format");
        if (!format.equals(FORMAT)) {
            throw bare.error("format", "\"" + FORMAT + "\" is required, got \"" + format + "\"");
        }
        Unit units = unit(bare);
        Fields f = bare.with(units);
        f.find("format");
        f.find("units");
        try {
            Procedure procedure = new Procedure(
                    f.requiredText("number").strip(),
                    f.requiredText("revision").strip(),
                    units,
                    words(f, "welds", WeldType.class),
                    words(f, "connections", Connection.class),
                    f.positive("thinnest"),
                    f.positive("thickest"),
                    words(f, "positions", Position.class),
                    f.word("progression", Progression.class),
                    f.word("steel", Steel.class).orElse(Steel.UNKNOWN),
                    f.number("preheatF", -460, "°F"),
                    f.number("interpassMaxF", -460, "°F"),
                    f.number("beadWidthRods", 1, "× the rod's diameter"),
                    f.bool("stringerOnly").orElse(false),
                    f.text("cleaning"),
                    f.positive("brightMetal"),
                    f.bool("backing"),
                    f.requiredObjects("passes", (at, p) -> pass(p)));
            f.end();
            return procedure;
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private static Unit unit(Fields f) {
        String symbol = f.requiredText("units");
        for (Unit u : Unit.values()) {
            if (u.symbol().equals(symbol)) {
                return u;
            }
        }
        throw f.error("units", "\"in\" or \"mm\" is required, got \"" + symbol + "\"");
    }

    private static <E extends Enum<E> & mensor.weld.Named> Set<E> words(Fields f, String field, Class<E> words) {
        List<E> list = f.list(field, (at, v) -> Fields.asWord(at, v, words));
        Set<E> set = new HashSet<>(list);
        if (set.size() < list.size()) {
            throw f.error(field, "names something twice");
        }
        return set;
    }

    private static ProcedurePass pass(Fields p) {
        String electrode = p.requiredText("electrode").strip();
        ProcedurePass pass = new ProcedurePass(
                p.requiredWord("kind", PassKind.class),
                p.word("process", WeldingProcess.class).orElse(WeldingProcess.SMAW),
                electrode,
                p.requiredPositive("diameter"),
                range(p, "amps", (at, v) -> Fields.asNumber(at, v).doubleValue(), "[115, 165]"),
                range(p, "volts", (at, v) -> Fields.asNumber(at, v).doubleValue(), "[20, 24]"),
                p.word("polarity", Polarity.class),
                p.word("technique", Technique.class),
                range(p, "travel", ProcedureFile::speed, "[\"4 in/min\", \"6 in/min\"]"),
                p.positive("layer"));
        p.end();
        return pass;
    }

    private static double speed(String at, Json value) {
        if (value instanceof Json.Text t) {
            return WeldingReader.asSpeed(at, t.value());
        }
        throw new UnreadableInput(at, "\"4 in/min\" or \"100 mm/min\" is required, got " + value.said());
    }

    private static Optional<Range> range(
            Fields p, String field, BiFunction<String, Json, Double> item, String example) {
        List<Double> ends = p.list(field, item);
        if (!p.has(field)) {
            return Optional.empty();
        }
        if (ends.size() != 2 || ends.get(0) < 0 || ends.get(1) < ends.get(0)) {
            throw p.error(field, "the lowest, then the highest, as " + example);
        }
        return Optional.of(new Range(ends.get(0), ends.get(1)));
    }
}
