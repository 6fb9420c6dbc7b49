package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import mensor.length.Length;
import mensor.weld.CardLine.State;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The machine's scale and the card before the first rod; common practice, no source. */
class FirstRodCardTest {
    private static Machine machine(WeldingProcess... modes) {
        return new Machine(
                "M-4",
                Set.of(modes),
                Optional.of(new ArcForceScale.Numbers(-10, 0, 10)),
                Optional.of(new Machine.MeterCheck(LocalDate.of(2026, 5, 4), 120, 108)));
    }

    @ParameterizedTest
    @CsvSource({"-10, 0, 10, 0, 50", "-10, 0, 10, -10, 0", "-10, 0, 10, -5, 25", "0, 50, 100, 30, 30", "1, 3, 9, 6, 75"
    })
    void arcForceIsAShareOfTheMachinesOwnScale(double low, double middle, double high, double shown, double percent) {
        assertThat(new ArcForceScale.Numbers(low, middle, high).percent(Range.plain(shown)))
                .isCloseTo(percent, within(1e-9));
    }

    /** Three words are 0, 50 and 100 percent. */
    @Test
    void aScaleOfWordsIsEvenlyApart() {
        ArcForceScale words = new ArcForceScale.Words(List.of("soft", "medium", "crisp"));
        assertThat(words.percent("Medium")).isEqualTo(50);
        assertThat(words.percent("crisp")).isEqualTo(100);
        assertThatThrownBy(() -> words.percent("7")).hasMessageContaining("soft, medium, crisp");
        assertThatThrownBy(() -> new ArcForceScale.Words(List.of("soft", "Soft")))
                .isInstanceOf(InvalidField.class);
        assertThatThrownBy(() -> new ArcForceScale.Numbers(-10, 0, 10).percent("medium"))
                .hasMessageContaining("-10 to 10");
    }

    @Test
    void whatTheScaleDoesNotHaveIsRefused() {
        assertThatThrownBy(() -> new ArcForceScale.Numbers(-10, 0, 10).percent("30"))
                .isInstanceOf(InvalidField.class)
                .hasMessageContaining("-10 to 10");
        assertThatThrownBy(() -> new ArcForceScale.Numbers(0, 120, 100)).isInstanceOf(InvalidField.class);
        assertThatThrownBy(() -> new Machine("M", Set.of(), Optional.empty(), Optional.empty()))
                .hasMessageContaining("processes");
    }

    /** 120 A on the display, 108 A at the arc: 11.1 % high, more than machines usually are. */
    @Test
    void theDisplayIsHeldAgainstTheMeter() {
        Machine.MeterCheck check = machine(WeldingProcess.SMAW).meter().orElseThrow();
        assertThat(check.percentOff()).isCloseTo(100 * 12 / 108.0, within(1e-9));
        assertThat(check.isUnusual()).isTrue();
        assertThat(new Machine.MeterCheck(LocalDate.of(2026, 5, 4), 120, 114).isUnusual())
                .isFalse();
    }

    private static FirstRodCard.Answers answers(
            Machine machine, WeldingProcess mode, Polarity pole, double amps, Double force, Double hours) {
        return new FirstRodCard.Answers(
                PassKind.ROOT,
                Optional.ofNullable(machine),
                Optional.ofNullable(mode),
                Optional.ofNullable(pole),
                amps == 0 ? OptionalDouble.empty() : OptionalDouble.of(amps),
                force == null ? OptionalDouble.empty() : OptionalDouble.of(force),
                Optional.of("E7018"),
                Optional.of(Length.inches(1, 8)),
                Optional.of(true),
                Optional.of(true),
                hours == null ? OptionalDouble.empty() : OptionalDouble.of(hours),
                Optional.of(true));
    }

    private static State state(List<CardLine> lines, String title) {
        return lines.stream()
                .filter(l -> l.title().startsWith(title))
                .findFirst()
                .orElseThrow()
                .state();
    }

