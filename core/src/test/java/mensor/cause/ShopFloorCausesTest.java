package mensor.cause;

import static mensor.cause.CauseClass.*;
import static mensor.cause.Scene.butt;
import static mensor.cause.Scene.fillet;
import static mensor.cause.Scene.span;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.cause.PassesAtPlace.ChangeHere;
import mensor.cause.Surroundings.Tried;
import mensor.inspection.InProcessInspection;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.ProcessQuestion;
import mensor.inspection.Slag;
import mensor.weld.PassDetail.Changed;
import mensor.weld.Polarity;
import mensor.weld.Position;
import mensor.weld.Progression;
import mensor.weld.Sign;
import mensor.weld.Steel;
import mensor.weld.Technique;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** What people who weld say of causes: a scene for each line; common practice, no source. */
class ShopFloorCausesTest {
    private static CauseTrace.Cause cause(CauseTrace t, CauseClass c) {
        return t.causes().stream().filter(x -> x.cause() == c).findFirst().orElseThrow();
    }

    private static int place(CauseTrace t, CauseClass c) {
        return t.causes().indexOf(cause(t, c));
    }

    /** Spatter or undercut on one side, near an end, on direct current: arc blow leads, before angle. */
    @ParameterizedTest
    @CsvSource({"A, 23 1/4, 24", "B, 23 1/4, 24", "A, 0, 3/4", "B, 0, 3/4"})
    void arcBlowLeadsOnItsCombination(Toe toe, String from, String to) {
        Scene blown = fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .signs(Sign.ONE_SIDED_SPATTER)
                .undercut(toe, from, to);
        assertThat(blown.traced().leading().orElseThrow().cause()).isEqualTo(ARC_BLOW);
        assertThat(blown.legs("3/16", "5/16").traced().leading().orElseThrow().cause())
                .as("also where the legs speak for angle")
                .isEqualTo(ARC_BLOW);
        CauseTrace middle = fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .signs(Sign.ONE_SIDED_SPATTER)
                .undercut(toe, "11", "12")
                .traced();
        assertThat(middle.leading().map(CauseTrace.Cause::cause)).isNotEqualTo(Optional.of(ARC_BLOW));
    }

    @Test
    void arcBlowCanLeaveLackOfFusionOnTheFarSide() {
        CauseTrace t = fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .signs(Sign.ONE_SIDED_SPATTER)
                .seen(new IncompleteFusion(span("23 1/4", "24")))
                .traced();
        assertThat(t.leading().orElseThrow().cause()).isEqualTo(ARC_BLOW);
    }

    private static Scene force(Position position, String rod, double force) {
        Scene s = position.id().endsWith("F") ? fillet(position) : butt(position);
        return s.pass(
                        rod,
                        120,
                        Polarity.DCEP,
                        Technique.STRINGER,
                        Optional.of(Progression.UP),
                        OptionalDouble.of(force))
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9");
    }

    @ParameterizedTest
    @EnumSource(Position.class)
    void arcForceIsNeverRuledOutByPositionAloneWhereTheWeldIsNotFlat(Position position) {
        boolean flat = position == Position.FLAT_FILLET || position == Position.FLAT_GROOVE;
        Scene s = position.id().endsWith("F") ? fillet(position) : butt(position);
        CauseTrace t = s.undercut(Toe.A, "2", "9").undercut(Toe.B, "2", "9").traced();
        assertThat(t.ruledOut().stream().anyMatch(r -> r.cause() == ARC_FORCE)).isEqualTo(flat);
    }

    /** In percent of the machine's scale: the middle of −10…+10 is 50, much for a low-hydrogen rod, usual for a cellulosic one. */
    @ParameterizedTest
    @CsvSource({"E7018, 50, high", "E7018, 25, low", "E6010, 50, low", "E6010, 60, neither", "E6010, 80, high"})
    void arcForceIsReadByTheRod(String rod, double force, String said) {
        CauseTrace.Cause c =
                cause(force(Position.PIPE_FIXED_INCLINED, rod, force).traced(), ARC_FORCE);
        assertThat(c.speaksFor().stream().anyMatch(l -> l.contains("arc force")))
                .isEqualTo(said.equals("high"));
        assertThat(c.speaksAgainst().stream().anyMatch(l -> l.contains("arc force")))
                .isEqualTo(said.equals("low"));
    }

    @Test
    void undercutOnBothToesMayBeColdAndHurriedOrScale() {
        CauseTrace cold = fillet(Position.VERTICAL_FILLET)
                .pass(95, Technique.STRINGER)
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9")
                .traced();
        assertThat(place(cold, CURRENT_LOW)).isLessThan(place(cold, CURRENT_HIGH));
        CauseTrace scale = fillet(Position.VERTICAL_FILLET)
                .pass(122, Technique.STRINGER)
                .scaleRemoved(false)
                .signs(Sign.MILL_SCALE_LEFT)
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9")
                .traced();
        assertThat(scale.leading().map(CauseTrace.Cause::cause)).contains(CLEANLINESS);
    }

    private static CauseTrace changed(String from, String to, ChangeHere... changes) {
        return fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .undercut(Toe.A, from, to)
                .around(new Surroundings(
                        List.of(), List.of(), List.of(), Optional.empty(), Steel.UNKNOWN, List.of(), List.of(changes)))
                .trace()
                .get(0);
    }

