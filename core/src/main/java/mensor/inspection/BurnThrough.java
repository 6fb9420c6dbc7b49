package mensor.inspection;

import mensor.length.Length;
import mensor.length.Span;

/** A hole blown through the root. */
public record BurnThrough(Length at) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span());
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.burnThrough(this);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.BURN_THROUGH;
    }

    @Override
    public Criterion criterion() {
        return Criterion.ROOT;
    }

    @Override
    public Span span() {
        return Span.at(at);
    }
}
