package mensor.server.practice;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.drawing.StripDrawing;
import org.jspecify.annotations.Nullable;

/**
 * A made-up weld at the practice bench. Nothing in it says what truly is there until it is handed in.
 *
 * @param weld in words
 * @param verdict by what was recorded so far
 * @param todo what the code still asks for
 * @param study it is a weld of an agreement study: its solution is shown when everybody has handed in
 */
public record ExerciseView(
        UUID id,
        SettingForm setting,
        String weld,
        String code,
        double length,
        String person,
        Instant begunAt,
        @Nullable Instant handedAt,
        long seconds,
        String verdict,
        List<PracticeFindingView> findings,
        List<String> todo,
        List<RecordedLineView> lines,
        List<PracticeGaugeView> gauges,
        List<GaugedView> gauged,
        List<LookedView> seen,
        List<ToeView> toes,
        StripDrawing strip,
        @Nullable StudyPlaceView study,
        @Nullable SolutionView solution) {

    public record PracticeFindingView(String title, String verdict, String reason, String measured, String allowed) {}

    public record RecordedLineView(UUID id, String line) {}

    /** @param toe it is held at a toe */
    public record PracticeGaugeView(String id, String title, boolean toe) {}

    public record GaugedView(String words) {}

    public record LookedView(double from, double to) {}

    public record ToeView(String id, String name) {}

    /** Which of how many welds of a study. */
    public record StudyPlaceView(UUID id, String title, int place, int of) {}

    /**
     * What truly was there, beside what was recorded.
     *
     * @param right the verdict is that of the truth
     * @param why which criteria differ, and by what
     * @param called recorded where there is nothing
     * @param unseen stretches that never were in view
     * @param next what to practice next
     */
    public record SolutionView(
            String verdict,
            boolean right,
            List<String> why,
            List<OutcomeView> outcomes,
            List<String> called,
            List<String> unseen,
            String next,
            StripDrawing strip,
            List<PracticeFindingView> findings) {}

    /**
     * @param off by how much the size was put down beside the truth, in words
     * @param mm where it is, for the surface
     */
    public record OutcomeView(
            String flaw,
            String place,
            String size,
            boolean found,
            @Nullable String sized,
            @Nullable String off,
            double mm) {}

    /** Of the list. */
    public record ExerciseRowView(
            UUID id,
            SettingForm setting,
            String person,
            Instant begunAt,
            @Nullable Instant handedAt,
            @Nullable String verdict,
            @Nullable Boolean right,
            int flaws,
            int found,
            int called,
            @Nullable StudyPlaceView study) {}
}
