package mensor.criteria;

import java.math.BigDecimal;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.RealLength;

/**
 * The most that is allowed: {@code base} and a share of the width of the face (of the root, for excess penetration), at
 * most {@code cap}.
 *
 * @param ofWidth zero where the width has no say
 * @param onlyShort allowed as a short imperfection alone
 * @param reckoned how it was found, in words: "0.2 t, at most 2 mm"
 */
public record Bound(RealLength base, BigDecimal ofWidth, Optional<Length> cap, boolean onlyShort, String reckoned) {
    public static Bound fixed(Length most, String reckoned) {
        return new Bound(RealLength.of(most), BigDecimal.ZERO, Optional.empty(), false, reckoned);
    }

    public boolean isNone() {
        return base.signum() == 0 && ofWidth.signum() == 0;
    }

    /** The bound at a width. */
    public RealLength at(RealLength width) {
        RealLength grown = base.plus(width.times(ofWidth));
        return cap.map(c -> grown.min(RealLength.of(c))).orElse(grown);
    }

    /** The greatest that any width could allow; empty where there is no greatest. */
    public Optional<RealLength> greatest() {
        if (ofWidth.signum() == 0) {
            return Optional.of(base);
        }
        return cap.map(RealLength::of);
    }
}