    /** 1/8 in E7018 runs to 165 A: at 180 A from 10 in on, an undercut behind that place is hot and one before it is not. */
    @Test
    void whatWasChangedWithinAPassIsEvidenceFromItsPlaceOn() {
        ChangeHere hotter = new ChangeHere(0, span("10", "24"), Changed.AMPS, "180 A");
        assertThat(cause(changed("12", "14", hotter), CURRENT_HIGH).speaksFor().toString())
                .contains("at 180 A");
        assertThat(cause(changed("2", "4", hotter), CURRENT_HIGH).speaksFor().toString())
                .doesNotContain("180");
        assertThat(cause(changed("2", "4", hotter), CURRENT_HIGH)
                        .speaksAgainst()
                        .toString())
                .contains("at 122 A");
        ChangeHere arc = new ChangeHere(0, span("10", "24"), Changed.ARC_LENGTH, "long");
        assertThat(cause(changed("12", "14", arc), ARC_LONG).speaksFor().toString())
                .contains("a long arc");
        assertThat(cause(changed("2", "4", arc), ARC_LONG).speaksFor().toString())
                .doesNotContain("a long arc is");
        assertThat(cause(changed("12", "14", new ChangeHere(0, span("10", "24"), Changed.AMPS, "hotter")), CURRENT_HIGH)
                        .speaksAgainst()
                        .toString())
                .as("a word sets no number")
                .contains("at 122 A");
    }

    private static Scene slag() {
        return fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .pass(122, Technique.STRINGER)
                .seen(new Slag(span("11", "13"), true));
    }

    @Test
    void slagsHoldIsWeakEvidence() {
        assertThat(place(slag().signs(Sign.SLAG_HARD_TO_FREE).traced(), CURRENT_LOW))
                .isEqualTo(place(slag().traced(), CURRENT_LOW));
    }

    @Test
    void weldedOverAnOldBeadIsTheFirstSuspectBeforeAmps() {
        Scene fusion = fillet(Position.HORIZONTAL_FILLET)
                .pass(100, Technique.STRINGER)
                .seen(new IncompleteFusion(span("11", "13")));
        assertThat(fusion.traced().leading().map(CauseTrace.Cause::cause)).contains(CURRENT_LOW);
        assertThat(fusion.signs(Sign.OVER_OLD_BEAD).traced().leading().map(CauseTrace.Cause::cause))
                .contains(CLEANLINESS);
        InProcessInspection.Answer old =
                new InProcessInspection.Answer(ProcessQuestion.OLD_WELD, false, Optional.empty(), Optional.empty(), "");
        CauseTrace told = fillet(Position.HORIZONTAL_FILLET)
                .pass(100, Technique.STRINGER)
                .seen(new IncompleteFusion(span("11", "13")))
                .around(new Surroundings(
                        Surroundings.remarks(List.of(old)),
                        List.of(),
                        List.of(),
                        Optional.empty(),
                        Steel.UNKNOWN,
                        List.of()))
                .trace()
                .get(0);
        assertThat(told.leading().map(CauseTrace.Cause::cause)).contains(CLEANLINESS);
    }

    @ParameterizedTest
    @EnumSource(names = {"POOL_NOT_SEEN", "AWKWARD_STANCE", "SHADE_WRONG", "HAND_NOT_PROPPED"})
    void sightStanceAndShadeCount(Sign sign) {
        Scene seen = fillet(Position.VERTICAL_FILLET)
                .pass(122, Technique.WEAVE)
                .signs(sign)
                .undercut(Toe.A, "2", "9")
                .undercut(Toe.B, "2", "9");
        assertThat(cause(seen.traced(), MANIPULATION).speaksFor()).isNotEmpty();
    }

    /** Tight spatter that is accepted may be traced all the same. */
    @Test
    void whatIsAcceptedMayBeTracedToo() {
        mensor.inspection.Inspection inspection = fillet(Position.HORIZONTAL_FILLET)
                .pass(122, Technique.STRINGER)
                .signs(Sign.COARSE_SPATTER)
                .seen(new mensor.inspection.Spatter(span("11", "13"), false))
                .inspection();
        mensor.judge.Evaluation judged = mensor.judge.Judge.evaluate(inspection, new mensor.criteria.d11.StaticBook());
        assertThat(Tracer.trace(inspection, judged, Surroundings.NONE, List.of()))
                .isEmpty();
        assertThat(Tracer.trace(inspection, judged, Surroundings.NONE, List.of(), true))
                .singleElement()
                .satisfies(t ->
                        assertThat(t.leading().map(CauseTrace.Cause::cause)).contains(ARC_LONG));
    }

    @Test
    void oneLuckyChangeDoesNotOutweighTheEvidenceAtHand() {
        Tried lucky = new Tried(TRAVEL_ANGLE, "slag", true, "drag angle changed on FB-05: better");
        CauseTrace t = fillet(Position.HORIZONTAL_FILLET)
                .pass(100, Technique.STRINGER)
                .seen(new Slag(span("11", "13"), true))
                .around(new Surroundings(
                        List.of(), List.of(), List.of(), Optional.empty(), Steel.UNKNOWN, List.of(lucky)))
                .trace()
                .get(0);
        assertThat(t.leading().map(CauseTrace.Cause::cause)).contains(CURRENT_LOW);
    }
}
