package mensor.server.job;

import java.util.UUID;
import mensor.length.Unit;

/** A job as it is stored. */
public interface StoredJob {
    UUID id();

    String name();

    String criteria();

    String units();

    Unit unit();

    String document();

    long version();
}
