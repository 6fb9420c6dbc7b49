package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import mensor.length.Length;
import mensor.length.Span;
import org.junit.jupiter.api.Test;

/** Where a change within a pass holds, and the angles that a position asks for (common practice, no source). */
class LoggedPassTest {
    private static Length in(int n) {
        return Length.inches(n);
    }

    private static LoggedPass ran(List<Length> starts, List<Length> stops) {
        Pass pass = new Pass(
                OptionalInt.empty(),
                Optional.of(PassKind.ROOT),
                Optional.empty(),
                Optional.of("E7018"),
                Optional.of(Length.inches(1, 8)),
                OptionalDouble.of(122),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                false);
        return new LoggedPass(
                pass,
                OptionalDouble.empty(),
                starts,
                stops,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Set.of());
    }

    private static Span holds(LoggedPass pass) {
        return pass.holds(new PassDetail.PassChange(in(6), PassDetail.Changed.AMPS, "122", "140"), in(24));
    }

    @Test
    void aChangeHoldsToTheEndOfItsRodTheWayTheRodRan() {
        assertThat(holds(ran(List.of(in(0), in(12)), List.of(in(12), in(24))))).isEqualTo(new Span(in(6), in(12)));
        assertThat(holds(ran(List.of(in(12), in(24)), List.of(in(0), in(12)))))
                .as("run toward the datum")
                .isEqualTo(new Span(in(0), in(6)));
        assertThat(holds(ran(List.of(), List.of()))).as("nobody noted the rods").isEqualTo(new Span(in(6), in(24)));
    }

    private static List<String> angles(Position position, PassKind kind) {
        return angles(position, kind, Connection.BUTT);
    }

    private static List<String> angles(Position position, PassKind kind, Connection ofGroove) {
        boolean groove = position.id().endsWith("G");
        JointBuilder joint = new JointBuilder(
                        "T", groove ? WeldType.GROOVE : WeldType.FILLET, groove ? ofGroove : Connection.TEE, in(24))
                .members(new Member("a", Length.inches(1, 2)), new Member("b", Length.inches(1, 2)))
                .position(position);
        if (groove) {
            joint.penetration(Penetration.COMPLETE);
        } else {
            joint.size(Length.inches(1, 4));
        }
        return PlannedAngles.of(joint.build(), kind).stream()
                .map(PlannedAngles::shown)
                .toList();
    }

    @Test
    void eachPositionHasItsAngles() {
        assertThat(angles(Position.HORIZONTAL_GROOVE, PassKind.FILL))
                .containsExactly("work 10–15° up into the bead; drag 5–15°");
        assertThat(angles(Position.OVERHEAD_FILLET, PassKind.ROOT)).containsExactly("work 45°; drag 5–15°");
        assertThat(angles(Position.OVERHEAD_FILLET, PassKind.CAP)).containsExactly("work 50–55°; drag 5–15°");
        assertThat(angles(Position.PIPE_FIXED_INCLINED, PassKind.FILL, Connection.PIPE_BUTT))
                .as("by the thirds of each half")
                .extracting(a -> a.substring(0, a.indexOf(": ")))
                .containsExactly("6 to 4 and 6 to 8", "4 to 2 and 8 to 10", "2 to 12 and 10 to 12");
        assertThat(angles(Position.PIPE_FIXED_INCLINED, PassKind.FILL))
                .as("a flat plate that is tilted like a 6G pipe has no clock")
                .singleElement()
                .asString()
                .contains("first bead of a layer low");
    }
}
