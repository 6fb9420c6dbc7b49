package mensor.inspection;

import mensor.length.Length;
import mensor.length.Span;

/** The weld is shorter than specified by {@code missing}. */
public record ShortWeld(Length missing) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().with("missing", missing);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.shortWeld(this);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.SHORT_WELD;
    }

    @Override
    public Criterion criterion() {
        return Criterion.LENGTH;
    }

    @Override
    public Span span() {
        return Span.at(Length.zero(missing.unit()));
    }

    @Override
    public boolean isPlaced() {
        return false;
    }
}
