package mensor.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.Groove;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Fit-up tolerances: AWS D1.1 7.21 (5.21), from memory. */
class FitUpCheckTest {
    private static final Map<FitUpQuestion, Boolean> WELL =
            Map.of(FitUpQuestion.SCALE_OFF, true, FitUpQuestion.TACKS, true, FitUpQuestion.SQUARE, true);

    private static Length l(String text) {
        return Length.parse(text, text.endsWith("mm") ? Unit.MILLIMETRE : Unit.INCH);
    }

    private static Joint fillet(String size, String thickness, boolean closed) {
        Unit unit = l(size).unit();
        return new JointBuilder("FB-1", WeldType.FILLET, Connection.TEE, unit.pick(l("24"), l("600mm")))
                .members(new Member("web", l(thickness)), new Member("flange", l(thickness)))
                .size(l(size))
                .closed(closed)
                .build();
    }

    private static FitUp.Reading gap(String from, String to, String opening) {
        return new FitUp.Reading(
                new Span(l(from), l(to)),
                Optional.of(l(opening)),
                Optional.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty());
    }

    private static FitUpCheck.Result check(Joint joint, FitUp.Reading... readings) {
        return FitUpCheck.of(
                joint,
                new FitUp(List.of(readings), WELL, Optional.empty()),
                joint.length().unit(),
                Optional.empty());
    }

    private static String shown(List<Gap> gaps) {
        List<String> all = new ArrayList<>();
        gaps.forEach(g -> all.add(g.span().shown() + " " + g.opening().shown()));
        return String.join(", ", all);
    }

    @ParameterizedTest
    @CsvSource({
        "5/16, 1/16, accept, ''",
        "5/16, 5/64, accept, 25/64",
        "5/16, 1/8, accept, 7/16",
        "5/16, 3/16, accept, 1/2",
        "5/16, 13/64, reject, 33/64",
        "8mm, 2mm, accept, ''",
        "8mm, 2.1mm, accept, 10.1",
        "8mm, 5mm, accept, 13",
        "8mm, 5.1mm, reject, 13.1"
    })
    void gapUnderAFilletAtUnderAndOver(String size, String opening, String verdict, String leg) {
        String at = opening.endsWith("mm") ? "300mm" : "12";
        FitUpCheck.Result result =
                check(fillet(size, size.endsWith("mm") ? "12mm" : "1/2", false), gap(at, at, opening));
        assertThat(result.verdict().id()).isEqualTo(verdict);
        assertThat(result.stops()).isEqualTo(verdict.equals("reject"));
        assertThat(result.raised().stream()
                        .map(r -> r.leg().orElseThrow().shown())
                        .toList())
                .isEqualTo(leg.isEmpty() ? List.of() : List.of(leg));
    }

    @ParameterizedTest
    @CsvSource({
        "3, 5/16, incomplete",
        "3, 21/64, reject",
        "2 63/64, 1/4, reject",
        "75mm, 8mm, incomplete",
        "75mm, 8.1mm, reject",
        "74mm, 6mm, reject"
    })
    void thickPartsAreReferredUpToFiveSixteenths(String thickness, String opening, String verdict) {
        String at = opening.endsWith("mm") ? "300mm" : "12";
        Joint joint = fillet(opening.endsWith("mm") ? "10mm" : "1/2", thickness, false);
        assertThat(check(joint, gap(at, at, opening)).verdict().id()).isEqualTo(verdict);
    }

    @Test
    void theReasonOfTheRaisedLegIsItsArithmetic() {
        assertThat(check(fillet("5/16", "1/2", false), gap("10", "14", "1/8"), gap("2", "2", "0"))
                        .raised())
                .singleElement()
                .satisfies(r -> assertThat(r.reason()).isEqualTo("5/16 + gap 1/8 = leg 7/16 in along 10–14"));
    }

    @Test
    void betweenStationsTheGreaterOpeningCounts() {
        FitUpCheck.Result r = check(
                fillet("5/16", "1/2", false), gap("4", "4", "0"), gap("12", "12", "1/8"), gap("20", "20", "1/32"));
        assertThat(shown(r.gaps())).isEqualTo("4–20 1/8");
        FitUpCheck.Result ends = check(fillet("5/16", "1/2", false), gap("4", "4", "3/32"), gap("12", "12", "0"));
        assertThat(shown(ends.gaps())).isEqualTo("0–12 3/32");
    }

    @Test
    void aStretchSaysWhereTheGapRuns() {
        FitUpCheck.Result r = check(
                fillet("5/16", "1/2", false),
                gap("2", "2", "0"),
                gap("10", "14", "1/8"),
                gap("12", "16", "3/32"),
                gap("22", "22", "0"));
        assertThat(shown(r.gaps())).isEqualTo("10–14 1/8, 14–16 3/32");
    }

    @Test
    void onAClosedWeldTheLastStationReachesRoundToTheFirst() {
        FitUpCheck.Result r = check(fillet("5/16", "1/2", true), gap("6", "6", "0"), gap("18", "18", "1/8"));
        assertThat(shown(r.gaps())).isEqualTo("0–24 1/8");
    }

