package mensor.weld;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The numbers that bear on a size at set-up. Source: AWS D1.1 7.7, 7.21 and the annex on skewed joints, recalled from memory. */
class SizeNumbersTest {
    private static JointBuilder fillet(Connection connection, String size, String a, String b, Unit unit) {
        return new JointBuilder("J", WeldType.FILLET, connection, Length.parse(unit.pick("24", "600"), unit))
                .size(Length.parse(size, unit))
                .members(new Member("a", Length.parse(a, unit)), new Member("b", Length.parse(b, unit)));
    }

    private static SizeNumbers.GoverningNumber of(Joint joint, boolean cyclic, Boolean lowHydrogen, String title) {
        return SizeNumbers.structural(joint, cyclic, Optional.ofNullable(lowHydrogen)).stream()
                .filter(n -> n.title().startsWith(title))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @CsvSource({
        // thinner with low hydrogen, thicker without; cyclic loading has a greater least
        "INCH, 3/16, 3/8, 1, true, false, 3/16 in, false",
        "INCH, 3/16, 3/8, 1, false, false, 5/16 in, true",
        "INCH, 1/8, 1/4, 3/4, true, false, 1/8 in, false",
        "INCH, 1/8, 1/4, 3/4, true, true, 3/16 in, true",
        "INCH, 1/4, 3/4, 3/4, true, false, 1/4 in, false",
        "INCH, 1/4, 1, 1, true, false, 5/16 in, true",
        "INCH, 1/8, 1/8, 1, false, false, 1/8 in, false", // not over the thinner part
        "MILLIMETRE, 5, 12, 20, true, false, 5 mm, false",
        "MILLIMETRE, 5, 13, 20, true, false, 6 mm, true",
    })
    void leastForTheThickness(
            Unit unit, String size, String a, String b, boolean low, boolean cyclic, String value, boolean broken) {
        var n = of(fillet(Connection.TEE, size, a, b, unit).build(), cyclic, low, "least for");
        assertThat(n.value()).isEqualTo(value);
        assertThat(n.broken()).isEqualTo(broken);
    }

    @ParameterizedTest
    @CsvSource({
        "INCH, 5/16, 3/8, 5/16 in, false", "INCH, 3/8, 3/8, 5/16 in, true", "INCH, 3/16, 3/16, 3/16 in, false",
        "MILLIMETRE, 6, 8, 6 mm, false", "MILLIMETRE, 7, 8, 6 mm, true", "MILLIMETRE, 5, 5, 5 mm, false",
    })
    void greatestAlongALappedEdge(Unit unit, String size, String edge, String value, boolean broken) {
        var n = of(
                fillet(Connection.LAP, size, edge, unit.pick("1", "25"), unit).build(), false, true, "greatest");
        assertThat(n.value()).isEqualTo(value);
        assertThat(n.broken()).isEqualTo(broken);
    }

    @Test
    void aGapAsksTheWholeOpeningMore() {
        Joint joint = fillet(Connection.TEE, "5/16", "1/2", "1/2", Unit.INCH)
                .gaps(List.of(
                        new Gap(new Span(Length.inches(3), Length.inches(5)), Length.inches(1, 8)),
                        new Gap(new Span(Length.inches(8), Length.inches(9)), Length.inches(1, 16))))
                .build();
        var numbers = SizeNumbers.structural(joint, false, Optional.of(true));
        assertThat(numbers)
                .filteredOn(n -> n.title().startsWith("leg over the gap"))
                .hasSize(1);
        assertThat(of(joint, false, true, "leg over the gap").value()).isEqualTo("7/16 in");
    }

    /** At 120° the factor is 1.225; a 90° leg of .5 has a throat of .35355 and asks .612 square to the other member. */
    @Test
    void aSkewIsSaidInEachMeaning() {
        Joint joint = fillet(Connection.TEE, "1/2", "1/2", "1/2", Unit.INCH)
                .dihedral(new Dihedral(BigDecimal.valueOf(120)))
                .sizeMeans(LegMeaning.EQUIVALENT)
                .build();
        assertThat(of(joint, false, true, "90° leg").value()).isEqualTo("1/2 in");
        assertThat(of(joint, false, true, "leg square").value()).isEqualTo("≈.6124 in");
        assertThat(of(joint, false, true, "leg square").how()).endsWith("× 1.225");
        assertThat(of(joint, false, true, "leg along").value()).isEqualTo("≈.7071 in");
        assertThat(SizeNumbers.geometric(joint)).hasSize(3);
    }

    @ParameterizedTest
    @CsvSource({"60, ", "59, 1/8 in", "45, 1/8 in", "44, 1/4 in"})
    void aSharpCornerIsNotReached(int degrees, String lost) {
        Joint joint = fillet(Connection.TEE, "1/2", "1/2", "1/2", Unit.INCH)
                .dihedral(new Dihedral(BigDecimal.valueOf(degrees)))
                .sizeMeans(LegMeaning.CONTACT)
                .build();
        Optional<String> z = SizeNumbers.geometric(joint).stream()
                .filter(n -> n.title().startsWith("lost"))
                .map(SizeNumbers.GoverningNumber::value)
                .findFirst();
        assertThat(z).isEqualTo(Optional.ofNullable(lost));
    }

    @Test
    void aWeldShorterThanFourTimesItsSizeCountsLess() {
        Joint joint = new JointBuilder("J", WeldType.FILLET, Connection.TEE, Length.inches(1))
                .size(Length.inches(3, 8))
                .members(new Member("a", Length.inches(1, 2)))
                .build();
        var n = of(joint, false, true, "least length");
        assertThat(n.broken()).isTrue();
        assertThat(n.how()).endsWith("a quarter of the length: 1/4 in");
    }
}
