package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;

/** A groove melted into the member along a toe or the root. */
public record Undercut(Toe toe, Span span, Length deep, Optional<Length> division) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues()
                .at(span)
                .with("toe", toe)
                .with("depth", deep)
                .division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.undercut(this);
    }

    @Override
    public Indication along(Span stretch) {
        return new Undercut(toe, stretch, deep, division);
    }

    @Override
    public Indication worseBy(Length more) {
        return new Undercut(toe, span, Worse.by(deep, more), division);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.UNDERCUT;
    }

    @Override
    public Criterion criterion() {
        return toe == Toe.ROOT ? Criterion.ROOT : Criterion.UNDERCUT;
    }

    @Override
    public Optional<Length> depth() {
        return Optional.of(deep);
    }
}
