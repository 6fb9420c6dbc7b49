package mensor.server.inspection;

import com.fasterxml.jackson.annotation.JsonIgnoreProperties;
import java.util.List;
import java.util.Objects;
import mensor.drawing.SectionDrawing;
import mensor.drawing.StripDrawing;
import org.jspecify.annotations.Nullable;

/**
 * A bench's answer to a browser that has an earlier one: its long lists come as what changed in them, the rest whole. A key
 * on a weld of hundreds of entries then moves a twentieth of what it would.
 *
 * @param since the tag of the answer that the browser has
 * @param again what still stands of the inspection before a repair, absent where it is as it was
 * @param rest the answer without the lists that follow
 */
record BenchChange(
        String since,

        @JsonIgnoreProperties({"entries", "sections", "strip", "again"})
        BenchView rest,

        BenchView.@Nullable AgainView again,

        @JsonIgnoreProperties({"marks", "stations"}) StripDrawing strip,
        Splice<EntryView> entries,
        Splice<SectionDrawing> sections,
        Splice<StripDrawing.Mark> marks,
        Splice<StripDrawing.Station> stations) {

    static BenchChange between(BenchView had, BenchView now) {
        return new BenchChange(
                had.tag(),
                now,
                Objects.equals(had.again(), now.again()) ? null : now.again(),
                now.strip(),
                Splice.between(had.entries(), now.entries()),
                Splice.between(had.sections(), now.sections()),
                Splice.between(had.strip().marks(), now.strip().marks()),
                Splice.between(had.strip().stations(), now.strip().stations()));
    }

    /**
     * How one list becomes another.
     *
     * @param first how many stay at the beginning
     * @param items what stands after them instead of what stood there
     * @param last how many stay at the end
     */
    record Splice<T>(int first, List<T> items, int last) {
        static <T> Splice<T> between(List<T> had, List<T> now) {
            int most = Math.min(had.size(), now.size());
            int first = 0;
            while (first < most && had.get(first).equals(now.get(first))) {
                first++;
            }
            int last = 0;
            while (last < most - first && had.get(had.size() - 1 - last).equals(now.get(now.size() - 1 - last))) {
                last++;
            }
            return new Splice<>(first, now.subList(first, now.size() - last), last);
        }
    }
}
