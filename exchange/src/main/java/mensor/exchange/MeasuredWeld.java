package mensor.exchange;

import java.nio.file.Path;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.DoubleConsumer;
import java.util.function.Supplier;
import mensor.inspection.Entry;
import mensor.inspection.Inspection;
import mensor.length.Unit;
import mensor.scan.MeasuredProfile;
import mensor.scan.Profile;
import mensor.scan.WeldScan;
import mensor.weld.Joint;

/** A weld measured from a scan's file, and what of it is proposed as entries of an inspection. */
public record MeasuredWeld(ScanFile.Head head, WeldScan.Result result) {
    /** Takes each profile with what was measured of it. */
    public interface Each {
        void take(Profile profile, MeasuredProfile measured);
    }

    /** Something to be entered, in the fields of an entry; lengths in the joint's units, rounded against the weld. */
    public record Proposal(Entry.Sort sort, String content) {}

    /**
     * Measures a scan by the usual pitch and depth.
     *
     * @param begin asked for who takes the profiles; a second time where the file has to be read anew
     * @param progress is told the part that was read; what it throws ends the measuring
     * @throws UnreadableInput naming the line or the element
     */
    public static MeasuredWeld of(Path file, Joint joint, Unit unit, Supplier<Each> begin, DoubleConsumer progress) {
        WeldScan.Wanted w = ScanCommand.wanted(Inspection.begin(joint, unit), null, null, 0);
        return measured(file, w, begin, progress);
    }

    static MeasuredWeld measured(Path file, WeldScan.Wanted w, Supplier<Each> begin, DoubleConsumer progress) {
        WeldScan[] scan = new WeldScan[1];
        ScanFile.Head[] head = new ScanFile.Head[1];
        ScanFile.read(
                file,
                h -> {
                    head[0] = h;
                    WeldScan weld = new WeldScan(
                            new WeldScan.Wanted(w.fillet(), w.pitch(), w.report(), w.sizeWanted(), w.length(), h.u()),
                            begin.get()::take);
                    scan[0] = weld;
                    return weld::add;
                },
                progress);
        return new MeasuredWeld(head[0], scan[0].result());
    }

    /** {@code mensor-measured/1} as far as the scan alone tells: nothing is judged. */
    public String document(String file, Joint joint, Unit unit) {
        Map<String, Json> fields = MeasuredDocument.measured(file, Inspection.begin(joint, unit), head, result);
        return Json.write(new Json.Object(fields));
    }

    /** @param gauge the scanner as the register calls it */
    public List<Proposal> proposals(Joint joint, Unit unit, String gauge) {
        Inspection inspection = Inspection.begin(joint, unit);
        List<Proposal> all = new ArrayList<>();
        MeasuredDocument.readings(inspection, head, result)
                .forEach(r -> all.add(new Proposal(Entry.Sort.READING, named(r, gauge))));
        MeasuredDocument.indications(inspection, result)
                .forEach(i -> all.add(new Proposal(Entry.Sort.INDICATION, named(i, gauge))));
        if (MeasuredDocument.isUndercutClear(result)) {
            all.add(new Proposal(Entry.Sort.CLEAR, "{\"criterion\":\"undercut\"}"));
        }
        return List.copyOf(all);
    }

    private static String named(Json entry, String gauge) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) entry).fields());
        fields.put("gauge", new Json.Text(gauge));
        return Json.write(new Json.Object(fields));
    }
}
