package mensor.server.report;

import java.time.Instant;
import java.util.List;
import mensor.server.inspection.BenchView;
import mensor.server.repair.DefectsView.RejectedPlace;
import org.jspecify.annotations.Nullable;

/**
 * All that is signed of one weld, and what became of what was rejected.
 *
 * @param next what the weld waits for
 */
record WeldReport(
        String job,
        String lot,
        String mark,
        @Nullable String weldNo,
        @Nullable String side,
        String inWords,
        @Nullable String position,
        @Nullable String welder,
        @Nullable String wps,
        @Nullable String drawing,
        @Nullable String drawingRev,
        String datum,
        String units,
        String next,
        List<SignedInspection> inspections,
        List<RejectedPlace> defects,
        String journal) {

    /** The weld by its mark, number and side. */
    String name() {
        return mark + (weldNo == null ? "" : " weld " + weldNo) + (side == null ? "" : ", " + side + " side");
    }

    /** The verdict that stands: of the last signed inspection of each side, the fabricator's first. */
    String verdict() {
        return inspections.isEmpty()
                ? "not signed"
                : inspections.get(inspections.size() - 1).verdict();
    }

    /**
     * A signed inspection as the record has it.
     *
     * @param elsewhere where it was signed, and whether that is verified, if not here
     * @param chainPlace its place among the job's signed records; the sums chain it to the one before
     */
    record SignedInspection(
            BenchView bench,
            List<ScanOnPaper.PrintedScan> scans,
            String verdict,
            String signedBy,
            @Nullable String certificate,
            Instant signedAt,
            String sha256,
            @Nullable String elsewhere,
            int chainPlace,
            @Nullable String previousSha256) {}
}
