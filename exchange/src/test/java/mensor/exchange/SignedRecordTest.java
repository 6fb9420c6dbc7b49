package mensor.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.Optional;
import mensor.judge.Ask;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import mensor.length.Unit;
import org.junit.jupiter.api.Test;

/** What is read back from a signed record is what was signed, finding by finding. */
class SignedRecordTest {
    private static final String SEEN = "{'kind':'undercut','toe':'A','from':3,'to':'3 1/3','depth':'1/16'},"
            + "{'kind':'undersize','from':4,'to':5,'least':'1/8'},{'kind':'porosity','at':7,'diameter':'1/64'}";

    @Test
    void theEvaluationComesBackAsItWasSigned() {
        InspectionDocument document = InspectionDocument.read(JudgeCommandTest.sound(SEEN.replace('\'', '"')));
        Evaluation signed = Judge.evaluate(document.inspection(), document.book());
        String record = SignedRecord.write(document, signed, "{\"verdict\":\"reject\"}");
        Evaluation again = SignedRecord.read(record)
                .evaluation(document.book(), Unit.INCH, Optional.of(SignedRecord.details(signed)));
        assertThat(again.verdict()).isEqualTo(signed.verdict());
        assertThat(again.notes()).isEqualTo(signed.notes());
        assertThat(again.findings())
                .usingRecursiveFieldByFieldElementComparatorIgnoringFields(
                        "basis.citation", "grounds.reason", "grounds.asks")
                .isEqualTo(signed.findings());
        assertThat(again.findings())
                .as("what it asks is kept in words")
                .extracting(f -> f.asks().stream().map(Ask::words).toList())
                .isEqualTo(signed.findings().stream()
                        .map(f -> f.asks().stream().map(Ask::words).toList())
                        .toList());
        assertThat(reasons(again)).isEqualTo(reasons(signed));
        assertThat(again.findings().stream().map(f -> f.citation().shown()))
                .isEqualTo(signed.findings().stream()
                        .map(f -> f.citation().shown())
                        .toList());
        Evaluation older = SignedRecord.read(record).evaluation(document.book(), Unit.INCH, Optional.empty());
        assertThat(reasons(older))
                .as("a record signed before details were kept")
                .isEqualTo(reasons(signed));
    }

    private static List<String> reasons(Evaluation e) {
        return e.findings().stream().map(f -> f.reason().words()).toList();
    }

    /** Sorting and escapes by the examples of RFC 8785, 3.2.2 and 3.2.3 (from memory). */
    @Test
    void oneTextForOneContent() {
        assertThat(SignedRecord.canonical(
                        "{\"b\":1.0,\"a\":[56.50,true,null],\"\\u20ac\":\"\\u000f\\u0008A'\\u0042\\\\\"}"))
                .isEqualTo("{\"a\":[56.5,true,null],\"b\":1,\"€\":\"\\u000f\\bA'B\\\\\"}");
        assertThatThrownBy(() -> SignedRecord.read("{\"format\":\"other\"}")).isInstanceOf(UnreadableInput.class);
    }
}
