package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import mensor.exchange.EntryDocument;
import mensor.inspection.Entry;
import mensor.server.inspection.Bench.NewEntry;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Many like welds inspected on one sheet: what is common is recorded once, and an exception is opened by itself. */
@Service
public class Batches {
    private static final int MOST = 500;

    private final Bench bench;
    private final EntryRecorder recorder;
    private final ReadinessRecorder readiness;
    private final SignOff signing;
    private final InspectionRepository inspections;
    private final Joints joints;

    Batches(
            Bench bench,
            EntryRecorder recorder,
            ReadinessRecorder readiness,
            SignOff signing,
            InspectionRepository inspections,
            Joints joints) {
        this.bench = bench;
        this.recorder = recorder;
        this.readiness = readiness;
        this.signing = signing;
        this.inspections = inspections;
        this.joints = joints;
    }

    /** One weld of the sheet. */
    public record SheetLine(
            UUID inspectionId,
            UUID jointId,
            String mark,
            @Nullable String weldNo,
            @Nullable String side,
            String verdict,
            int rejects,
            int todos,
            boolean begun,
            boolean signed,
            long version) {}

    /**
     * The welds of one design in one job.
     *
     * @param size the drawn size, which the blade is tried for; {@code clearable} the criteria that are inspected for along them
     */
    public record Sheet(
            String inWords,
            String job,
            String units,
            String length,
            String size,
            String capacity,
            List<SheetCriterion> clearable,
            List<SheetLine> lines) {}

    public record SheetCriterion(String id, String title) {}

    /** The sheet of all welds like this inspection's, in its capacity. */
    @Transactional(readOnly = true)
    public Sheet sheet(Actor actor, UUID inspectionId) {
        Bench.State o = bench.open(actor, inspectionId);
        StoredJoint like = o.joint();
        List<StoredJoint> alike = joints.alike(like.jobId(), like.design());
        Map<UUID, InspectionEntity> latest =
                inspections.findByJointIdIn(alike.stream().map(StoredJoint::id).toList()).stream()
                        .filter(i -> i.capacity().equals(o.inspection().capacity()))
                        .collect(Collectors.toMap(
                                InspectionEntity::jointId, Function.identity(), (a, b) -> a.isAfter(b) ? a : b));
        var joint = o.judged().inspection().joint();
        List<SheetLine> lines = alike.stream()
                .filter(j -> latest.containsKey(j.id()) && latest.get(j.id()).cycle() == 0)
                .map(j -> line(j, latest.get(j.id())))
                .toList();
        List<SheetCriterion> clearable = o.judged().evaluation().findings().stream()
                .filter(f ->
                        f.criterion().clearable() && f.id().equals(f.criterion().id()))
                .filter(f -> f.verdict() != mensor.inspection.Verdict.NOT_APPLICABLE)
                .map(f -> new SheetCriterion(f.id(), f.criterion().title()))
                .toList();
        return new Sheet(
                like.inWords(),
                like.lot(),
                like.units(),
                joint.length().in(like.unit()).shown(),
                joint.size()
                        .or(joint::throat)
                        .map(l -> l.in(like.unit()).shown())
                        .orElse(""),
                o.inspection().capacity(),
                clearable,
                lines);
    }

    private static SheetLine line(StoredJoint j, InspectionEntity i) {
        return new SheetLine(
                i.id(),
                j.id(),
                j.mark(),
                j.weldNo(),
                j.side(),
                i.verdict(),
                i.rejects(),
                i.todos(),
                i.entryCount() > 0,
                i.isSigned(),
                i.version());
    }

    /** What is said of every weld on the sheet. */
    public record Common(List<UUID> inspections, ConditionsForm conditions, List<EntryOf> entries) {}

    public record EntryOf(Entry.Sort kind, EntryDocument content) {}

    /** Puts the same down on each of the inspections: on all of them or on none. */
    @Transactional
    public void put(Actor actor, Common common) {
        checkInspector(actor);
        if (common.inspections() == null || common.entries() == null) {
            throw Refusal.invalid("inspections", "the welds and what is recorded on them are required");
        }
        if (common.inspections().isEmpty() || common.inspections().size() > MOST) {
            throw Refusal.invalid("inspections", "1 to " + MOST + " welds are recorded at once");
        }
        for (UUID id : common.inspections()) {
            Bench.State standing = bench.open(actor, id);
            if (standing.inspection().entryCount() > 0 && !onlySame(standing, common)) {
                throw Refusal.conflict(standing.joint().mark()
                        + " has entries already: open it by itself, and leave it off the sheet");
            }
            if (common.conditions() != null) {
                readiness.conditions(actor, id, common.conditions());
            }
            List<NewEntry> fresh = new ArrayList<>();
            for (EntryOf e : common.entries()) {
                if (standing.entries().stream().noneMatch(s -> !s.isWithdrawn() && says(s).equals(e))) {
                    fresh.add(new NewEntry(UUID.randomUUID(), e.kind(), e.content()));
                }
            }
            recorder.putAll(actor, id, fresh);
        }
    }

    private static void checkInspector(Actor actor) {
        if (!actor.inspects()) {
            throw Refusal.forbidden("only an inspector records an inspection and signs it");
        }
    }

    private EntryOf says(EntryEntity e) {
        return new EntryOf(e.kind(), e.document());
    }

    /** The sheet sent twice finds its own entries again. */
    private boolean onlySame(Bench.State standing, Common common) {
        return standing.entries().stream()
                .filter(e -> !e.isWithdrawn())
                .allMatch(e -> common.entries().contains(says(e)));
    }

    /** An inspection to be signed, with the version that was shown. */
    public record ToSign(UUID inspectionId, long version) {}

    public record SignAll(List<ToSign> inspections, String capacity) {}

    /** Signs each as accepted; refused as a whole where one of them is not. */
    @Transactional
    public void sign(Actor actor, SignAll form) {
        checkInspector(actor);
        if (form.inspections() == null) {
            throw Refusal.invalid("inspections", "the inspections to be signed are required");
        }
        for (ToSign inspection : form.inspections()) {
            signing.sign(
                    actor,
                    inspection.inspectionId(),
                    new SignOff.SignForm(inspection.version(), "accept", form.capacity()));
        }
    }
}
