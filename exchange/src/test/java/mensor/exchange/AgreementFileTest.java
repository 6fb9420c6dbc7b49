package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import mensor.study.AgreementAnswers;
import org.junit.jupiter.api.Test;

/** The answers of an agreement study as a document and as a list. */
class AgreementFileTest {
    private static final AgreementAnswers THREE = new AgreementAnswers(
            "Three eyes",
            List.of("Ines", "Tomas, who comma-separates", "=Lea"),
            List.of("Verdict", "Crack"),
            new int[][][][] {
                {{{0, 1, 2}, {0, 1, 1}}, {{0, 0, 2}, {0, 1, 2}}, {{1, 1, 1}, {0, 1, 2}}},
                {{{0, 1, 0}, {0, 1, 0}}, {{0, 0, 0}, {0, 1, 0}}, {{0, 1, 0}, {0, 1, 0}}}
            },
            Optional.of(new int[][] {{0, 1, 1}, {0, 1, 0}}));

    @Test
    void aDocumentComesBackTheSame() {
        String file = AgreementFile.write(THREE);
        assertThat(StudyKind.of(file)).isEqualTo("agreement");
        AgreementAnswers again = AgreementFile.read(file);
        assertThat(again.people()).isEqualTo(THREE.people());
        assertThat(again.questions()).isEqualTo(THREE.questions());
        assertThat(again.answers()).isDeepEqualTo(THREE.answers());
        assertThat(again.truth().orElseThrow()).isDeepEqualTo(THREE.truth().orElseThrow());
        assertThat(AgreementFile.write(again)).isEqualTo(file);
        AgreementAnswers unknown =
                new AgreementAnswers("t", THREE.people(), THREE.questions(), THREE.answers(), Optional.empty());
        assertThat(AgreementFile.read(AgreementFile.write(unknown)).truth()).isEmpty();
    }

    @Test
    void aListHasARowForEachAnswer() {
        String list = AgreementFile.writeList(THREE);
        assertThat(list.lines()).hasSize(1 + 2 * 3 * 2 * 3);
        assertThat(list)
                .contains("Verdict,\"Tomas, who comma-separates\",1,3,open,reject")
                .contains("Crack,'=Lea,2,2,reject,reject");
    }

    @Test
    void whatIsWrongIsNamedByItsPath() {
        String good = AgreementFile.write(THREE);
        assertThatThrownBy(() -> AgreementFile.read(good.replace("agreement", "gauge")))
                .hasMessageContaining("kind");
        assertThatThrownBy(() -> AgreementFile.read(good.replaceFirst("\\[\\s*0,\\s*1,\\s*2\\s*]", "[0,1,7]")))
                .hasMessageContaining("answers[0][0][0][2]")
                .hasMessageContaining("2 left open");
        assertThatThrownBy(() -> AgreementFile.read(good.replaceFirst("\\[\\s*0,\\s*1,\\s*2\\s*]", "[0,1]")))
                .hasMessageContaining("answers[0]");
        assertThatThrownBy(() -> AgreementFile.read(good.replaceFirst("\"Crack\"", "7")))
                .hasMessageContaining("questions[1]");
        assertThatThrownBy(() -> AgreementFile.read("[]")).isInstanceOf(UnreadableInput.class);
    }
}
