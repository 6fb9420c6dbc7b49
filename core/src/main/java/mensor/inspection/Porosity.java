package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** Visible pores, each counted with the largest diameter. */
public record Porosity(Span span, Length diameter, long count, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues()
                .at(span)
                .with("diameter", diameter)
                .with("count", Optional.of(count).filter(n -> n != 1))
                .division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.porosity(this);
    }

    @Override
    public Indication worseBy(Length more) {
        return new Porosity(span, Worse.by(diameter, more), count, division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.POROSITY;
    }

    @Override
    public Criterion criterion() {
        return Criterion.POROSITY;
    }

    @Override
    public Optional<Length> depth() {
        return Optional.of(diameter);
    }
}
