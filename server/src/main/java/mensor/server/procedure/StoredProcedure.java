package mensor.server.procedure;

import java.time.Instant;
import java.util.UUID;
import mensor.weld.Procedure;

/** A welding procedure as it is stored, one revision. */
public interface StoredProcedure {
    UUID id();

    String number();

    String revision();

    String document();

    Instant createdAt();

    long version();

    /** What it says; it was read once before it was stored. */
    Procedure read();
}
