package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.testpiece.Specimen.Bend;
import mensor.testpiece.Specimen.CornerCrack;
import mensor.testpiece.Specimen.FilletBreak;
import mensor.testpiece.Specimen.Macro;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Limits of AWS D1.1 6.10 (4.9) for a welder's test piece, from memory: at, under and over, both columns. */
class SpecimenTest {
    private static Length in(String s) {
        return Length.parse(s, Unit.INCH);
    }

    private static Specimen.Result bend(Unit units, String... openings) {
        return new Bend(Stream.of(openings).map(o -> Length.parse(o, units)).toList(), List.of(), true).judge(units);
    }

    private static Specimen.Result corner(String length, boolean fromSlag) {
        return new Bend(List.of(), List.of(new CornerCrack(in(length), fromSlag)), true).judge(Unit.INCH);
    }

    @ParameterizedTest
    @CsvSource({"1/8, ACCEPT", "9/64, REJECT", ".125, ACCEPT", ".126, REJECT"})
    void aSingleOpening(String opening, Verdict verdict) {
        assertThat(bend(Unit.INCH, opening).verdict()).isEqualTo(verdict);
    }

    @Test
    void openingsThatCountAddUp() {
        assertThat(bend(Unit.INCH, "1/8", "1/8", "1/8").verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(bend(Unit.INCH, "1/8", "1/8", "1/8", "3/64").verdict()).isEqualTo(Verdict.REJECT);
        assertThat(bend(Unit.INCH, "1/8", "1/8", "1/8", "1/32", "1/32").verdict())
                .as("up to 1/32 does not count")
                .isEqualTo(Verdict.ACCEPT);
        assertThat(bend(Unit.MILLIMETRE, "3", "3", "3", "1").verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(bend(Unit.MILLIMETRE, "3", "3", "3", "1.1").verdict()).isEqualTo(Verdict.REJECT);
        assertThat(bend(Unit.MILLIMETRE, "3.1").verdict()).isEqualTo(Verdict.REJECT);
        assertThat(bend(Unit.INCH).verdict()).isEqualTo(Verdict.ACCEPT);
    }

    @Test
    void cornerCracks() {
        assertThat(corner("1/4", false).verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(corner("1/8", true).verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(corner("9/64", true).verdict()).isEqualTo(Verdict.REJECT);
        Specimen.Result replaced = corner("17/64", false);
        assertThat(replaced.replace()).isTrue();
        assertThat(replaced.verdict()).isEqualTo(Verdict.INCOMPLETE);
        Specimen.Result both =
                new Bend(List.of(in("1/4")), List.of(new CornerCrack(in("1/2"), false)), true).judge(Unit.INCH);
        assertThat(both.verdict()).as("an opening rejects all the same").isEqualTo(Verdict.REJECT);
    }

    @ParameterizedTest
    @CsvSource({"true, 3/32, 3/8, ACCEPT", "true, 7/64, 3/8, REJECT", "true, 3/32, 25/64, REJECT", "false, 0, 0, REJECT"
    })
    void aFilletBreak(boolean fused, String largest, String sum, Verdict verdict) {
        assertThat(new FilletBreak(false, Optional.of(fused), Optional.of(in(largest)), Optional.of(in(sum)))
                        .judge(Unit.INCH)
                        .verdict())
                .isEqualTo(verdict);
    }

    @Test
    void aFilletThatBentFlatPassesAndOneNotReadIsAskedFor() {
        Optional<Length> none = Optional.empty();
        assertThat(new FilletBreak(true, Optional.empty(), none, none)
                        .judge(Unit.INCH)
                        .verdict())
                .isEqualTo(Verdict.ACCEPT);
        Specimen.Result open = new FilletBreak(false, Optional.empty(), none, none).judge(Unit.MILLIMETRE);
        assertThat(open.verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(open.lines()).hasSize(3);
    }

    @Test
    void aMacro() {
        Optional<Boolean> yes = Optional.of(true);
        Optional<Boolean> no = Optional.of(false);
        assertThat(macro(no, yes, yes, yes, yes, "1/32").judge(Unit.INCH).verdict())
                .isEqualTo(Verdict.ACCEPT);
        assertThat(macro(yes, yes, yes, yes, yes, "0").judge(Unit.INCH).lines()).containsExactly("a crack");
        assertThat(macro(no, yes, yes, yes, yes, "3/64").judge(Unit.INCH).verdict())
                .isEqualTo(Verdict.REJECT);
        assertThat(macro(no, yes, no, yes, yes, "0").judge(Unit.INCH).verdict()).isEqualTo(Verdict.REJECT);
        assertThat(macro(no, yes, Optional.empty(), yes, yes, "0")
                        .judge(Unit.INCH)
                        .verdict())
                .isEqualTo(Verdict.INCOMPLETE);
    }

    private static Macro macro(
            Optional<Boolean> cracks,
            Optional<Boolean> fusion,
            Optional<Boolean> root,
            Optional<Boolean> legs,
            Optional<Boolean> profile,
            String undercut) {
        return new Macro(
                cracks,
                fusion,
                root,
                legs,
                profile,
                Optional.of(in(undercut)),
                Optional.of(in("1/4")),
                Optional.empty());
    }

    @Test
    void aMacroTellsItsProfileAndShowsWhatWasRead() {
        Optional<Boolean> yes = Optional.of(true);
        Optional<Boolean> no = Optional.of(false);
        assertThat(macro(no, yes, yes, yes, no, "0").judge(Unit.INCH).lines())
                .containsExactly("the profile is not as required");
        assertThat(macro(no, yes, yes, yes, Optional.empty(), "0")
                        .judge(Unit.INCH)
                        .verdict())
                .isEqualTo(Verdict.INCOMPLETE);
        assertThat(macro(no, yes, yes, yes, yes, "0").judge(Unit.INCH).lines())
                .singleElement()
                .asString()
                .endsWith("throat 1/4 in");
    }
}
