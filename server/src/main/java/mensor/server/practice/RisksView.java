package mensor.server.practice;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What is signed wrongly of a joint, criterion by criterion. */
public record RisksView(String joint, String code, List<CriterionRiskView> criteria) {

    /**
     * @param limit in words
     * @param study whose gauge and true values it is by
     * @param why nothing can be said
     */
    public record CriterionRiskView(
            String criterion,
            String limit,
            @Nullable String study,
            @Nullable String why,
            @Nullable RiskView risk) {}
}
