package mensor.server.repair;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import org.jspecify.annotations.Nullable;

/**
 * The rejected places of a weld.
 *
 * @param least the least repairs that clear findings, where less than all suffices
 * @param again why the weld cannot be re-inspected yet; absent where it can
 * @param canLookAgain all of what this inspection rejected is repaired
 */
public record DefectsView(
        List<RejectedPlace> defects,
        List<String> least,
        boolean canReinspect,
        @Nullable String again,
        List<String> cautions) {

    /**
     * A rejected place from its number to its closing.
     *
     * @param place from the datum as typed; absent where it lies nowhere or along the whole weld
     * @param proposed what is usual for it; {@code why} says why
     * @param byClock the same on a weld around a round member, as the hours go
     * @param plan absent where a later inspection took its place
     * @param next what is recorded next; absent where nothing is
     */
    public record RejectedPlace(
            UUID id,
            String number,
            UUID inspection,
            boolean current,
            String finding,
            String title,
            String words,
            @Nullable String place,
            @Nullable String byClock,
            Instant raisedAt,
            String raisedBy,
            @Nullable String notified,
            @Nullable String notifiedBy,
            @Nullable Instant notifiedAt,
            int cycle,
            int cycles,
            String state,
            String stateTitle,
            String proposed,
            String proposedTitle,
            String why,
            List<RepairChoice> choices,
            @Nullable String disposition,
            @Nullable String dispositionTitle,
            @Nullable String note,
            boolean cutsApart,
            @Nullable String decidedBy,
            @Nullable Instant decidedAt,
            List<HoldView> holds,
            @Nullable RepairPlanView plan,
            List<RouteState> route,
            List<RecordedStep> steps,
            @Nullable NextRecord next,
            List<RepairPhotoView> photos,
            @Nullable String closedWhy,
            @Nullable Instant closedAt,
            long version) {}

    public record RepairChoice(String id, String title) {}

    public record RouteState(String id, String title, boolean reached) {}

    /** What waits, and what released it. */
    public record HoldView(
            String kind,
            String words,
            boolean open,
            boolean question,
            Instant since,
            @Nullable String documentNo,
            @Nullable String documentBy,
            @Nullable LocalDate documentDate,
            @Nullable String fileName,
            @Nullable String deniedWhy,
            @Nullable String by,
            @Nullable Instant at) {}

    /**
     * How the place would be repaired; estimates.
     *
     * @param least the least repair that clears the finding, where less than all suffices
     * @param asksDepth a depth would give the numbers
     */
    public record RepairPlanView(
            @Nullable String extent,
            @Nullable String least,
            List<String> steps,
            @Nullable RepairNumbers numbers,
            @Nullable String preheat,
            boolean asksDepth) {}

    /** Estimates; lengths in mm. */
    public record RepairNumbers(
            double depthMm,
            double widthMm,
            double lengthMm,
            double grams,
            double pounds,
            @Nullable RepairRods rods) {}

    /** The rods for it, where the weld's own rod is recorded and what it lays is known. */
    public record RepairRods(
            String electrode, String diameter, int count, int beads, double arcMinutes, double workHours) {}

    /** What was recorded at a step: a line for each thing. */
    public record RecordedStep(
            int cycle,
            String state,
            String title,
            List<String> said,
            List<String> warnings,
            String by,
            Instant at,
            @Nullable String withdrawnWhy) {}

    /**
     * What must be recorded next.
     *
     * @param asks the fields that the step wants
     * @param stopped why it cannot be recorded yet: a hold
     */
    public record NextRecord(
            String state,
            String title,
            List<String> asks,
            List<RepairChoice> methods,
            @Nullable String stopped) {}

    public record RepairPhotoView(UUID id, int cycle, String by, Instant at) {}

    /** What the repair lead holds in his hand. */
    public record TicketView(
            UUID joint,
            UUID inspection,
            String job,
            String lot,
            String mark,
            @Nullable String weldNo,
            @Nullable String side,
            String inWords,
            @Nullable String drawing,
            @Nullable String wps,
            String datum,
            String units,
            String length,
            StripDrawing strip,
            SectionDrawing section,
            @Nullable Double from,
            @Nullable Double to,
            RejectedPlace defect,
            List<String> protection,
            List<String> cautions) {}

    /** One thing that waits for the Engineer. */
    public record WaitingView(
            UUID defect,
            UUID inspection,
            String number,
            String job,
            String mark,
            String words,
            String kind,
            String hold,
            boolean question,
            Instant since) {}

    /** One defect on the list of a shop's repairs. */
    public record DefectRow(
            UUID id,
            UUID inspection,
            String number,
            String job,
            UUID jobId,
            String lot,
            String mark,
            String words,
            @Nullable String disposition,
            String state,
            String stateTitle,
            int cycle,
            boolean onHold,
            Instant raisedAt) {}

    /** A page of what was rejected and of what waits for the Engineer, with how many fit in each. */
    public record RepairsPage(List<DefectRow> defects, List<WaitingView> waiting, int fitting, int fittingWaiting) {}
}
