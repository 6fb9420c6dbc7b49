package mensor.judge;

import java.util.Optional;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Unit;
import mensor.weld.Dihedral;
import mensor.weld.Joint;
import mensor.weld.LegMeaning;

/**
 * The size of a fillet at a station, in the drawing's meaning: the smaller leg of a flat or convex face; of a concave face
 * also the leg of its throat (throat × √2 at 90°, ÷ cos(ψ/2) otherwise). A throat read on any face caps it. Where only one
 * leg, or only a throat, was read, or a concave face has neither throat nor concavity, it is an upper bound: it can
 * reject, not accept.
 */
public final class SectionSize {
    private final RealLength size;
    private final boolean whole;
    private final boolean faceAssumed;
    private final Length governing;
    private final String how;

    private SectionSize(RealLength size, boolean whole, boolean faceAssumed, Length governing, String how) {
        this.size = size;
        this.whole = whole;
        this.faceAssumed = faceAssumed;
        this.governing = governing;
        this.how = how;
    }

    /** The size that the station shows, or empty where it tells nothing of the size. */
    public static Optional<SectionSize> of(Joint joint, Reading.Station station) {
        if (station.legA().isEmpty()
                && station.legB().isEmpty()
                && station.throat().isEmpty()) {
            return Optional.empty();
        }
        LegMeaning drawn = joint.sizeMeans();
        Dihedral angle = joint.dihedral();
        RealLength size = null;
        Length governing = null;
        String how = "";
        Optional<Length> leg = smaller(station.legA(), station.legB());
        if (leg.isPresent()) {
            governing = leg.get();
            size = angle.leg(RealLength.of(governing), joint.legs(), drawn);
            how = "smaller leg " + governing.shown();
        }
        if (station.throat().isPresent()) {
            Length throat = station.throat().get();
            RealLength fromThroat = angle.legOf(RealLength.of(throat), drawn);
            if (size == null || fromThroat.isUnder(size)) {
                size = fromThroat;
                governing = throat;
                how = "throat " + throat.shown() + (angle.isSquare() ? " × √2" : " turned into the drawing's leg");
            }
        }
        boolean bothLegs = station.legA().isPresent() && station.legB().isPresent();
        boolean concave = station.isConcave();
        boolean throatKnown =
                station.throat().isPresent() || station.concavity().isPresent();
        if (concave
                && bothLegs
                && station.throat().isEmpty()
                && station.concavity().isPresent()) {
            RealLength throat = theoreticalThroat(joint, station)
                    .minus(RealLength.of(station.concavity().get()));
            RealLength fromThroat = angle.legOf(throat, drawn);
            if (fromThroat.isUnder(size)) {
                size = fromThroat;
                governing = station.concavity().get();
                how = "theoretical throat less concavity " + governing.shown();
            }
        }
        boolean whole = bothLegs && (!concave || throatKnown);
        return Optional.of(new SectionSize(size, whole, station.face().isEmpty() && bothLegs, governing, how));
    }

    private static Optional<Length> smaller(Optional<Length> a, Optional<Length> b) {
        if (a.isEmpty() || b.isEmpty()) {
            return a.or(() -> b);
        }
        return Optional.of(a.get().min(b.get()));
    }

    /**
     * The throat of the triangle between two legs: a·b·sin ψ ÷ chord with contact legs a and b; where the shorter leg is
     * under the longer × cos ψ, the foot falls off the face and the throat is the shorter leg. Both legs must be read.
     */
    public static RealLength theoreticalThroat(Joint joint, Reading.Station station) {
        Dihedral angle = joint.dihedral();
        RealLength a = angle.contact(RealLength.of(station.legA().orElseThrow()), joint.legs());
        RealLength b = angle.contact(RealLength.of(station.legB().orElseThrow()), joint.legs());
        RealLength shorter = a.min(b);
        RealLength longer = shorter == a ? b : a;
        if (shorter.isUnder(longer.times(angle.cosine()))) {
            return shorter;
        }
        return a.times(b.over(chord(joint, station))).times(angle.sine());
    }

    /** The width of the face from toe to toe: c² = a² + b² − 2ab·cos ψ with contact legs. Both legs must be read. */
    public static RealLength chord(Joint joint, Reading.Station station) {
        Dihedral angle = joint.dihedral();
        RealLength a = angle.contact(RealLength.of(station.legA().orElseThrow()), joint.legs());
        RealLength b = angle.contact(RealLength.of(station.legB().orElseThrow()), joint.legs());
        var ratio = b.over(a);
        var square = java.math.BigDecimal.ONE
                .add(ratio.multiply(ratio))
                .subtract(ratio.multiply(angle.cosine()).multiply(java.math.BigDecimal.valueOf(2)));
        return a.times(RealLength.root(square));
    }

    public RealLength size() {
        return size;
    }

    /** Whether it can show that the size is kept; an upper bound cannot. */
    public boolean isWhole() {
        return whole;
    }

    /** Nobody said what shape the face had; it was taken as flat. */
    public boolean isFaceAssumed() {
        return faceAssumed;
    }

    /** The measure that the size comes from. */
    public Length governing() {
        return governing;
    }

    /**
     * Whether what was read in the other unit system meets the wanted size by its nominal pair, as 5/16 in is called 8 mm:
     * then a low reading only asks to be read again in the drawing's units. A leg or throat that is low in the drawing's own
     * units stays low.
     */
    static boolean isNominallyEnough(Joint joint, Reading.Station station, Unit drawing, RealLength wanted) {
        Reading.Station paired = paired(station, drawing);
        return !paired.equals(station)
                && of(joint, paired).filter(s -> !s.size().isUnder(wanted)).isPresent();
    }

    /** The station with each leg and throat of the other unit system under the name that the drawing's has for it. */
    static Reading.Station paired(Reading.Station s, Unit drawing) {
        return s.withSection(paired(s.legA(), drawing), paired(s.legB(), drawing), paired(s.throat(), drawing));
    }

    private static Optional<Length> paired(Optional<Length> read, Unit drawing) {
        return read.map(l -> l.unit() == drawing ? l : nominalPair(l).orElse(l));
    }

    /** For people: "smaller leg 9/32". */
    public String how() {
        return how;
    }

    /** The measure with which another unit system's drawing would call this one, as 5/16 in is called 8 mm; empty for any other. */
    static Optional<Length> nominalPair(Length read) {
        for (Length[] pair : NOMINAL) {
            Length own = read.unit() == Unit.INCH ? pair[0] : pair[1];
            if (own.compareTo(read) == 0) {
                return Optional.of(own == pair[0] ? pair[1] : pair[0]);
            }
        }
        return Optional.empty();
    }

    private static final Length[][] NOMINAL = {
        {Length.inches(3, 16), Length.millimetres("5")},
        {Length.inches(1, 4), Length.millimetres("6")},
        {Length.inches(5, 16), Length.millimetres("8")},
        {Length.inches(3, 8), Length.millimetres("10")},
        {Length.inches(1, 2), Length.millimetres("12")},
        {Length.inches(5, 8), Length.millimetres("16")},
        {Length.inches(3, 4), Length.millimetres("20")},
    };
}
