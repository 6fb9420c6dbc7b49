package mensor.inspection;

import java.util.Optional;
import java.util.OptionalDouble;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.InvalidField;
import mensor.weld.Toe;

/** What a gauge showed: measures at a station, or a blade that went along a stretch. */
public sealed interface Reading {
    /** The gauge's smallest division, where it is known. */
    Optional<Length> division();

    Optional<String> gauge();

    /** The shape of the face there, absent where nobody said. */
    Optional<Face> face();

    /** The place or the stretch. */
    Span span();

    /** What was read of a fillet's section; each is present where it was read. Legs in the joint's meaning. */
    record FilletMeasures(
            Optional<Length> legA,
            Optional<Length> legB,
            Optional<Length> throat,
            Optional<Length> convexity,
            Optional<Length> concavity,
            Optional<Length> faceWidth) {
        public static final FilletMeasures NONE = legs(Optional.empty(), Optional.empty(), Optional.empty());

        public static FilletMeasures legs(Optional<Length> legA, Optional<Length> legB, Optional<Length> throat) {
            return new FilletMeasures(legA, legB, throat, Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

    /** What was read of a groove weld; the heights are negative below the surface. */
    record GrooveMeasures(
            Optional<Length> reinforcement,
            Optional<Length> rootReinforcement,
            Optional<Length> rootWidth,
            Optional<Length> offset) {
        public static final GrooveMeasures NONE = crown(Optional.empty());

        public static GrooveMeasures crown(Optional<Length> reinforcement) {
            return new GrooveMeasures(reinforcement, Optional.empty(), Optional.empty(), Optional.empty());
        }
    }

    /** The angle between the face and the member at each toe, in degrees. */
    record ToeAngles(OptionalDouble a, OptionalDouble b) {
        public static final ToeAngles NONE = new ToeAngles(OptionalDouble.empty(), OptionalDouble.empty());
    }

    /** Measures at one station, of a fillet or of a groove. */
    record Station(
            Length at,
            FilletMeasures fillet,
            GrooveMeasures groove,
            ToeAngles toeAngles,
            Optional<Face> face,
            Optional<Length> division,
            Optional<String> gauge)
            implements Reading {
        /** @throws InvalidField where the face is said to be flat or convex and is concave by what was read */
        public Station {
            boolean hollow = fillet.concavity().filter(Length::isPositive).isPresent();
            if (hollow && face.filter(f -> f != Face.CONCAVE).isPresent()) {
                throw new InvalidField(
                        "face",
                        "a face with a concavity of " + fillet.concavity().get() + " is concave, got "
                                + face.get().id());
            }
        }

        @Override
        public Span span() {
            return Span.at(at);
        }

        public Optional<Length> legA() {
            return fillet.legA();
        }

        public Optional<Length> legB() {
            return fillet.legB();
        }

        public Optional<Length> throat() {
            return fillet.throat();
        }

        public Optional<Length> convexity() {
            return fillet.convexity();
        }

        public Optional<Length> concavity() {
            return fillet.concavity();
        }

        public Optional<Length> faceWidth() {
            return fillet.faceWidth();
        }

        public Optional<Length> reinforcement() {
            return groove.reinforcement();
        }

        public Optional<Length> rootReinforcement() {
            return groove.rootReinforcement();
        }

        public Optional<Length> rootWidth() {
            return groove.rootWidth();
        }

        public Optional<Length> offset() {
            return groove.offset();
        }

        public OptionalDouble toeAngleA() {
            return toeAngles.a();
        }

        public OptionalDouble toeAngleB() {
            return toeAngles.b();
        }

        /** The leg on the member of the toe. */
        public Optional<Length> leg(Toe toe) {
            return toe == Toe.A ? legA() : legB();
        }

        /** Said to be concave, or read so. */
        public boolean isConcave() {
            return face.filter(Face.CONCAVE::equals).isPresent()
                    || concavity().filter(Length::isPositive).isPresent();
        }

        /** The same station with other legs and another throat. */
        public Station withSection(Optional<Length> a, Optional<Length> b, Optional<Length> otherThroat) {
            FilletMeasures other = new FilletMeasures(a, b, otherThroat, convexity(), concavity(), faceWidth());
            return new Station(at, other, groove, toeAngles, face, division, gauge);
        }

        /** A station with two legs and nothing else. */
        public static Station legs(Length at, Length legA, Length legB) {
            return of(at, Optional.of(legA), Optional.of(legB), Optional.empty(), Optional.empty());
        }

        /** A station of a groove with its reinforcement and nothing else. */
        public static Station crown(Length at, Length reinforcement) {
            return of(at, GrooveMeasures.crown(Optional.of(reinforcement)));
        }

        /** A station of a fillet without the rarer measures. */
        public static Station of(
                Length at, Optional<Length> legA, Optional<Length> legB, Optional<Length> throat, Optional<Face> face) {
            return of(at, FilletMeasures.legs(legA, legB, throat), face);
        }

        public static Station of(Length at, FilletMeasures fillet, Optional<Face> face) {
            return new Station(
                    at, fillet, GrooveMeasures.NONE, ToeAngles.NONE, face, Optional.empty(), Optional.empty());
        }

        public static Station of(Length at, GrooveMeasures groove) {
            return new Station(
                    at,
                    FilletMeasures.NONE,
                    groove,
                    ToeAngles.NONE,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }

        public Station withDivision(Length smallest) {
            return new Station(at, fillet, groove, toeAngles, face, Optional.of(smallest), gauge);
        }
    }

    /** A blade of this size goes on both legs all along the stretch; a throat where the joint is drawn by its throat. */
    record Blade(Span span, Length atLeast, Optional<Face> face, Optional<Length> division, Optional<String> gauge)
            implements Reading {}
}
