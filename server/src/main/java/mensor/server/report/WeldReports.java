package mensor.server.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import mensor.server.inspection.Bench;
import mensor.server.inspection.BenchView;
import mensor.server.inspection.BenchViews;
import mensor.server.inspection.StoredInspection;
import mensor.server.job.Jobs;
import mensor.server.joint.JointForm;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.record.SealJournal;
import mensor.server.record.SignatureView;
import mensor.server.record.Signatures;
import mensor.server.repair.DefectViews;
import mensor.server.repair.DefectsView.RejectedPlace;
import mensor.server.scan.ScanLines;
import mensor.server.scan.Scans;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Gathers what is signed of a weld: nothing that is still open goes into a report. */
@Component
class WeldReports {
    private final Joints joints;
    private final Bench bench;
    private final BenchViews views;
    private final DefectViews defects;
    private final Signatures signatures;
    private final Jobs jobs;
    private final Scans scans;
    private final ScanLines lines;
    private final JsonMapper json;
    private final SealJournal journal;

    WeldReports(
            Joints joints,
            Bench bench,
            BenchViews views,
            DefectViews defects,
            Signatures signatures,
            Jobs jobs,
            Scans scans,
            ScanLines lines,
            JsonMapper json,
            SealJournal journal) {
        this.joints = joints;
        this.bench = bench;
        this.views = views;
        this.defects = defects;
        this.signatures = signatures;
        this.jobs = jobs;
        this.scans = scans;
        this.lines = lines;
        this.json = json;
        this.journal = journal;
    }

    @Transactional(readOnly = true)
    WeldReport of(Actor actor, UUID jointId) {
        StoredJoint joint = joints.get(jointId);
        List<StoredInspection> signed = bench.ofJoint(jointId).stream()
                .filter(StoredInspection::isSigned)
                .sorted(Comparator.comparing(StoredInspection::capacity)
                        .thenComparing(StoredInspection::cycle)
                        .thenComparing(StoredInspection::revision))
                .toList();
        if (signed.isEmpty() && actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer sees signed records only; nothing of this weld is signed yet");
        }
        List<WeldReport.SignedInspection> inspections = new ArrayList<>();
        List<RejectedPlace> rejected = new ArrayList<>();
        String next = "Nothing is signed yet";
        for (StoredInspection i : signed) {
            Bench.State o = bench.open(actor, i.id());
            BenchView view = views.of(o);
            inspections.add(inspection(view, printed(actor, i.id(), joint.units())));
            boolean last = signed.stream().noneMatch(x -> x.capacity().equals(i.capacity()) && x.isAfter(i));
            if (last) {
                next = view.next();
                rejected.addAll(defects.of(o, Map.of()).defects());
            }
        }
        JointForm form = json.readValue(joint.document(), JointForm.class);
        return new WeldReport(
                jobs.get(joint.jobId()).name(),
                joint.lot(),
                joint.mark(),
                joint.weldNo(),
                joint.side(),
                joint.inWords(),
                joint.position(),
                joint.welder(),
                joint.wps(),
                joint.drawing(),
                joint.drawingRev(),
                form.datum() == null ? "datum end" : form.datum(),
                joint.units(),
                next,
                inspections,
                rejected,
                journal.head().shown());
    }

    private List<ScanOnPaper.PrintedScan> printed(Actor actor, UUID inspection, String units) {
        return scans.of(actor, inspection).stream()
                .filter(s -> !s.withdrawn())
                .map(s -> new ScanOnPaper.PrintedScan(
                        s, units, s.drawn() ? lines.lines(actor, inspection, s.id(), null, null) : null))
                .toList();
    }

    private WeldReport.SignedInspection inspection(BenchView view, List<ScanOnPaper.PrintedScan> printed) {
        SignatureView s = signatures.of(view.id()).orElseThrow();
        Optional<Signatures.ChainPlace> placed = signatures.placed(view.id());
        JsonNode signature = json.readTree(
                        placed.map(Signatures.ChainPlace::record).orElse("{}"))
                .path("signature");
        return new WeldReport.SignedInspection(
                view,
                printed,
                s.verdict(),
                s.name(),
                s.certificate(),
                s.at(),
                s.sha256(),
                s.elsewhere(),
                placed.map(Signatures.ChainPlace::place).orElse(0),
                signature.path("previousSha256").asString(null));
    }

    /** The welds of a lot, or of a whole job, in the order of their marks. */
    @Transactional(readOnly = true)
    List<UUID> welds(UUID job, String lot) {
        return joints.ofJob(job).stream()
                .filter(j -> lot == null || lot.isBlank() || j.lot().equals(lot))
                .sorted(Comparator.comparing(StoredJoint::lot)
                        .thenComparing(StoredJoint::mark)
                        .thenComparing(j -> String.valueOf(j.weldNo())))
                .map(StoredJoint::id)
                .toList();
    }
}
