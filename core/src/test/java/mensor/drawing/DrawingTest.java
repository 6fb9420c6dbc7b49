package mensor.drawing;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.d11.StaticBook;
import mensor.inspection.Conditions;
import mensor.inspection.Crack;
import mensor.inspection.CrackPlace;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.ReadingChoices;
import mensor.inspection.Undercut;
import mensor.inspection.Undersize;
import mensor.judge.Judge;
import mensor.judge.Station;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Dihedral;
import mensor.weld.Gap;
import mensor.weld.Groove;
import mensor.weld.JointBuilder;
import mensor.weld.LegMeaning;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import mensor.weld.WeldingRecord;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Drawings are numbers from the core; what is checked here is that they are to scale and say what the judge says. */
class DrawingTest {
    private static final StaticBook BOOK = new StaticBook();
    private final List<Indication> indications = new ArrayList<>();
    private final List<Reading> readings = new ArrayList<>();
    private JointBuilder joint = new JointBuilder("T", WeldType.FILLET, Connection.TEE, Length.inches(24))
            .size(Length.inches(5, 16))
            .members(new Member("web", Length.inches(3, 8)), new Member("flange", Length.inches(3, 4)));

    private Inspection inspection() {
        return new Inspection(
                joint.build(),
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                false,
                List.of(),
                readings,
                indications,
                List.of(),
                ReadingChoices.CAREFUL,
                WeldingRecord.NONE);
    }

    private StripDrawing strip() {
        return StripDrawing.of(inspection(), Judge.evaluate(inspection(), BOOK));
    }

    private static Span span(long from, long to) {
        return new Span(Length.inches(from), Length.inches(to));
    }

    private DrawingTest undercut(Toe toe, Span span, String depth) {
        indications.add(new Undercut(toe, span, Length.parse(depth, Unit.INCH), Optional.empty()));
        return this;
    }

    @Test
    void marksLieWhereTheyWereSeen() {
        undercut(Toe.A, span(3, 5), "1/16");
        indications.add(new Crack(Span.at(Length.inches(30)), Optional.of(CrackPlace.BASE)));
        indications.add(new Undersize(span(7, 9), Length.inches(9, 32)));
        StripDrawing s = strip();
        assertThat(s.length()).isCloseTo(609.6, within(1e-9));
        StripDrawing.Mark m = s.marks().get(0);
        assertThat(m.lane()).isEqualTo("A");
        assertThat(m.from()).isCloseTo(76.2, within(1e-9));
        assertThat(m.to()).isCloseTo(127, within(1e-9));
        assertThat(m.depth()).isCloseTo(1.5875, within(1e-9));
        assertThat(m.label()).isEqualTo("1/16");
        assertThat(s.marks().get(1).lane()).isEqualTo("base");
        assertThat(s.marks().get(1).from())
                .as("beyond the end it is drawn at the end")
                .isCloseTo(609.6, within(1e-9));
        assertThat(s.marks().get(1).rejects()).isTrue();
        assertThat(s.marks().get(2).lane()).isEqualTo("size");
        assertThat(s.lanes())
                .extracting(StripDrawing.Lane::name)
                .containsExactly("web toe", "face", "flange toe", "beside");
    }

    @Test
    void theWorstWindowIsABracketAtItsPlace() {
        undercut(Toe.A, span(3, 5), "1/16").undercut(Toe.B, span(10, 11), "3/64");
        StripDrawing s = strip();
        assertThat(s.brackets()).hasSize(1);
        assertThat(s.brackets().get(0).rejects()).isTrue();
        assertThat(s.brackets().get(0).label()).contains("3 in over 1/32").contains("2 in");
        assertThat(s.brackets().get(0).to() - s.brackets().get(0).from()).isCloseTo(304.8, within(1e-6));
        assertThat(s.marks()).allMatch(StripDrawing.Mark::rejects);
    }

