package mensor.cause;

import static mensor.cause.CauseClass.*;
import static mensor.cause.Scene.*;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import mensor.inspection.ArcStrike;
import mensor.inspection.BurnThrough;
import mensor.inspection.Crack;
import mensor.inspection.CrackOrientation;
import mensor.inspection.CrackPlace;
import mensor.inspection.Crater;
import mensor.inspection.Face;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.ShortWeld;
import mensor.inspection.Slag;
import mensor.inspection.Spatter;
import mensor.inspection.Underfill;
import mensor.inspection.Undersize;
import mensor.judge.Station;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.ArcLength;
import mensor.weld.Gap;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.Sign;
import mensor.weld.Technique;
import mensor.weld.Toe;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Each numbered line of the shop's knowledge as a scenario (common practice, no source): the leading cause, or one of the first two. */
class NumberedCausesTest {
    private static final Optional<Length> NONE = Optional.empty();
    private static final Span MIDDLE = span("10", "12");

    private static Scene horizontal() {
        return fillet(Position.HORIZONTAL_FILLET);
    }

    private static Scene vertical() {
        return fillet(Position.VERTICAL_FILLET);
    }

    private static Indication pores(Span at) {
        return new Porosity(at, Length.inches(1, 8), 9, NONE);
    }

    private static Indication slag() {
        return new Slag(MIDDLE, true);
    }

    private static Indication fusion() {
        return new IncompleteFusion(MIDDLE);
    }

    private static Indication crack(CrackPlace where, Span span) {
        return new Crack(span, Optional.of(where));
    }

    private static Scene convex(Scene s, String legs) {
        return s.read(Station.in("12")
                .legs(legs, legs)
                .with("convexity", "1/4")
                .with("faceWidth", "3/8")
                .read());
    }

    private static Scene crown(Scene s) {
        return s.read(Station.in("12").with("reinforcement", "3/8").read());
    }

