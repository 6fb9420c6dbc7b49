package mensor.judge;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Deviation;

/**
 * What the contract and the Engineer say beside the code and its addenda.
 *
 * @param guard present where the contract asks for guarded acceptance
 */
public record Terms(Optional<Guard> guard, List<Deviation> deviations) {
    public static final Terms NONE = new Terms(Optional.empty(), List.of());
}
