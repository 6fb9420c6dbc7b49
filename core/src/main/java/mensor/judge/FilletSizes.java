package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import mensor.criteria.Rule;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
import mensor.look.Criterion;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
import mensor.weld.Gap;
import mensor.weld.GirderEnds;
import mensor.weld.Joint;

/**
 * The sizes of a fillet as drawn and as read, all in the drawing's meaning: what is wanted at each place (a fit-up gap
 * asks more), and each station, blade and mark held against it.
 */
final class FilletSizes {
    private final Inspection inspection;
    private final Joint joint;
    private final Rule.FilletSize rule;
    private final Unit unit;
    private final Ruler ruler;
    private final RealLength size;
    private final Length underrun;
    private final SpanSet welded;
    private final SpanSet noUnderrun;
    private final List<Enlarged> enlarged = new ArrayList<>();
    private final boolean demonstrated;
    private final List<At> stations = new ArrayList<>();
    private final List<Blade> blades = new ArrayList<>();
    private final List<Marked> marked = new ArrayList<>();

    /** A stretch where a fit-up opening asks more leg. */
    record Enlarged(SpanSet where, Length opening, RealLength wanted) {}

    /** A station's size, against what is wanted there. */
    record At(
            int index, Reading.Station station, Length place, SectionSize section, RealLength wanted, boolean nominal) {
        boolean isLow() {
            return !nominal && section.size().isUnder(wanted);
        }
    }

    record Blade(int index, Span span, SpanSet where, RealLength atLeast) {}

    record Marked(int index, Indication.Undersize what, SpanSet where, RealLength least, boolean nominal) {}

    FilletSizes(Inspection inspection, Rule.FilletSize rule) {
        this.inspection = inspection;
        this.joint = inspection.joint();
        this.rule = rule;
        this.unit = inspection.units();
        this.ruler = joint.ruler();
        this.size = joint.size()
                .map(RealLength::of)
                .orElseGet(() ->
                        joint.dihedral().legOf(RealLength.of(joint.throat().orElseThrow()), joint.sizeMeans()));
        this.underrun = rule.underrunOf(size);
        this.welded =
                joint.segments().isEmpty() ? SpanSet.of(List.of(ruler.whole())) : ruler.straight(joint.segments());
        this.noUnderrun = girderEnds();
        this.demonstrated = inspection.cover(Criterion.SIZE).isPresent();
        if (!demonstrated && rule.openings().isPresent()) {
            for (Gap gap : joint.gaps()) {
                if (gap.opening().isOver(rule.openings().get().free())) {
                    enlarged.add(new Enlarged(
                            ruler.straight(List.of(gap.span())).intersect(welded),
                            gap.opening(),
                            size.plus(RealLength.of(gap.opening()))));
                }
            }
        }
        gatherReadings();
    }

    private SpanSet girderEnds() {
        List<Span> zones = new ArrayList<>();
        joint.flangeWidth().ifPresent(width -> {
            Length zone = width.times(rule.noUnderrunFlanges()).min(ruler.length());
            GirderEnds ends = joint.girderEnds();
            if (ends == GirderEnds.START || ends == GirderEnds.BOTH) {
                zones.add(new Span(ruler.whole().from(), zone));
            }
            if (ends == GirderEnds.END || ends == GirderEnds.BOTH) {
                zones.add(new Span(ruler.length().minus(zone), ruler.length()));
            }
        });
        return SpanSet.of(zones);
    }

    private void gatherReadings() {
        for (Found<Reading.Station> f : Found.readings(inspection, Reading.Station.class)) {
            Length place = ruler.place(f.what().at());
            SectionSize.of(joint, f.what()).filter(s -> welded.covers(place)).ifPresent(section -> {
                RealLength wanted = wantedAt(place);
                boolean nominal = section.size().isUnder(wanted) && section.isNominallyEnough(joint, unit, wanted);
                stations.add(new At(f.index(), f.what(), place, section, wanted, nominal));
            });
        }
        for (Found<Reading.Blade> f : Found.readings(inspection, Reading.Blade.class)) {
            RealLength goes = RealLength.of(f.what().atLeast());
            RealLength atLeast = joint.throat().isPresent()
                    ? joint.dihedral().legOf(goes, joint.sizeMeans())
                    : joint.dihedral().leg(goes, joint.legs(), joint.sizeMeans());
            blades.add(new Blade(
                    f.index(), f.what().span(), ruler.straight(List.of(f.what().span())), atLeast));
        }
        for (Found<Indication.Undersize> f : Found.indications(inspection, Indication.Undersize.class)) {
            Length read = f.what().least();
            RealLength least = inDrawnMeaning(read);
            boolean nominal = read.unit() != unit
                    && least.isUnder(size)
                    && SectionSize.nominalPair(read)
                            .map(this::inDrawnMeaning)
                            .filter(p -> !p.isUnder(size))
                            .isPresent();
            marked.add(new Marked(
                    f.index(),
                    f.what(),
                    ruler.straight(List.of(f.what().span())).intersect(welded),
                    least,
                    nominal));
        }
    }

    private RealLength inDrawnMeaning(Length least) {
        return joint.throat().isPresent()
                ? joint.dihedral().legOf(RealLength.of(least), joint.sizeMeans())
                : RealLength.of(least);
    }

    /** The drawing's size, as a leg in its meaning. */
    RealLength size() {
        return size;
    }

    /** How far below the wanted size a single reading may lie. */
    Length underrun() {
        return underrun;
    }

    SpanSet welded() {
        return welded;
    }

    /** Near a girder's ends, where no underrun is allowed. */
    SpanSet noUnderrun() {
        return noUnderrun;
    }

    List<Enlarged> enlarged() {
        return enlarged;
    }

    /** Whether the throat over a fit-up gap was demonstrated, so that the gap asks nothing more. */
    boolean isDemonstrated() {
        return demonstrated;
    }

    List<At> stations() {
        return stations;
    }

    List<Blade> blades() {
        return blades;
    }

    List<Marked> marked() {
        return marked;
    }

    private RealLength wantedAt(Length place) {
        RealLength wanted = size;
        for (Enlarged e : enlarged) {
            if (e.where().covers(place) && e.wanted().isOver(wanted)) {
                wanted = e.wanted();
            }
        }
        return wanted;
    }

    boolean isUnderrunBarred(Length place) {
        return noUnderrun.covers(place);
    }

    boolean isUnderrunBarred(SpanSet where) {
        return where.spans().stream().anyMatch(s -> s.extent().isZero() && noUnderrun.covers(s.from()))
                || where.intersect(noUnderrun).total(unit).isPositive();
    }

    /** The size wanted all along a stretch: a gap's greater one only where the gap spans the stretch. */
    RealLength wantedEverywhere(SpanSet where) {
        RealLength wanted = size;
        for (Enlarged e : enlarged) {
            boolean spans = where.minus(e.where()).isEmpty()
                    && !where.intersect(e.where()).isEmpty();
            if (spans && e.wanted().isOver(wanted)) {
                wanted = e.wanted();
            }
        }
        return wanted;
    }

    SpanSet bladesOf(RealLength wanted) {
        return SpanSet.of(blades.stream()
                .filter(b -> !b.atLeast().isUnder(wanted))
                .flatMap(b -> b.where().spans().stream())
                .toList());
    }
}