    @Test
    void marksWithoutAWordOnTheRestAreIncomplete() {
        Joint joint = fillet("5/16", "1/2", false);
        assertThat(check(joint, gap("10", "14", "1/8")).verdict()).isEqualTo(Verdict.INCOMPLETE);
        Map<FitUpQuestion, Boolean> tight = new java.util.HashMap<>(WELL);
        tight.put(FitUpQuestion.TIGHT_ELSEWHERE, true);
        FitUp fitUp = new FitUp(List.of(gap("10", "14", "1/8")), tight, Optional.empty());
        assertThat(FitUpCheck.of(joint, fitUp, Unit.INCH, Optional.empty()).verdict())
                .isEqualTo(Verdict.ACCEPT);
    }

    @Test
    void anAnswerNoStopsAndAMissingOneIsAskedFor() {
        Joint joint = fillet("5/16", "1/2", false);
        for (FitUpQuestion q : WELL.keySet()) {
            Map<FitUpQuestion, Boolean> answers = new java.util.HashMap<>(WELL);
            answers.put(q, false);
            FitUp no = new FitUp(List.of(gap("1", "1", "0")), answers, Optional.empty());
            assertThat(FitUpCheck.of(joint, no, Unit.INCH, Optional.empty()).stops())
                    .isTrue();
            answers.remove(q);
            FitUp open = new FitUp(List.of(gap("1", "1", "0")), answers, Optional.empty());
            assertThat(FitUpCheck.of(joint, open, Unit.INCH, Optional.empty()).verdict())
                    .isEqualTo(Verdict.INCOMPLETE);
        }
    }

    private static Joint butt(boolean backing, String thickness) {
        return new JointBuilder("FB-2", WeldType.GROOVE, Connection.BUTT, Length.inches(12))
                .members(new Member("left", l(thickness)), new Member("right", l(thickness)))
                .penetration(Penetration.COMPLETE)
                .groove(new Groove(
                        Optional.of("V"),
                        Optional.of(60.0),
                        Optional.of(l("3/32")),
                        Optional.of(l(backing ? "1/4" : "1/8"))))
                .backing(backing)
                .build();
    }

    private static String groove(
            boolean backing,
            String thickness,
            String opening,
            String face,
            double angle,
            String offset,
            String backingGap) {
        FitUp.Reading r = new FitUp.Reading(
                Span.at(l("6")),
                Optional.of(l(opening)),
                Optional.of(l(face)),
                OptionalDouble.of(angle),
                Optional.of(l(offset)),
                Optional.of(l(backingGap)));
        FitUpCheck.Result result = check(butt(backing, thickness), r);
        return String.join(
                " ",
                result.items().stream()
                        .filter(i -> i.verdict() == Verdict.REJECT)
                        .map(InspectionItem::id)
                        .toList());
    }

    @ParameterizedTest
    @CsvSource({
        // without backing: opening 1/8 ± 1/16, face 3/32 ± 1/16, angle 60 +10 −5, offset the lesser of t/10 and 1/8
        "false, 3/4, 1/16, 1/32, 55, 0, 0, ''",
        "false, 3/4, 3/16, 5/32, 70, 3/40, 0, ''",
        "false, 3/4, 3/64, 3/32, 60, 0, 0, opening",
        "false, 3/4, 13/64, 3/32, 60, 0, 0, opening",
        "false, 3/4, 1/8, 1/64, 60, 0, 0, root-face",
        "false, 3/4, 1/8, 11/64, 60, 0, 0, root-face",
        "false, 3/4, 1/8, 3/32, 54.9, 0, 0, angle",
        "false, 3/4, 1/8, 3/32, 70.1, 0, 0, angle",
        "false, 3/4, 1/8, 3/32, 60, .076, 0, offset",
        "false, 2, 1/8, 3/32, 60, 1/8, 0, ''",
        "false, 2, 1/8, 3/32, 60, 9/64, 0, offset",
        // with backing: 1/4 + 1/4 − 1/16, gap at the backing to 1/16
        "true, 3/4, 1/2, 3/32, 60, 0, 1/16, ''",
        "true, 3/4, 33/64, 3/32, 60, 0, 1/16, opening",
        "true, 3/4, 3/16, 3/32, 60, 0, 1/16, ''",
        "true, 3/4, 11/64, 3/32, 60, 0, 1/16, opening",
        "true, 3/4, 1/4, 3/32, 60, 0, 5/64, backing-gap"
    })
    void groovesAtUnderAndOver(
            boolean backing,
            String t,
            String opening,
            String face,
            double angle,
            String offset,
            String backingGap,
            String rejected) {
        assertThat(groove(backing, t, opening, face, angle, offset, backingGap)).isEqualTo(rejected);
    }

    @Test
    void aWideGrooveIsBuiltUpByTheContractorOnlySoFar() {
        // the lesser of 2t and 3/4 in: at 1/4 in plate 1/2 in, at 1/2 in plate 3/4 in
        assertThat(reason("1/4", "1/2")).contains("the contractor may build it up");
        assertThat(reason("1/4", "33/64")).contains("for the Engineer");
        assertThat(reason("1/2", "3/4")).contains("the contractor may build it up");
        assertThat(reason("1/2", "49/64")).contains("for the Engineer");
    }

    private static String reason(String thickness, String opening) {
        return check(butt(false, thickness), gap("6", "6", opening))
                .items()
                .get(0)
                .reason();
    }
}
