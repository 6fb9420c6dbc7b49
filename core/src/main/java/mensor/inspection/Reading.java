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

    /**
     * Measures at one station; each is present where it was read. Legs in the joint's meaning; the toe angles in degrees;
     * {@code reinforcement} and {@code rootReinforcement} are negative below the surface.
     */
    record Station(
            Length at,
            Optional<Length> legA,
            Optional<Length> legB,
            Optional<Length> throat,
            Optional<Face> face,
            Optional<Length> convexity,
            Optional<Length> concavity,
            Optional<Length> faceWidth,
            Optional<Length> reinforcement,
            Optional<Length> rootReinforcement,
            Optional<Length> rootWidth,
            Optional<Length> offset,
            OptionalDouble toeAngleA,
            OptionalDouble toeAngleB,
            Optional<Length> division,
            Optional<String> gauge)
            implements Reading {
        /** @throws InvalidField where the face is said to be flat or convex and is concave by what was read */
        public Station {
            boolean hollow = concavity.filter(Length::isPositive).isPresent();
            if (hollow && face.filter(f -> f != Face.CONCAVE).isPresent()) {
                throw new InvalidField(
                        "face",
                        "a face with a concavity of " + concavity.get() + " is concave, got "
                                + face.get().id());
            }
        }

        @Override
        public Span span() {
            return Span.at(at);
        }

        /** The leg on the member of the toe. */
        public Optional<Length> leg(Toe toe) {
            return toe == Toe.A ? legA : legB;
        }

        /** Said to be concave, or read so. */
        public boolean isConcave() {
            return face.filter(Face.CONCAVE::equals).isPresent()
                    || concavity.filter(Length::isPositive).isPresent();
        }

        /** The same station with other legs and another throat. */
        public Station withSection(Optional<Length> a, Optional<Length> b, Optional<Length> otherThroat) {
            return new Station(
                    at,
                    a,
                    b,
                    otherThroat,
                    face,
                    convexity,
                    concavity,
                    faceWidth,
                    reinforcement,
                    rootReinforcement,
                    rootWidth,
                    offset,
                    toeAngleA,
                    toeAngleB,
                    division,
                    gauge);
        }

        /** A station with two legs and nothing else. */
        public static Station legs(Length at, Length legA, Length legB) {
            return of(at, Optional.of(legA), Optional.of(legB), Optional.empty(), Optional.empty());
        }

        /** A station of a groove with its reinforcement and nothing else. */
        public static Station crown(Length at, Length reinforcement) {
            Optional<Length> none = Optional.empty();
            return new Station(
                    at,
                    none,
                    none,
                    none,
                    Optional.empty(),
                    none,
                    none,
                    none,
                    Optional.of(reinforcement),
                    none,
                    none,
                    none,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    none,
                    Optional.empty());
        }

        /** A station of a fillet without the rarer measures. */
        public static Station of(
                Length at, Optional<Length> legA, Optional<Length> legB, Optional<Length> throat, Optional<Face> face) {
            Optional<Length> none = Optional.empty();
            return new Station(
                    at,
                    legA,
                    legB,
                    throat,
                    face,
                    none,
                    none,
                    none,
                    none,
                    none,
                    none,
                    none,
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    none,
                    Optional.empty());
        }

        public Station withDivision(Length smallest) {
            return new Station(
                    at,
                    legA,
                    legB,
                    throat,
                    face,
                    convexity,
                    concavity,
                    faceWidth,
                    reinforcement,
                    rootReinforcement,
                    rootWidth,
                    offset,
                    toeAngleA,
                    toeAngleB,
                    Optional.of(smallest),
                    gauge);
        }
    }

    /** A blade of this size goes on both legs all along the stretch; a throat where the joint is drawn by its throat. */
    record Blade(Span span, Length atLeast, Optional<Face> face, Optional<Length> division, Optional<String> gauge)
            implements Reading {}
}
