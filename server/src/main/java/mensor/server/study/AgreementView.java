package mensor.server.study;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How far people agree on the same welds.
 *
 * @param over everybody handed in; before that only how far they are is said
 * @param done of each person, how many welds are handed in
 * @param first what to talk about first
 */
public record AgreementView(
        List<String> people,
        int welds,
        int passes,
        boolean over,
        List<Integer> done,
        List<CriterionAgreementView> questions,
        List<String> first) {

    /**
     * @param among all people's first passes
     * @param truth the true answers are known
     */
    public record CriterionAgreementView(
            String question,
            KappaView among,
            List<WithSelfView> withSelf,
            List<PairView> pairs,
            List<LeanView> leans,
            List<Integer> divided) {}

    /** @param value absent where all answers are the same one thing */
    public record KappaView(
            @Nullable Double value,
            @Nullable Double low,
            @Nullable Double high,
            double observed,
            String words) {}

    public record WithSelfView(String person, KappaView kappa) {}

    public record PairView(String one, String other, KappaView kappa) {}

    /** Bad called good and good called bad, with the intervals (Wilson, 95 %) of both shares. */
    public record LeanView(
            String person,
            int falseAccepts,
            int ofBad,
            double acceptLow,
            double acceptHigh,
            int falseRejects,
            int ofGood,
            double rejectLow,
            double rejectHigh) {}
}
