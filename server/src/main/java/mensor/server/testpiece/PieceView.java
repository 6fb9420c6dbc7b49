package mensor.server.testpiece;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A test piece as it stands.
 *
 * @param jointId its weld at the bench, with its inspection; absent where it has none
 * @param visual of the weld at the bench
 * @param tests its specimens, of the bench's weld or its own
 * @param verdict what it comes to; absent where nothing is there to judge it by
 * @param byAims a drill alone judged it: its aims are met or missed, no code accepts or rejects
 * @param why the lines behind the verdict
 * @param lesson it looked good and broke badly
 * @param likely of each failed specimen what it showed and its likely cause; where the piece does not say its sizes, what that asks for first
 * @param retest of a failed qualification: how far the re-test is
 * @param score the mean of its raters
 * @param step what was changed from the piece before, in words
 */
public record PieceView(
        UUID id,
        long version,
        PieceForm form,
        String welderName,
        String kindTitle,
        String stage,
        @Nullable UUID jointId,
        @Nullable UUID inspectionId,
        @Nullable String visual,
        boolean joins,
        List<UUID> pictures,
        List<Specimens.SpecimenView> tests,
        Drills.@Nullable DrillView drill,
        List<AimResultView> aims,
        @Nullable String verdict,
        boolean byAims,
        List<String> why,
        boolean lesson,
        List<Ratings.RatingView> ratings,
        @Nullable Double score,
        List<FaultView> faults,
        List<String> likely,
        @Nullable String retest,
        boolean withdrawn) {

    PieceView traced(List<String> causes) {
        return with(causes, retest);
    }

    PieceView retested(String words) {
        return with(likely, words);
    }

    private PieceView with(List<String> causes, @Nullable String words) {
        return new PieceView(
                id,
                version,
                form,
                welderName,
                kindTitle,
                stage,
                jointId,
                inspectionId,
                visual,
                joins,
                pictures,
                tests,
                drill,
                aims,
                verdict,
                byAims,
                why,
                lesson,
                ratings,
                score,
                faults,
                causes,
                words,
                withdrawn);
    }

    /** @param verdict accept is met, reject is missed, incomplete is not measured */
    public record AimResultView(
            String id, String title, String limit, @Nullable String read, String verdict) {}

    /** @param rate on a foot, or on 100 mm, in words; absent where the length is not known */
    public record FaultView(
            String fault, int count, @Nullable String rate) {}

    /** A piece in the list; verdict as of the piece. */
    public record PieceRow(
            UUID id,
            String number,
            String kind,
            String purpose,
            String welder,
            String welderName,
            @Nullable String drill,
            LocalDate made,
            String stage,
            @Nullable String verdict,
            boolean byAims,
            boolean lesson,
            @Nullable Double score,
            @Nullable UUID picture) {}

    /**
     * How often the eye accepted what the specimens then rejected.
     *
     * @param looked pieces that looked good and were tested
     * @param low of the share, 95 % (Wilson)
     * @param enough so many that the share says something
     */
    public record EyeAgainstTest(int looked, int broke, double share, double low, double high, boolean enough) {}

    /** A piece that looked good and was tested: of its own, or a weld at the bench. */
    public record TestedPiece(
            @Nullable UUID pieceId,
            @Nullable UUID inspectionId,
            String title,
            @Nullable String by,
            boolean broke) {}

    public record PieceRows(List<PieceRow> rows, long count) {}

    /** A setting as shown. */
    public record SettingView(String id, String title, String shown) {}

    /** @param differs between the two */
    public record SideBySideRow(
            String title, @Nullable String one, @Nullable String other, boolean differs) {}

    /** Two pieces beside each other. */
    public record SideBySide(PieceView one, PieceView other, List<SideBySideRow> rows) {}

    /**
     * The pieces of one welder in the order in which they were welded.
     *
     * @param best the number of the card with the highest score, from 0
     * @param sinceBest what differs between it and the newest
     * @param lessons pieces that looked good and broke badly
     */
    public record SeriesView(
            String welder,
            String name,
            List<DrillPick> drills,
            List<CardView> cards,
            @Nullable Integer best,
            List<String> sinceBest,
            @Nullable NextPieceView next,
            List<TriedView> tried,
            int lessons,
            List<HandoutView> handouts) {}

    public record DrillPick(String id, String title) {}

    /** @param step what was changed from the piece before */
    public record CardView(
            PieceRow piece,
            List<SettingView> settings,
            String step,
            int changes,
            List<FaultView> faults,
            List<Ratings.PointView> points,
            List<String> tests) {}

    /** @param setting what is changed on the next piece, to {@code to} where a value can be named */
    public record NextPieceView(String setting, @Nullable String to, String words, String why) {}

    /**
     * @param gain points that the score went up
     * @param broke the piece failed its specimens
     */
    public record TriedView(String words, double gain, boolean broke) {}

    public record HandoutView(
            UUID id,
            String drill,
            String title,
            String welder,
            String name,
            LocalDate due,
            boolean done,
            boolean late) {}

    /** @param recent the mean score of the newest five */
    public record LearnerView(
            String login,
            String name,
            int pieces,
            @Nullable LocalDate last,
            @Nullable Double first,
            @Nullable Double recent,
            @Nullable String drill,
            @Nullable String commonest,
            int lessons,
            List<HandoutView> handouts) {}

    /** @param faults of the whole class, the commonest first */
    public record ClassView(List<LearnerView> learners, List<FaultView> faults, List<HandoutView> handouts) {}
}
