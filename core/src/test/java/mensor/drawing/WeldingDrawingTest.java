package mensor.drawing;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import mensor.inspection.FitUp;
import mensor.inspection.InProcessInspection;
import mensor.inspection.ProcessQuestion;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.LoggedPass;
import mensor.weld.Member;
import mensor.weld.Pass;
import mensor.weld.PassKind;
import mensor.weld.Stagger;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;

class WeldingDrawingTest {
    private static final double INCH = 25.4;

    private static double mm(double inches) {
        return Math.round(inches * INCH * 1e6) / 1e6;
    }

    private static List<Length> at(String... places) {
        return Arrays.stream(places).map(p -> Length.parse(p, Unit.INCH)).toList();
    }

    private static LoggedPass pass(List<Length> starts, List<Length> stops) {
        Pass root = new Pass(
                OptionalInt.empty(),
                Optional.of(PassKind.ROOT),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                OptionalDouble.empty(),
                false);
        return new LoggedPass(
                root,
                OptionalDouble.empty(),
                starts,
                stops,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Set.of());
    }

    private static WeldingDrawing drawing(boolean closed, LoggedPass... passes) {
        Ruler ruler = new Ruler(Length.inches(24), closed);
        FitUp.Reading read = new FitUp.Reading(
                Span.at(Length.inches(2)),
                Optional.of(Length.inches(1, 32)),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty());
        InProcessInspection.Answer bad = new InProcessInspection.Answer(
                ProcessQuestion.SLAG_LINES,
                false,
                Optional.empty(),
                Optional.of(new Span(Length.inches(3), Length.inches(5))),
                "web side");
        Joint joint = new JointBuilder("D-1", WeldType.FILLET, Connection.TEE, ruler.length())
                .members(new Member("web", Length.inches(1, 2)), new Member("flange", Length.inches(1)))
                .size(Length.inches(5, 16))
                .closed(ruler.closed())
                .gaps(List.of(new Gap(new Span(Length.inches(10), Length.inches(14)), Length.inches(1, 8))))
                .build();
        return WeldingDrawing.of(
                joint,
                Unit.INCH,
                List.of(read),
                List.of(passes),
                Stagger.stacked(List.of(passes), ruler, Stagger.USUAL),
                List.of(bad));
    }

    @Test
    void eachRunGoesFromItsStartToItsStop() {
        WeldingDrawing d = drawing(false, pass(at("0", "8"), at("8", "24")), pass(at("0", "8 1/2"), at("8 1/4")));
        assertThat(d.passes().get(0).label()).isEqualTo("1 root");
        assertThat(d.passes().get(0).runs())
                .containsExactly(new WeldingDrawing.Run(0, mm(8), false), new WeldingDrawing.Run(mm(8), mm(24), false));
        assertThat(d.passes().get(1).runs())
                .as("a stop that was not recorded is the weld's end")
                .last()
                .isEqualTo(new WeldingDrawing.Run(mm(8.5), mm(24), false));
        assertThat(drawing(false, pass(List.of(), List.of())).passes().get(0).runs())
                .isEmpty();
    }

    @Test
    void onAClosedWeldTheLastRunGoesRoundTheDatum() {
        WeldingDrawing d = drawing(true, pass(at("6", "18"), at("18", "6")));
        assertThat(d.passes().get(0).runs())
                .containsExactly(
                        new WeldingDrawing.Run(0, mm(6), false),
                        new WeldingDrawing.Run(mm(6), mm(18), false),
                        new WeldingDrawing.Run(mm(18), mm(24), false));
    }

    @Test
    void gapsReadingsAndRemarksLieWhereTheyWereSeen() {
        WeldingDrawing d = drawing(false, pass(at("0", "8"), at("8", "24")), pass(at("0", "8 1/2"), at("8 1/2", "24")));
        assertThat(d.gaps()).containsExactly(new StripDrawing.Stretch(mm(10), mm(14), "gap 1/8"));
        assertThat(d.openings()).containsExactly(new WeldingDrawing.At(mm(2), "1/32"));
        assertThat(d.marks()).extracting(QuietMarks.QuietMark::kind).containsExactly("stacked", "remark");
        assertThat(d.marks().get(0))
                .isEqualTo(new QuietMarks.QuietMark(mm(8), mm(8.5), "stacked", "passes 1 and 2 stacked at 8–8 1/2"));
    }
}
