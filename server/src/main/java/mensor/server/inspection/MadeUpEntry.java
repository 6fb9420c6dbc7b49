package mensor.server.inspection;

import java.util.UUID;

/** An entry of a weld that stands in no job: kept by the room that handed the weld out, never stored as an entry. */
final class MadeUpEntry extends EntryEntity {
    private long version;

    MadeUpEntry(MadeUpWeld.Kept kept, UUID weld, int sequence, UUID by) {
        super(kept.id(), weld, sequence, kept.kind(), kept.content(), by, kept.at());
        if (kept.why() != null) {
            super.withdraw(kept.why());
        }
        version = kept.version();
    }

    MadeUpWeld.Kept kept() {
        return new MadeUpWeld.Kept(id(), kind(), content(), enteredAt(), withdrawnWhy(), version);
    }

    @Override
    public void change(String newContent, UUID by, java.time.Instant at) {
        super.change(newContent, by, at);
        version++;
    }

    @Override
    public void withdraw(String why) {
        super.withdraw(why);
        version++;
    }

    @Override
    public void restore() {
        super.restore();
        version++;
    }

    @Override
    public long version() {
        return version;
    }
}
