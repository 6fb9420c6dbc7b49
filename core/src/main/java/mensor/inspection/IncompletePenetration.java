package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** A root that the metal did not reach. */
public record IncompletePenetration(Span span, Optional<Length> depth, Optional<Length> division)
        implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("depth", depth).division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.incompletePenetration(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new IncompletePenetration(stretch, depth, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new IncompletePenetration(span, Worse.by(depth, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.INCOMPLETE_PENETRATION;
    }

    @Override
    public Criterion criterion() {
        return Criterion.ROOT;
    }
}
