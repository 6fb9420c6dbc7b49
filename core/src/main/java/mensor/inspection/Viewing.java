package mensor.inspection;

import java.util.Optional;

/**
 * How the inspection itself was set up at the bench; what is absent was not answered.
 *
 * @param light enough light on the weld
 * @param near the eye within 24 in [600 mm] and not below 30° to the surface
 * @param gauges the gauges of the day's kit all within their calibration; absent where no kit was chosen
 */
public record Viewing(Optional<Boolean> light, Optional<Boolean> near, Optional<Boolean> gauges) {}
