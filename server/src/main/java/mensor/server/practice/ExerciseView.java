package mensor.server.practice;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.drawing.StripDrawing;
import org.jspecify.annotations.Nullable;

/**
 * A weld that is handed out to practice on or for a study, beside its bench. Nothing in it says what truly is there until it is
 * handed in.
 *
 * @param setting what was asked for; absent for a real weld
 * @param weld in words
 * @param verdict by what was recorded so far
 * @param entries that stand
 * @param lit its surface can be seen
 * @param pictures of a real weld
 * @param study it is a weld of an agreement study: its solution is shown when everybody has handed in
 */
public record ExerciseView(
        UUID id,
        @Nullable SettingForm setting,
        String weld,
        String code,
        String units,
        boolean fillet,
        double length,
        String person,
        Instant begunAt,
        @Nullable Instant handedAt,
        long seconds,
        String verdict,
        int entries,
        boolean lit,
        List<PictureView> pictures,
        List<PracticeGaugeView> gauges,
        List<GaugedView> gauged,
        List<LookedView> seen,
        List<ToeView> toes,
        @Nullable StudyPlaceView study,
        @Nullable SolutionView solution) {

    public record PracticeFindingView(String title, String verdict, String reason, String measured, String allowed) {}

    /** @param place as typed; absent where it was taken of one indication */
    public record PictureView(UUID id, @Nullable String place) {}

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
            @Nullable SettingForm setting,
            String weld,
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
