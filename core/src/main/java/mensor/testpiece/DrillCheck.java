package mensor.testpiece;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Unit;
import mensor.testpiece.Drill.Aim;
import mensor.testpiece.Drill.Measure;
import mensor.testpiece.Drill.Value;
import mensor.weld.InvalidField;
import mensor.weld.Range;

/**
 * A practice piece against the aims of its drill: each aim is met, missed, or not measured yet.
 *
 * @param verdict accept where each is met, reject where one is missed; incomplete where one is not measured and none missed
 */
public record DrillCheck(Verdict verdict, List<AimResult> aims) {

    /** @param read as typed, empty where it was not measured */
    public record AimResult(Aim aim, Optional<String> read, Verdict verdict, String limit) {}

    /**
     * @param measured what was typed, by the aim's id
     * @throws InvalidField naming the aim whose value cannot be read
     */
    public static DrillCheck of(Drill drill, Map<String, String> measured, Unit unit) {
        List<AimResult> results = new ArrayList<>();
        for (Aim aim : drill.aims()) {
            Optional<String> typed = Optional.ofNullable(measured.get(aim.id())).filter(t -> !t.isBlank());
            Optional<Value> value = typed.map(t -> read(aim, t, unit));
            results.add(new AimResult(
                    aim,
                    typed,
                    value.map(v -> isMet(aim, v) ? Verdict.ACCEPT : Verdict.REJECT)
                            .orElse(Verdict.INCOMPLETE),
                    limit(aim)));
        }
        Verdict all = results.stream().anyMatch(r -> r.verdict() == Verdict.REJECT)
                ? Verdict.REJECT
                : results.isEmpty() || results.stream().anyMatch(r -> r.verdict() == Verdict.INCOMPLETE)
                        ? Verdict.INCOMPLETE
                        : Verdict.ACCEPT;
        return new DrillCheck(all, List.copyOf(results));
    }

    private static boolean isMet(Aim aim, Value v) {
        return aim.least().filter(l -> compare(v, l) < 0).isEmpty()
                && aim.most().filter(m -> compare(v, m) > 0).isEmpty();
    }

    private static int compare(Value a, Value b) {
        return a instanceof Value.OfLength x && b instanceof Value.OfLength y
                ? x.length().compareTo(y.length())
                : Double.compare(Aim.number(a), Aim.number(b));
    }

    /** A value as it is typed. */
    public static Value read(Aim aim, String text, Unit unit) {
        String field = "measured." + aim.id();
        if (aim.measure() == Measure.LENGTH) {
            try {
                Length read = Length.parse(text, unit);
                if (read.isNegative()) {
                    throw new InvalidField(field, "cannot be below zero, got " + text);
                }
                return new Value.OfLength(read);
            } catch (LengthFormatException e) {
                throw new InvalidField(field, e.getMessage());
            }
        }
        try {
            double number =
                    Double.parseDouble(text.strip().replaceAll("[%°]$", "").strip());
            if (!Double.isFinite(number)
                    || number < 0
                    || aim.measure() == Measure.COUNT && number != Math.rint(number)) {
                throw new InvalidField(
                        field,
                        (aim.measure() == Measure.COUNT ? "a whole number" : "a number from zero up") + ", got "
                                + text);
            }
            return new Value.OfNumber(number);
        } catch (NumberFormatException e) {
            throw new InvalidField(field, "a number is required, got \"" + text + "\"");
        }
    }

    private static String limit(Aim aim) {
        boolean none = aim.most().filter(v -> Aim.number(v) == 0).isPresent()
                && aim.least().isEmpty();
        if (none) {
            return "none";
        }
        Optional<String> least = aim.least().map(v -> shown(v, aim.measure()));
        Optional<String> most = aim.most().map(v -> shown(v, aim.measure()));
        if (least.isPresent() && most.isPresent()) {
            return least.equals(most) ? least.get() : least.get() + " to " + most.get();
        }
        return least.map(l -> "at least " + l).orElseGet(() -> "at most " + most.orElseThrow());
    }

    private static String shown(Value v, Measure m) {
        return v instanceof Value.OfLength l
                ? l.length().shownWithUnit()
                : Range.plain(((Value.OfNumber) v).number())
                        + (m == Measure.PERCENT ? " %" : m == Measure.DEGREES ? "°" : "");
    }
}
