package mensor.server.inspection;

import java.util.List;
import java.util.function.Function;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.length.Unit;
import mensor.server.web.Refusal;
import org.springframework.stereotype.Component;

/** A "none seen" and an indication of the same criterion do not stand together in one inspection. */
@Component
class NoneSeen {
    private final TypedEntries typed;

    NoneSeen(TypedEntries typed) {
        this.typed = typed;
    }

    /** The entries of a sort that the inspection has, as they are kept. */
    interface Kept extends Function<Entry.Sort, List<? extends EntryEntity>> {}

    /** A new indication takes back the "none seen" of its own criterion; none is said over what is recorded. */
    void agree(Kept kept, Unit unit, Entry recorded) {
        recorded.answer(new Entry.Cases<Void>() {
            @Override
            public Void read(Entry.Read entry) {
                return null;
            }

            @Override
            public Void seen(Entry.Seen entry) {
                takeBack(kept, unit, entry.indication());
                return null;
            }

            @Override
            public Void noneSeen(Entry.NoneSeen entry) {
                refuseOverIndication(kept, unit, entry.criterion());
                return null;
            }

            @Override
            public Void covered(Entry.Covered entry) {
                return null;
            }
        });
    }

    private void takeBack(Kept kept, Unit unit, Indication seen) {
        for (EntryEntity e : standing(kept, Entry.Sort.CLEAR)) {
            if (typed.of(e, unit) instanceof Entry.NoneSeen none && none.criterion() == seen.criterion()) {
                e.withdraw("taken back: " + seen.kind().words() + " was seen");
            }
        }
    }

    private void refuseOverIndication(Kept kept, Unit unit, Criterion criterion) {
        for (EntryEntity e : standing(kept, Entry.Sort.INDICATION)) {
            if (typed.of(e, unit) instanceof Entry.Seen seen
                    && seen.indication().criterion() == criterion) {
                throw Refusal.invalid(
                        "criterion",
                        seen.indication().kind().words()
                                + " is recorded; take it off before saying that none was seen");
            }
        }
    }

    private static List<? extends EntryEntity> standing(Kept kept, Entry.Sort sort) {
        return kept.apply(sort).stream().filter(e -> !e.isWithdrawn()).toList();
    }
}
