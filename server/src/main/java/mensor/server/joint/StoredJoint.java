package mensor.server.joint;

import java.time.Instant;
import java.util.Optional;
import java.util.UUID;
import mensor.length.Unit;

/** A joint as it is stored: its document in the format's shape, and the columns that lists are made of. */
public interface StoredJoint {
    UUID id();

    UUID jobId();

    String lot();

    String criteria();

    String units();

    Unit unit();

    String mark();

    String weldNo();

    String side();

    String welder();

    /** When the code's wait after welding is over; empty where it asks none, or the welding date is not known. */
    Optional<Instant> readyAt();

    UUID procedureId();

    String drawing();

    String drawingRev();

    /** When it was last welded; absent where nobody said. */
    Instant weldedAt();

    /** The same for all joints that differ in their mark and place alone. */
    String design();

    /** The joint's document with the openings as read at fit-up, where they were read. */
    String asFitted();

    String wps();

    String inWords();

    String position();

    String document();

    String welding();

    long version();
}
