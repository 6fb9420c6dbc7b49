package mensor.judge;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.criteria.Measure;
import mensor.criteria.Rule;
import mensor.inspection.Inspection;
import mensor.inspection.Reading;
import mensor.length.RealLength;

/**
 * How far the face may stand out at a station where the code gives one number for it, so that the drawing can show the
 * line which the crown must not pass. Where the number depends on what was not read, or on a fact not known, there is none.
 */
public final class FaceLimit {
    private FaceLimit() {}

    /** @param profile the code's rule of the profile */
    public static Optional<RealLength> at(Inspection inspection, Rule profile, Reading.Station station) {
        if (station.reinforcement().isEmpty() && station.convexity().isEmpty()) {
            return Optional.empty();
        }
        List<RealLength> limits = profile.leaves()
                .flatMap(rule -> of(inspection, rule, station).stream())
                .toList();
        Set<String> different = new HashSet<>();
        limits.forEach(l -> different.add(l.shown()));
        return different.size() == 1 ? Optional.of(limits.get(0)) : Optional.empty();
    }

    private static Optional<RealLength> of(Inspection inspection, Rule rule, Reading.Station station) {
        if (rule instanceof Rule.FaceHeight h && station.reinforcement().isPresent()) {
            return Optional.of(RealLength.of(h.most()));
        }
        if (rule instanceof Rule.GrooveFace f && station.convexity().isPresent()) {
            return f.convexity().map(RealLength::of);
        }
        if (rule instanceof Rule.ConvexityByWidth w && station.convexity().isPresent()) {
            return new ConvexityCheck(inspection, w).onlyLimit(station).map(RealLength::of);
        }
        if (rule instanceof Rule.AtMost m && isOfTheFace(m, station)) {
            return m.bound().ofWidth().signum() == 0
                    ? Optional.of(m.bound().base())
                    : width(inspection, station).map(m.bound()::at);
        }
        return Optional.empty();
    }

    private static boolean isOfTheFace(Rule.AtMost rule, Reading.Station station) {
        return rule.measure() == Measure.REINFORCEMENT
                        && station.reinforcement().isPresent()
                || rule.measure() == Measure.CONVEXITY && station.convexity().isPresent();
    }

    private static Optional<RealLength> width(Inspection inspection, Reading.Station s) {
        if (s.faceWidth().isPresent()) {
            return s.faceWidth().map(RealLength::of);
        }
        boolean legs = inspection.joint().isFillet()
                && s.legA().isPresent()
                && s.legB().isPresent();
        return legs ? Optional.of(SectionSize.chord(inspection.joint(), s)) : Optional.empty();
    }
}
