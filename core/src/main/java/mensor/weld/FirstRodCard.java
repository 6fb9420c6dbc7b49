package mensor.weld;

import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.weld.CardLine.State;

/** Eight lines at the machine before the first rod: a wrong pole or mode stops the start (common practice, no source). */
public final class FirstRodCard {
    /**
     * What was read at the machine; what is absent was not read.
     *
     * @param mode what the machine is switched to
     * @param arcForce in percent of the machine's scale
     * @param clampClose the work clamp is near and on bright metal
     * @param rodsAtHand rods for the whole pass lie ready
     * @param ovenHours since the low-hydrogen rods left the oven
     * @param protectedNow access and protection are as the position asks
     */
    public record Answers(
            PassKind kind,
            Optional<Machine> machine,
            Optional<WeldingProcess> mode,
            Optional<Polarity> polarity,
            OptionalDouble amps,
            OptionalDouble arcForce,
            Optional<String> electrode,
            Optional<Length> diameter,
            Optional<Boolean> clampClose,
            Optional<Boolean> rodsAtHand,
            OptionalDouble ovenHours,
            Optional<Boolean> protectedNow) {}

    private final Answers a;
    private final Optional<ProcedurePass> row;
    private final Optional<Position> position;
    private final List<CardLine> lines = new ArrayList<>();

    private FirstRodCard(Answers answers, Optional<ProcedurePass> row, Optional<Position> position) {
        this.a = answers;
        this.row = row;
        this.position = position;
    }

    /** @param row what the procedure says of this kind of pass */
    public static List<CardLine> lines(Answers answers, Optional<ProcedurePass> row, Optional<Position> position) {
        FirstRodCard card = new FirstRodCard(answers, row, position);
        card.mode();
        card.pole();
        card.amps();
        card.arcForce();
        card.yes("Work clamp", answers.clampClose(), "near, on bright metal");
        card.yes("Rods at hand", answers.rodsAtHand(), "enough for the pass");
        card.oven();
        card.yes("Access and protection", answers.protectedNow(), "as the position asks, below");
        return List.copyOf(card.lines);
    }

    public static boolean stops(List<CardLine> lines) {
        return lines.stream().anyMatch(l -> l.state() == State.STOP);
    }

    private void line(String title, String read, String wanted, State state) {
        lines.add(CardLine.of(title, read, wanted, state));
    }

    private void yes(String title, Optional<Boolean> answer, String wanted) {
        lines.add(CardLine.of(title, answer, wanted));
    }

    private void mode() {
        WeldingProcess wanted = row.map(ProcedurePass::process).orElse(WeldingProcess.SMAW);
        boolean cannot = a.mode()
                .filter(m -> a.machine().filter(x -> !x.modes().contains(m)).isPresent())
                .isPresent();
        line(
                "Mode",
                a.mode().map(m -> m.id() + " (" + m.shopName() + ")").orElse(""),
                wanted.id() + " (" + wanted.shopName() + ")" + (cannot ? "; this machine has no such mode" : ""),
                cannot || a.mode().filter(m -> m != wanted).isPresent() ? State.STOP : State.OK);
    }

    private void pole() {
        Optional<Polarity> said = row.flatMap(ProcedurePass::polarity);
        boolean lowHydrogen = a.electrode().flatMap(RodTable::isLowHydrogen).orElse(false);
        String wanted = said.map(Polarity::id).orElse(lowHydrogen ? "DCEP or AC" : "as the box says");
        boolean wrong = a.polarity()
                .filter(p -> said.map(s -> s != p).orElse(lowHydrogen && p == Polarity.DCEN))
                .isPresent();
        line(
                "Polarity at the terminals",
                a.polarity().map(Polarity::id).orElse(""),
                wanted,
                wrong ? State.STOP : State.OK);
    }

    private void amps() {
        Optional<Range> range = row.flatMap(ProcedurePass::ampsOrRods)
                .or(() -> a.electrode().flatMap(e -> a.diameter().flatMap(d -> RodTable.workable(e, d))));
        String meter = a.machine()
                .flatMap(Machine::meter)
                .map(m -> "; the display reads " + Range.plain(Math.round(Math.abs(m.percentOff()) * 10) / 10.0) + " % "
                        + (m.percentOff() < 0 ? "low" : "high")
                        + (m.isUnusual() ? ", more than the usual 3–8" : ""))
                .orElse("");
        boolean off = a.amps().isPresent()
                && range.filter(r -> !r.contains(a.amps().getAsDouble())).isPresent();
        line(
                "Amps",
                a.amps().isPresent() ? Range.plain(a.amps().getAsDouble()) + " A" : "",
                range.map(r -> r.shown("A")).orElse("from the box label") + meter,
                off ? State.REMARK : State.OK);
    }

    private void arcForce() {
        ArcForceUse use = ArcForceUse.of(a.electrode());
        boolean flat = position.filter(Position::isFlat).isPresent();
        boolean off =
                a.arcForce().isPresent() && !flat && use.isUnusual(a.arcForce().getAsDouble());
        line(
                "Arc force",
                a.arcForce().isPresent() ? Range.plain(Math.round(a.arcForce().getAsDouble())) + " % of its scale" : "",
                use.words() + " %",
                off ? State.REMARK : State.OK);
    }

    private void oven() {
        Optional<Duration> limit = a.electrode().flatMap(RodClock::limit);
        if (limit.isEmpty()) {
            line("Oven time", "not a low-hydrogen rod", "dry, not from the oven", State.OK);
            return;
        }
        double hours = limit.get().toMinutes() / 60.0;
        line(
                "Oven time",
                a.ovenHours().isPresent() ? Range.plain(a.ovenHours().getAsDouble()) + " h out" : "",
                Range.plain(hours) + " h at most for " + a.electrode().orElseThrow(),
                a.ovenHours().isPresent() && a.ovenHours().getAsDouble() > hours ? State.STOP : State.OK);
    }
}
