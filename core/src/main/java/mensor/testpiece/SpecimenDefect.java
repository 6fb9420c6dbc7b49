package mensor.testpiece;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Crack;
import mensor.inspection.IncompleteFusion;
import mensor.inspection.Indication;
import mensor.inspection.Slag;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;

/** A failed specimen as a defect with a place: it is traced as one that was seen (common practice, no source). */
public final class SpecimenDefect {
    private SpecimenDefect() {}

    /**
     * What a specimen that failed stands for: slag where its flaw was slag or an inclusion, a crack where one was etched, else a lack
     * of fusion.
     *
     * @param where it was cut
     */
    public static Optional<Indication> of(Specimen specimen, Specimen.Result result, Span where) {
        if (result.verdict() != Verdict.REJECT) {
            return Optional.empty();
        }
        return Optional.of(
                isCracked(specimen)
                        ? new Crack(where, Optional.empty())
                        : isSlag(specimen) ? new Slag(where, true) : new IncompleteFusion(where));
    }

    private static boolean isCracked(Specimen s) {
        return s instanceof Specimen.Macro m && m.cracks().orElse(false);
    }

    private static boolean isSlag(Specimen s) {
        if (s instanceof Specimen.FilletBreak b) {
            return b.fullFusion().orElse(false);
        }
        return s instanceof Specimen.NickBreak n
                && n.fullFusion().orElse(false)
                && n.inclusion().filter(Length::isPositive).isPresent();
    }

    /** The place of a specimen by the plan: of its kind and, where its name ends in a number, of that number. */
    public static Optional<Span> place(CuttingPlan plan, SpecimenKind kind, String name) {
        List<CuttingPlan.Cut> alike =
                plan.cuts().stream().filter(c -> c.kind() == kind).toList();
        return alike.stream()
                .filter(c -> name.strip().endsWith(" " + c.number()))
                .findFirst()
                .or(() -> alike.stream().findFirst())
                .map(CuttingPlan.Cut::where);
    }
}
