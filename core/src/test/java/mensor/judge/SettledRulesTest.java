package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.NOT_APPLICABLE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import mensor.criteria.CriteriaBook;
import mensor.criteria.b31.NormalServiceBook;
import mensor.criteria.d11.StaticBook;
import mensor.criteria.d11.TubularBook;
import mensor.criteria.iso.Iso5817Book;
import mensor.inspection.BaseMetalDamage;
import mensor.inspection.Conditions;
import mensor.inspection.Cover;
import mensor.inspection.Criterion;
import mensor.inspection.DamageKind;
import mensor.inspection.Inspection;
import mensor.inspection.Misalignment;
import mensor.inspection.PoorRestart;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Gap;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.Toe;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Readings of the codes that engineers settled between them; sources as the rules of the books name them, from memory. */
class SettledRulesTest {
    private static Length in(String text) {
        return Length.parse(text, Unit.INCH);
    }

    private static BaseMetalDamage damage(DamageKind what, String depth, String left, Toe member) {
        return new BaseMetalDamage(
                new Span(in("4"), in("5")),
                what,
                Optional.ofNullable(depth).map(SettledRulesTest::in),
                Optional.ofNullable(left).map(SettledRulesTest::in),
                Optional.ofNullable(member),
                Optional.empty());
    }

    /** The lesser of 1/32 and 5 % of 3/8, which is .01875 in. */
    @ParameterizedTest
    @CsvSource(
            nullValues = "-",
            value = {
                "TEAR, -, -, REJECT",
                "GOUGE, 1/64, -, REJECT",
                "NICK, 0, 3/8, ACCEPT",
                "NICK, 0, -, INCOMPLETE",
                "OVER_GRINDING, 1/64, .360, ACCEPT",
                "OVER_GRINDING, 1/64, .350, INCOMPLETE",
                "OVER_GRINDING, 1/32, .374, INCOMPLETE",
                "OVER_GRINDING, 1/64, -, INCOMPLETE"
            })
    void baseMetalRejectsWhileItIsSharpAndKeepsItsThickness(
            DamageKind what, String depth, String left, Verdict wanted) {
        TestInspection harmed = TestInspection.inches("24").seen(damage(what, depth, left, Toe.A));
        assertThat(harmed.verdict(Criterion.BASE_METAL)).isEqualTo(wanted);
        assertThat(TestInspection.inches("24").verdict(Criterion.BASE_METAL)).isEqualTo(NOT_APPLICABLE);
    }

    @Test
    void codesThatDoNotNameBaseMetalSaySo() {
        for (CriteriaBook book :
                List.of(new NormalServiceBook(), Iso5817Book.levels().get(0))) {
            boolean inches = book instanceof NormalServiceBook;
            TestInspection harmed = (inches ? TestInspection.inches("24") : TestInspection.millimetres("600"))
                    .by(book)
                    .seen(new BaseMetalDamage(
                            inches
                                    ? new Span(in("4"), in("5"))
                                    : new Span(Length.millimetres("4"), Length.millimetres("5")),
                            DamageKind.GOUGE,
                            Optional.empty(),
                            Optional.empty(),
                            Optional.of(Toe.A),
                            Optional.empty()));
            assertThat(harmed.finding(Criterion.BASE_METAL).trace()
                            + harmed.judge().notes().toString()
                            + harmed.finding(Criterion.BASE_METAL).reason().words())
                    .as(book.id())
                    .contains("name");
        }
    }

    private static TestInspection covered(Cover... covers) {
        TestInspection inspection =
                TestInspection.inches("24").blade("0", "24", "5/16").notCleared();
        for (Criterion c : Criterion.values()) {
            if (c.clearable() && c != Criterion.UNDERCUT) {
                inspection.clear(c);
            }
        }
        for (Cover c : covers) {
            inspection.cover(c);
        }
        return inspection;
    }

    private static Cover undercut(String from, String to, String by) {
        return new Cover(Criterion.UNDERCUT, Optional.ofNullable(by), Optional.of(new Span(in(from), in(to))));
    }

    /** A covered stretch leaves the rest to be looked at; one that nobody gets at leaves the weld open. */
    @Test
    void aStretchThatCannotBeSeenIsNamed() {
        assertThat(covered(undercut("4", "6", "UT 114")).verdict(Criterion.UNDERCUT))
                .as("the rest was not looked at")
                .isEqualTo(INCOMPLETE);
        assertThat(covered(undercut("4", "6", "UT 114"))
                        .clear(Criterion.UNDERCUT)
                        .verdict(Criterion.UNDERCUT))
                .isEqualTo(ACCEPT);
        Finding closed =
                covered(undercut("4", "6", null)).clear(Criterion.UNDERCUT).finding(Criterion.UNDERCUT);
        assertThat(closed.verdict()).isEqualTo(INCOMPLETE);
        assertThat(closed.reason().words() + closed.asks())
                .contains("not accessible")
                .contains("4–6");
        assertThat(covered(undercut("0", "12", "UT 1"), undercut("12", "24", "UT 2"))
                        .verdict(Criterion.UNDERCUT))
                .as("stretches that make up the whole weld")
                .isEqualTo(ACCEPT);
    }

