package mensor.inspection;

import java.util.Optional;
import java.util.stream.DoubleStream;
import mensor.length.Length;

/**
 * What a gauge can show at a station that a code may judge. The width of the face and of the root are not among them: they
 * serve other limits and have none. Heights above and below the surface are two, for codes judge them apart.
 */
public enum ReadValue implements Judgeable {
    LEGS(
            "legs",
            Criterion.SIZE,
            "a leg is of a fillet: read the reinforcement, or the throat of a partial penetration"),
    THROAT("throat", Criterion.SIZE, "a throat is of a fillet or a partial penetration"),
    CONVEXITY("convexity", Criterion.PROFILE, "read the reinforcement instead"),
    CONCAVITY(
            "concavity",
            Criterion.PROFILE,
            "read legs or throat there too; on a groove read the reinforcement, below zero where the face lies lower"),
    REINFORCEMENT("reinforcement", Criterion.PROFILE, "read the convexity instead"),
    BELOW_SURFACE("face below the surface", Criterion.PROFILE, "record it as underfill, or read the concavity"),
    TOE_ANGLE("toe angle", Criterion.PROFILE, "ask the Engineer for the limit"),
    ROOT_ABOVE("root reinforcement", Criterion.ROOT, "ask the Engineer for the limit"),
    ROOT_BELOW("root below the surface", Criterion.ROOT, "ask the Engineer for the limit"),
    OFFSET("offset", Criterion.MISALIGNMENT, "the procedure or the Engineer gives the limit");

    private final String words;
    private final Criterion criterion;
    private final String instead;

    ReadValue(String words, Criterion criterion, String instead) {
        this.words = words;
        this.criterion = criterion;
        this.instead = instead;
    }

    @Override
    public String words() {
        return words;
    }

    /** The criterion to whose finding a word on it belongs. */
    public Criterion criterion() {
        return criterion;
    }

    /** What to do where no rule judges it. */
    public String instead() {
        return instead;
    }

    /** Whether a station shows it; a value of zero is nothing there. */
    public boolean isReadAt(Reading.Station s) {
        return switch (this) {
            case LEGS -> s.legA().isPresent() || s.legB().isPresent();
            case THROAT -> s.throat().isPresent();
            case CONVEXITY -> isPositive(s.convexity());
            case CONCAVITY -> isPositive(s.concavity());
            case REINFORCEMENT -> isPositive(s.reinforcement());
            case BELOW_SURFACE -> isPositive(s.reinforcement().map(Length::negate));
            case TOE_ANGLE ->
                DoubleStream.concat(s.toeAngleA().stream(), s.toeAngleB().stream())
                        .findAny()
                        .isPresent();
            case ROOT_ABOVE -> isPositive(s.rootReinforcement());
            case ROOT_BELOW -> isPositive(s.rootReinforcement().map(Length::negate));
            case OFFSET -> isPositive(s.offset());
        };
    }

    private static boolean isPositive(Optional<Length> read) {
        return read.filter(Length::isPositive).isPresent();
    }
}
