package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Stream;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Span;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class JointTest {
    private static final Member WEB = new Member("web", Length.inches(3, 8));
    private static final Member FLANGE = new Member("flange", Length.inches(3, 4));

    private static JointBuilder fillet() {
        return new JointBuilder("ST2-17", WeldType.FILLET, Connection.TEE, Length.inches(24))
                .size(Length.inches(5, 16))
                .members(WEB, FLANGE);
    }

    private static JointBuilder groove() {
        return new JointBuilder("FB-1", WeldType.GROOVE, Connection.BUTT, Length.inches(24))
                .penetration(Penetration.COMPLETE)
                .members(WEB, WEB);
    }

    private static Span span(long from, long to) {
        return new Span(Length.inches(from), Length.inches(to));
    }

    static Stream<Arguments> cannotBe() {
        return Stream.of(
                Arguments.of("members", fillet().members()),
                Arguments.of("size", fillet().size(null)),
                Arguments.of("size", fillet().size(Length.inches(0))),
                Arguments.of("throat", fillet().throat(Length.inches(1, 4))),
                Arguments.of("sizeMeans", fillet().dihedral(new Dihedral(BigDecimal.valueOf(120)))),
                Arguments.of("legs", fillet().legs(LegMeaning.EQUIVALENT)),
                Arguments.of("penetration", fillet().penetration(Penetration.PARTIAL)),
                Arguments.of("backing", fillet().backing(true)),
                Arguments.of("corner", fillet().corner(Corner.INSIDE)),
                Arguments.of("flangeWidth", fillet().use(Use.WEB_TO_FLANGE)),
                Arguments.of("girderEnds", fillet().girderEnds(GirderEnds.BOTH)),
                Arguments.of("segments[0].to", fillet().segments(List.of(span(20, 25)))),
                Arguments.of("segments[0]", fillet().segments(List.of(span(3, 3)))),
                Arguments.of("segments[1]", fillet().segments(List.of(span(0, 4), span(3, 6)))),
                Arguments.of("gaps[0].to", fillet().gaps(List.of(new Gap(span(12, 10), Length.inches(1, 8))))),
                Arguments.of("gaps[0].opening", fillet().gaps(List.of(new Gap(span(10, 12), Length.inches(-1))))),
                Arguments.of("gaps", fillet().rootOpening(Length.inches(0)).gaps(List.of())),
                Arguments.of("rootOpening", fillet().rootOpening(Length.inches(-1))),
                Arguments.of("offsetMax", fillet().offsetMax(Length.inches(-1))),
                Arguments.of("penetration", groove().penetration(null)),
                Arguments.of("size", groove().size(Length.inches(1, 4))),
                Arguments.of("throat", groove().throat(Length.inches(1, 4))));
    }

    @ParameterizedTest
    @MethodSource("cannotBe")
    void refusesWhatCannotBe(String field, JointBuilder builder) {
        assertThatThrownBy(builder::build)
                .isInstanceOfSatisfying(
                        InvalidField.class, e -> assertThat(e.field()).isEqualTo(field));
    }

    @Test
    void zeroLengthAndBlankMarkAreRefused() {
        assertThatThrownBy(() -> new JointBuilder("X", WeldType.FILLET, Connection.TEE, Length.inches(0)).build())
                .hasMessageContaining("length");
        assertThatThrownBy(() -> new JointBuilder(" ", WeldType.FILLET, Connection.TEE, Length.inches(1)).build())
                .hasMessageContaining("mark");
        assertThatThrownBy(() -> new Member("web", Length.inches(0))).hasMessageContaining("thickness");
    }

    @Test
    void toesAnswerToTheirMembersNames() {
        Joint j = fillet().build();
        assertThat(j.toeName(Toe.A)).isEqualTo("web toe");
        assertThat(j.toeName(Toe.B)).isEqualTo("flange toe");
        assertThat(j.toeName(Toe.ROOT)).isEqualTo("root");
        assertThat(fillet().members(WEB).build().toeName(Toe.A))
                .as("both toes on one member")
                .isEqualTo("toe A");
        assertThat(j.thinner()).isEqualTo(WEB);
        assertThat(j.thicker()).isEqualTo(FLANGE);
        assertThat(j.member(Toe.ROOT)).isEqualTo(WEB);
    }

    @Test
    void percentagesAreOfWhatIsWelded() {
        Joint j = fillet().segments(List.of(span(0, 3), span(12, 15))).build();
        assertThat(j.weldedLength()).isEqualByComparingTo(Length.inches(6));
        assertThat(fillet().build().weldedLength()).isEqualByComparingTo(Length.inches(24));
        Joint ring = fillet().closed(true).segments(List.of(span(22, 2))).build();
        assertThat(ring.weldedLength()).isEqualByComparingTo(Length.inches(4));
    }

    @Test
    void saysWhatItIsInAFewWords() {
        assertThat(fillet().build().inWords()).isEqualTo("5/16 fillet, tee, 24 in");
        assertThat(groove().build().inWords()).isEqualTo("CJP groove, butt, 24 in");
        assertThat(fillet().size(null).throat(Length.inches(7, 32)).build().inWords())
                .isEqualTo("fillet, throat 7/32, tee, 24 in");
    }

    @Test
    void warnsOfWhatIsUnusual() {
        assertThat(Unusual.of(fillet().datum("north end").build())).isEmpty();
        assertThat(Unusual.of(fillet().size(Length.inches(1, 2)).build()))
                .extracting(Unusual.Remark::line)
                .anyMatch(l -> l.contains("over the thinner member"));
        Joint shortWeld = new JointBuilder("X", WeldType.FILLET, Connection.LAP, Length.inches(1))
                .size(Length.inches(5, 16))
                .members(WEB)
                .build();
        assertThat(Unusual.of(shortWeld)).extracting(Unusual.Remark::field).contains("length", "members", "datum");
    }

    @ParameterizedTest
    @CsvSource({"60", "90", "120"})
    void turningALegRoundEveryMeaningGivesItBack(BigDecimal angle) {
        Dihedral d = new Dihedral(angle);
        RealLength leg = RealLength.of(Length.inches(5, 16));
        for (LegMeaning from : LegMeaning.values()) {
            for (LegMeaning to : LegMeaning.values()) {
                assertThat(d.leg(d.leg(leg, from, to), to, from)).isEqualByComparingTo(leg);
            }
        }
    }

    /**
     * Amps that shops use lie in or at the edge of the rods' ranges (common practice, no source): 3/32 E7018 at 85–95,
     * 1/8 E7018 at 120–125 and 145, 5/32 E7018 at 165 and 175, 1/8 E6010 at 75–105, 3/32 E6013 at 75.
     */
    @ParameterizedTest
    @CsvSource({
        "E7018, 3/32, 85",
        "E7018, 3/32, 95",
        "E7018, 1/8, 120",
        "E7018, 1/8, 125",
        "E7018, 1/8, 145",
        "E7018, 5/32, 165",
        "E7018, 5/32, 175",
        "E6010, 1/8, 75",
        "E6010, 1/8, 105",
        "E6013, 3/32, 75",
        "E7018-1, 1/8, 130"
    })
    void shopSettingsLieInTheRodsRange(String rod, String diameter, double amps) {
        Range range = RodTable.amps(rod, Length.parse(diameter, mensor.length.Unit.INCH))
                .orElseThrow();
        assertThat(range.contains(amps)).as(range.shown("A")).isTrue();
    }

    @Test
    void unknownRodsHaveNoRange() {
        assertThat(RodTable.amps("E9999", Length.inches(1, 8))).isEmpty();
        assertThat(RodTable.amps("E7018", Length.inches(1, 2))).isEmpty();
        assertThat(RodTable.isLowHydrogen("E7018")).contains(true);
        assertThat(RodTable.isLowHydrogen("E6010")).contains(false);
        assertThat(RodTable.isLowHydrogen("E9999")).isEmpty();
    }

    /** The trade's metric names: 2.5, 3.2, 4 and 5 mm (common practice, no source). */
    @Test
    void aRodIsCalledByItsMetricNameToo() {
        assertThat(RodTable.diameters().stream().map(RodTable::metricName)).containsExactly("2.5", "3.2", "4", "5");
        for (Length d : RodTable.diameters()) {
            assertThat(RodTable.amps("E7018", Length.millimetres(RodTable.metricName(d))))
                    .isEqualTo(RodTable.amps("E7018", d));
        }
    }
}