    @Test
    void whatWraps_isDrawnAsTwo() {
        joint.closed(true);
        undercut(Toe.A, span(23, 1), "1/64");
        StripDrawing s = strip();
        assertThat(s.marks())
                .hasSize(2)
                .extracting(StripDrawing.Mark::indication)
                .containsOnly(0);
    }

    @Test
    void sizeBandsSayWhatIsKnown() {
        readings.add(new Reading.Blade(
                span(0, 10), Length.inches(5, 16), Optional.empty(), Optional.empty(), Optional.empty()));
        readings.add(new Reading.Blade(
                span(10, 14), Length.inches(1, 4), Optional.empty(), Optional.empty(), Optional.empty()));
        indications.add(new Undersize(span(4, 5), Length.inches(9, 32)));
        readings.add(Reading.Station.legs(Length.inches(20), Length.inches(5, 16), Length.inches(5, 16)));
        StripDrawing s = strip();
        assertThat(s.bands())
                .extracting(StripDrawing.Band::state)
                .containsExactly(
                        StripDrawing.Size.MARKED,
                        StripDrawing.Size.GOES,
                        StripDrawing.Size.GOES,
                        StripDrawing.Size.SMALLER,
                        StripDrawing.Size.UNTRIED);
        assertThat(s.stations())
                .singleElement()
                .extracting(StripDrawing.Station::label)
                .isEqualTo("20");
        double covered = s.bands().stream().mapToDouble(b -> b.to() - b.from()).sum();
        assertThat(covered).as("the bands cover the weld once").isCloseTo(s.length(), within(1e-6));
    }

    @Test
    void betweenSegmentsThereIsNoWeld() {
        joint.segments(List.of(span(0, 3), span(12, 15)));
        assertThat(strip().bands())
                .filteredOn(b -> b.state() == StripDrawing.Size.UNWELDED)
                .hasSize(2);
    }

    @Test
    void gapsShowOnTheStrip() {
        joint.gaps(List.of(new Gap(span(10, 12), Length.inches(1, 8))));
        assertThat(strip().gaps())
                .singleElement()
                .extracting(StripDrawing.Stretch::label)
                .isEqualTo("gap 1/8");
    }

    @ParameterizedTest
    @CsvSource({
        "1, INCH",
        "3, INCH",
        "24, INCH",
        "240, INCH",
        "30000, INCH",
        "25, MILLIMETRE",
        "600, MILLIMETRE",
        "900000, MILLIMETRE"
    })
    void theRulerHasRoomForItsLabels(String length, Unit unit) {
        List<StripDrawing.Tick> ticks = StripDrawing.ticks(Length.parse(length, unit), unit);
        assertThat(ticks.stream().filter(t -> !t.label().isEmpty())).hasSizeBetween(2, 29);
        assertThat(ticks.get(0).at()).isZero();
        assertThat(ticks).allMatch(t -> t.at() <= StripDrawing.mm(Length.parse(length, unit)) + 1e-6);
    }

    @Test
    void theSectionIsToScale() {
        Reading.Station s = Reading.Station.of(
                Length.inches(5),
                Optional.of(Length.inches(1, 4)),
                Optional.of(Length.inches(3, 8)),
                Optional.of(Length.inches(7, 32)),
                Optional.empty());
        readings.add(s);
        undercut(Toe.A, span(4, 6), "1/8");
        SectionDrawing d = SectionDrawing.at(inspection(), BOOK, s, List.of(0));
        List<SectionDrawing.Point> weld = d.weld().points();
        assertThat(weld.get(1).y()).as("leg A up the web").isCloseTo(6.35, within(1e-6));
        assertThat(weld.get(2).x()).as("leg B along the flange").isCloseTo(9.525, within(1e-6));
        assertThat(Math.hypot(d.weld().curve().x(), d.weld().curve().y()))
                .as("the throat")
                .isCloseTo(5.55625, within(1e-6));
        assertThat(d.required().get(2).x()).isCloseTo(7.9375, within(1e-6));
        assertThat(d.notches()).singleElement().satisfies(n -> {
            assertThat(n.rejects()).isTrue();
            assertThat(n.at().y()).isCloseTo(6.35, within(1e-6));
            assertThat(n.depth()).isCloseTo(3.175, within(1e-6));
        });
        assertThat(d.dimensions()).extracting(SectionDrawing.Dimension::label).containsExactly("1/4", "3/8", "7/32");
        assertThat(d.dimensions()).extracting(SectionDrawing.Dimension::low).containsExactly(true, false, true);
    }

