package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;

/**
 * Harm to the base metal beside the weld. The plate goes on past the weld, so that its place may lie before the datum or
 * past the weld's end.
 *
 * @param thickness what is left of the member there
 * @param member the toe of the member that was harmed
 */
public record BaseMetalDamage(
        Span span,
        DamageKind what,
        Optional<Length> depth,
        Optional<Length> thickness,
        Optional<Toe> member,
        Optional<Length> division)
        implements Indication {
    @Override
    public IndicationValues values() {
        return new IndicationValues()
                .at(span)
                .with("what", what.id())
                .with("depth", depth)
                .with("thickness", thickness)
                .with("member", member)
                .division(division);
    }

    @Override
    public <T> T answer(Cases<T> cases) {
        return cases.baseMetalDamage(this);
    }

    @Override
    public IndicationKind kind() {
        return IndicationKind.BASE_METAL_DAMAGE;
    }

    @Override
    public Criterion criterion() {
        return Criterion.BASE_METAL;
    }

    @Override
    public Indication worseBy(Length more) {
        return new BaseMetalDamage(
                span,
                what,
                depth.map(d -> d.plus(more)),
                thickness.map(t -> t.minus(more).max(Length.zero(t.unit()))),
                member,
                division);
    }

    @Override
    public Indication along(Span stretch) {
        return new BaseMetalDamage(stretch, what, depth, thickness, member, division);
    }

    /** Ground smooth, or a depth of zero: nothing sharp is left. */
    public boolean isDressed() {
        return what == DamageKind.OVER_GRINDING || depth.filter(Length::isZero).isPresent();
    }
}
