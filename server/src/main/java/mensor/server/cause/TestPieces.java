package mensor.server.cause;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.length.Unit;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.web.Refusal;
import mensor.testpiece.TestPiece;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What was bent, broken or cut of a joint or coupon, and what it comes to. */
@Service
public class TestPieces {
    private final TestPieceRepository pieces;
    private final Joints joints;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;

    TestPieces(TestPieceRepository pieces, Joints joints, People people, JsonMapper json, Clock clock) {
        this.pieces = pieces;
        this.joints = joints;
        this.people = people;
        this.json = json;
        this.clock = clock;
    }

    /** @param replace the specimen tells nothing, another is tested in its place */
    public record TestPieceView(
            UUID id,
            String kind,
            String specimen,
            TestPieceForm said,
            String verdict,
            List<String> lines,
            boolean replace,
            boolean withdrawn,
            String by,
            Instant at,
            String citation) {}

    @Transactional(readOnly = true)
    List<TestPieceView> of(StoredJoint joint) {
        return pieces.findByJointIdOrderByRecordedAt(joint.id()).stream()
                .map(p -> view(p, joint.unit()))
                .toList();
    }

    private TestPieceView view(TestPieceEntity p, Unit units) {
        TestPieceForm said = json.readValue(p.content(), TestPieceForm.class);
        TestPiece.Result result = said.read(units).judge(units);
        return new TestPieceView(
                p.getId(),
                said.kind(),
                p.specimen(),
                said,
                result.verdict().id(),
                result.lines(),
                result.replace(),
                p.isWithdrawn(),
                people.nameOf(p.recordedBy()),
                p.recordedAt(),
                TestPiece.CITATION);
    }

    @Transactional
    public void record(Actor actor, UUID jointId, UUID id, TestPieceForm form) {
        StoredJoint joint = forChange(actor, jointId);
        Trials.checkLine("specimen", form.specimen(), 60, "which specimen, as \"root bend 1\"");
        form.read(joint.unit());
        String content = json.writeValueAsString(form);
        if (content.length() > 10_000) {
            throw Refusal.invalid("openings", "these are more openings than a specimen has");
        }
        if (pieces.existsById(id)) {
            throw Refusal.conflict("this specimen is recorded already; take it off and record it anew");
        }
        pieces.save(new TestPieceEntity(id, jointId, form.specimen().strip(), content, actor.id(), clock.instant()));
    }

    /** A specimen recorded by mistake: the mark stays. */
    @Transactional
    void setWithdrawn(Actor actor, UUID jointId, UUID id, boolean off) {
        forChange(actor, jointId);
        pieces.findById(id)
                .filter(p -> p.jointId().equals(jointId))
                .orElseThrow(() -> Refusal.notFound("there is no such specimen"))
                .setWithdrawn(off);
    }

    private StoredJoint forChange(Actor actor, UUID jointId) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer records nothing");
        }
        return joints.get(jointId);
    }
}
