package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** A root face drawn in below the surface. */
public record RootConcavity(Span span, Length deep, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("depth", deep).division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.rootConcavity(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new RootConcavity(stretch, deep, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new RootConcavity(span, Worse.by(deep, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.ROOT_CONCAVITY;
    }

    @Override
    public Criterion criterion() {
        return Criterion.ROOT;
    }

    @Override
    public Optional<Length> depth() {
        return Optional.of(deep);
    }
}
