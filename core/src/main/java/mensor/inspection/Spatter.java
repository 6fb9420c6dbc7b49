package mensor.inspection;

import mensor.length.Span;

/** Spatter, tight or loose. */
public record Spatter(Span span, boolean loose) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("loose", loose);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.spatter(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Spatter(stretch, loose);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.SPATTER;
    }

    @Override
    public Criterion criterion() {
        return Criterion.SPATTER;
    }
}
