package mensor.server.scan;

import java.util.Optional;
import mensor.scan.Profile;

/**
 * A scanner while it is moved along a weld. The simulated one ships with Mensor; a real device is one class beside it that answers these. A place may come
 * again, as where the hand goes back: then the later profile counts.
 */
interface ProfileSource {
    /** As the scan's head names it. */
    String device();

    /** The device's standard uncertainty of one height, mm. */
    double u();

    /** Waits for the next profile, its place in mm from the datum; empty where the scanning has ended. */
    Optional<Profile> next() throws InterruptedException;
}
