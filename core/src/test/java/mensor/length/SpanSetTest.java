package mensor.length;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.BitSet;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class SpanSetTest {
    private static Span span(int from, int to) {
        return new Span(Length.inches(from), Length.inches(to));
    }

    private static SpanSet random(Random random, BitSet units) {
        List<Span> spans = new ArrayList<>();
        for (int i = random.nextInt(5); i > 0; i--) {
            int from = random.nextInt(30);
            int to = from + random.nextInt(6);
            spans.add(span(from, to));
            units.set(from, to);
        }
        return SpanSet.of(spans);
    }

    /** Every set operation against the same one on unit cells. */
    @Test
    void agreesWithCellsCountedOneByOne() {
        Random random = new Random(7);
        for (int round = 0; round < 2_000; round++) {
            BitSet a = new BitSet();
            BitSet b = new BitSet();
            SpanSet setA = random(random, a);
            SpanSet setB = random(random, b);
            BitSet union = (BitSet) a.clone();
            union.or(b);
            BitSet both = (BitSet) a.clone();
            both.and(b);
            BitSet left = (BitSet) a.clone();
            left.andNot(b);
            assertThat(setA.union(setB).total(Unit.INCH)).isEqualByComparingTo(Length.inches(union.cardinality()));
            assertThat(setA.intersect(setB).total(Unit.INCH)).isEqualByComparingTo(Length.inches(both.cardinality()));
            assertThat(setA.minus(setB).total(Unit.INCH)).isEqualByComparingTo(Length.inches(left.cardinality()));
        }
    }

    @Test
    void aClosedWeldCarriesAPlaceRoundAndCutsAStretchAtTheDatum() {
        Ruler ring = new Ruler(Length.inches(10), true);
        assertThat(ring.place(Length.inches(10))).isEqualTo(Length.inches(0));
        assertThat(ring.straight(span(8, 3))).containsExactly(span(8, 10), span(0, 3));
        assertThat(span(8, 3).contains(Length.inches(9))).isTrue();
        assertThat(span(8, 3).contains(Length.inches(5))).isFalse();
    }
}
