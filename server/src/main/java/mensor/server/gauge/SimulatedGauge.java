package mensor.server.gauge;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.Map;
import java.util.Random;

/**
 * A made-up weld under a made-up digital gauge, to try and to test the bench without one. The weld is the same each time
 * it is measured; each squeeze differs by a little noise, and now and then the gauge is badly seated.
 */
public final class SimulatedGauge {
    /** Standard deviation of a squeeze, mm: a worn digital gauge in a steady hand (common practice, no source). */
    static final double NOISE = 0.08;

    /** One squeeze in this many is badly seated. */
    static final int MIS_SEAT_EVERY = 12;

    private static final double LEAST_OFF = 0.6;
    private static final double MOST_OFF = 2.0;
    private static final double WAVE = 0.35;

    /** Each measure as part of the leg, with what is added in mm. */
    private static final Map<String, double[]> SHAPE = Map.ofEntries(
            Map.entry("legA", new double[] {1, 0.5}),
            Map.entry("legB", new double[] {1, 0.6}),
            Map.entry("throat", new double[] {0.707, 0.5}),
            Map.entry("faceWidth", new double[] {1.414, 0.8}),
            Map.entry("convexity", new double[] {0, 0.8}),
            Map.entry("concavity", new double[] {0, 0.4}),
            Map.entry("reinforcement", new double[] {0, 1.6}),
            Map.entry("rootReinforcement", new double[] {0, 1.2}),
            Map.entry("offset", new double[] {0, 0.5}),
            Map.entry("depth", new double[] {0, 0.6}),
            Map.entry("diameter", new double[] {0, 1.2}));

    private final String weld;
    private final double leg;
    private final boolean inches;

    /**
     * @param weld names the made-up weld: the same name, the same weld
     * @param leg its nominal leg, mm
     */
    public SimulatedGauge(String weld, double leg, boolean inches) {
        this.weld = weld;
        this.leg = leg;
        this.inches = inches;
    }

    /**
     * What the gauge types.
     *
     * @param text as a digital gauge shows it: thousandths of an inch, or hundredths of a millimetre
     * @param truth what a perfect gauge would show
     * @param misSeated it was not square on the plate
     */
    public record GaugeReading(String text, String truth, boolean misSeated) {}

    /** Whether the gauge can read this measure. */
    public static boolean reads(String measure) {
        return SHAPE.containsKey(measure);
    }

    /** @param at the place, mm from the datum */
    public GaugeReading read(String measure, double at, long number) {
        double truth = truth(measure, at);
        Random random =
                new Random((weld + measure + Math.round(at * 8) + "/" + number).hashCode() * 0x9E3779B97F4A7C15L);
        random.nextInt(); // the first number of like seeds is alike
        double shown = truth + random.nextGaussian() * NOISE;
        boolean misSeated = random.nextInt(MIS_SEAT_EVERY) == 0;
        if (misSeated) {
            shown += LEAST_OFF + random.nextDouble() * (MOST_OFF - LEAST_OFF);
        }
        return new GaugeReading(text(Math.max(0, shown)), text(truth), misSeated);
    }

    /** Slow waves along the weld, as a hand makes them. */
    private double truth(String measure, double at) {
        double[] shape = SHAPE.getOrDefault(measure, new double[] {0, 0.8});
        double phase = (weld + measure).hashCode() % 100;
        double wave = Math.sin(at / 61 + phase) + 0.5 * Math.sin(at / 23 + 2 * phase);
        double part = shape[0] > 0 ? 1 : shape[1];
        return Math.max(0, leg * shape[0] + shape[1] + WAVE * part * wave);
    }

    private String text(double mm) {
        BigDecimal value = BigDecimal.valueOf(inches ? mm / 25.4 : mm);
        return value.setScale(inches ? 3 : 2, RoundingMode.HALF_EVEN).toPlainString();
    }
}
