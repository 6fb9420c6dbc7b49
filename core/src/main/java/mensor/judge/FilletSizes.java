package mensor.judge;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import mensor.criteria.Rule;
import mensor.inspection.Criterion;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.inspection.Undersize;
import mensor.length.GreatestAlong;
import mensor.length.GreatestAlong.Piece;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.SpanSet;
import mensor.length.Unit;
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
    private final List<GapStretch> enlarged = new ArrayList<>();
    private final GreatestAlong<RealLength> wantedOverGaps;
    private final boolean demonstrated;
    private final SpanSet coveredAlong;
    private final List<At> stations = new ArrayList<>();
    private final List<Blade> blades = new ArrayList<>();
    private final List<Marked> marked = new ArrayList<>();
    private final GreatestAlong<RealLength> bladesAlong;

    /** A stretch where a fit-up opening asks more leg. */
    record GapStretch(SpanSet where, Length opening, RealLength wanted) {}

    /**
     * A station's size, against what is wanted there.
     *
     * @param nominal low, but the other system's name for what is wanted
     * @param onWeld on the welded stretches; one off them cannot speak for the size
     */
    record At(
            int index,
            Reading.Station station,
            Length place,
            SectionSize section,
            RealLength wanted,
            boolean nominal,
            boolean onWeld) {
        boolean isLow() {
            return !nominal && section.size().isUnder(wanted);
        }
    }

    record Blade(int index, Span span, SpanSet where, RealLength atLeast) {}

    /** @param where what of it lies on the welded stretches */
    record Marked(int index, Undersize what, SpanSet where, RealLength least, boolean nominal) {
        boolean isOffWeld() {
            return where.isEmpty();
        }
    }

    /** A part of a marked stretch with what is wanted all along it. */
    record Part(RealLength wanted, boolean underrunBarred) {}

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
        this.underrun = isUnderrunWithheld(inspection) ? Length.zero(unit) : rule.underrunOf(size);
        this.welded =
                joint.segments().isEmpty() ? SpanSet.of(List.of(ruler.whole())) : ruler.straight(joint.segments());
        this.noUnderrun = girderEnds();
        this.demonstrated = inspection.coveredBy(Criterion.SIZE).isPresent();
        this.coveredAlong = inspection.coveredStretches(Criterion.SIZE);
        if (!demonstrated && rule.openings().isPresent()) {
            for (Gap gap : joint.gaps()) {
                if (gap.opening().isOver(rule.openings().get().free())) {
                    SpanSet where = lengthOf(ruler.on(welded, gap.span()).minus(coveredAlong), gap.span());
                    if (!where.isEmpty()) {
                        enlarged.add(new GapStretch(where, gap.opening(), size.plus(RealLength.of(gap.opening()))));
                    }
                }
            }
        }
        this.wantedOverGaps = new GreatestAlong<>(
                enlarged.stream()
                        .flatMap(e -> e.where().spans().stream().map(s -> new Piece<>(s, e.wanted())))
                        .toList(),
                Comparator.naturalOrder());
        gatherReadings();
        this.bladesAlong = new GreatestAlong<>(
                blades.stream()
                        .flatMap(b -> b.where().spans().stream().map(s -> new Piece<>(s, b.atLeast())))
                        .toList(),
                Comparator.naturalOrder());
    }

    /** An allowed underrun is said of continuous welds; the careful reading grants an intermittent one none. */
    static boolean isUnderrunWithheld(Inspection inspection) {
        return !inspection.joint().segments().isEmpty() && !inspection.choices().underrunAlsoIntermittent();
    }

    /** Where a gap that has length only touches the end of what is welded, it enlarges nothing. */
    private static SpanSet lengthOf(SpanSet where, Span gap) {
        return gap.extent().isZero()
                ? where
                : SpanSet.of(
                        where.spans().stream().filter(s -> !s.extent().isZero()).toList());
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
        for (Occurrence<Reading.Station> f : Occurrence.readings(inspection, Reading.Station.class)) {
            Length place = ruler.place(f.what().at());
            SectionSize.of(joint, f.what()).ifPresent(section -> {
                RealLength wanted = wantedAt(place);
                boolean nominal =
                        section.size().isUnder(wanted) && SectionSize.isNominallyEnough(joint, f.what(), unit, wanted);
                stations.add(new At(
                        f.index(),
                        f.what(),
                        place,
                        section,
                        wanted,
                        nominal,
                        ruler.isOn(welded, f.what().at())));
            });
        }
        for (Occurrence<Reading.Blade> f : Occurrence.readings(inspection, Reading.Blade.class)) {
            RealLength goes = RealLength.of(f.what().atLeast());
            RealLength atLeast = joint.throat().isPresent()
                    ? joint.dihedral().legOf(goes, joint.sizeMeans())
                    : joint.dihedral().leg(goes, joint.legs(), joint.sizeMeans());
            blades.add(new Blade(
                    f.index(), f.what().span(), ruler.straight(List.of(f.what().span())), atLeast));
        }
        for (Occurrence<Undersize> f : Occurrence.indications(inspection, Undersize.class)) {
            Length read = f.what().least();
            RealLength least = inDrawnMeaning(read);
            boolean nominal = read.unit() != unit
                    && least.isUnder(size)
                    && SectionSize.nominalPair(read)
                            .map(this::inDrawnMeaning)
                            .filter(p -> !p.isUnder(size))
                            .isPresent();
            marked.add(new Marked(f.index(), f.what(), ruler.on(welded, f.what().span()), least, nominal));
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

    List<GapStretch> enlarged() {
        return enlarged;
    }

    /** Where something speaks for the size in place of readings. */
    SpanSet coveredAlong() {
        return coveredAlong;
    }

    /** Whether the throat over a fit-up gap was demonstrated, so that the gap asks nothing more. */
    boolean isDemonstrated() {
        return demonstrated;
    }

    /** Those on the welded stretches. */
    List<At> stations() {
        return stations.stream().filter(At::onWeld).toList();
    }

    /** Those beside them, where the drawing has no weld. */
    List<At> stationsOff() {
        return stations.stream().filter(a -> !a.onWeld()).toList();
    }

    List<Blade> blades() {
        return blades;
    }

    List<Marked> marked() {
        return marked;
    }

    private RealLength wantedAt(Length place) {
        RealLength overGap = wantedOverGaps.at(place).orElse(size);
        // on a closed weld the datum is the end of a gap that ends there
        return ruler.closed() && place.isZero()
                ? wantedOverGaps
                        .at(ruler.length())
                        .filter(w -> w.isOver(overGap))
                        .orElse(overGap)
                : overGap;
    }

    boolean isUnderrunBarred(Length place) {
        return ruler.isOn(noUnderrun, place);
    }

    /**
     * A marked stretch, split where a fit-up gap or a girder's end asks something else: the most that is asked near a
     * girder's end and the most elsewhere. One that lies off the welded stretches is held against the drawing's size.
     */
    List<Part> parts(Marked mark) {
        SpanSet where = mark.isOffWeld() ? ruler.straight(List.of(mark.what().span())) : mark.where();
        List<Part> parts = new ArrayList<>();
        for (Span s : where.spans()) {
            if (s.extent().isZero()) {
                parts.add(new Part(wantedAt(s.from()), isUnderrunBarred(s.from())));
                continue;
            }
            for (Span near : noUnderrun.within(s).spans()) {
                parts.add(new Part(wantedOver(near), true));
            }
            for (Span far : SpanSet.of(List.of(s)).minus(noUnderrun).spans()) {
                parts.add(new Part(wantedOver(far), false));
            }
        }
        return parts;
    }

    private RealLength wantedOver(Span stretch) {
        return wantedOverGaps.over(stretch).orElse(size);
    }

    /** Whether a mark is under what is wanted anywhere along it. */
    boolean isLow(Marked mark) {
        return parts(mark).stream().anyMatch(p -> mark.least().isUnder(p.wanted()));
    }

    /** Where a blade of this size or more went. */
    SpanSet bladesOf(RealLength wanted) {
        return goes(bladesAlong.pieces(), wanted);
    }

    /** The same within some stretches alone. */
    SpanSet bladesOf(RealLength wanted, SpanSet within) {
        List<Span> spans = new ArrayList<>();
        for (Span s : within.spans()) {
            spans.addAll(goes(bladesAlong.touching(s), wanted).within(s).spans());
        }
        return SpanSet.of(spans);
    }

    private static SpanSet goes(List<Piece<RealLength>> along, RealLength wanted) {
        return SpanSet.of(along.stream()
                .filter(p -> !p.value().isUnder(wanted))
                .map(Piece::span)
                .toList());
    }
}
