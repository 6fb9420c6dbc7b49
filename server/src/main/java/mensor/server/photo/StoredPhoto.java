package mensor.server.photo;

import java.time.Instant;
import java.util.UUID;

/** A picture's place and sum; its bytes are kept apart. */
public interface StoredPhoto {
    UUID id();

    UUID inspectionId();

    /** The entry that it shows; absent where it shows a place. */
    UUID entryId();

    /** The place along the weld as typed; absent where it shows an entry. */
    String place();

    String sha256();

    UUID takenBy();

    Instant addedAt();

    boolean isWithdrawn();
}
