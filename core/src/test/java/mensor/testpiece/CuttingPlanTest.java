package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.Slag;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.testpiece.PieceDecision.Tested;
import mensor.weld.Connection;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Position;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/**
 * Cutting plans against sums drawn by hand: 1 in off at the ends, 1 1/2 in for a face or root bend, 3/8 in for a side bend (AWS D1.1 clause
 * 6 (4), ASME IX QW-452 and QW-463, from memory). Elongation by its formula.
 */
class CuttingPlanTest {
    private static Length in(String text) {
        return Length.parse(text, Unit.INCH);
    }

    private static Joint plate(String thickness, String length) {
        return new JointBuilder("CP", WeldType.GROOVE, Connection.BUTT, in(length))
                .members(new Member("a", in(thickness)), new Member("b", in(thickness)))
                .penetration(Penetration.COMPLETE)
                .position(Position.VERTICAL_GROOVE)
                .build();
    }

    private static Joint pipe(String wall, Position position, boolean clock) {
        JointBuilder b = new JointBuilder("CP", WeldType.GROOVE, Connection.PIPE_BUTT, in("24"))
                .members(new Member("a", in(wall)), new Member("b", in(wall)))
                .penetration(Penetration.COMPLETE)
                .closed(true)
                .position(position);
        return (clock ? b.clock(new JointBuilder.Clock(Optional.empty(), "12:00", true)) : b).build();
    }

    private static List<String> cuts(Joint joint) {
        return CuttingPlan.of(joint).cuts().stream()
                .map(c -> c.name() + " " + c.where().shown()
                        + c.byClock().map(t -> " " + t).orElse(""))
                .toList();
    }

    /** 1 off, 1 to 2 1/2, … 4 1/2 to 6, 1 off: 7 in. */
    @Test
    void aThinPlateGivesARootAndAFaceBend() {
        assertThat(cuts(plate("3/8", "7"))).containsExactly("root bend 1 1–2 1/2", "face bend 1 4 1/2–6");
        assertThat(CuttingPlan.of(plate("3/8", "5")).problems()).isEmpty();
        assertThat(CuttingPlan.of(plate("3/8", "4 15/16")).problems().toString())
                .contains("too short")
                .contains("5 in");
    }

    @Test
    void aThickPlateGivesTwoSideBends() {
        assertThat(cuts(plate("1", "5"))).containsExactly("side bend 1 1–1 3/8", "side bend 2 3 5/8–4");
        assertThat(cuts(plate("25/64", "5")).get(0)).startsWith("side bend");
    }

    /** 24 in around: 1:30 lies at 3 in, 4:30 at 9, 7:30 at 15, 10:30 at 21. */
    @Test
    void aFixedPipeIsCutAtFourPlacesOfTheClock() {
        assertThat(cuts(pipe("3/8", Position.PIPE_FIXED_INCLINED, true)))
                .containsExactly(
                        "face bend 1 2 1/4–3 3/4 1:30",
                        "root bend 1 8 1/4–9 3/4 4:30",
                        "face bend 2 14 1/4–15 3/4 7:30",
                        "root bend 2 20 1/4–21 3/4 10:30");
        assertThat(cuts(pipe("1/2", Position.PIPE_FIXED_HORIZONTAL, true)))
                .hasSize(4)
                .allMatch(c -> c.startsWith("side bend"));
        assertThat(cuts(pipe("3/8", Position.HORIZONTAL_GROOVE, false)))
                .containsExactly("face bend 1 2 1/4–3 3/4", "root bend 1 14 1/4–15 3/4");
    }

    /** 100 × 0.375 ÷ (2 × 0.75 + 0.375) = 20 %; with a radius of 1 in 15.79 %. */
    @ParameterizedTest
    @CsvSource({"3/8, 36, 20.0", "1, 50, 20.0", "3/8, 55, 15.789", "3/8, 100, 13.043", "1/4, 36, 14.286"})
    void theOuterFibreIsStretched(String plate, double yield, double percent) {
        assertThat(BendFigures.of(in(plate), yield).elongation()).isCloseTo(percent, within(0.001));
    }

    @Test
    void aBendNeedsAThickness() {
        assertThat(BendFigures.of(in("3/8"), 36).opening()).isEqualTo(in("2 3/8"));
        assertThatThrownBy(() -> BendFigures.of(in("0"), 36)).isInstanceOf(InvalidField.class);
    }

    private static Tested bent(SpecimenKind kind, String opening) {
        Specimen.Bend bend = new Specimen.Bend(List.of(in(opening)), List.of(), true);
        return new Tested(kind, kind.title(), bend.judge(Unit.INCH));
    }

