package mensor.server.db;

import java.util.List;

/** The files of the seals, which stand beside the database and go where it goes. */
public final class SealFiles {
    /** The journal of seals. */
    public static final String JOURNAL = "seals.jsonl";

    /** The installation's own pair of keys. */
    public static final String KEY = "seal-key";

    /**
     * In a copy made in use, how far its journal goes: what was sealed while the database was copied may be in that already, and
     * the first start from the copy is not to take it for a journal that was cut off.
     */
    public static final String COPIED = "seals-copied";

    static final List<String> BESIDE = List.of(JOURNAL, KEY);

    private SealFiles() {}
}
