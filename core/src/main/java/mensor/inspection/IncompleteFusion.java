package mensor.inspection;

import mensor.length.Span;

/** A stretch where the metal is not fused to the member. */
public record IncompleteFusion(Span span) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.incompleteFusion(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new IncompleteFusion(stretch);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.INCOMPLETE_FUSION;
    }

    @Override
    public Criterion criterion() {
        return Criterion.FUSION;
    }
}
