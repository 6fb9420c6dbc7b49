package mensor.judge;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.RealLength;
import mensor.length.Unit;
import mensor.weld.Joint;

/**
 * The throat of a fillet at a station: the one read, which may stand alone; else that of the triangle between both legs less
 * the concavity. A concave face of which neither throat nor concavity was read, or a lone leg, is an upper bound: it can
 * reject, not accept.
 */
record SectionThroat(RealLength throat, boolean isWhole, boolean isFaceAssumed, String how) {

    /** Reads the stations of one joint; the root of like legs is drawn once. */
    static final class Reader {
        private final Joint joint;
        private final Map<List<Length>, RealLength> flat = new HashMap<>();

        Reader(Joint joint) {
            this.joint = joint;
        }

        Optional<SectionThroat> of(Reading.Station s) {
            return SectionThroat.of(
                    joint,
                    s,
                    x -> flat.computeIfAbsent(
                            List.of(x.legA().orElseThrow(), x.legB().orElseThrow()),
                            k -> SectionSize.theoreticalThroat(joint, x)));
        }
    }

    private static Optional<SectionThroat> of(
            Joint joint, Reading.Station s, Function<Reading.Station, RealLength> flatThroat) {
        if (s.throat().isPresent()) {
            Length t = s.throat().get();
            return Optional.of(new SectionThroat(RealLength.of(t), true, false, "throat " + t.shown()));
        }
        if (s.legA().isPresent() && s.legB().isPresent()) {
            RealLength flat = flatThroat.apply(s);
            RealLength less =
                    s.concavity().map(c -> flat.minus(RealLength.of(c))).orElse(flat);
            boolean concave = s.isConcave();
            return Optional.of(new SectionThroat(
                    less,
                    !concave || s.concavity().isPresent(),
                    s.face().isEmpty() && s.concavity().isEmpty(),
                    "legs " + s.legA().get().shown() + ", " + s.legB().get().shown()
                            + s.concavity()
                                    .map(c -> " less concavity " + c.shown())
                                    .orElse("")));
        }
        return s.legA()
                .or(s::legB)
                .map(leg -> new SectionThroat(
                        joint.dihedral().contact(RealLength.of(leg), joint.legs()),
                        false,
                        false,
                        "under the leg " + leg.shown()));
    }

    /** The throat if what was read in the other unit system is called by its nominal pair, as 5/16 in is called 8 mm. */
    static Optional<RealLength> nominal(Joint joint, Reading.Station s, Unit drawing) {
        return new Reader(joint).of(SectionSize.paired(s, drawing)).map(SectionThroat::throat);
    }
}
