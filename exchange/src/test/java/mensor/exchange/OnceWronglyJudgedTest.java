package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.stream.Stream;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Small welds that were once judged wrongly; the right verdict stands in each file's name. */
class OnceWronglyJudgedTest {
    private static final Path CASES = Path.of("src/test/resources/cases");

    static Stream<String> cases() throws IOException {
        try (Stream<Path> files = Files.list(CASES)) {
            return files.map(f -> f.getFileName().toString()).sorted().toList().stream();
        }
    }

    static Evaluation judge(String text) {
        InspectionDocument document = InspectionDocument.read(text);
        return Judge.evaluate(document.inspection(), document.book());
    }

    @ParameterizedTest
    @MethodSource("cases")
    void isJudgedAsItsNameSays(String file) throws IOException {
        Evaluation e = judge(Files.readString(CASES.resolve(file)));
        assertThat(e.verdict()).isEqualTo(Verdict.valueOf(file.split("\\.")[1].toUpperCase()));
    }

    @Test
    void theCasesAreThere() throws IOException {
        assertThat(cases()).hasSizeGreaterThanOrEqualTo(15);
    }
}
