package mensor.cause;

import java.util.Optional;
import java.util.OptionalDouble;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Range;
import mensor.weld.WeldingRecord;

/**
 * The one thing to change for a cause: one variable, with the value to try where the procedure or the box label gives one.
 * The general table of rods never does; outside the procedure the welding engineer decides.
 *
 * @param from the amps recorded, where amps are changed
 * @param to the amps to try
 * @param source where the value comes from: the procedure or the box label, with its range
 */
public record OneChange(String text, OptionalDouble from, OptionalDouble to, Optional<String> source) {
    /** Amps are set at the machine in steps of five. */
    private static final double STEP = 5;

    static OneChange words(String text) {
        return new OneChange(text, OptionalDouble.empty(), OptionalDouble.empty(), Optional.empty());
    }

    private record Setting(PassKind kind, double amps, Range range, String source) {}

    /** The change of a row; for the current with the amps to try. */
    static OneChange of(CauseTable.Row row, Situation situation, WeldingRecord record, Surroundings around) {
        boolean up = row.cause() == CauseClass.CURRENT_LOW;
        if (!up && row.cause() != CauseClass.CURRENT_HIGH) {
            return words(row.change());
        }
        Optional<Setting> setting = setting(record, around, up);
        if (setting.isEmpty()) {
            return words(row.change() + "; take the number from the procedure or the box label");
        }
        Setting s = setting.get();
        double share = situation == Situation.SLAG ? 0.75 : 0.5;
        double aim = onTheDial(
                s.range().low() + share * (s.range().high() - s.range().low()), s.range());
        if (up ? aim <= s.amps() : aim >= s.amps()) {
            aim = up ? s.range().high() : s.range().low();
        }
        if (up ? aim <= s.amps() : aim >= s.amps()) {
            return new OneChange(
                    s.kind().id() + " at " + Range.plain(s.amps()) + " A uses " + s.source()
                            + " up: refer to the welding engineer",
                    OptionalDouble.of(s.amps()),
                    OptionalDouble.empty(),
                    Optional.of(s.source()));
        }
        return new OneChange(
                s.kind().id() + " pass: amps from " + Range.plain(s.amps()) + " to " + Range.plain(aim) + " ("
                        + s.source() + ")",
                OptionalDouble.of(s.amps()),
                OptionalDouble.of(aim),
                Optional.of(s.source()));
    }

    private static double onTheDial(double amps, Range range) {
        double round = Math.round(amps / STEP) * STEP;
        return round < range.low() || round > range.high() ? Math.round(amps) : round;
    }

    /** The pass that is farthest off on the side in question. */
    private static Optional<Setting> setting(WeldingRecord record, Surroundings around, boolean up) {
        Setting worst = null;
        for (Pass p : record.passes()) {
            if (p.planned() || !p.isStick() || p.amps().isEmpty()) {
                continue;
            }
            Optional<Range> procedure = p.kind().map(record.procedureAmps()::get);
            Optional<Range> label = around.label(p.electrode(), p.diameter());
            if (procedure.isEmpty() && label.isEmpty()) {
                continue;
            }
            Range range = procedure.or(() -> label).orElseThrow();
            String source = procedure.isPresent()
                    ? around.procedure().orElse("the procedure") + " says " + range.shown("A")
                    : "the box label says " + range.shown("A");
            Setting s = new Setting(p.kind().orElse(PassKind.ROOT), p.amps().getAsDouble(), range, source);
            if (worst == null || off(s, up) > off(worst, up)) {
                worst = s;
            }
        }
        return Optional.ofNullable(worst);
    }

    private static double off(Setting s, boolean up) {
        double middle = (s.range().low() + s.range().high()) / 2;
        return up ? middle - s.amps() : s.amps() - middle;
    }
}