    /** The line, the scene, what it must trace to: one cause leads, or is among the first two. */
    static Stream<Arguments> lines() {
        return Stream.of(
                line("1 starved", first(horizontal().legs("1/4", "3/8").undercut(Toe.A, "11", "13")), WORK_ANGLE, true),
                line("1 gouged", first(horizontal().legs("3/8", "1/4").undercut(Toe.A, "11", "13")), ARC_LONG, true),
                line(
                        "1 spatter",
                        first(horizontal().signs(Sign.COARSE_SPATTER).undercut(Toe.A, "11", "13")),
                        ARC_LONG,
                        false),
                line(
                        "1 cold and hurried",
                        first(horizontal()
                                .pass(90, Technique.STRINGER)
                                .legs("1/4", "1/4")
                                .undercut(Toe.A, "11", "13")),
                        CURRENT_LOW,
                        false),
                line(
                        "1 overhead, the upper toe lies on the flange",
                        first(fillet(Position.OVERHEAD_FILLET)
                                .legs("3/8", "1/4")
                                .undercut(Toe.B, "11", "13")),
                        WORK_ANGLE,
                        true),
                line(
                        "1 upper edge of a horizontal groove",
                        first(butt(Position.HORIZONTAL_GROOVE).undercut(Toe.A, "11", "13")),
                        WORK_ANGLE,
                        true),
                line(
                        "1 scale",
                        first(horizontal()
                                .scaleRemoved(false)
                                .signs(Sign.MILL_SCALE_LEFT, Sign.FOLLOWS_PATCHES)
                                .undercut(Toe.A, "11", "13")),
                        CLEANLINESS,
                        false),
                line(
                        "2 weave",
                        first(vertical()
                                .pass(120, Technique.WEAVE)
                                .undercut(Toe.A, "2", "9")
                                .undercut(Toe.B, "2", "9")),
                        MANIPULATION,
                        true),
                line(
                        "2 hot",
                        first(horizontal()
                                .pass(170, Technique.STRINGER)
                                .undercut(Toe.A, "2", "9")
                                .undercut(Toe.B, "2", "9")),
                        CURRENT_HIGH,
                        true),
                line(
                        "2 arc force",
                        first(vertical()
                                .pass(
                                        "E7018",
                                        118,
                                        Polarity.DCEP,
                                        Technique.STRINGER,
                                        Optional.of(Progression.UP),
                                        OptionalDouble.of(80))
                                .undercut(Toe.A, "2", "9")
                                .undercut(Toe.B, "2", "9")),
                        ARC_FORCE,
                        false),
                line("3", first(horizontal().legs("3/8", "1/4").undercut(Toe.B, "11", "13")), WORK_ANGLE, true),
                line(
                        "3 ends only",
                        first(horizontal().signs(Sign.ONE_SIDED_SPATTER).undercut(Toe.B, "0", "1")),
                        ARC_BLOW,
                        false),
                line("4", first(horizontal().seen(new Overlap(Toe.B, span("4", "6"), NONE, NONE))), SPEED_SLOW, false),
                line(
                        "4 cold lap",
                        first(horizontal()
                                .pass(100, Technique.STRINGER)
                                .seen(new Overlap(Toe.B, span("4", "6"), NONE, NONE))),
                        CURRENT_LOW,
                        true),
                line("5 ropy", rejected(convex(horizontal().signs(Sign.ROPY_BEAD), "1/4")), CURRENT_LOW, true),
                line("5 oversize", rejected(convex(horizontal(), "3/8")), SPEED_SLOW, true),
                line(
                        "5 straight up a vertical",
                        rejected(convex(vertical().pass(118, Technique.STRINGER), "1/4")),
                        MANIPULATION,
                        true),
                line(
                        "6 legs good, throat small",
                        rejected(horizontal()
                                .read(Station.in("12")
                                        .legs("1/4", "1/4")
                                        .with("throat", "1/16")
                                        .face(Face.CONCAVE)
                                        .read())),
                        SPEED_FAST,
                        false),
                line(
                        "6 vertical down",
                        rejected(vertical()
                                .pass("E7018", 0, null, null, Optional.of(Progression.DOWN), OptionalDouble.empty())
                                .read(Station.in("12")
                                        .legs("1/4", "1/4")
                                        .with("throat", "1/16")
                                        .face(Face.CONCAVE)
                                        .read())),
                        PROCEDURE,
                        true),
                line("7", first(horizontal().seen(new Undersize(span("4", "9"), in("1/8")))), SPEED_FAST, true),
                line(
                        "7 gap",
                        first(horizontal()
                                .with(j -> j.gaps(List.of(new Gap(span("3", "9"), in("1/8")))))
                                .seen(new Undersize(span("4", "9"), in("1/8")))),
                        FIT_UP,
                        true),
                line(
                        "7 ends short",
                        first(horizontal().seen(new Undersize(span("23", "24"), in("1/8")))),
                        MANIPULATION,
                        false),
                line("8", rejected(horizontal().legs("1/8", "3/8")), WORK_ANGLE, true),
                line("9", rejected(crown(butt(Position.FLAT_GROOVE))), PROCEDURE, true),
                line("10", first(butt(Position.FLAT_GROOVE).seen(new Underfill(MIDDLE, NONE, NONE))), SPEED_FAST, true),
                line("11", first(horizontal().seen(pores(span("0", "1/2")))), ARC_LONG, false),
                line(
                        "11 not brought back",
                        first(horizontal()
                                .signs(Sign.NOT_BROUGHT_BACK_OVER_START)
                                .seen(pores(span("0", "1/2")))),
                        MANIPULATION,
                        true),
                line("12 damp", first(horizontal().hoursOut(6).seen(pores(MIDDLE))), CONSUMABLE, true),
                line("12 long arc", first(horizontal().arc(ArcLength.LONG).seen(pores(MIDDLE))), ARC_LONG, true),
                line("12 rust", first(horizontal().signs(Sign.RUST_PAINT_OIL).seen(pores(MIDDLE))), CLEANLINESS, true),
                line(
                        "12 last third of each rod",
                        first(horizontal().signs(Sign.LAST_THIRD_OF_ROD).seen(pores(MIDDLE))),
                        CURRENT_HIGH,
                        false),
                line(
                        "13 multipass",
                        first(horizontal()
                                .pass(125, Technique.STRINGER)
                                .pass(125, Technique.STRINGER)
                                .seen(slag())),
                        CLEANLINESS,
                        true),
                line("13 cold", first(horizontal().pass(95, Technique.STRINGER).seen(slag())), CURRENT_LOW, true),
                line(
                        "13 ahead of the pool",
                        first(horizontal().signs(Sign.SLAG_AHEAD_OF_POOL).seen(slag())),
                        TRAVEL_ANGLE,
                        false),
                line("14 cold", first(horizontal().pass(95, Technique.STRINGER).seen(fusion())), CURRENT_LOW, true),
                line(
                        "14 wrong pole",
                        first(horizontal()
                                .pass(
                                        "E7018",
                                        120,
                                        Polarity.DCEN,
                                        Technique.STRINGER,
                                        Optional.empty(),
                                        OptionalDouble.empty())
                                .seen(fusion())),
                        POLARITY,
                        true),
                line(
                        "14 vertical down",
                        first(vertical()
                                .pass(
                                        "E6010",
                                        120,
                                        Polarity.DCEP,
                                        null,
                                        Optional.of(Progression.DOWN),
                                        OptionalDouble.empty())
                                .seen(fusion())),
                        PROCEDURE,
                        false),
                line(
                        "15",
                        first(butt(Position.FLAT_GROOVE).seen(new IncompletePenetration(MIDDLE, NONE, NONE))),
                        FIT_UP,
                        true),
                line(
                        "15 hole at a restart",
                        withStart(butt(Position.FLAT_GROOVE).seen(new BurnThrough(in("9")))),
                        MANIPULATION,
                        true),
                line("16", first(butt(Position.FLAT_GROOVE).seen(new BurnThrough(in("9")))), CURRENT_HIGH, false),
                line(
                        "17",
                        first(horizontal().signs(Sign.BROKE_OFF_QUICKLY).seen(new Crater(in("23"), NONE, NONE))),
                        MANIPULATION,
                        true),
                line(
                        "17 crater crack",
                        first(horizontal().seen(crack(CrackPlace.CRATER, span("23", "23")))),
                        MANIPULATION,
                        true),
                line("18", first(horizontal().seen(crack(CrackPlace.WELD, MIDDLE))), METALLURGY, true),
                line(
                        "18 wide gap",
                        first(horizontal()
                                .with(j -> j.gaps(List.of(new Gap(span("9", "13"), in("1/8")))))
                                .seen(crack(CrackPlace.WELD, MIDDLE))),
                        FIT_UP,
                        false),
                line("19", first(horizontal().seen(crack(CrackPlace.WELD, span("9", "9")))), METALLURGY, true),
                line(
                        "19 no preheat",
                        first(horizontal()
                                .with(b -> b.grade("A572-50"))
                                .preheat(20)
                                .seen(new Crack(
                                        span("9", "9"),
                                        Optional.of(CrackPlace.WELD),
                                        Optional.of(CrackOrientation.ACROSS)))),
                        PROCEDURE,
                        true),
                line("20", first(horizontal().seen(crack(CrackPlace.TOE, MIDDLE))), METALLURGY, true),
                line(
                        "21",
                        first(horizontal().seen(new ArcStrike(in("5"), Optional.of(false), Optional.empty()))),
                        MANIPULATION,
                        true),
                line("22", first(horizontal().seen(new Spatter(MIDDLE, true))), ARC_LONG, true),
                line(
                        "22 one-sided",
                        first(horizontal().signs(Sign.ONE_SIDED_SPATTER).seen(new Spatter(span("0", "1"), true))),
                        ARC_BLOW,
                        true),
                line("23", also(horizontal(), Situation.WAVY), MANIPULATION, true),
                line("24", also(horizontal(), Situation.TIE_IN), MANIPULATION, true),
                line("25", first(horizontal().seen(new ShortWeld(in("1")))), MANIPULATION, true));
    }

    private static CauseTrace first(Scene s) {
        return s.traced();
    }

    private static CauseTrace rejected(Scene s) {
        return s.trace().get(0);
    }

    private static CauseTrace also(Scene s, Situation situation) {
        return s.trace(situation).get(0);
    }

    private static CauseTrace withStart(Scene s) {
        return s.around(new Surroundings(
                        List.of(), List.of(in("9")), List.of(), Optional.empty(), mensor.weld.Steel.UNKNOWN, List.of()))
                .trace()
                .get(0);
    }

    private static Arguments line(String line, CauseTrace traced, CauseClass cause, boolean leads) {
        return Arguments.of(line, traced, cause, leads);
    }

    @ParameterizedTest(name = "{0}: {2}")
    @MethodSource("lines")
    void theLineHolds(String line, CauseTrace traced, CauseClass cause, boolean leads) {
        List<CauseClass> order =
                traced.causes().stream().map(CauseTrace.Cause::cause).toList();
        assertThat(order.subList(0, Math.min(leads ? 1 : 2, order.size())))
                .as(line + " in " + order)
                .contains(cause);
    }
}