    private static Inspection intermittent(boolean agreed) {
        TestInspection i = TestInspection.inches("24")
                .joint(j -> j.segments(List.of(new Span(in("0"), in("3")), new Span(in("12"), in("15")))))
                .blade("0", "3", "5/16")
                .blade("12", "15", "5/16")
                .undersize("1", "1.2", ".28");
        return (agreed ? i.underrunAlsoIntermittent() : i).inspection();
    }

    /** D1.1 says its underrun of continuous welds; the careful reading grants an intermittent one none. */
    @Test
    void anIntermittentFilletHasItsUnderrunOnlyByAgreement() {
        Finding careful = Judge.evaluate(intermittent(false), new StaticBook())
                .finding("size")
                .orElseThrow();
        assertThat(careful.verdict()).isEqualTo(REJECT);
        assertThat(careful.reason().words()).contains("agree the reading");
        assertThat(Judge.evaluate(intermittent(true), new StaticBook())
                        .finding("size")
                        .orElseThrow()
                        .verdict())
                .isEqualTo(ACCEPT);
    }

    /** A grade that cracks late waits its 48 h though nobody ticked the wait. */
    @ParameterizedTest
    @CsvSource({"A514, 30, INCOMPLETE", "A514, 48, ACCEPT", "A36, 30, ACCEPT"})
    void aNamedDelayedGradeWaits(String grade, String hours, Verdict wanted) {
        Conditions c = new Conditions(
                Optional.of(true), Optional.of(true), Optional.of(false), Optional.of(new BigDecimal(hours)));
        TestInspection i =
                TestInspection.inches("24").joint(j -> j.grade(grade)).conditions(c);
        assertThat(i.verdict(Criterion.READINESS)).isEqualTo(wanted);
    }

    /** A gap that ends where the weld ends asks for no larger leg. */
    @Test
    void aGapThatOnlyTouchesAnEndEnlargesNothing() {
        TestInspection touching = TestInspection.inches("24")
                .joint(j -> j.segments(List.of(new Span(in("0"), in("10"))))
                        .gaps(List.of(new Gap(new Span(in("10"), in("14")), in("1/8")))))
                .blade("0", "10", "5/16");
        assertThat(touching.verdict(Criterion.SIZE)).isEqualTo(ACCEPT);
        TestInspection reaching = TestInspection.inches("24")
                .joint(j -> j.segments(List.of(new Span(in("0"), in("10"))))
                        .gaps(List.of(new Gap(new Span(in("9"), in("14")), in("1/8")))))
                .blade("0", "10", "5/16");
        assertThat(reaching.verdict(Criterion.SIZE)).isEqualTo(INCOMPLETE);
    }

    private static TestInspection pipe(Boolean oneSided, String offset) {
        JointBuilder joint = new JointBuilder("P", WeldType.GROOVE, Connection.PIPE_BUTT, in("20"))
                .members(new Member("a", in("3/4")), new Member("b", in("3/4")))
                .penetration(Penetration.COMPLETE)
                .closed(true);
        if (oneSided != null) {
            joint.oneSided(oneSided);
        }
        return TestInspection.of(Unit.INCH, joint)
                .by(new TubularBook())
                .seen(new Misalignment(new Span(in("2"), in("3")), in(offset), Optional.empty()));
    }

    /** .2 of 3/4 is .15: over 1/8 only where both sides are welded. */
    @Test
    void aPipesOffsetGoesByItsSides() {
        assertThat(pipe(true, "1/8").verdict(Criterion.MISALIGNMENT)).isEqualTo(ACCEPT);
        assertThat(pipe(true, ".14").verdict(Criterion.MISALIGNMENT)).isEqualTo(REJECT);
        assertThat(pipe(false, ".14").verdict(Criterion.MISALIGNMENT)).isEqualTo(ACCEPT);
        assertThat(pipe(null, ".14").verdict(Criterion.MISALIGNMENT)).isEqualTo(INCOMPLETE);
        assertThat(pipe(false, ".16").verdict(Criterion.MISALIGNMENT)).isEqualTo(REJECT);
    }

    @Test
    void levelsBAndCDoNotPermitAPoorRestart() {
        PoorRestart restart = new PoorRestart(
                new Span(Length.millimetres("100"), Length.millimetres("105")),
                Optional.of(Length.millimetres("0.1")),
                Optional.empty(),
                Optional.empty());
        TestInspection i = TestInspection.millimetres("600").seen(restart);
        assertThat(i.by(Iso5817Book.levels().get(0)).verdict(restart.criterion()))
                .isEqualTo(REJECT);
        assertThat(i.by(Iso5817Book.levels().get(1)).verdict(restart.criterion()))
                .isEqualTo(REJECT);
        assertThat(i.by(Iso5817Book.levels().get(2)).verdict(restart.criterion()))
                .isEqualTo(ACCEPT);
    }

    /** What the drawing asks and the book does not want is a note, never a verdict. */
    @Test
    void aDrawingThatAsksTooLittleIsNoted() {
        Evaluation small = TestInspection.fillet(Unit.INCH, "24", "1/8", "3/4", "3/4")
                .blade("0", "24", "1/8")
                .judge();
        assertThat(small.verdict()).isEqualTo(ACCEPT);
        assertThat(small.notes().toString()).contains("1/4");
        Evaluation brief = TestInspection.fillet(Unit.INCH, "1", "5/16", "3/8", "3/8")
                .blade("0", "1", "5/16")
                .judge();
        assertThat(brief.notes().toString()).contains("4 ×");
    }
}
