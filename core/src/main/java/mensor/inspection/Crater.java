package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** A crater at the end of a run; without a depth it is not filled. */
public record Crater(Length at, Optional<Length> depth, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span()).with("depth", depth).division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.crater(this);
    }

    @Override
    public Indication worseBy(Length more) {
        return new Crater(at, Worse.by(depth, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.CRATER;
    }

    @Override
    public Criterion criterion() {
        return Criterion.CRATER;
    }

    @Override
    public Span span() {
        return Span.at(at);
    }
}
