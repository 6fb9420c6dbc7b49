package mensor.criteria;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.Stream;
import mensor.inspection.AddendumKind;
import mensor.inspection.Criterion;
import mensor.length.Length;
import mensor.length.Unit;
import mensor.weld.Connection;
import mensor.weld.Joint;
import mensor.weld.JointBuilder;
import mensor.weld.Member;
import mensor.weld.Penetration;
import mensor.weld.WeldType;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a book's page says is what its rules are; each book answers for each criterion of each kind of joint. */
class CriteriaPageTest {
    static Stream<CriteriaBook> books() {
        return CriteriaBooks.all().stream();
    }

    private static Joint fillet(Length t) {
        return new JointBuilder("A", WeldType.FILLET, Connection.TEE, Length.inches(24))
                .members(new Member("web", t), new Member("flange", t))
                .size(Length.inches(5, 16))
                .build();
    }

    private static Joint butt(Length t) {
        return new JointBuilder("A", WeldType.GROOVE, Connection.BUTT, Length.inches(24))
                .members(new Member("left", t), new Member("right", t))
                .penetration(Penetration.COMPLETE)
                .oneSided(true)
                .build();
    }

    @ParameterizedTest
    @MethodSource("books")
    void everyCriterionIsSaidWithItsClause(CriteriaBook book) {
        Unit unit = book.hasColumn(Unit.INCH) ? Unit.INCH : Unit.MILLIMETRE;
        for (Joint joint : List.of(fillet(Length.inches(3, 8)), butt(Length.inches(1, 2)))) {
            List<CriteriaPage.Line> lines = CriteriaPage.of(book, joint, unit);
            assertThat(lines).hasSize(Criterion.values().length);
            assertThat(lines).allSatisfy(l -> {
                assertThat(l.limits()).isNotEmpty();
                assertThat(l.limits()).allSatisfy(x -> assertThat(x.allowed()).isNotBlank());
                assertThat(l.citation().clause()).isNotBlank();
            });
        }
        assertThat(book.title()).isNotBlank();
        assertThat(book.edition()).contains("from memory");
    }

    @ParameterizedTest
    @MethodSource("books")
    void anAddendumMayBeZeroInEveryBook(CriteriaBook book) {
        Unit unit = book.hasColumn(Unit.INCH) ? Unit.INCH : Unit.MILLIMETRE;
        for (AddendumKind kind : AddendumKind.values()) {
            assertThat(book.loosest(kind, fillet(Length.inches(3, 8)), unit))
                    .satisfies(l -> l.ifPresent(x -> assertThat(x.isNegative()).isFalse()));
        }
    }

    /** The steps at 1 in and 2 in of the statically loaded book: recalled from its profile and visual tables. */
    @Test
    void theTableByThicknessShowsTheSteps() {
        CriteriaBook book = CriteriaBooks.find("d1.1-static").orElseThrow();
        List<Length> thicknesses = Stream.of("1/2", "1", "1 1/2", "2 1/2")
                .map(t -> Length.parse(t, Unit.INCH))
                .toList();
        List<CriteriaPage.Row> rows = CriteriaPage.byThickness(book, CriteriaPageTest::butt, thicknesses, Unit.INCH);
        assertThat(rows)
                .anySatisfy(r -> assertThat(r.allowed())
                        .containsExactly("0 to 1/8 in", "0 to 1/8 in", "0 to 3/16 in", "0 to 1/4 in"));
        assertThat(rows).anySatisfy(r -> {
            assertThat(r.of()).isEqualTo("undercut");
            assertThat(r.allowed().get(0)).startsWith("1/32 in, up to 1/16 in for 2 in in any 12 in");
            assertThat(r.allowed().get(1)).isEqualTo("1/16 in");
        });
        assertThat(rows).noneSatisfy(r -> assertThat(r.criterion()).isEqualTo(Criterion.POROSITY));
    }

    @Test
    void aLessSureValueSaysSo() {
        CriteriaBook book = CriteriaBooks.find("iso5817-c").orElseThrow();
        CriteriaPage.Line profile = CriteriaPage.of(book, fillet(Length.millimetres("10")), Unit.MILLIMETRE).stream()
                .filter(l -> l.criterion() == Criterion.PROFILE)
                .findFirst()
                .orElseThrow();
        assertThat(profile.confidence()).isEqualTo(Confidence.MEDIUM);
        assertThat(profile.limits())
                .anySatisfy(l -> assertThat(l)
                        .isEqualTo(new RuleWords.Limit(
                                "Table 1, 1.12", "toe angle", "at least 100°", "", Confidence.MEDIUM)));
    }
}
