package mensor.judge;

import static mensor.inspection.Verdict.ACCEPT;
import static mensor.inspection.Verdict.INCOMPLETE;
import static mensor.inspection.Verdict.NOT_APPLICABLE;
import static mensor.inspection.Verdict.REJECT;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.Optional;
import mensor.inspection.AddendumKind;
import mensor.inspection.ArcStrike;
import mensor.inspection.Criterion;
import mensor.inspection.MeltThrough;
import mensor.inspection.Reading;
import mensor.inspection.Spatter;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.InvalidField;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The contract's own limits, at the limit and just over it; each wants the evidence that its criterion wants. */
class AddendumTest {
    private static TestInspection inspection(AddendumKind kind, String max) {
        return TestInspection.inches("24").notCleared().addendum(kind, max);
    }

    private static Reading.Station read(String measure, String value) {
        return Station.in("5").with(measure, value).read();
    }

    private static Optional<Length> l(String text) {
        return Optional.of(Length.parse(text, mensor.length.Unit.INCH));
    }

    @ParameterizedTest
    @CsvSource({"1/64, ACCEPT", ".0157, REJECT"})
    void undercutDepth(String depth, Verdict wanted) {
        AddendumKind kind = AddendumKind.UNDERCUT_DEPTH;
        assertThat(inspection(kind, "1/64")
                        .undercut(Toe.B, "1", "2", depth)
                        .finding(kind)
                        .verdict())
                .isEqualTo(wanted);
        Finding root =
                inspection(kind, "1/64").undercut(Toe.ROOT, "1", "2", "1/16").finding(kind);
        assertThat(root.verdict()).as("the root is not a toe").isEqualTo(INCOMPLETE);
    }

