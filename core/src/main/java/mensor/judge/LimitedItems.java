package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import mensor.criteria.Bound;
import mensor.criteria.Measure;
import mensor.criteria.Rule;
import mensor.inspection.BurnThrough;
import mensor.inspection.Crater;
import mensor.inspection.IncompletePenetration;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.MeltThrough;
import mensor.inspection.Overlap;
import mensor.inspection.Porosity;
import mensor.inspection.Reading;
import mensor.inspection.RootConcavity;
import mensor.inspection.Undercut;
import mensor.inspection.Underfill;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.weld.Gap;

/** What was recorded of one measure: indications, readings and gaps, each with the bound that holds it. */
final class LimitedItems {
    private final Inspection inspection;
    private final Rule.AtMost rule;
    private final boolean byWidth;
    private Optional<RealLength> smallestWidth;

    LimitedItems(Inspection inspection, Rule.AtMost rule) {
        this.inspection = inspection;
        this.rule = rule;
        this.byWidth = rule.bound().ofWidth().signum() != 0;
    }

    List<LimitedItem> all() {
        return switch (rule.measure()) {
            case PORE -> seen(Porosity.class);
            case CRATER -> seen(Crater.class);
            case OVERLAP -> seen(Overlap.class);
            case UNDERCUT, ROOT_UNDERCUT -> undercuts();
            case INCOMPLETE_PENETRATION -> seen(IncompletePenetration.class);
            case BURN_THROUGH -> seen(BurnThrough.class);
            case EXCESS_PENETRATION ->
                both(seen(MeltThrough.class), read(s -> s.rootReinforcement().filter(h -> !h.isNegative())));
            case ROOT_CONCAVITY ->
                both(
                        seen(RootConcavity.class),
                        read(s ->
                                s.rootReinforcement().filter(Length::isNegative).map(Length::negate)));
            case UNDERFILL ->
                both(
                        seen(Underfill.class),
                        read(s -> s.reinforcement().filter(Length::isNegative).map(Length::negate)));
            case REINFORCEMENT -> read(s -> s.reinforcement().filter(h -> !h.isNegative()));
            case CONVEXITY -> read(Reading.Station::convexity);
            case LEG_DIFFERENCE ->
                read(s -> s.legA().flatMap(a -> s.legB().map(b -> a.max(b).minus(a.min(b)))));
            case THROAT_OVER -> throats();
            case GAP -> gaps();
        };
    }

    private static List<LimitedItem> both(List<LimitedItem> a, List<LimitedItem> b) {
        List<LimitedItem> all = new ArrayList<>(a);
        all.addAll(b);
        return all;
    }

    private List<LimitedItem> seen(Class<? extends Indication> kind) {
        return Occurrence.indications(inspection, kind).stream()
                .map(f -> indication(f, f.what().depth(), rule.bound()))
                .toList();
    }

    private LimitedItem indication(Occurrence<? extends Indication> f, Optional<Length> depth, Bound bound) {
        return new LimitedItem(
                new LimitedItem.Source.Indicated(f.index()),
                f.what().span(),
                depth.map(RealLength::of),
                smallestWidth(),
                f.what().division(),
                bound);
    }

    private List<LimitedItem> undercuts() {
        return Occurrence.indications(inspection, Undercut.class).stream()
                .filter(f -> rule.bounds().containsKey(f.what().toe()))
                .map(f -> indication(
                        f,
                        Optional.of(f.what().deep()),
                        rule.bounds().get(f.what().toe())))
                .toList();
    }

    private List<LimitedItem> read(Function<Reading.Station, Optional<Length>> measure) {
        return stations().stream()
                .flatMap(f -> measure.apply(f.what()).map(d -> reading(f, RealLength.of(d))).stream())
                .toList();
    }

    LimitedItem reading(Occurrence<Reading.Station> f, RealLength depth) {
        return new LimitedItem(
                new LimitedItem.Source.Read(f.index()),
                f.what().span(),
                Optional.of(depth),
                byWidth ? width(f.what()) : Optional.empty(),
                f.what().division(),
                rule.bound());
    }

    List<Occurrence<Reading.Station>> stations() {
        return Occurrence.readings(inspection, Reading.Station.class);
    }

    private List<LimitedItem> throats() {
        RealLength nominal = inspection.joint().nominalThroat().orElseThrow();
        SectionThroat.Reader sections = new SectionThroat.Reader(inspection.joint());
        return stations().stream()
                .flatMap(f ->
                        sections
                                .of(f.what())
                                .filter(SectionThroat::isWhole)
                                .map(t -> reading(f, t.throat().minus(nominal)))
                                .stream())
                .toList();
    }

    private List<LimitedItem> gaps() {
        List<LimitedItem> gaps = new ArrayList<>();
        for (Gap g : inspection.joint().gaps()) {
            gaps.add(new LimitedItem(
                    new LimitedItem.Source.FittedUp(),
                    g.span(),
                    Optional.of(RealLength.of(g.opening())),
                    Optional.empty(),
                    Optional.empty(),
                    rule.bound()));
        }
        return gaps;
    }

    /** The width that the reading gives: of the root, or of the face, of a fillet else from toe to toe. */
    private Optional<RealLength> width(Reading.Station s) {
        if (rule.measure() == Measure.EXCESS_PENETRATION) {
            return s.rootWidth().map(RealLength::of);
        }
        boolean legs = inspection.joint().isFillet()
                && s.legA().isPresent()
                && s.legB().isPresent();
        return s.faceWidth()
                .map(RealLength::of)
                .or(() -> legs ? Optional.of(SectionSize.chord(inspection.joint(), s)) : Optional.empty());
    }

    /** An indication has no width of its own: the smallest one read stands for it. */
    private Optional<RealLength> smallestWidth() {
        if (smallestWidth == null) {
            smallestWidth = byWidth
                    ? stations().stream().flatMap(f -> width(f.what()).stream()).min(Comparator.naturalOrder())
                    : Optional.empty();
        }
        return smallestWidth;
    }
}
