package mensor.server.report;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.server.inspection.Bench;
import mensor.server.inspection.StoredInspection;
import mensor.server.job.Jobs;
import mensor.server.job.StoredJob;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.repair.RepairMarks;
import mensor.server.report.LabelSheet.Label;
import mensor.server.web.Refusal;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Labels of welds, and where the code on one leads. */
@RestController
@RequestMapping("/api")
class LabelController {
    private static final int MOST = 2000;

    private final Jobs jobs;
    private final Joints joints;
    private final Bench bench;
    private final RepairMarks repairs;

    LabelController(Jobs jobs, Joints joints, Bench bench, RepairMarks repairs) {
        this.repairs = repairs;
        this.jobs = jobs;
        this.joints = joints;
        this.bench = bench;
    }

    /** The newest inspection of a weld that the person may see. */
    record WeldLink(UUID inspectionId) {}

    @GetMapping("/welds/{id}")
    WeldLink weld(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return bench.ofJoint(joints.get(id).id()).stream()
                .filter(i -> !actor.seesSignedOnly() || i.isSigned())
                .findFirst()
                .map(StoredInspection::id)
                .map(WeldLink::new)
                .orElseThrow(() -> Refusal.forbidden("nothing of this weld is signed yet"));
    }

    /**
     * A sheet of labels as PDF.
     *
     * @param lot of one lot alone
     * @param first how many places of the first sheet are used already
     */
    @GetMapping("/jobs/{id}/labels")
    ResponseEntity<byte[]> ofJob(
            @PathVariable UUID id,
            @RequestParam(required = false) String lot,
            @RequestParam(defaultValue = "A4_70_37") LabelSheet sheet,
            @RequestParam(defaultValue = "0") int first) {
        StoredJob job = jobs.get(id);
        checkFirst(first);
        List<StoredJoint> welds = joints.ofJob(id).stream()
                .filter(j -> lot == null || lot.isBlank() || lot.equals(j.lot()))
                .sorted(Comparator.comparing(StoredJoint::mark)
                        .thenComparing(j -> j.weldNo() == null ? "" : j.weldNo()))
                .toList();
        if (welds.isEmpty()) {
            throw Refusal.conflict("there is no weld to label yet");
        }
        if (welds.size() > MOST) {
            throw Refusal.conflict("more than " + MOST + " welds: choose a lot");
        }
        String base = base();
        String title = "Labels of " + job.name();
        return ReportController.answer(
                sheet.print(title, welds.stream().map(j -> label(j, base)).toList(), first), "pdf", title);
    }

    /** Temporary marks for what is to be repaired: its number, from where to where; the code opens its ticket. */
    @GetMapping("/jobs/{id}/repair-marks")
    ResponseEntity<byte[]> repairsOf(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "A4_70_37") LabelSheet sheet,
            @RequestParam(defaultValue = "0") int first) {
        StoredJob job = jobs.get(id);
        checkFirst(first);
        List<RepairMarks.RepairMark> marks = repairs.ofJob(id);
        if (marks.isEmpty()) {
            throw Refusal.conflict("nothing is to be repaired in this job");
        }
        String base = base();
        String title = "Repair marks of " + job.name();
        return ReportController.answer(
                sheet.print(
                        title,
                        marks.stream()
                                .limit(MOST)
                                .map(m -> new Label(
                                        base + "/defects/" + m.defect(),
                                        m.number(),
                                        List.of(m.joint().mark() + ", " + m.place(), m.what(), "take off when closed"),
                                        datum(m.joint())))
                                .toList(),
                        first),
                "pdf",
                title);
    }

    private static void checkFirst(int first) {
        if (first < 0 || first > 100) {
            throw Refusal.invalid("first", "0 to 100 places are used already");
        }
    }

    private static String base() {
        return ServletUriComponentsBuilder.fromCurrentContextPath().build().toUriString();
    }

    private static String datum(StoredJoint j) {
        return InspectionParts.readJoint(j.asFitted(), j.unit()).datum().orElse("");
    }

    private static Label label(StoredJoint j, String base) {
        List<String> lines = new ArrayList<>();
        String weld = (j.weldNo() == null ? "" : "weld " + j.weldNo())
                + (j.side() == null ? "" : (j.weldNo() == null ? "" : ", ") + j.side() + " side");
        if (!weld.isBlank()) {
            lines.add(weld);
        }
        lines.add(j.inWords());
        return new Label(base + "/welds/" + j.id(), j.mark(), lines, datum(j));
    }
}