    @ParameterizedTest
    @CsvSource({"1/16, ACCEPT", ".0626, REJECT"})
    void poreDiameter(String diameter, Verdict wanted) {
        AddendumKind kind = AddendumKind.POROSITY_DIAMETER;
        assertThat(inspection(kind, "1/16").pore("3", diameter).finding(kind).verdict())
                .isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"1/32, ACCEPT", ".0313, REJECT"})
    void convexity(String read, Verdict wanted) {
        AddendumKind kind = AddendumKind.CONVEXITY_MAX;
        TestInspection inspection = inspection(kind, "1/32")
                .read(Station.in("5")
                        .with("convexity", read)
                        .with("faceWidth", "1/2")
                        .read());
        assertThat(inspection.finding(kind).verdict()).isEqualTo(wanted);
        assertThat(inspection.verdict(Criterion.PROFILE))
                .as("the code's own limit is wider")
                .isEqualTo(ACCEPT);
    }

    @Test
    void computedConvexityOnlyPrompts() {
        AddendumKind kind = AddendumKind.CONVEXITY_MAX;
        TestInspection inspection = inspection(kind, "1/64")
                .read(Reading.Station.of(Length.inches(5), l("3/8"), l("3/8"), l("5/16"), Optional.empty()));
        assertThat(inspection.finding(kind).verdict()).isEqualTo(INCOMPLETE);
        assertThat(inspection.finding(kind).asks()).anyMatch(a -> a.words().contains("read the convexity"));
    }

    @ParameterizedTest
    @CsvSource({"1/2, ACCEPT", ".5001, REJECT"})
    void beadWidth(String width, Verdict wanted) {
        AddendumKind kind = AddendumKind.BEAD_WIDTH_MAX;
        TestInspection inspection = inspection(kind, "1/2").read(read("faceWidth", width));
        assertThat(inspection.finding(kind).verdict()).isEqualTo(wanted);
    }

    @ParameterizedTest
    @CsvSource({"19/64, ACCEPT", ".2968, REJECT"})
    void sizeUnderrun(String least, Verdict wanted) {
        AddendumKind kind = AddendumKind.SIZE_UNDERRUN;
        TestInspection inspection =
                inspection(kind, "1/64").blade("0", "24", "5/16").undersize("1", "2", least);
        assertThat(inspection.finding(kind).verdict()).isEqualTo(wanted);
        assertThat(inspection(kind, "1/64").finding(kind).verdict())
                .as("nothing was read")
                .isEqualTo(INCOMPLETE);
        assertThat(inspection(kind, "1/64").stations("1=5/16").finding(kind).verdict())
                .as("not enough was read")
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void underrunIsTakenAgainstTheLegThatAGapAsks() {
        AddendumKind kind = AddendumKind.SIZE_UNDERRUN;
        TestInspection inspection = inspection(kind, "0")
                .joint(j -> j.rootOpening(Length.inches(1, 8)))
                .stations("1=7/16", "12=7/16", "23=7/16");
        assertThat(inspection.finding(kind).verdict()).isEqualTo(ACCEPT);
        assertThat(inspection.stations("15=13/32").finding(kind).verdict()).isEqualTo(REJECT);
    }

    @ParameterizedTest
    @CsvSource({"1/16, ACCEPT", ".0626, REJECT"})
    void meltThrough(String height, Verdict wanted) {
        AddendumKind kind = AddendumKind.MELT_THROUGH_MAX;
        TestInspection seen = inspection(kind, "1/16")
                .seen(new MeltThrough(
                        new Span(Length.inches(1), Length.inches(2)), l(height).get(), Optional.empty()));
        assertThat(seen.finding(kind).verdict()).isEqualTo(wanted);
        TestInspection read = inspection(kind, "1/16").read(read("rootReinforcement", height));
        assertThat(read.finding(kind).verdict())
                .as("a root reinforcement reading is the same")
                .isEqualTo(wanted);
    }

    @Test
    void rootConcavityIsANegativeRootReinforcement() {
        AddendumKind kind = AddendumKind.ROOT_CONCAVITY_MAX;
        TestInspection inspection = inspection(kind, "1/32").read(read("rootReinforcement", "-1/16"));
        assertThat(inspection.finding(kind).verdict()).isEqualTo(REJECT);
        assertThat(inspection.verdict(Criterion.ROOT))
                .as("the code itself has no limit")
                .isEqualTo(ACCEPT);
        assertThat(inspection(kind, "1/32").finding(kind).verdict())
                .as("no root to look at")
                .isEqualTo(NOT_APPLICABLE);
        assertThat(inspection(kind, "1/32")
                        .joint(j -> j.oneSided(true))
                        .finding(kind)
                        .verdict())
                .isEqualTo(INCOMPLETE);
    }

    @Test
    void aFilletHasNoReinforcement() {
        assertThat(inspection(AddendumKind.REINFORCEMENT_MAX, "1/8")
                        .finding(AddendumKind.REINFORCEMENT_MAX)
                        .verdict())
                .isEqualTo(NOT_APPLICABLE);
    }

    @Test
    void noneMeansNone() {
        Span place = Span.at(Length.inches(3));
        TestInspection strike = inspection(AddendumKind.ARC_STRIKE_NONE, null)
                .seen(new ArcStrike(
                        Length.inches(3), Optional.of(true), Optional.of(mensor.inspection.CheckMethod.VT)));
        assertThat(strike.verdict(Criterion.ARC_STRIKE)).isEqualTo(ACCEPT);
        assertThat(strike.finding(AddendumKind.ARC_STRIKE_NONE).verdict()).isEqualTo(REJECT);
        TestInspection spatter = inspection(AddendumKind.SPATTER_NONE, null).seen(new Spatter(place, false));
        assertThat(spatter.finding(AddendumKind.SPATTER_NONE).verdict()).isEqualTo(REJECT);
        TestInspection pore = inspection(AddendumKind.POROSITY_NONE, null).pore("3", "0");
        assertThat(pore.finding(AddendumKind.POROSITY_NONE).verdict())
                .as("a pore of 0 is none")
                .isNotEqualTo(REJECT);
    }

    @ParameterizedTest
    @EnumSource(AddendumKind.class)
    void eachIsClearedOrLeftOpenLikeItsCriterion(AddendumKind kind) {
        String max = kind.hasMax() ? "1/64" : null;
        Verdict open = TestInspection.inches("24")
                .notCleared()
                .addendum(kind, max)
                .finding(kind)
                .verdict();
        assertThat(open).isIn(INCOMPLETE, NOT_APPLICABLE);
        if (kind.criterion().clearable() && open == INCOMPLETE && kind != AddendumKind.BEAD_WIDTH_MAX) {
            TestInspection cleared =
                    TestInspection.inches("24").clear(kind.criterion()).addendum(kind, max);
            assertThat(cleared.finding(kind).verdict()).isEqualTo(ACCEPT);
        }
    }

    @ParameterizedTest
    @CsvSource({
        "UNDERCUT_DEPTH, 1/16, .0626",
        "POROSITY_DIAMETER, 3/8, .376",
        "CONVEXITY_MAX, 3/16, .1876",
        "SIZE_UNDERRUN, 1/8, .1251"
    })
    void looserThanTheBookIsRefusedAndEqualIsAllowed(AddendumKind kind, String equal, String looser) {
        assertThat(inspection(kind, equal).judge()).isNotNull();
        TestInspection loose = inspection(kind, looser);
        assertThatThrownBy(loose::judge)
                .isInstanceOfSatisfying(
                        InvalidField.class, e -> assertThat(e.field()).isEqualTo("addenda[0].max"))
                .hasMessageContaining("looser than the code");
    }

    @Test
    void addendaFollowTheCriteriaInTheirOrder() {
        Evaluation e = TestInspection.inches("24")
                .addendum(AddendumKind.SPATTER_NONE, null)
                .addendum(AddendumKind.UNDERCUT_DEPTH, "1/64")
                .judge();
        assertThat(e.findings()).hasSize(19).extracting(Finding::id).endsWith("spatter.none", "undercut.depth");
    }
}
