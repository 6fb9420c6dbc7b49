package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** A face below the surface of the member. */
public record Underfill(Span span, Optional<Length> depth, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("depth", depth).division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.underfill(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Underfill(stretch, depth, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new Underfill(span, Worse.by(depth, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.UNDERFILL;
    }

    @Override
    public Criterion criterion() {
        return Criterion.PROFILE;
    }
}