    @Test
    void overAGapTheWantedLegGrows() {
        joint.gaps(List.of(new Gap(span(4, 6), Length.inches(1, 8))));
        Reading.Station s = Reading.Station.legs(Length.inches(5), Length.inches(3, 8), Length.inches(7, 16));
        readings.add(s);
        SectionDrawing d = SectionDrawing.at(inspection(), BOOK, s, List.of());
        assertThat(d.gap()).isCloseTo(3.175, within(1e-6));
        assertThat(d.dimensions()).extracting(SectionDrawing.Dimension::low).containsExactly(true, false);
    }

    @Test
    void aSkewedSectionOpensAtItsAngle() {
        joint.dihedral(new Dihedral(BigDecimal.valueOf(120))).sizeMeans(LegMeaning.CONTACT);
        SectionDrawing d = SectionDrawing.asDrawn(joint.build());
        SectionDrawing.Point toeA = d.weld().points().get(1);
        assertThat(Math.toDegrees(Math.atan2(toeA.y(), toeA.x()))).isCloseTo(120, within(1e-6));
        assertThat(d.read()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"TEE", "LAP"})
    void membersAreDrawnForEachConnection(Connection c) {
        joint = new JointBuilder("T", WeldType.FILLET, c, Length.inches(24))
                .size(Length.inches(1, 4))
                .members(new Member("top", Length.inches(3, 8)), new Member("bottom", Length.inches(1, 2)));
        SectionDrawing d = SectionDrawing.asDrawn(joint.build());
        assertThat(d.members()).hasSize(2).allMatch(m -> m.points().size() == 4);
        assertThat(d.members().get(0).label()).isEqualTo("top 3/8");
        double thickness = c == Connection.LAP
                ? d.members().get(0).points().get(1).y()
                : -d.members().get(0).points().get(2).x();
        assertThat(thickness).isCloseTo(9.525, within(1e-6));
    }

    private static JointBuilder butt(String prep, double angle) {
        return new JointBuilder("G", WeldType.GROOVE, Connection.BUTT, Length.inches(24))
                .penetration(Penetration.COMPLETE)
                .groove(new Groove(
                        Optional.of(prep),
                        Optional.of(angle),
                        Optional.of(Length.inches(1, 16)),
                        Optional.of(Length.inches(1, 8))))
                .members(new Member("left", Length.inches(1, 2)), new Member("right", Length.inches(3, 8)));
    }

    /** The width of a V at its face: opening + 2 × (t − root face) × tan(half the angle), by trigonometry. */
    @Test
    void aButtIsPreparedAsDrawn() {
        SectionDrawing d = SectionDrawing.asDrawn(butt("V", 60).build());
        SectionDrawing.Point a = d.weld().points().get(1);
        SectionDrawing.Point b = d.weld().points().get(2);
        double tan30 = Math.tan(Math.toRadians(30));
        assertThat(a.x()).isCloseTo(-25.4 / 16 - 25.4 * 7 / 16 * tan30, within(1e-6));
        assertThat(a.y()).isCloseTo(12.7, within(1e-6));
        assertThat(b.x()).isCloseTo(25.4 / 16 + 25.4 * 5 / 16 * tan30, within(1e-6));
        assertThat(b.y()).isCloseTo(9.525, within(1e-6));
        assertThat(SectionDrawing.asDrawn(butt("bevel", 45).build())
                        .weld()
                        .points()
                        .get(2)
                        .x())
                .as("a single bevel leaves the second member square")
                .isCloseTo(25.4 / 16, within(1e-6));
        assertThat(SectionDrawing.asDrawn(butt("double-V", 60).build()).weld().points())
                .as("a double V opens at both surfaces")
                .hasSize(8);
    }

