package mensor.server.demo;

import java.time.Clock;
import java.time.Duration;
import java.util.UUID;
import mensor.server.inspection.Rejudgement;
import mensor.server.joint.StoredJoint;
import mensor.server.joint.Welding;
import mensor.server.joint.WeldingForm;
import mensor.server.people.Actor;
import mensor.server.welding.WeldingContent;
import mensor.server.welding.WeldingEntryKind;
import mensor.server.welding.WeldingRecords;
import org.springframework.stereotype.Component;

/** What is recorded of the welding in the demo, by the welding engineer and by whoever watched the passes. */
@Component
class DemoWelding {
    private final Welding welding;
    private final WeldingRecords records;
    private final Rejudgement rejudgement;
    private final Clock clock;

    DemoWelding(Welding welding, WeldingRecords records, Rejudgement rejudgement, Clock clock) {
        this.welding = welding;
        this.records = records;
        this.rejudgement = rejudgement;
        this.clock = clock;
    }

    void record(Actor engineer, StoredJoint joint, String fields) {
        welding.record(engineer, joint.id(), joint.version(), DemoFields.read(WeldingForm.class, fields));
    }

    void put(Actor actor, UUID joint, WeldingEntryKind kind, String fields) {
        WeldingContent content = DemoFields.read(WeldingContent.class, fields);
        records.put(actor, joint, UUID.randomUUID(), kind, content, null, false);
        rejudgement.rejudgeOpen(joint);
    }

    void welded(Actor actor, UUID joint, Duration ago) {
        records.welded(actor, joint, clock.instant().minus(ago));
        rejudgement.rejudgeOpen(joint);
    }
}
