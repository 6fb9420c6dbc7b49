package mensor.inspection;

import java.util.Optional;
import mensor.length.Span;

/**
 * A crack, at one place or along a stretch.
 *
 * @param orientation how it runs; unsaid is unknown, whatever its place
 */
public record Crack(Span span, Optional<CrackPlace> where, Optional<CrackOrientation> orientation)
        implements Indication {
    /** One of which nobody said how it runs. */
    public Crack(Span span, Optional<CrackPlace> where) {
        this(span, where, Optional.empty());
    }

    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("where", where).with("orientation", orientation);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.crack(this);
    }

    /** As it runs; one of which nobody said so as one along the weld. */
    @Override
    public IndicationKind.Shape shape() {
        return switch (orientation.orElse(CrackOrientation.ALONG)) {
            case ALONG -> IndicationKind.Shape.CRACK;
            case ACROSS -> IndicationKind.Shape.CRACK_ACROSS;
            case STAR -> IndicationKind.Shape.CRACK_STAR;
        };
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.CRACK;
    }

    @Override
    public Criterion criterion() {
        return Criterion.CRACK;
    }
}