    @Test
    void theCrownOfAGrooveIsDrawnAndLetteredAndFailsWhereItRejects() {
        Reading.Station s = Reading.Station.crown(Length.inches(6), Length.inches(3, 16));
        Inspection inspection = new Inspection(
                butt("V", 60).build(),
                Unit.INCH,
                Conditions.READY,
                Set.of(),
                false,
                List.of(),
                List.of(s),
                List.of(),
                List.of(),
                ReadingChoices.CAREFUL,
                WeldingRecord.NONE);
        SectionDrawing d = SectionDrawing.at(inspection, BOOK, s, List.of());
        SectionDrawing.Point crown = d.weld().curve();
        SectionDrawing.Point a = d.weld().points().get(1);
        SectionDrawing.Point b = d.weld().points().get(2);
        assertThat(Math.hypot(crown.x() - (a.x() + b.x()) / 2, crown.y() - (a.y() + b.y()) / 2))
                .isCloseTo(25.4 * 3 / 16, within(1e-6));
        assertThat(d.dimensions()).singleElement().satisfies(x -> {
            assertThat(x.label()).isEqualTo("3/16");
            assertThat(x.low()).isTrue();
        });
        // a butt's crown stands out 1/8 in at most (profile table for groove welds, from memory)
        assertThat(d.limit().label()).isEqualTo("at most 1/8");
        SectionDrawing.Point most = d.limit().through();
        assertThat(Math.hypot(most.x() - (a.x() + b.x()) / 2, most.y() - (a.y() + b.y()) / 2))
                .isCloseTo(25.4 / 8, within(1e-6));
    }

    /** A face up to 5/16 in wide may be convex by 1/16 in, one under 1 in by 1/8 in (profile table for fillets, from memory). */
    @ParameterizedTest
    @CsvSource({"5/16, at most 1/16", "3/8, at most 1/8", "1, at most 3/16"})
    void aFilletsConvexityIsDrawnAgainstItsLimitWhereTheWidthIsKnown(String faceWidth, String limit) {
        Reading.Station s = convex(faceWidth);
        SectionDrawing d = SectionDrawing.at(inspection(), BOOK, s, List.of());
        assertThat(d.limit().label()).isEqualTo(limit);
        assertThat(d.limit().through().x())
                .as("outside of the chord")
                .isGreaterThan(d.limit().b().x() / 2);
        assertThat(SectionDrawing.at(inspection(), BOOK, convex(null), List.of())
                        .limit())
                .as("without a width no one number holds")
                .isNull();
    }

    private static Reading.Station convex(String faceWidth) {
        Station s = Station.in("6").with("convexity", "1/16").with("faceWidth", faceWidth);
        return (faceWidth == null ? s : s.legs("5/16", "5/16")).read();
    }

    @Test
    void aTeeGrooveStandsOnItsSecondMember() {
        SectionDrawing d =
                SectionDrawing.asDrawn(new JointBuilder("G", WeldType.GROOVE, Connection.TEE, Length.inches(24))
                        .penetration(Penetration.COMPLETE)
                        .members(new Member("stem", Length.inches(1, 2)), new Member("plate", Length.inches(3, 4)))
                        .build());
        assertThat(d.weld().points().get(1).y())
                .as("45° is drawn where none is given")
                .isCloseTo(12.7, within(1e-6));
        assertThat(d.requiredLabel()).isEqualTo("CJP, angle not given: 45° drawn");
    }