    @Test
    void thePieceIsDecidedByTheEyeAndByEverySpecimen() {
        CuttingPlan plan = CuttingPlan.of(plate("3/8", "7"));
        Tested root = bent(SpecimenKind.ROOT_BEND, "1/16");
        Tested face = bent(SpecimenKind.FACE_BEND, "0");
        assertThat(PieceDecision.of(Verdict.ACCEPT, plan, List.of(root, face)).verdict())
                .isEqualTo(Verdict.ACCEPT);
        assertThat(PieceDecision.of(Verdict.ACCEPT, plan, List.of(root)).lines())
                .containsExactly("face bend: 0 of 1 tested");
        assertThat(PieceDecision.of(Verdict.INCOMPLETE, plan, List.of(root, face))
                        .verdict())
                .isEqualTo(Verdict.INCOMPLETE);
        PieceDecision broke =
                PieceDecision.of(Verdict.ACCEPT, plan, List.of(bent(SpecimenKind.ROOT_BEND, "5/32"), face));
        assertThat(broke.verdict()).isEqualTo(Verdict.REJECT);
        assertThat(broke.lesson()).as("it looked good").isTrue();
        assertThat(PieceDecision.of(Verdict.REJECT, plan, List.of(root, face)).lesson())
                .isFalse();
        CuttingPlan none = CuttingPlan.of(plate("3/8", "4"));
        assertThat(PieceDecision.of(Verdict.ACCEPT, none, List.of()).verdict())
                .as("nothing was tested")
                .isEqualTo(Verdict.INCOMPLETE);
        assertThat(PieceDecision.of(Verdict.ACCEPT, none, List.of(root)).verdict())
                .as("one specimen is not enough where no plan says how many are")
                .isEqualTo(Verdict.INCOMPLETE);
    }

    @Test
    void anEmptyBendAndALimitThatNobodySetStayOpen() {
        assertThat(new Specimen.Bend(List.of(), List.of(), false)
                        .judge(Unit.INCH)
                        .verdict())
                .isEqualTo(Verdict.INCOMPLETE);
        Specimen.NickBreak seen = new Specimen.NickBreak(
                Optional.of(true),
                Optional.of(in("1/8")),
                Optional.empty(),
                Optional.of(in("0")),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        assertThat(seen.judge(Unit.INCH).verdict()).isEqualTo(Verdict.INCOMPLETE);
        assertThat(seen.judge(Unit.INCH).lines().toString()).contains("limit is wanted");
        assertThat(nicked("1/8", "1/8").verdict()).isEqualTo(Verdict.ACCEPT);
        assertThat(nicked("9/64", "1/8").verdict()).isEqualTo(Verdict.REJECT);
    }

    private static Specimen.Result nicked(String inclusion, String allowed) {
        return new Specimen.NickBreak(
                        Optional.of(true),
                        Optional.of(in(inclusion)),
                        Optional.of(in(allowed)),
                        Optional.of(in("0")),
                        Optional.empty(),
                        Optional.empty(),
                        Optional.empty())
                .judge(Unit.INCH);
    }

    /** The second root bend of a pipe of 24 in lies around 21 in. */
    @Test
    void aFailedSpecimenIsADefectAtItsPlace() {
        CuttingPlan plan = CuttingPlan.of(pipe("3/8", Position.PIPE_FIXED_INCLINED, true));
        Span where = SpecimenDefect.place(plan, SpecimenKind.ROOT_BEND, "root bend 2")
                .orElseThrow();
        assertThat(where.from()).isEqualTo(in("20 1/4"));
        Specimen.Bend opened = new Specimen.Bend(List.of(in("5/32")), List.of(), true);
        assertThat(SpecimenDefect.of(opened, opened.judge(Unit.INCH), where)).contains(new IncompleteFusion(where));
        Specimen.FilletBreak slag =
                new Specimen.FilletBreak(false, Optional.of(true), Optional.of(in("1/8")), Optional.of(in("1/8")));
        assertThat(SpecimenDefect.of(slag, slag.judge(Unit.INCH), where)).contains(new Slag(where, true));
        Specimen.Bend sound = new Specimen.Bend(List.of(), List.of(), true);
        assertThat(SpecimenDefect.of(sound, sound.judge(Unit.INCH), where)).isEmpty();
        assertThat(SpecimenDefect.place(plan, SpecimenKind.MACRO, "macro 1")).isEmpty();
    }
}
