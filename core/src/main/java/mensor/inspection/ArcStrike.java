package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;

/** A mark of the arc beside the weld. */
public record ArcStrike(Length at, Optional<Boolean> ground, Optional<CheckMethod> checked) implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues().at(span()).with("ground", ground).with("checked", checked);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.arcStrike(this);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.ARC_STRIKE;
    }

    @Override
    public Criterion criterion() {
        return Criterion.ARC_STRIKE;
    }

    @Override
    public Span span() {
        return Span.at(at);
    }
}
