package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;

/** Weld metal lapped over a toe without fusion. */
public record Overlap(Toe toe, Span span, Optional<Length> depth, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues()
                .at(span)
                .with("toe", toe)
                .with("depth", depth)
                .division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.overlap(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Overlap(toe, stretch, depth, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new Overlap(toe, span, Worse.by(depth, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.OVERLAP;
    }

    @Override
    public Criterion criterion() {
        return Criterion.OVERLAP;
    }
}
