package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** Members that do not meet in one line. */
public record Misalignment(Span span, Length offset, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("offset", offset).division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.misalignment(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Misalignment(stretch, offset, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new Misalignment(span, Worse.by(offset, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.MISALIGNMENT;
    }

    @Override
    public Criterion criterion() {
        return Criterion.MISALIGNMENT;
    }

    @Override
    public Optional<Length> depth() {
        return Optional.of(offset);
    }
}
