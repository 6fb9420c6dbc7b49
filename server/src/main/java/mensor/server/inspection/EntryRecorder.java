package mensor.server.inspection;

import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.exchange.InspectionParts;
import mensor.server.joint.Joints;
import mensor.server.joint.StoredJoint;
import mensor.server.people.Actor;
import mensor.server.people.People;
import mensor.server.photo.Photos;
import mensor.server.photo.PictureFile;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the inspector records: entries, pictures, and whether the weld is ready. Each change is judged before it is stored. */
@Service
public class EntryRecorder {
    private final Bench bench;
    private final EntryRepository entries;
    private final Joints joints;
    private final People people;
    private final Photos photos;
    private final NoneSeen noneSeen;
    private final TypedEntries typed;
    private final Clock clock;

    EntryRecorder(
            Bench bench,
            EntryRepository entries,
            Joints joints,
            People people,
            Photos photos,
            NoneSeen noneSeen,
            TypedEntries typed,
            Clock clock) {
        this.bench = bench;
        this.entries = entries;
        this.joints = joints;
        this.people = people;
        this.photos = photos;
        this.noneSeen = noneSeen;
        this.typed = typed;
        this.clock = clock;
    }

    /**
     * Records one entry under the browser's id. The same again changes nothing; other content changes the entry, if
     * {@code version} is the one that stands.
     */
    @Transactional
    public Bench.State put(Actor actor, UUID inspectionId, Bench.NewEntry entry, Long version) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        put(actor, inspection, entry, version);
        return bench.judged(inspection);
    }

    /** Several at once, as one confirmation after the inspection: all or none. */
    @Transactional
    public Bench.State putAll(Actor actor, UUID inspectionId, List<Bench.NewEntry> several) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        several.forEach(e -> put(actor, inspection, e, null));
        return bench.judged(inspection);
    }

    private void put(Actor actor, InspectionEntity inspection, Bench.NewEntry entry, Long version) {
        StoredJoint joint = joints.get(inspection.jointId());
        ReadEntry read =
                ReadEntry.of(entry, () -> InspectionParts.readJoint(joint.asFitted(), joint.unit()), joint.unit());
        String content = read.content();
        Instant now = clock.instant();
        EntryEntity standing = entries.findById(entry.id()).orElse(null);
        if (standing == null) {
            if (inspection.holder() == null) {
                inspection.setHolder(actor.id());
            }
            entries.save(new EntryEntity(
                    entry.id(), inspection.id(), inspection.nextSequence(), entry.kind(), content, actor.id(), now));
        } else {
            if (!standing.inspectionId().equals(inspection.id()) || standing.kind() != entry.kind()) {
                throw Refusal.conflict("that id belongs to another entry");
            }
            if (standing.content().equals(content)) {
                return;
            }
            if (version == null || version != standing.version()) {
                throw stale(standing);
            }
            standing.change(content, actor.id(), now);
        }
        noneSeen.agree(kept(inspection), joint.unit(), read.said());
    }

    private NoneSeen.Kept kept(InspectionEntity inspection) {
        return sort -> entries.findByInspectionIdAndKindOrderBySequence(inspection.id(), sort);
    }

    private Refusal stale(EntryEntity standing) {
        return Refusal.stale(
                people.nameOf(standing.enteredBy()) + " changed this entry meanwhile",
                EntryView.of(standing, people.nameOf(standing.enteredBy())));
    }

    /** Takes an entry off; the mark stays, and undo brings it back. */
    @Transactional
    public Bench.State withdraw(Actor actor, UUID inspectionId, UUID entryId, long version) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        EntryEntity entry = entry(inspection, entryId);
        if (!entry.isWithdrawn()) {
            if (version != entry.version()) {
                throw stale(entry);
            }
            entry.withdraw("taken off by " + actor.name());
        }
        return bench.judged(inspection);
    }

    @Transactional
    public Bench.State restore(Actor actor, UUID inspectionId, UUID entryId) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        EntryEntity entry = entry(inspection, entryId);
        if (entry.isWithdrawn()) {
            entry.restore();
            StoredJoint joint = joints.get(inspection.jointId());
            noneSeen.agree(kept(inspection), joint.unit(), typed.of(entry, joint.unit()));
        }
        return bench.judged(inspection);
    }

    /** A picture at a place of the weld or of one entry; it was opened before, and holds nobody up here. */
    @Transactional
    public Bench.State photo(Actor actor, UUID inspectionId, UUID photoId, Photos.Place place, PictureFile picture) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        if ((place.entry() == null) == (place.at() == null)) {
            throw Refusal.invalid("at", "a picture shows a place of the weld, or one entry");
        }
        if (place.entry() != null) {
            entry(inspection, place.entry());
        } else {
            bench.checkOnWeld(inspection, "at", place.at(), place.at());
        }
        photos.put(actor, inspectionId, photoId, place, picture);
        return bench.judged(inspection);
    }

    @Transactional
    public Bench.State photoOff(Actor actor, UUID inspectionId, UUID photoId, boolean off) {
        InspectionEntity inspection = bench.forChange(actor, inspectionId);
        photos.setWithdrawn(inspectionId, photoId, off);
        return bench.judged(inspection);
    }

    private EntryEntity entry(InspectionEntity inspection, UUID entryId) {
        return entries.findById(entryId)
                .filter(e -> e.inspectionId().equals(inspection.id()))
                .orElseThrow(() -> Refusal.notFound("there is no such entry"));
    }
}
