package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import mensor.testpiece.Drill;
import mensor.testpiece.PieceKind;
import org.junit.jupiter.api.Test;

/** Drills as files: those that ship, and what a school writes. */
class DrillFileTest {
    private static final String ONE = """
            {"format":"mensor-drill/1","id":"own","title":"Own","kind":"bead","purpose":"try","lookAt":["the pool"],
             "aims":[{"id":"width","title":"Width","measure":"length","least":"1/8 in","most":"10 mm"}]}""";

    @Test
    void atLeastTenShipEachWithSomethingToLookAtAndAims() {
        assertThat(DrillFile.shipped()).hasSizeGreaterThanOrEqualTo(10).allSatisfy(d -> {
            assertThat(d.lookAt()).isNotEmpty();
            assertThat(d.aims()).isNotEmpty();
            assertThat(DrillFile.read(DrillFile.write(d))).isEqualTo(d);
        });
        assertThat(DrillFile.shipped()).extracting(Drill::id).doesNotHaveDuplicates();
    }

    @Test
    void aSchoolsOwnIsReadInEitherUnit() {
        Drill d = DrillFile.read(ONE);
        assertThat(d.kind()).isEqualTo(PieceKind.BEAD);
        assertThat(d.aims().get(0).most()).isPresent();
    }

    @Test
    void whatIsWrongIsNamedByItsPath() {
        assertThatThrownBy(() -> DrillFile.read(ONE.replace("\"bead\"", "\"hat\"")))
                .hasMessageContaining("kind");
        assertThatThrownBy(() -> DrillFile.read(ONE.replace("\"least\":\"1/8 in\"", "\"least\":\"1 in\"")))
                .hasMessageContaining("aims[0].least");
        assertThatThrownBy(() -> DrillFile.read(ONE.replace("\"title\":\"Width\"", "\"titel\":\"Width\"")))
                .hasMessageContaining("aims[0].title");
        assertThatThrownBy(() -> DrillFile.read(ONE.replace("drill/1", "drill/9")))
                .hasMessageContaining("mensor-drill/1");
    }
}
