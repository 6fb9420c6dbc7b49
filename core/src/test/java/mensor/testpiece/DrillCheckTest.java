package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.testpiece.Drill.Aim;
import mensor.testpiece.Drill.Measure;
import mensor.testpiece.Drill.Value;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A practice piece against the aims of its drill; the limits are the drill's own (common practice, no source). */
class DrillCheckTest {
    private static final Aim WIDTH = new Aim(
            "width",
            "Width off",
            Measure.LENGTH,
            Optional.empty(),
            Optional.of(new Value.OfLength(Length.inches(1, 16))));
    private static final Aim COVER = new Aim(
            "cover",
            "Cover",
            Measure.PERCENT,
            Optional.of(new Value.OfNumber(40)),
            Optional.of(new Value.OfNumber(60)));
    private static final Drill DRILL =
            new Drill("pad", "Pad", PieceKind.PAD, "even beads", List.of("the toe"), List.of(WIDTH, COVER));

    private static DrillCheck check(String width, String cover, Unit unit) {
        return DrillCheck.of(DRILL, Map.of("width", width, "cover", cover), unit);
    }

    @ParameterizedTest
    @CsvSource({
        "1/16, 40, in, ACCEPT",
        "5/64, 40, in, REJECT",
        "1/32, 39.9, in, REJECT",
        "1/16, 60, in, ACCEPT",
        "1/16, 60.1, in, REJECT",
        "1.5875, 50 %, mm, ACCEPT",
        "1.6, 50, mm, REJECT"
    })
    void eachLimitAtUnderAndOver(String width, String cover, String unit, Verdict expected) {
        Unit u = unit.equals("in") ? Unit.INCH : Unit.MILLIMETRE;
        assertThat(check(width, cover, u).verdict()).isEqualTo(expected);
    }

    @Test
    void anAimThatIsNotMeasuredLeavesItOpenAndIsNeverMet() {
        assertThat(check("1/32", " ", Unit.INCH).verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(check("1/8", "", Unit.INCH).verdict())
                .as("one is missed already")
                .isEqualTo(Verdict.REJECT);
        Drill without = new Drill("free", "Free", PieceKind.BEAD, "try", List.of(), List.of());
        assertThat(DrillCheck.of(without, Map.of(), Unit.INCH).verdict()).isEqualTo(Verdict.INCOMPLETE);
    }

    @Test
    void theLimitIsSaid() {
        assertThat(check("", "", Unit.INCH).aims())
                .extracting(DrillCheck.AimResult::limit)
                .containsExactly("at most 1/16 in", "40 % to 60 %");
    }

    @Test
    void whatCannotBeReadNamesItsAim() {
        assertThatThrownBy(() -> check("wide", "50", Unit.INCH)).hasMessageContaining("measured.width");
        assertThatThrownBy(() -> check("-1/16", "50", Unit.INCH)).hasMessageContaining("below zero");
        assertThatThrownBy(() -> check("0", "half", Unit.INCH)).hasMessageContaining("measured.cover");
        Aim pores = new Aim("pores", "Pores", Measure.COUNT, Optional.empty(), Optional.of(new Value.OfNumber(0)));
        assertThatThrownBy(() -> DrillCheck.read(pores, "1.5", Unit.INCH)).hasMessageContaining("whole number");
    }

    @Test
    void aDrillThatCannotBeIsRefused() {
        assertThatThrownBy(() -> new Aim("x", "X", Measure.COUNT, Optional.empty(), Optional.empty()))
                .hasMessageContaining("least");
        assertThatThrownBy(() -> new Drill("Pad!", "Pad", PieceKind.PAD, "p", List.of(), List.of()))
                .hasMessageContaining("id");
        assertThatThrownBy(() -> new Drill("pad", "Pad", PieceKind.PAD, "p", List.of(), List.of(WIDTH, WIDTH)))
                .hasMessageContaining("same id");
    }
}
