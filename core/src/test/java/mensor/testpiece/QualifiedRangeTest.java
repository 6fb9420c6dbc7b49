package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.tuple;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.length.Length;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Named;
import mensor.weld.PassKind;
import mensor.weld.Penetration;
import mensor.weld.Position;
import mensor.weld.Qualification;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What an accepted test piece qualifies: AWS D1.1 clause 6 and ASME IX QW-452 from memory, medium confidence. */
class QualifiedRangeTest {
    private static final LocalDate DAY = LocalDate.of(2026, 5, 12);

    private static JointBuilder groove(Connection connection, int eighths, String position) {
        Length t = Length.inches(eighths, 8);
        return new JointBuilder("Q-1", WeldType.GROOVE, connection, Length.inches(20))
                .members(new Member("A", t), new Member("B", t))
                .penetration(Penetration.COMPLETE)
                .position(Named.find(Position.class, position).orElseThrow());
    }

    /** Rods as {@code E6010 root}; of which pass may be unsaid. */
    private static List<Qualification> all(Joint joint, String... rods) {
        return QualifiedRange.of(
                joint,
                Stream.of(rods)
                        .map(r -> r.split(" "))
                        .map(r -> new QualifiedRange.RodUsed(
                                r[0], r.length > 1 ? Named.find(PassKind.class, r[1]) : Optional.empty()))
                        .toList(),
                DAY);
    }

    private static Qualification of(Joint joint, String... rods) {
        return all(joint, rods).get(0);
    }

    @ParameterizedTest
    @CsvSource({"3, 3/4 in", "7, 1 3/4 in", "8, any", "12, any"})
    void twiceTheThicknessAndFromOneInchOnAny(int eighths, String most) {
        Qualification q = of(groove(Connection.BUTT, eighths, "3G").build(), "E7018");
        assertThat(q.thickest().map(Length::shownWithUnit).orElse("any")).isEqualTo(most);
        assertThat(q.leastDiameter()).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"7, 8, 7/8 in", "1, 1, 1 in", "11, 4, 1 in", "23, 8, 2 7/8 in", "53, 8, 2 7/8 in"})
    void aPipeCoversFromItsOwnOneOrTwoAndSevenEighthsOn(int n, int d, String least) {
        Joint pipe = groove(Connection.PIPE_BUTT, 2, "6G")
                .closed(true)
                .clock(new JointBuilder.Clock(Optional.of(Length.inches(n, d)), "12:00", true))
                .build();
        assertThat(QualifiedRange.leastDiameter(pipe).map(Length::shownWithUnit))
                .contains(least);
    }

    @Test
    void theLowestRodGroupCountsAndBackingWhereNobodySaid() {
        Qualification q = of(groove(Connection.BUTT, 3, "3G").build(), "E6010", "E7018");
        assertThat(q.group()).isEqualTo(3);
        assertThat(q.backing()).isTrue();
        assertThat(all(groove(Connection.BUTT, 3, "3G").build(), "E9999"))
                .as("rods that nobody knows")
                .isEmpty();
    }

    /** ASME IX QW-433, from memory: the rods over an open root lie on it as on a backing. */
    @Test
    void anOpenRootQualifiesItsOwnRodWithoutBackingAndTheOthersWithIt() {
        Joint open =
                groove(Connection.BUTT, 3, "3G").backing(false).oneSided(true).build();
        assertThat(all(open, "E6010 root", "E7018 fill", "E7018 cap"))
                .extracting(Qualification::group, Qualification::backing)
                .containsExactly(tuple(3, false), tuple(4, true));
        assertThat(all(open, "E7018 root", "E7018 cap"))
                .extracting(Qualification::group, Qualification::backing)
                .containsExactly(tuple(4, false));
        assertThat(all(open, "E6010", "E7018"))
                .as("nobody said which rod laid the root")
                .extracting(Qualification::group, Qualification::backing)
                .containsExactly(tuple(3, false));
        assertThat(all(open, "E7018 fill", "E7018 cap"))
                .as("no rod of the root is on record")
                .extracting(Qualification::backing)
                .containsExactly(true);
        Joint bothSides =
                groove(Connection.BUTT, 3, "3G").backing(false).oneSided(false).build();
        assertThat(all(bothSides, "E6010 root", "E7018 cap"))
                .as("backgouged and welded from the other side")
                .extracting(Qualification::group, Qualification::backing)
                .containsExactly(tuple(4, true));
    }
}
