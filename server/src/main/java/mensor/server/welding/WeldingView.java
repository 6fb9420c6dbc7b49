package mensor.server.welding;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.drawing.WeldingDrawing;
import mensor.server.job.Schools;
import mensor.server.joint.WeldingForm;
import org.jspecify.annotations.Nullable;

/** What is known of a weld's welding record, with what it comes to; {@code version} is the joint's. */
public record WeldingView(
        UUID jointId,
        @Nullable UUID inspectionId,
        long version,
        String mark,
        @Nullable String weldNo,
        String inWords,
        String units,
        boolean fillet,
        boolean backing,
        @Nullable String position,
        @Nullable String welder,
        @Nullable Instant weldedAt,
        boolean delayed,
        @Nullable CopiedProcedure procedure,
        WeldingForm whole,
        List<MadeEntry> entries,
        FitUpView fitUp,
        List<DepartureView> departures,
        List<ItemView> process,
        List<QuestionView> questions,
        List<RodsView> rods,
        String apart,
        WeldingDrawing drawing,
        FirstRodView firstRod,
        SquarenessView squareness,
        List<AnglesView> angles,
        List<String> openRoot,
        List<SightView> sights,
        List<Schools.SchoolView> schools,
        boolean signed) {

    /** The procedure's passes, from which a pass is copied. */
    public record CopiedProcedure(UUID id, String name, List<CopiedPass> passes) {}

    /** A pass as the procedure says it, each value in the middle of its range, with the ranges in words. */
    public record CopiedPass(
            String kind,
            String process,
            String electrode,
            String diameter,
            @Nullable Double amps,
            @Nullable Double volts,
            @Nullable String polarity,
            @Nullable String progression,
            @Nullable String technique,
            @Nullable String speed,
            @Nullable Double temperatureF,
            String ranges) {}

    /**
     * The card before the first rod.
     *
     * @param entry the one that stands; absent where none was filled in
     * @param content as it was read
     * @param stops a wrong pole or mode, or rods out too long: the start is stopped
     */
    public record FirstRodView(
            @Nullable UUID entry,
            @Nullable WeldingContent content,
            long version,
            boolean stops,
            List<CardLineView> lines,
            List<String> protection) {}

    /** The angles that the position asks for in a pass of this kind, a line for each place of the clock. */
    public record AnglesView(String kind, List<String> planned) {}

    /** What can be seen while a rod burns: whether to stop, and how to go on. */
    public record SightView(String id, String title, boolean stop, String restart) {}

    /** Squareness and bow before and after; without an entry its lines are open. */
    public record SquarenessView(
            @Nullable UUID entry, @Nullable WeldingContent content, long version, List<CardLineView> lines) {}

    public record CardLineView(String title, String read, String wanted, String state) {}

    public record MadeEntry(
            UUID id,
            WeldingEntryKind kind,
            WeldingContent content,
            String by,
            Instant at,
            boolean withdrawn,
            @Nullable String withdrawnWhy,
            long version) {}

    /** {@code stops}: the joint is not welded as it is; {@code raised}: the legs that gaps ask for, with their reason. */
    public record FitUpView(boolean begun, String verdict, boolean stops, List<ItemView> items, List<String> raised) {}

    public record ItemView(
            String id,
            String title,
            String verdict,
            String measured,
            String allowed,
            String reason,
            @Nullable String where,
            String citation) {}

    /** What departs in a pass by its entry; without an entry it is of the record as a whole. A remark is no fault. */
    public record DepartureView(@Nullable UUID entry, String line, boolean fault) {}

    /** A question of the in-process inspection that can be answered. */
    public record QuestionView(String id, String title) {}

    public record RodsView(
            UUID entry,
            String electrode,
            String shown,
            boolean out,
            boolean over,
            @Nullable String limit) {}
}
