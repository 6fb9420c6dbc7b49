package mensor.server.cause;

import java.util.List;
import java.util.UUID;
import mensor.server.testpiece.Ratings;
import org.jspecify.annotations.Nullable;

/**
 * A page for the welder: what was seen and where, why that is likely, the one thing to change, and what was good.
 *
 * @param change the one thing to change; absent where nothing rejects
 * @param ratings how well it is made in the eyes of each rater, apart from pass and fail
 */
public record NoteView(
        UUID inspectionId,
        String mark,
        String job,
        String inWords,
        @Nullable String welder,
        @Nullable String wps,
        @Nullable String position,
        String verdict,
        boolean signed,
        String datum,
        List<SeenView> seen,
        @Nullable ChangeView change,
        List<String> good,
        List<CausesView.DoubtView> doubts,
        List<Ratings.RatingView> ratings,
        List<RubricView> rubric) {

    /** What was seen: in words, with what is allowed, and why it is likely. */
    public record SeenView(
            String what,
            String found,
            String allowed,
            @Nullable String where,
            @Nullable String why) {}

    public record ChangeView(String cause, String standing, String change, String prevent, List<String> evidence) {}

    public record RubricView(String id, String title, int most, String full) {}
}
