package mensor.server.job;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import mensor.server.web.AllOptional;

/**
 * What a contract says beside its criteria book, for all welds of a job; it can only tighten.
 *
 * @param limits its own limits
 * @param undercut {@code sum} (or absent: both toes add up) or {@code per-toe}, as agreed in the inspection plan
 * @param undercutNote where that stands
 * @param guarded whether a reading must keep its limit by the gauge's guard band (JCGM 106)
 * @param guardFactor how many standard uncertainties; absent is 2
 * @param guardNote where that stands
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record ContractTerms(
        List<Limit> limits,
        String undercut,
        String undercutNote,
        Boolean guarded,
        BigDecimal guardFactor,
        String guardNote) {
    public static final ContractTerms NONE = new ContractTerms(null, null, null, null, null, null);

    /** One limit: its id and most in the inspection format, and where it stands. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Limit(String id, String max, String note) {}

    public List<Limit> allLimits() {
        return limits == null ? List.of() : limits;
    }

    public boolean isPerToe() {
        return "per-toe".equals(undercut);
    }

    public boolean isGuarded() {
        return Boolean.TRUE.equals(guarded);
    }

    public BigDecimal factor() {
        return guardFactor == null ? BigDecimal.valueOf(2) : guardFactor;
    }
}