    /** The area between the points, by the shoelace formula. */
    private static double area(List<SectionDrawing.Point> p) {
        double twice = 0;
        for (int i = 0; i < p.size(); i++) {
            SectionDrawing.Point next = p.get((i + 1) % p.size());
            twice += p.get(i).x() * next.y() - next.x() * p.get(i).y();
        }
        return Math.abs(twice) / 2;
    }

    /** Two bevels of 45° on a stem of 1/2 in that meet in its middle, each with a cap of a quarter of it at the foot. */
    @Test
    void aTeePreparedFromBothSidesIsWeldedFromBoth() {
        SectionDrawing d = SectionDrawing.asDrawn(new JointBuilder(
                        "G", WeldType.GROOVE, Connection.TEE, Length.inches(24))
                .penetration(Penetration.COMPLETE)
                .groove(new Groove(Optional.of("double-bevel"), Optional.of(45.0), Optional.empty(), Optional.empty()))
                .members(new Member("stem", Length.inches(1, 2)), new Member("plate", Length.inches(3, 4)))
                .build());
        assertThat(d.weld().points()).hasSize(6);
        double t = 12.7;
        assertThat(area(d.weld().points())).isCloseTo(2 * (t / 2 * (t / 2) / 2 + t / 4 * (t / 2) / 2), within(1e-6));
        assertThat(d.weld().points().get(4).x()).as("the far toe").isCloseTo(-t, within(1e-6));
    }

    @Test
    void aLappedEdgeLiesOnItsSecondMember() {
        SectionDrawing d =
                SectionDrawing.asDrawn(new JointBuilder("G", WeldType.GROOVE, Connection.LAP, Length.inches(24))
                        .penetration(Penetration.PARTIAL)
                        .throat(Length.inches(1, 4))
                        .members(new Member("top", Length.inches(1, 2)), new Member("bottom", Length.inches(3, 4)))
                        .build());
        SectionDrawing.Point toe = d.weld().points().get(1);
        assertThat(toe.y()).as("on the upper surface").isCloseTo(12.7, within(1e-6));
        assertThat(toe.x()).as("a bevel of 45° as deep as the throat").isCloseTo(-6.35, within(1e-6));
        assertThat(d.members().get(0).points())
                .allSatisfy(p -> assertThat(p.y()).isBetween(0.0, 12.7));
    }

    /** A ticket draws what it is about: the deepest undercut of its place, not what a station some inches off had. */
    @Test
    void aRejectedPlaceIsDrawnAtItsOwnPlaceToeAndDepth() {
        readings.add(Reading.Station.legs(Length.inches(5), Length.inches(3, 8), Length.inches(7, 16)));
        undercut(Toe.A, span(4, 6), "1/64")
                .undercut(Toe.B, span(12, 13), "1/16")
                .undercut(Toe.B, span(13, 14), "1/8");
        SectionDrawing d = SectionDrawing.ofPlace(inspection(), Judge.evaluate(inspection(), BOOK), span(12, 14));
        assertThat(d.read()).as("nobody read the legs there").isFalse();
        assertThat(d.at()).isEqualTo("12");
        assertThat(d.notches()).singleElement().satisfies(n -> {
            assertThat(n.label()).isEqualTo("undercut 1/8");
            assertThat(n.at().y()).as("at the second member's toe").isZero();
            assertThat(n.rejects()).isTrue();
        });
        SectionDrawing read = SectionDrawing.ofPlace(inspection(), Judge.evaluate(inspection(), BOOK), span(4, 6));
        assertThat(read.read()).isTrue();
        assertThat(read.weld().points().get(1).y()).as("the leg that was read").isCloseTo(9.525, within(1e-6));
        assertThat(read.notches())
                .singleElement()
                .satisfies(n -> assertThat(n.label()).isEqualTo("undercut 1/64"));
    }
}
