package mensor.judge;

import java.math.BigDecimal;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.RealLength;

/**
 * Guarded acceptance (JCGM 106): a reading accepts only where it keeps its limit by {@code factor} standard uncertainties.
 *
 * @param readings the standard uncertainty of each reading of the inspection, absent where its gauge is not known
 * @param indications that of each indication
 */
public record Guard(BigDecimal factor, List<Optional<Length>> readings, List<Optional<Length>> indications) {
    /** The usual guard band. */
    public static final BigDecimal TWO = BigDecimal.valueOf(2);

    private static final BigDecimal ROOT_OF_TWELVE = RealLength.root(BigDecimal.valueOf(12));

    /**
     * A gauge's standard uncertainty: its division over √12 for what lies between two marks, joined in quadrature with half
     * of the uncertainty (k = 2) on its certificate; absent where neither is known.
     */
    public static Optional<Length> uncertainty(Optional<Length> division, Optional<Length> certificate) {
        if (division.isEmpty() && certificate.isEmpty()) {
            return Optional.empty();
        }
        Length unit = division.orElseGet(certificate::get);
        RealLength resolution = division.map(d -> RealLength.of(d).dividedBy(ROOT_OF_TWELVE))
                .orElse(RealLength.of(Length.zero(unit.unit())));
        RealLength certified =
                certificate.map(c -> RealLength.of(c).dividedBy(TWO)).orElse(RealLength.of(Length.zero(unit.unit())));
        return Optional.of(resolution.inQuadrature(certified).rounded());
    }

    /**
     * Of a gauge that was studied: what was measured of gauge and people, joined in quadrature with half of the uncertainty on its certificate. The
     * division is in what was measured.
     */
    public static Length measured(Length standard, Optional<Length> certificate) {
        RealLength certified = certificate
                .map(c -> RealLength.of(c).dividedBy(TWO))
                .orElse(RealLength.of(Length.zero(standard.unit())));
        return RealLength.of(standard).inQuadrature(certified).rounded();
    }

    /** A scanner's: its values come with twice their own standard uncertainty in place of a division, the device's in it. */
    public static Length ofScan(Length twice) {
        return RealLength.of(twice).dividedBy(TWO).rounded();
    }

    Optional<Length> band(Optional<Length> uncertainty) {
        return uncertainty.map(u -> RealLength.of(u).times(factor).rounded());
    }

    /** The same without the entries at those places. */
    Guard keeping(List<Integer> keptReadings, List<Integer> keptIndications) {
        return new Guard(
                factor,
                keptReadings.stream().map(readings::get).toList(),
                keptIndications.stream().map(indications::get).toList());
    }
}
