package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.CardLine.State;
import org.junit.jupiter.api.Test;

/** Squareness and bow; what a weld pulls is common practice, no source. Angles by trigonometry. */
class SquarenessCardTest {
    private static Optional<Lean> angle(String text) {
        return Optional.ofNullable(text).map(t -> Lean.angle("a", t, Unit.INCH));
    }

    private static Optional<Lean> bow(String text) {
        return Optional.ofNullable(text).map(t -> Lean.bow("b", t, Length.inches(24), Unit.INCH));
    }

    private static List<CardLine> card(String preset, String before, String after, String allowed) {
        return SquarenessCard.lines(answers(preset, before, after, allowed));
    }

    private static SquarenessCard.Answers answers(String preset, String before, String after, String allowed) {
        return new SquarenessCard.Answers(
                angle(preset),
                angle(before),
                angle(after),
                angle(allowed),
                bow("0"),
                bow("1/8 over 36"),
                bow("1/8 over 60"),
                Optional.of(true),
                Optional.empty());
    }

    private static CardLine line(List<CardLine> lines, String title) {
        return lines.stream().filter(l -> l.title().equals(title)).findFirst().orElseThrow();
    }

    /** tan 1° = 0.017455; atan(1/16 ÷ 3) = 1.1935°. */
    @Test
    void aLeanIsDegreesOrAnOffsetOverALength() {
        assertThat(Lean.angle("a", "1", Unit.INCH).ratio()).isCloseTo(0.0174551, within(1e-7));
        assertThat(Lean.angle("a", "1/16 over 3", Unit.INCH).degrees()).isCloseTo(1.1935, within(1e-4));
        assertThat(Lean.angle("a", "-1,5°", Unit.MILLIMETRE).degrees()).isCloseTo(-1.5, within(1e-9));
        assertThat(Lean.angle("a", "2mm over 100mm", Unit.INCH).ratio()).isCloseTo(0.02, within(1e-12));
        assertThat(Lean.bow("b", "1/8", Length.inches(24), Unit.INCH).ratio()).isCloseTo(1 / 192.0, within(1e-12));
        for (String no : List.of("", "square", "60", "1/16 over 0", "1/16")) {
            assertThatThrownBy(() -> Lean.angle("a", no, Unit.INCH)).as(no).isInstanceOf(InvalidField.class);
        }
    }

    /** Set 2° away, found 0.5° toward the first side: the weld pulled 2.5°, which is what the next one is preset by. */
    @Test
    void whatTheWeldPulledIsTheNextPreset() {
        List<CardLine> lines = card("2", "-2", "0.5", "1");
        assertThat(line(lines, "Square before welding").state()).isEqualTo(State.OK);
        assertThat(line(lines, "Square after welding")).satisfies(l -> {
            assertThat(l.read()).isEqualTo("0.5° toward the side welded first");
            assertThat(l.state()).isEqualTo(State.OK);
        });
        assertThat(line(lines, "Pulled by the weld")).satisfies(l -> {
            assertThat(l.read()).isEqualTo("2.5° toward the side welded first");
            assertThat(l.wanted()).isEqualTo("preset the next one 2.5° away");
        });
        assertThat(line(card("2", "-1", "0.5", "1"), "Square before welding").state())
                .as("a degree beside the preset")
                .isEqualTo(State.REMARK);
    }

    @Test
    void whatTheDrawingDoesNotAllowDeparts() {
        assertThat(line(card(null, "0", "-1.01", "1"), "Square after welding").state())
                .isEqualTo(State.DEPARTS);
        assertThat(line(card(null, "0", "-1.0", "1"), "Square after welding").state())
                .as("what is allowed is allowed")
                .isEqualTo(State.OK);
        assertThat(line(card(null, "0", "3", null), "Square after welding").state())
                .as("nobody said what is allowed")
                .isEqualTo(State.REMARK);
        assertThat(SquarenessCard.departures(answers(null, "0", "2", "1")))
                .extracting(PassCheck.Departure::line)
                .containsExactly(
                        "Square after welding: 2° toward the side welded first, 1° is allowed",
                        "Bow after welding: 1/8 in over 36 in, 1/8 in over 60 in is allowed");
    }

    @Test
    void whatWasNotReadIsOpen() {
        List<CardLine> lines = card(null, null, null, null);
        assertThat(line(lines, "Pulled by the weld").state()).isEqualTo(State.OPEN);
        assertThat(line(lines, "Order of the passes").state()).isEqualTo(State.OPEN);
        assertThat(line(lines, "Tacked").state()).isEqualTo(State.OK);
    }
}
