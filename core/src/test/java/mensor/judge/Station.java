package mensor.judge;

import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.inspection.Face;
import mensor.inspection.Reading;
import mensor.length.Length;
import mensor.length.Unit;

/** Writes a station's reading by the words of the file: {@code Station.mm("50").with("reinforcement", "2")}. */
public final class Station {
    private final Unit unit;
    private final Length at;
    private final Map<String, Length> lengths = new HashMap<>();
    private OptionalDouble toeAngleA = OptionalDouble.empty();
    private Optional<Face> face = Optional.empty();

    private Station(Unit unit, String at) {
        this.unit = unit;
        this.at = Length.parse(at, unit);
    }

    public static Station mm(String at) {
        return new Station(Unit.MILLIMETRE, at);
    }

    public static Station in(String at) {
        return new Station(Unit.INCH, at);
    }

    public Station with(String measure, String value) {
        if (value != null) {
            lengths.put(measure, Length.parse(value, unit));
        }
        return this;
    }

    public Station legs(String a, String b) {
        return with("legA", a).with("legB", b);
    }

    public Station toeAngle(double degrees) {
        toeAngleA = OptionalDouble.of(degrees);
        return this;
    }

    public Station face(Face value) {
        face = Optional.of(value);
        return this;
    }

    private Optional<Length> l(String measure) {
        return Optional.ofNullable(lengths.get(measure));
    }

    public Reading.Station read() {
        return new Reading.Station(
                at,
                new Reading.FilletMeasures(
                        l("legA"), l("legB"), l("throat"), l("convexity"), l("concavity"), l("faceWidth")),
                new Reading.GrooveMeasures(l("reinforcement"), l("rootReinforcement"), l("rootWidth"), l("offset")),
                new Reading.ToeAngles(toeAngleA, OptionalDouble.empty()),
                face,
                l("division"),
                Optional.empty());
    }
}
