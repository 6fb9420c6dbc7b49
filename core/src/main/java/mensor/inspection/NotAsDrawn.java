package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** What differs from the drawing. */
public record NotAsDrawn(DrawingFault what, Optional<Length> at) implements Indication {
    @Override
    public IndicationValues values() {
        IndicationValues v = new IndicationValues().with("what", what.id());
        return at.map(a -> v.at(Span.at(a))).orElse(v);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.notAsDrawn(this);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.NOT_AS_DRAWN;
    }

    @Override
    public Criterion criterion() {
        return Criterion.AS_DRAWN;
    }

    @Override
    public Span span() {
        return Span.at(at.orElse(Length.inches(0)));
    }

    @Override
    public boolean isPlaced() {
        return at.isPresent();
    }
}
