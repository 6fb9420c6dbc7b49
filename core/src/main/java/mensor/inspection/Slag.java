package mensor.inspection;

import mensor.length.Span;

/** Slag: trapped at a toe or open after cleaning, or else still covering the weld. */
public record Slag(Span span, boolean trapped) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("trapped", trapped);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.slag(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Slag(stretch, trapped);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.SLAG;
    }

    @Override
    public Criterion criterion() {
        return Criterion.SLAG;
    }
}
