package mensor.server.inspection;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.drawing.QuietMarks;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import mensor.judge.InspectionGuide;
import mensor.server.contract.Deviations;
import mensor.server.joint.JointForm;
import mensor.server.record.SignatureView;
import mensor.server.welding.WeldingView;
import org.jspecify.annotations.Nullable;

/**
 * All that the bench shows of one inspection: what was recorded, what it comes to, and the drawings in numbers.
 *
 * @param tag names this answer, so that the next can be told as what changed since
 * @param sections the cross-sections at the stations, in their order
 */
public record BenchView(
        UUID id,
        String tag,
        long version,
        String stage,
        String capacity,
        int revision,
        @Nullable UUID amends,
        @Nullable String reason,
        StoredInspection.State state,
        @Nullable String holder,
        JointView joint,
        ConditionsForm conditions,
        List<EntryView> entries,
        EvaluationView evaluation,
        StripDrawing strip,
        List<SectionDrawing> sections,
        SectionDrawing drawn,
        List<HandoverView> handovers,
        List<RevisionView> revisions,
        @Nullable SignatureView signature,
        RepairStanding.Standing repairs,
        @Nullable AgainView again,
        WeldingView welding,
        List<QuietMarks.QuietMark> quiet,
        List<SeenByView> seenBy,
        List<String> gaugeNames,
        List<String> due,
        ContractView contract,
        List<Deviations.DeviationView> deviations,
        List<GaugeFaults.GaugeFaultView> gaugeFaults,
        List<PhotoView> photos,
        List<StepView> guide,
        @Nullable String signStop,
        String next) {

    /** What the job's contract says beside the code, a line each; empty where it says nothing. */
    public record ContractView(List<String> lines, boolean guarded, boolean perToe) {}

    /** The joint beside the bench. Toes answer to their member's name. */
    public record JointView(
            UUID id,
            String job,
            String lot,
            String criteria,
            String criteriaTitle,
            String edition,
            String units,
            String mark,
            @Nullable String weldNo,
            @Nullable String side,
            @Nullable String welder,
            @Nullable String wps,
            @Nullable String drawing,
            @Nullable String drawingRev,
            String inWords,
            @Nullable String position,
            String toeA,
            String toeB,
            boolean blade,
            String size,
            JointForm form) {}

    /**
     * After a repair: what it follows, what was repaired and what is re-inspected, and what still stands of the inspection before.
     *
     * @param follows the inspection that rejected
     * @param repaired the stretches as typed; {@code spans} the same in millimetres, {@code lookedAt} with 2 in to each side
     * @param defects the non-conformance numbers it answers
     * @param indications the entry of each of the strip's first indications, which are those of inspections before
     * @param before entries of inspections before that still stand
     */
    public record AgainView(
            UUID follows,
            int cycle,
            String repaired,
            String inspectAlong,
            List<SpanView> spans,
            List<SpanView> inspectedAt,
            List<String> defects,
            List<UUID> indications,
            List<EntryView> before) {}

    /** From the datum, in millimetres. */
    public record SpanView(double from, double to) {}

    /** What somebody inspected: the stretch that readings and indications span, and what was inspected for along the whole. */
    public record SeenByView(String name, @Nullable String stretch, int entries, boolean wholeLength) {}

    /**
     * What to inspect next on the inspection.
     *
     * @param from where to stand, millimetres from the datum; absent where it is about the whole weld
     * @param place as it is typed
     * @param line what the entry line would begin with
     * @param entry what is to be read again
     */
    public record StepView(
            InspectionGuide.Kind kind,
            @Nullable Double from,
            @Nullable Double to,
            @Nullable String place,
            String criterion,
            String words,
            @Nullable String line,
            @Nullable UUID entry) {}

    /**
     * A picture on the strip.
     *
     * @param at where it stands, millimetres from the datum
     * @param label the place as typed; absent where it shows an entry
     */
    public record PhotoView(
            UUID id,
            double at,
            @Nullable String label,
            @Nullable UUID entry,
            String by,
            boolean withdrawn) {}

    public record EvaluationView(
            String verdict, int rejects, List<FindingView> findings, List<TodoView> todo, List<String> notes) {}

    /**
     * A finding; indications and readings lead to their entries.
     *
     * @param finer a gauge of the register that could tell, where the one that was used cannot
     */
    public record FindingView(
            String id,
            String criterion,
            String title,
            String verdict,
            String measured,
            String allowed,
            String margin,
            Double share,
            @Nullable String span,
            List<UUID> entries,
            String citation,
            String confidence,
            String reason,
            List<String> trace,
            boolean nearLimit,
            @Nullable String finer) {}

    public record TodoView(String id, String criterion, String title, String ask, boolean clearable) {}

    public record HandoverView(
            String from,
            String to,
            @Nullable String note,
            @Nullable String inspected,
            Instant at) {}

    public record RevisionView(
            UUID id, String stage, String capacity, int revision, StoredInspection.State state, String verdict) {}
}
