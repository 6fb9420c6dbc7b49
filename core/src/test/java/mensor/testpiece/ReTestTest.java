package mensor.testpiece;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** The re-test rule: AWS D1.1 clause 6 from memory, medium confidence. */
class ReTestTest {
    @ParameterizedTest
    @CsvSource({"0, 0 of 2", "1, 1 of 2", "2, re-tested", "3, re-tested"})
    void twoPiecesAreWanted(int since, String begins) {
        assertThat(ReTest.inWords(since)).startsWith(begins);
    }
}
