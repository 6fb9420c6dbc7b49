package mensor.server.testpiece;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import mensor.inspection.Indication;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.web.Refusal;
import mensor.testpiece.Specimen;
import mensor.testpiece.SpecimenDefect;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** What was bent, broken or cut of a joint or coupon, and what it comes to. */
@Service
public class Specimens {
    private static final int LONGEST_NAME = 60;

    private final SpecimenRepository pieces;
    private final Joints joints;
    private final Photos photos;
    private final People people;
    private final JsonMapper json;
    private final Clock clock;

    Specimens(SpecimenRepository pieces, Joints joints, Photos photos, People people, JsonMapper json, Clock clock) {
        this.pieces = pieces;
        this.joints = joints;
        this.photos = photos;
        this.people = people;
        this.json = json;
        this.clock = clock;
    }

    /** @param replace the specimen tells nothing, another is tested in its place */
    public record SpecimenView(
            UUID id,
            String kind,
            String specimen,
            SpecimenForm said,
            String verdict,
            List<String> lines,
            boolean replace,
            boolean withdrawn,
            boolean pictured,
            String by,
            Instant at,
            String citation) {}

    @Transactional(readOnly = true)
    public List<SpecimenView> of(StoredJoint joint) {
        return pieces.findByJointIdOrderByRecordedAt(joint.id()).stream()
                .map(p -> view(p, joint.unit()))
                .toList();
    }

    /** The welds of which anything was cut. */
    Set<UUID> jointsCut() {
        return pieces.joints();
    }

    /** Of pieces without a weld at the bench, by piece. */
    Map<UUID, List<SpecimenView>> ofPieces(Map<UUID, Unit> units) {
        return units.isEmpty()
                ? Map.of()
                : pieces.findByPieceIdInOrderByRecordedAt(units.keySet()).stream()
                        .collect(Collectors.groupingBy(
                                SpecimenEntity::pieceId,
                                Collectors.mapping(p -> view(p, units.get(p.pieceId())), Collectors.toList())));
    }

    private SpecimenView view(SpecimenEntity p, Unit units) {
        SpecimenForm said = json.readValue(p.content(), SpecimenForm.class);
        Specimen.Result result = said.read(units).judge(units);
        return new SpecimenView(
                p.getId(),
                said.kind(),
                p.specimen(),
                said,
                result.verdict().id(),
                result.lines(),
                result.replace(),
                p.isWithdrawn(),
                p.picture() != null,
                people.nameOf(p.recordedBy()),
                p.recordedAt(),
                Specimen.CITATION);
    }

    /** What a specimen comes to. */
    public Specimen.Result result(SpecimenView s, Unit units) {
        return s.said().read(units).judge(units);
    }

    /** Where a specimen was cut, where somebody said so; else it is for the cutting plan to know. */
    public Optional<Span> place(SpecimenView s, Unit units) {
        return s.said().place(units).map(at -> new Span(at, at));
    }

    /** What a failed specimen stands for at its place. */
    public Optional<Indication> defect(SpecimenView s, Unit units, Span where) {
        Specimen specimen = s.said().read(units);
        return SpecimenDefect.of(specimen, specimen.judge(units), where);
    }

    @Transactional
    public void record(Actor actor, UUID jointId, UUID id, SpecimenForm form) {
        record(actor, forChange(actor, jointId).unit(), id, jointId, null, form);
    }

    /** Of a piece without a weld at the bench; whether the person may is known. */
    void recordOfPiece(Actor actor, UUID piece, Unit unit, UUID id, SpecimenForm form) {
        record(actor, unit, id, null, piece, form);
    }

    private void record(Actor actor, Unit unit, UUID id, UUID joint, UUID piece, SpecimenForm form) {
        if (form.specimen() == null
                || form.specimen().isBlank()
                || form.specimen().length() > LONGEST_NAME) {
            throw Refusal.invalid(
                    "specimen", "which specimen, as \"root bend 1\", in up to " + LONGEST_NAME + " letters");
        }
        form.read(unit);
        form.place(unit);
        String content = json.writeValueAsString(form);
        if (content.length() > 10_000) {
            throw Refusal.invalid("openings", "these are more openings than a specimen has");
        }
        if (pieces.existsById(id)) {
            throw Refusal.conflict("this specimen is recorded already; take it off and record it anew");
        }
        pieces.save(
                new SpecimenEntity(id, joint, piece, form.specimen().strip(), content, actor.id(), clock.instant()));
    }

    /** A specimen recorded by mistake: the mark stays. */
    @Transactional
    public void setWithdrawn(Actor actor, UUID jointId, UUID id, boolean off) {
        forChange(actor, jointId);
        setWithdrawn(id, p -> jointId.equals(p.jointId()), off);
    }

    void setWithdrawnOfPiece(UUID piece, UUID id, boolean off) {
        setWithdrawn(id, p -> piece.equals(p.pieceId()), off);
    }

    private void setWithdrawn(UUID id, Predicate<SpecimenEntity> its, boolean off) {
        pieces.findById(id)
                .filter(its)
                .orElseThrow(() -> Refusal.notFound("there is no such specimen"))
                .setWithdrawn(off);
    }

    /** Keeps a picture of the bent, broken or cut face; another takes its place. Whether the person may is for the caller. */
    @Transactional
    public void keepPicture(UUID id, PictureFile file) {
        SpecimenEntity specimen = pieces.findById(id).orElseThrow(Specimens::unknown);
        specimen.setPicture(photos.keep(file));
        pieces.flush();
    }

    @Transactional(readOnly = true)
    public PictureFile picture(UUID id) {
        return pieces.findById(id)
                .filter(p -> p.picture() != null)
                .map(p -> photos.kept(p.picture()))
                .orElseThrow(Specimens::unknown);
    }

    /** The piece of its own that a specimen belongs to; empty where it is a weld's. */
    @Transactional(readOnly = true)
    public Optional<UUID> pieceOf(UUID id) {
        return Optional.ofNullable(
                pieces.findById(id).orElseThrow(Specimens::unknown).pieceId());
    }

    private static Refusal unknown() {
        return Refusal.notFound("there is no such specimen, or no picture of it");
    }

    private StoredJoint forChange(Actor actor, UUID jointId) {
        if (actor.seesSignedOnly()) {
            throw Refusal.forbidden("a viewer records nothing");
        }
        return joints.get(jointId);
    }
}
