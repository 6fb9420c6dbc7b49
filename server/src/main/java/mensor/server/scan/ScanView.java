package mensor.server.scan;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import mensor.exchange.EntryDocument;
import mensor.inspection.Entry;
import org.jspecify.annotations.Nullable;

/**
 * A scan of a weld, how far it is, and what it proposes.
 *
 * @param state waiting, measuring, measured, failed
 * @param part percent that was measured
 * @param gauge the scanner as the register calls it; absent where it is not there
 * @param device the scanner as the file calls it
 * @param noise standard deviation of the surface about the members' lines, mm
 * @param left why profiles were left out, with how many
 * @param notes what of the measured profiles height alone does not tell
 * @param holes what of the weld was not measured, in words
 * @param byHand readings by hand at places that it measured too
 * @param drawn its lines and profiles can be shown
 */
public record ScanView(
        UUID id,
        String name,
        long bytes,
        String sha256,
        String state,
        int part,
        @Nullable String failure,
        @Nullable UUID gaugeId,
        @Nullable String gauge,
        @Nullable String device,
        int profiles,
        long points,
        @Nullable Double noise,
        List<String> left,
        List<String> notes,
        List<String> holes,
        List<ProposalView> proposals,
        List<HandView> byHand,
        @Nullable String measuredBy,
        boolean drawn,
        String by,
        Instant at,
        boolean withdrawn) {

    /**
     * @param id of the entry that it becomes
     * @param words what it says
     * @param taken it is an entry of the inspection
     */
    public record ProposalView(UUID id, Entry.Sort kind, EntryDocument content, String words, boolean taken) {}

    /**
     * Read by hand and scanned at one place: both stand.
     *
     * @param words what, where, and how far apart
     * @param beyond further apart than both uncertainties allow, k = 2
     */
    public record HandView(String words, boolean beyond) {}

    /**
     * Lines along the weld, in mm, thinned so that no worst place is lost.
     *
     * @param holes not measured, mm
     */
    public record LinesView(double length, double[] s, List<ScannedLineView> lines, List<ReachView> holes) {}

    /**
     * @param id as in {@code mensor-measured/1}
     * @param limit what is wanted or allowed, mm; absent where the code has no single number
     * @param least the limit is the least that is wanted, else the most
     * @param values absent where it was not measured
     */
    public record ScannedLineView(
            String id,
            String title,
            @Nullable Double limit,
            @Nullable String limitWords,
            boolean least,
            @Nullable Double[] values) {}

    public record ReachView(double from, double to) {}

    /**
     * What was measured, computed again from the file as it was kept.
     *
     * @param same it came to the same to the letter
     * @param differing the parts that did not
     * @param then the version that measured it
     * @param now the version that computed it again
     */
    public record RecountView(
            boolean same, List<String> differing, @Nullable String then, String now) {}

    /** @param words the file's name, and at which inspection it was scanned */
    public record WeldScanView(UUID inspection, UUID id, String words) {}

    /** Two scans of the weld held against each other. */
    public record ComparedView(
            String first,
            String second,
            double both,
            double putOn,
            double takenOff,
            double u,
            List<DifferenceView> lines,
            List<String> changed) {}

    /** @param beyond percent of the places where the two differ by more than both uncertainties, k = 2 */
    public record DifferenceView(
            String title, int places, double mean, double sd, double greatest, String at, int beyond) {}
}
