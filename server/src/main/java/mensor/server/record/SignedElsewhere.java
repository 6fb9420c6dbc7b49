package mensor.server.record;

import org.jspecify.annotations.Nullable;

/**
 * A record that came in an archive from another installation.
 *
 * @param installation the fingerprint of the key that sealed it, as it is read out: {@code 7F3A 92C1 0B44 D9E0}; absent where none did
 * @param name what the quality manager calls it; absent where it is not trusted
 */
public record SignedElsewhere(
        @Nullable String installation, @Nullable String name) {
    /** Of a record that no key sealed. */
    public static final String UNSEALED = "unsealed";

    public boolean isVerified() {
        return name != null;
    }

    /** {@code signed at installation 7F3A 92C1 0B44 D9E0, not verified}. */
    public String words() {
        if (installation == null) {
            return "signed elsewhere, sealed by no installation: not verified";
        }
        return "signed at installation " + installation
                + (isVerified() ? " (" + name + "), verified" : ", not verified");
    }
}
