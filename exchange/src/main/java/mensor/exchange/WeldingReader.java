package mensor.exchange;

import java.math.BigDecimal;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.ArcLength;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Polarity;
import mensor.weld.Progression;
import mensor.weld.Range;
import mensor.weld.Sign;
import mensor.weld.Technique;
import mensor.weld.WeldingProcess;
import mensor.weld.WeldingRecord;

/** Reads the welding record of a document: the passes as laid, and what was seen on the bead. */
final class WeldingReader {
    private WeldingReader() {}

    static WeldingRecord welding(Fields w) {
        WeldingRecord record = new WeldingRecord(
                w.objects("passes", (at, p) -> wholePass(p)),
                w.bool("millScaleRemoved"),
                w.number("electrodeExposureHours", 0, "h"),
                w.number("preheatF", -460, "°F"),
                w.word("arcLength", ArcLength.class),
                w.list("signs", (at, v) -> Fields.asWord(at, v, Sign.class)),
                w.list("signsAbsent", (at, v) -> Fields.asWord(at, v, Sign.class)),
                w.object("procedure").map(WeldingReader::procedureAmps).orElse(Map.of()));
        w.end();
        return record;
    }

    private static Pass wholePass(Fields p) {
        Pass pass = pass(p);
        p.end();
        return pass;
    }

    /** The fields that a pass has in the inspection format; whoever calls says whether others may stand beside them. */
    static Pass pass(Fields p) {
        Optional<BigDecimal> number = p.number("pass");
        number.filter(n -> n.stripTrailingZeros().scale() > 0 || n.signum() <= 0 || n.precision() > 6)
                .ifPresent(n -> {
                    throw p.error("pass", "a whole number from 1 is required, got " + n.toPlainString());
                });
        return new Pass(
                number.map(n -> OptionalInt.of(n.intValue())).orElseGet(OptionalInt::empty),
                p.word("kind", PassKind.class),
                p.word("process", WeldingProcess.class),
                p.text("electrode"),
                p.positive("diameter"),
                p.number("amps", 0, "A"),
                p.number("volts", 0, "V"),
                p.word("polarity", Polarity.class),
                p.word("progression", Progression.class),
                p.word("technique", Technique.class),
                speed(p),
                p.positive("runLength"),
                p.number("arcForce", 0, "%"),
                p.bool("planned").orElse(false));
    }

    private static final Pattern SPEED = Pattern.compile("(.*[0-9]) *(in|mm)/min");

    /** Travel speed in mm per minute. */
    private static OptionalDouble speed(Fields p) {
        Optional<String> text = p.text("speed");
        return text.isEmpty() ? OptionalDouble.empty() : OptionalDouble.of(asSpeed(p.path("speed"), text.get()));
    }

    static double asSpeed(String path, String text) {
        Matcher m = SPEED.matcher(text.strip());
        if (!m.matches()) {
            throw new UnreadableInput(path, "\"4 in/min\" or \"100 mm/min\" is required, got \"" + text + "\"");
        }
        Unit unit = m.group(2).equals("in") ? Unit.INCH : Unit.MILLIMETRE;
        Length perMinute = Fields.asLength(path, new Json.Text(m.group(1)), unit);
        if (!perMinute.isPositive()) {
            throw new UnreadableInput(path, "must be over zero, got \"" + text + "\"");
        }
        return perMinute.approximateNanometres() / Unit.MILLIMETRE.nanometres();
    }

    private static Map<PassKind, Range> procedureAmps(Fields procedure) {
        Map<PassKind, Range> amps = new EnumMap<>(PassKind.class);
        procedure.object("amps").ifPresent(a -> {
            for (PassKind kind : PassKind.values()) {
                List<Double> range =
                        a.list(kind.id(), (at, v) -> Fields.asNumber(at, v).doubleValue());
                if (a.has(kind.id())) {
                    if (range.size() != 2 || range.get(0) < 0 || range.get(1) < range.get(0)) {
                        throw a.error(kind.id(), "the lowest and the highest amps are required, as [70, 90]");
                    }
                    amps.put(kind, new Range(range.get(0), range.get(1)));
                }
            }
            a.end();
        });
        procedure.end();
        return amps;
    }
}
