package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** A restart that left a bump or a hollow; what it makes beside that is recorded as that. */
public record PoorRestart(Span span, Optional<Length> height, Optional<Length> hollow, Optional<Length> division)
        implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues()
                .at(span)
                .with("height", height)
                .with("depth", hollow)
                .division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.poorRestart(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new PoorRestart(stretch, height, hollow, division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.POOR_RESTART;
    }

    @Override
    public Criterion criterion() {
        return Criterion.PROFILE;
    }
}
