package mensor.cause;

import static mensor.cause.Scene.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Inspection;
import mensor.inspection.Slag;
import mensor.judge.Judge;
import mensor.weld.Member;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.Sign;
import mensor.weld.Technique;
import org.junit.jupiter.api.Test;

/** What looking cannot see (common practice, no source). */
class FusionDoubtTest {
    private static List<FusionDoubt> doubts(Scene s) {
        return doubts(s, false);
    }

    private static List<FusionDoubt> doubts(Scene s, boolean oldWeld) {
        Inspection inspection = s.inspection();
        return FusionDoubt.of(inspection, Judge.evaluate(inspection, new StaticBook()), Surroundings.NONE, oldWeld);
    }

    private static Scene down(Scene s) {
        return s.pass("E6010", 120, Polarity.DCEP, null, Optional.of(Progression.DOWN), OptionalDouble.empty());
    }

    private static Scene vertical() {
        return fillet(Position.VERTICAL_FILLET);
    }

    @Test
    void verticalDownOnAQuarterAndOverIsInDoubtThoughTheSurfacePasses() {
        assertThat(doubts(down(vertical()))).singleElement().satisfies(d -> {
            assertThat(d.why()).contains("vertical down");
            assertThat(d.test()).contains("fillet break").contains("the engineer decides");
        });
        Scene thin = vertical().with(j -> j.members(new Member("a", in("3/16")), new Member("b", in("3/16"))));
        assertThat(doubts(down(thin))).isEmpty();
        assertThat(doubts(down(butt(Position.VERTICAL_GROOVE))))
                .singleElement()
                .satisfies(d -> assertThat(d.test()).contains("UT"));
    }

    @Test
    void aSmoothWeldOnAColdSettingAndColdAmpsWithSlagAtTheToes() {
        Scene cold = fillet(Position.HORIZONTAL_FILLET).pass(95, Technique.STRINGER);
        assertThat(doubts(cold))
                .singleElement()
                .satisfies(d -> assertThat(d.why()).contains("95 A").contains("proves no fusion"));
        assertThat(doubts(cold.seen(new Slag(span("4", "5"), true))))
                .singleElement()
                .satisfies(d -> assertThat(d.why()).contains("slag at the toes"));
        assertThat(doubts(fillet(Position.HORIZONTAL_FILLET)
                        .pass(95, Technique.STRINGER)
                        .signs(Sign.SLAG_HARD_TO_FREE)))
                .singleElement()
                .satisfies(d -> assertThat(d.why()).contains("slag at the toes"));
        assertThat(doubts(fillet(Position.HORIZONTAL_FILLET).pass(120, Technique.STRINGER)))
                .isEmpty();
    }

    @Test
    void anOldWeldUnderneathAndTheWrongPole() {
        assertThat(doubts(vertical(), true))
                .singleElement()
                .satisfies(d -> assertThat(d.why()).contains("old weld"));
        assertThat(doubts(vertical()
                        .pass(
                                "E7018",
                                120,
                                Polarity.DCEN,
                                Technique.STRINGER,
                                Optional.empty(),
                                OptionalDouble.empty())))
                .singleElement()
                .satisfies(d -> assertThat(d.why()).contains("DCEN"));
    }

    @Test
    void aWeldOfWhichNothingIsRecordedIsNotDoubted() {
        assertThat(doubts(vertical())).isEmpty();
    }
}
