package mensor.server.inspection;

import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.server.joint.Joints;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;

/** A "none seen" and an indication of the same criterion do not stand together in one inspection. */
@Component
class NoneSeen {
    private final EntryRepository entries;
    private final Joints joints;
    private final TypedEntries typed;

    NoneSeen(EntryRepository entries, Joints joints, TypedEntries typed) {
        this.entries = entries;
        this.joints = joints;
        this.typed = typed;
    }

    /** A new indication takes back the "none seen" of its own criterion; none is said over what is recorded. */
    void agree(InspectionEntity inspection, Entry recorded) {
        recorded.answer(new Entry.Cases<Void>() {
            @Override
            public Void read(Entry.Read entry) {
                return null;
            }

            @Override
            public Void seen(Entry.Seen entry) {
                takeBack(inspection, entry.indication());
                return null;
            }

            @Override
            public Void noneSeen(Entry.NoneSeen entry) {
                refuseOverIndication(inspection, entry.criterion());
                return null;
            }

            @Override
            public Void covered(Entry.Covered entry) {
                return null;
            }
        });
    }

    private void takeBack(InspectionEntity inspection, Indication seen) {
        for (EntryEntity e : standing(inspection, Entry.Sort.CLEAR)) {
            if (said(inspection, e) instanceof Entry.NoneSeen none && none.criterion() == seen.criterion()) {
                e.withdraw("taken back: " + seen.kind().words() + " was seen");
            }
        }
    }

    private void refuseOverIndication(InspectionEntity inspection, Criterion criterion) {
        for (EntryEntity e : standing(inspection, Entry.Sort.INDICATION)) {
            if (said(inspection, e) instanceof Entry.Seen seen
                    && seen.indication().criterion() == criterion) {
                throw Refusal.invalid(
                        "criterion",
                        seen.indication().kind().words()
                                + " is recorded; take it off before saying that none was seen");
            }
        }
    }

    private Iterable<EntryEntity> standing(InspectionEntity inspection, Entry.Sort sort) {
        return entries.findByInspectionIdAndKindOrderBySequence(inspection.id(), sort).stream()
                .filter(e -> !e.isWithdrawn())
                .toList();
    }

    private Entry said(InspectionEntity inspection, EntryEntity e) {
        return typed.of(e, joints.get(inspection.jointId()).unit());
    }
}
