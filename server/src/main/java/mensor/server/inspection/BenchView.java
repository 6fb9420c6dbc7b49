package mensor.server.inspection;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.draw.SectionDrawing;
import mensor.draw.StripDrawing;
import mensor.server.disposition.DispositionView;
import mensor.server.joint.JointForm;
import mensor.server.joint.WeldingForm;
import mensor.server.record.SignatureView;
import mensor.weld.PassCheck;
import org.jspecify.annotations.Nullable;

/** All that the bench shows of one look: what was put down, what it comes to, and the drawings in numbers. */
public record BenchView(
        UUID id,
        long version,
        String stage,
        int revision,
        @Nullable UUID amends,
        @Nullable String reason,
        InspectionEntity.State state,
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
        List<DispositionView> dispositions,
        WeldingView welding,
        String next) {

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
            String inWords,
            @Nullable String position,
            String toeA,
            String toeB,
            boolean blade,
            String size,
            JointForm form) {}

    /** The welding record with what departs in it; {@code version} is the joint's. */
    public record WeldingView(long version, WeldingForm form, List<PassCheck.Departure> departures) {}

    public record EvaluationView(
            String verdict, int rejects, List<FindingView> findings, List<TodoView> todo, List<String> notes) {}

    /** A finding; indications and readings lead to their entries. */
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
            boolean nearLimit) {}

    public record TodoView(String id, String criterion, String title, String ask, boolean clearable) {}

    public record HandoverView(
            String from, String to, @Nullable String note, Instant at) {}

    public record RevisionView(UUID id, int revision, InspectionEntity.State state, String verdict) {}
}
