package mensor.server.job;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.List;
import java.util.Map;
import mensor.server.web.AllOptional;

/**
 * A job as it is set up. {@code contract} names the contract's own specification, {@code terms} what it says beside the code.
 *
 * @param loading {@code static}, {@code cyclic} or absent: unknown until the drawing says
 * @param oneHand one person may inspect a weld and decide on its repair; absent is no
 * @param schools which school of practice was picked, by topic
 * @param apart how far apart starts and stops are wanted, a length; absent is the rule of thumb of 1 in
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record JobForm(
        String name,
        String criteria,
        String units,
        String loading,
        String contract,
        String apart,
        List<Drawing> drawings,
        List<FurtherTest> tests,
        List<String> lots,
        Boolean oneHand,
        ContractTerms terms,
        Map<String, String> schools) {
    /** A job by its name, book and units alone. */
    public static JobForm of(String name, String criteria, String units) {
        return new JobForm(name, criteria, units, null, null, null, null, null, null, null, null, null);
    }

    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Drawing(String number, String revision) {}

    /** A further test that is due beside the inspection: {@code MT}, {@code PT}, {@code UT} or {@code RT}, of how many percent, and where it stands. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record FurtherTest(String method, Integer percent, String status) {
        /** Visual acceptance is no release while it is due. */
        public boolean isDue() {
            return !"done".equals(status);
        }

        public String shown() {
            return method + (percent == null ? "" : " " + percent + "%");
        }
    }

    /** The same without the columns that stand beside it. */
    JobForm rest() {
        return new JobForm(null, null, null, loading, contract, apart, drawings, tests, lots, oneHand, terms, schools);
    }
}
