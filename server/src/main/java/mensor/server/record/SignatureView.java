package mensor.server.record;

import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * Who signed an inspection, as what, when, and the SHA-256 over the frozen record.
 *
 * @param elsewhere where, and whether that is verified, of a record that was not signed here
 */
public record SignatureView(
        String verdict,
        String name,
        @Nullable String certificate,
        String capacity,
        Instant at,
        String sha256,
        @Nullable String elsewhere) {}
