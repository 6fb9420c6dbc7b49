package mensor.server.inspection;

import java.util.UUID;
import mensor.inspection.Verdict;

/** An inspection as it is stored; what it comes to is the sum of its entries. */
public interface StoredInspection {
    /** For the fabricator. */
    String QC = "QC";

    /** For the owner. */
    String VERIFICATION = "verification";

    /** Open for entries, or signed and frozen. */
    enum State {
        OPEN,
        SIGNED
    }

    UUID id();

    UUID jointId();

    String stage();

    String capacity();

    int revision();

    UUID amends();

    String reason();

    /** How often the weld was repaired before this inspection: 0 for the first. */
    int cycle();

    /** The look that this one follows after a repair; absent for the first. */
    UUID follows();

    /** What was repaired since the inspection before, as {@link RepairSummary}; absent for the first. */
    String repaired();

    /** Whether it comes after another one of the same side: repairs count before revisions. */
    boolean isAfter(StoredInspection other);

    State state();

    boolean isSigned();

    /** Signed at another installation, and brought in: it is shown as such, and is no accept of this shop. */
    boolean isSignedElsewhere();

    UUID holder();

    String conditions();

    /** What stood beside the code when it was signed; absent before. */
    String contract();

    String verdict();

    /** The verdict's word, as a verdict. */
    Verdict result();

    int rejects();

    int todos();

    int entryCount();

    long version();
}
