package mensor.inspection;

import java.util.Optional;
import mensor.length.Span;

/** A crack: across the weld at one place, along it over a stretch. */
public record Crack(Span span, Optional<CrackPlace> where) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("where", where);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.crack(this);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.CRACK;
    }

    @Override
    public Criterion criterion() {
        return Criterion.CRACK;
    }
}
