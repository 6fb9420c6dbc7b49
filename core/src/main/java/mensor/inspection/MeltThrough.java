package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** Root metal that stands out. */
public record MeltThrough(Span span, Length height, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("depth", height).division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.meltThrough(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new MeltThrough(stretch, height, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new MeltThrough(span, Worse.by(height, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.MELT_THROUGH;
    }

    @Override
    public Criterion criterion() {
        return Criterion.ROOT;
    }

    @Override
    public Optional<Length> depth() {
        return Optional.of(height);
    }
}
