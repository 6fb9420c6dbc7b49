package mensor.server.inspection;

import java.util.List;
import java.util.UUID;
import mensor.line.EntryLine;
import mensor.server.job.Jobs;
import mensor.server.joint.JointEntity;
import mensor.server.joint.JointForm;
import mensor.server.joint.JointRepository;
import mensor.server.joint.NewJoint;
import mensor.server.joint.SetUp;
import mensor.server.people.Actor;
import mensor.server.web.Refusal;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;
import tools.jackson.databind.json.JsonMapper;

/** The worklist, and setting up a joint with its first look. */
@RestController
@RequestMapping("/api")
class JointController {
    private final SetUp setUp;
    private final Bench bench;
    private final Worklist worklist;
    private final JointRepository joints;
    private final Jobs jobs;
    private final JsonMapper json;

    JointController(SetUp setUp, Bench bench, Worklist worklist, JointRepository joints, Jobs jobs, JsonMapper json) {
        this.jobs = jobs;
        this.setUp = setUp;
        this.bench = bench;
        this.worklist = worklist;
        this.joints = joints;
        this.json = json;
    }

    record Created(UUID jointId, UUID inspectionId) {}

    record Stored(NewJoint form, long version) {}

    record JointChange(NewJoint form, long version) {}

    /** The worklist: the first of the joints that fit, and how many there are in each group. */
    @GetMapping("/joints")
    Worklist.WorklistPage rows(
            @AuthenticationPrincipal Actor actor,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(defaultValue = "all") String group,
            @RequestParam(required = false) UUID job) {
        return worklist.page(actor, find, group, job);
    }

    /** What the entry line understands, a line for each kind. */
    @GetMapping("/entry-line")
    List<EntryLine.Card> entryLine() {
        return EntryLine.card();
    }

    @PostMapping("/joints/preview")
    SetUp.Preview preview(@RequestBody NewJoint form) {
        return setUp.preview(form);
    }

    @PostMapping("/joints")
    @Transactional
    Created create(@AuthenticationPrincipal Actor actor, @RequestBody NewJoint form) {
        JointEntity joint = setUp.create(actor, form);
        return new Created(joint.id(), bench.begin(joint).id());
    }

    @GetMapping("/joints/{id}")
    Stored joint(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        JointEntity j = find(id);
        NewJoint form = new NewJoint(
                jobs.get(j.jobId()).name(),
                j.lot(),
                j.criteria(),
                j.units(),
                j.welder(),
                j.wps(),
                j.drawing(),
                j.drawingRev(),
                j.weldedAt(),
                json.readValue(j.document(), JointForm.class));
        return new Stored(form, j.version());
    }

    @PutMapping("/joints/{id}")
    @Transactional
    Created change(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody JointChange change) {
        SetUp.requireRole(actor);
        JointEntity joint = find(id);
        if (joint.version() != change.version()) {
            throw Refusal.stale("somebody changed this joint meanwhile; check it again", null);
        }
        setUp.change(actor, joint, change.form());
        joints.flush();
        bench.rejudge(id);
        return new Created(id, bench.ofJoint(id).get(0).id());
    }

    /** The owner's own look at a weld. */
    @PostMapping("/joints/{id}/verification")
    Created verify(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return new Created(id, bench.beginVerification(actor, id).id());
    }

    private JointEntity find(UUID id) {
        return joints.findById(id).orElseThrow(() -> Refusal.notFound("there is no such joint"));
    }
}
