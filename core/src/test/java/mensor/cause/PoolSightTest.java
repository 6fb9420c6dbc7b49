package mensor.cause;

import static mensor.cause.Scene.fillet;
import static mensor.cause.Scene.span;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import mensor.inspection.PoolSight;
import mensor.inspection.Slag;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Position;
import mensor.weld.Steel;
import mensor.weld.Technique;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What is seen while a rod burns speaks of the defects at its place; common practice, no source. */
class PoolSightTest {
    private static CauseTrace slag(Optional<Span> where) {
        List<Surroundings.Remark> seen =
                Surroundings.seen(PoolSight.SLAG_AHEAD, where).stream().toList();
        return fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .seen(new Slag(span("11", "13"), true))
                .around(new Surroundings(seen, List.of(), List.of(), Optional.empty(), Steel.UNKNOWN, List.of()))
                .trace()
                .get(0);
    }

    @Test
    void slagThatRanAheadLeadsToTheTravelAngleWhereItWasSeen() {
        CauseTrace here = slag(Optional.of(Span.at(Length.inches(12))));
        assertThat(here.leading().map(CauseTrace.Cause::cause)).contains(CauseClass.TRAVEL_ANGLE);
        assertThat(here.leading().orElseThrow().speaksFor()).anyMatch(l -> l.startsWith("seen while welding: slag"));
        assertThat(slag(Optional.of(Span.at(Length.inches(20)))).causes())
                .as("elsewhere it says nothing of this place")
                .noneMatch(c -> c.speaksFor().stream().anyMatch(l -> l.startsWith("seen while welding")));
    }

    @ParameterizedTest
    @EnumSource(PoolSight.class)
    void whatStopsSpeaksForSomethingAndHowToGoOnIsSaid(PoolSight sight) {
        assertThat(Surroundings.seen(sight, Optional.empty()).isPresent()).isEqualTo(sight.isStop());
        Surroundings.seen(sight, Optional.empty())
                .ifPresent(r ->
                        assertThat(CauseTable.weights(r.fact(), Situation.SLAG)).isNotEmpty());
        assertThat(sight.restart()).isNotBlank();
    }
}
