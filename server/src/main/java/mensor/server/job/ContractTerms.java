package mensor.server.job;

import com.fasterxml.jackson.annotation.JsonInclude;
import java.math.BigDecimal;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import mensor.inspection.ReadingChoices;
import mensor.repair.HoldKind;
import mensor.repair.RepairConstants;
import mensor.server.web.AllOptional;
import mensor.weld.Named;

/**
 * What a contract says beside its criteria book, for all welds of a job; it can only tighten.
 *
 * @param limits its own limits
 * @param undercut {@code sum} (or absent: both toes add up) or {@code per-toe}, as agreed in the inspection plan
 * @param undercutNote where that stands
 * @param guarded whether a reading must keep its limit by the gauge's guard band (JCGM 106)
 * @param guardFactor how many standard uncertainties; absent is 2
 * @param guardNote where that stands
 * @param repairCycles how often one place may be repaired before the Engineer is asked; absent is 2
 * @param repairHolds what else waits for the Engineer's document: {@code replace}, {@code cutting-apart}
 * @param repairNote where that stands
 * @param repairConstants what the job reckons its repairs with, by name, where not as usual
 * @param underrun {@code continuous} (or absent) or {@code also-intermittent}, as agreed in the inspection plan
 * @param underrunNote where that stands
 */
@AllOptional
@JsonInclude(JsonInclude.Include.NON_EMPTY)
public record ContractTerms(
        List<Limit> limits,
        String undercut,
        String undercutNote,
        Boolean guarded,
        BigDecimal guardFactor,
        String guardNote,
        Integer repairCycles,
        List<String> repairHolds,
        String repairNote,
        Map<String, Double> repairConstants,
        String underrun,
        String underrunNote) {
    public static final ContractTerms NONE =
            new ContractTerms(null, null, null, null, null, null, null, null, null, null, null, null);

    /** Of the inspection alone, without anything about repairs. */
    public static ContractTerms ofInspections(List<Limit> limits, Boolean guarded, String guardNote) {
        return new ContractTerms(limits, null, null, guarded, null, guardNote, null, null, null, null, null, null);
    }

    /** One limit: its id and most in the inspection format, and where it stands. */
    @AllOptional
    @JsonInclude(JsonInclude.Include.NON_EMPTY)
    public record Limit(String id, String max, String note) {}

    public List<Limit> allLimits() {
        return limits == null ? List.of() : limits;
    }

    /** Repairs of one place that need nobody's leave. */
    public int cycles() {
        return repairCycles == null ? HoldKind.USUAL_CYCLES : repairCycles;
    }

    public Set<HoldKind> holds() {
        return repairHolds == null
                ? Set.of()
                : repairHolds.stream()
                        .map(h -> Named.find(HoldKind.class, h))
                        .flatMap(Optional::stream)
                        .collect(Collectors.toUnmodifiableSet());
    }

    public RepairConstants constants() {
        return repairConstants == null ? RepairConstants.USUAL : RepairConstants.USUAL.with(repairConstants);
    }

    public boolean isPerToe() {
        return "per-toe".equals(undercut);
    }

    /** Whether intermittent fillets may be under size as continuous ones may. */
    public boolean isUnderrunAlsoIntermittent() {
        return "also-intermittent".equals(underrun);
    }

    public ReadingChoices choices() {
        return new ReadingChoices(isPerToe(), isUnderrunAlsoIntermittent());
    }

    public boolean isGuarded() {
        return Boolean.TRUE.equals(guarded);
    }

    public BigDecimal factor() {
        return guardFactor == null ? BigDecimal.valueOf(2) : guardFactor;
    }
}
