package mensor.server.joint;

import java.util.UUID;
import mensor.server.job.Jobs;
import mensor.server.people.Actor;
import org.jspecify.annotations.Nullable;
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

/** The worklist, and setting up a joint with its first inspection. */
@RestController
@RequestMapping("/api")
class JointController {
    private final SetUp setUp;
    private final JointInspections inspections;
    private final Joints joints;
    private final Jobs jobs;
    private final JsonMapper json;

    JointController(SetUp setUp, JointInspections inspections, Joints joints, Jobs jobs, JsonMapper json) {
        this.jobs = jobs;
        this.setUp = setUp;
        this.inspections = inspections;
        this.joints = joints;
        this.json = json;
    }

    record Created(UUID jointId, UUID inspectionId) {}

    record Stored(NewJoint form, long version) {}

    record JointChange(NewJoint form, long version) {}

    @PostMapping("/joints/preview")
    SetUp.Preview preview(@RequestBody NewJoint form) {
        return setUp.preview(form);
    }

    @PostMapping("/joints")
    @Transactional
    Created create(@AuthenticationPrincipal Actor actor, @RequestBody NewJoint form) {
        StoredJoint joint = setUp.create(actor, form);
        return new Created(joint.id(), inspections.begin(joint));
    }

    /**
     * The weld that was set up last in a lot, or in the whole job where no lot is named: a start for the next one.
     *
     * @param form absent where none is there yet
     */
    record LastJoint(@Nullable NewJoint form, @Nullable String inWords) {}

    @GetMapping("/joints/last")
    LastJoint last(@RequestParam UUID job, @RequestParam(defaultValue = "") String lot) {
        return joints.last(job, lot)
                .map(j -> new LastJoint(form(j), j.inWords()))
                .orElse(new LastJoint(null, null));
    }

    @GetMapping("/joints/{id}")
    Stored joint(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        StoredJoint j = joints.get(id);
        return new Stored(form(j), j.version());
    }

    private NewJoint form(StoredJoint j) {
        return new NewJoint(
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
    }

    @PutMapping("/joints/{id}")
    @Transactional
    Created change(@AuthenticationPrincipal Actor actor, @PathVariable UUID id, @RequestBody JointChange change) {
        setUp.change(actor, id, change.form(), change.version());
        return new Created(id, inspections.rejudged(id));
    }

    /** The owner's own look at a weld. */
    @PostMapping("/joints/{id}/verification")
    Created verify(@AuthenticationPrincipal Actor actor, @PathVariable UUID id) {
        return new Created(id, inspections.beginVerification(actor, id));
    }
}
