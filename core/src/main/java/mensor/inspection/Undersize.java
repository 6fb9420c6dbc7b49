package mensor.inspection;

import mensor.length.Length;
import mensor.length.Span;

/** A stretch marked as under the wanted size; {@code least} is the least size there in the drawing's meaning. */
public record Undersize(Span span, Length least) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span).with("least", least);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.undersize(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Undersize(stretch, least);
    }

    @Override
    public Indication worseBy(Length more) {
        // a band that is wider than the value leaves next to nothing of it
        return new Undersize(span, least.isOver(more) ? least.minus(more) : Length.ofNanometres(1, least.unit()));
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.UNDERSIZE;
    }

    @Override
    public Criterion criterion() {
        return Criterion.SIZE;
    }
}
