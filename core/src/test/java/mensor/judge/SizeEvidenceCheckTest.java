package mensor.judge;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import mensor.criteria.SizeEvidence;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;

/** How many places accept a size: three, within 2 in of both ends, none 12 in apart (common practice, no source). */
class SizeEvidenceCheckTest {
    private static List<String> missing(String length, boolean closed, SpanSet covered, Length... stations) {
        Ruler ruler = new Ruler(Length.parse(length, Unit.INCH), closed);
        return new SizeEvidenceCheck(SizeEvidence.inches(), ruler, covered, List.of(stations))
                .missing(List.of()).stream().map(Ask::words).toList();
    }

    private static Length[] at(String... places) {
        return Stream.of(places).map(p -> Length.parse(p, Unit.INCH)).toArray(Length[]::new);
    }

    private static SpanSet tried(String from, String to) {
        return SpanSet.of(List.of(new Span(Length.parse(from, Unit.INCH), Length.parse(to, Unit.INCH))));
    }

    private static final SpanSet NOTHING = SpanSet.of(List.of());

    @Test
    void threePlacesNearTheEndsAndNotTooFarApartSuffice() {
        assertThat(missing("24", false, NOTHING, at("2", "12", "22"))).isEmpty();
        assertThat(missing("24", false, NOTHING, at("22", "2", "12")))
                .as("in any order")
                .isEmpty();
        assertThat(missing("24", false, NOTHING, at("2 1/64", "12", "22")))
                .singleElement()
                .asString()
                .contains("within 2 in of 0");
        assertThat(missing("24", false, NOTHING, at("2", "12", "21 63/64")))
                .singleElement()
                .asString()
                .contains("within 2 in of 24");
        assertThat(missing("28", false, NOTHING, at("2", "14", "26"))).isEmpty();
        assertThat(missing("28", false, NOTHING, at("2", "14 1/64", "26")))
                .singleElement()
                .asString()
                .contains("between 2 and 14 1/64");
    }

    @Test
    void aPlaceReadTwiceIsOnePlace() {
        assertThat(missing("4", false, NOTHING, at("1", "2", "2")))
                .singleElement()
                .asString()
                .contains("1 more station of");
        Length sameInMillimetres = Length.parse("50.8", Unit.MILLIMETRE);
        assertThat(missing("4", false, NOTHING, Length.inches(1), Length.inches(2), sameInMillimetres))
                .singleElement()
                .asString()
                .contains("1 more station of");
        assertThat(missing("4", false, NOTHING, at("1", "2", "3"))).isEmpty();
    }

    @Test
    void oneReadingServesAShortWeld() {
        assertThat(missing("3", false, NOTHING, at("1 1/2"))).isEmpty();
        assertThat(missing("3 1/64", false, NOTHING, at("1 1/2"))).isNotEmpty();
    }

    @Test
    void whatABladeLeavesOverIsReadAsAWeldOfItsOwn() {
        assertThat(missing("24", false, tried("0", "24"))).isEmpty();
        assertThat(missing("24", false, tried("0", "21"), at("22"))).isEmpty();
        assertThat(missing("24", false, tried("0", "21")))
                .singleElement()
                .asString()
                .contains("21–24");
    }

    @Test
    void aroundAPipeNoEndIsNear() {
        assertThat(missing("30", true, NOTHING, at("5", "15", "25"))).isEmpty();
        assertThat(missing("30", true, NOTHING, at("1", "5", "9")))
                .as("from 9 around to 1")
                .singleElement()
                .asString()
                .contains("between 9 and 1");
    }
}
