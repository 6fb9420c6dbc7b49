package mensor.server.study;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A gauge study and what it comes to, in its units.
 *
 * @param said in one sentence
 * @param gaugeId the gauge, where the register knows it
 * @param references what each part is by a better instrument
 * @param readings by person, then repeat, then part
 * @param results by analysis of variance as chance says of the interaction: this one counts; then the other way; then by ranges where the table of
 *     that method has the numbers
 * @param uncertainty the standard uncertainty of one reading: what the register takes
 * @param inUse the register takes it
 */
public record GaugeStudyView(
        String said,
        String gauge,
        @Nullable UUID gaugeId,
        String quantity,
        String units,
        @Nullable Double tolerance,
        List<String> people,
        List<String> parts,
        @Nullable List<Double> references,
        List<List<List<Double>>> readings,
        List<SpreadView> results,
        @Nullable BiasView bias,
        double uncertainty,
        boolean inUse) {

    /**
     * @param interaction the probability of an interaction as large by chance
     * @param low of gauge and people together, 95 %
     * @param percentOfTolerance six standard deviations against the tolerance
     * @param categories groups of parts that can be told apart; absent where nothing spreads but the parts
     */
    public record SpreadView(
            String method,
            double ev,
            double av,
            double grr,
            double pv,
            double total,
            double percent,
            @Nullable Double percentOfTolerance,
            @Nullable Integer categories,
            @Nullable Double interaction,
            boolean pooled,
            @Nullable Double low,
            @Nullable Double high,
            String words) {}

    /** @param parts the mean bias of each part */
    public record BiasView(
            double mean,
            double meanChance,
            boolean biased,
            double intercept,
            double slope,
            double slopeChance,
            boolean sloped,
            List<Double> parts) {}
}
