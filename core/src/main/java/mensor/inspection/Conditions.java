package mensor.inspection;

import java.math.BigDecimal;
import java.util.Optional;
import mensor.weld.InvalidField;

/**
 * The state of the weld when it was inspected; what is absent was not answered.
 *
 * @param viewing light, access and gauges, where the inspection is made at the bench; a file says nothing of them
 */
public record Conditions(
        Optional<Boolean> cleaned,
        Optional<Boolean> ambient,
        Optional<Boolean> coated,
        Optional<BigDecimal> hoursSinceWelding,
        Optional<Viewing> viewing) {
    /** @throws InvalidField where the hours are below zero */
    public Conditions {
        hoursSinceWelding.filter(h -> h.signum() < 0).ifPresent(h -> {
            throw new InvalidField("hoursSinceWelding", "cannot be below zero, got " + h.toPlainString());
        });
    }

    public Conditions(
            Optional<Boolean> cleaned,
            Optional<Boolean> ambient,
            Optional<Boolean> coated,
            Optional<BigDecimal> hoursSinceWelding) {
        this(cleaned, ambient, coated, hoursSinceWelding, Optional.empty());
    }

    public static final Conditions UNANSWERED =
            new Conditions(Optional.empty(), Optional.empty(), Optional.empty(), Optional.empty());

    /** Cleaned, cooled to ambient, not coated. */
    public static final Conditions READY =
            new Conditions(Optional.of(true), Optional.of(true), Optional.of(false), Optional.empty());
}