    private static List<CardLine> lines(FirstRodCard.Answers a) {
        return FirstRodCard.lines(a, Optional.empty(), Optional.of(Position.VERTICAL_FILLET));
    }

    @Test
    void allInOrderStopsNothing() {
        List<CardLine> lines =
                lines(answers(machine(WeldingProcess.SMAW), WeldingProcess.SMAW, Polarity.DCEP, 122, 25.0, 1.5));
        assertThat(lines).hasSize(8).allMatch(l -> l.state() == State.OK);
        assertThat(FirstRodCard.stops(lines)).isFalse();
    }

    @Test
    void aWrongModeOrPoleAndRodsOutTooLongStopTheStart() {
        Machine both = machine(WeldingProcess.SMAW, WeldingProcess.GMAW);
        for (FirstRodCard.Answers a : List.of(
                answers(both, WeldingProcess.GMAW, Polarity.DCEP, 122, 25.0, 1.5),
                answers(both, WeldingProcess.SMAW, Polarity.DCEN, 122, 25.0, 1.5),
                answers(both, WeldingProcess.SMAW, Polarity.DCEP, 122, 25.0, 4.5),
                answers(machine(WeldingProcess.GMAW), WeldingProcess.SMAW, Polarity.DCEP, 122, 25.0, 1.5))) {
            assertThat(FirstRodCard.stops(lines(a))).isTrue();
        }
        // the procedure's pole goes first: a TIG row on DCEN
        ProcedurePass tig = new ProcedurePass(
                PassKind.ROOT,
                WeldingProcess.GTAW,
                "ER70S-2",
                Length.inches(3, 32),
                Optional.empty(),
                Optional.empty(),
                Optional.of(Polarity.DCEN),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        assertThat(FirstRodCard.stops(FirstRodCard.lines(
                        answers(null, WeldingProcess.GTAW, Polarity.DCEN, 100, null, 1.0),
                        Optional.of(tig),
                        Optional.empty())))
                .isFalse();
        assertThat(FirstRodCard.stops(FirstRodCard.lines(
                        answers(null, WeldingProcess.SMAW, Polarity.DCEP, 100, null, 1.0),
                        Optional.of(tig),
                        Optional.empty())))
                .isTrue();
    }

    @Test
    void whatWasNotReadIsOpenAndWhatIsUnusualIsSaid() {
        List<CardLine> lines = lines(answers(null, null, null, 0, null, null));
        for (String title : List.of("Mode", "Polarity", "Amps", "Arc force", "Oven")) {
            assertThat(state(lines, title)).as(title).isEqualTo(State.OPEN);
        }
        List<CardLine> odd = lines(answers(null, WeldingProcess.SMAW, Polarity.DCEP, 90, 50.0, 1.0));
        assertThat(state(odd, "Amps")).isEqualTo(State.REMARK);
        assertThat(state(odd, "Arc force")).as("its middle is much for E7018").isEqualTo(State.REMARK);
        assertThat(FirstRodCard.stops(odd)).isFalse();
    }

    @Test
    void theProtectionIsForThePosition() {
        assertThat(Protection.lines(Optional.of(Position.OVERHEAD_FILLET), Optional.empty()))
                .anyMatch(l -> l.contains("nobody below"));
        assertThat(Protection.lines(Optional.of(Position.FLAT_FILLET), Optional.of("304L")))
                .noneMatch(l -> l.contains("nobody below"))
                .anyMatch(l -> l.contains("Respirator"));
    }

    /** D1.1 gives stronger rods less time: half an hour for E100 and over (from memory). */
    @Test
    void strongerRodsHaveLessTimeOutOfTheOven() {
        FirstRodCard.Answers strong = new FirstRodCard.Answers(
                PassKind.ROOT,
                Optional.empty(),
                Optional.of(WeldingProcess.SMAW),
                Optional.of(Polarity.DCEP),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.of("E10018"),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.of(1),
                Optional.empty());
        assertThat(state(lines(strong), "Oven")).isEqualTo(State.STOP);
    }
}
