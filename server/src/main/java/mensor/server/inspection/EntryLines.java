package mensor.server.inspection;

import java.util.ArrayList;
import java.util.List;
import mensor.drawing.StripDrawing;
import mensor.exchange.EntryDocument;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.inspection.Entry;
import mensor.inspection.Inspection;
import mensor.length.Unit;
import mensor.line.EntryLine;
import mensor.server.joint.StoredJoint;
import mensor.server.web.AllOptional;
import mensor.server.web.Refusal;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Reads what is typed at the bench's entry line, or pasted into it: understood before anything is recorded. */
@Component
public class EntryLines {
    private static final int MOST = 500;

    /**
     * Lines to be read.
     *
     * @param before the kind that a line of numbers repeats
     */
    @AllOptional
    public record LinesForm(List<String> lines, String before) {}

    /** One entry that a line records. */
    public record LineEntry(Entry.Sort kind, EntryDocument content) {}

    /**
     * What became of one line.
     *
     * @param from where in the line the problem begins, {@code to} where it ends
     * @param marks where its indications would stand on the strip
     * @param readAs of a line that was said: what a hand would chalk for it
     */
    public record LineView(
            List<LineEntry> entries,
            String kind,
            @Nullable String problem,
            int from,
            int to,
            List<String> expects,
            List<String> completions,
            List<StripDrawing.Mark> marks,
            @Nullable String readAs) {}

    /** Reads lines by the joint alone: nothing is judged for a preview. */
    List<LineView> read(StoredJoint entity, LinesForm form) {
        return read(InspectionParts.readJoint(entity.asFitted(), entity.unit()), entity.unit(), form);
    }

    /** Likewise of a weld that stands in no job. */
    public static List<LineView> read(Joint joint, Unit unit, LinesForm form) {
        if (form.lines() == null || form.lines().isEmpty() || form.lines().size() > MOST) {
            throw Refusal.invalid("lines", "one to " + MOST + " lines at once");
        }
        EntryLine reader = new EntryLine(joint);
        String before = form.before() == null ? "" : form.before();
        List<LineView> views = new ArrayList<>();
        for (String line : form.lines()) {
            EntryLine.Parse u = reader.read(line, before);
            before = u.kind();
            views.add(view(joint, unit, u));
        }
        return views;
    }

    private static LineView view(Joint weld, Unit unit, EntryLine.Parse u) {
        List<LineEntry> entries = new ArrayList<>();
        List<StripDrawing.Mark> marks = new ArrayList<>();
        for (EntryLine.TypedEntry p : u.entries()) {
            EntryDocument content = EntryDocument.typed(p.fields());
            Entry.Sort kind = p.sort();
            entries.add(new LineEntry(kind, content));
            try {
                marks.addAll(marks(weld, unit, content.entry(kind, unit)));
            } catch (UnreadableInput e) {
                return refused(u, e.problem());
            } catch (InvalidField e) {
                return refused(u, e.problem());
            }
        }
        return new LineView(
                entries,
                u.kind(),
                u.problem().orElse(null),
                u.from(),
                u.to(),
                u.expects(),
                u.completions(),
                marks,
                u.readAs().orElse(null));
    }

    private static LineView refused(EntryLine.Parse u, String problem) {
        return new LineView(
                List.of(),
                u.kind(),
                problem,
                0,
                0,
                u.expects(),
                u.completions(),
                List.of(),
                u.readAs().orElse(null));
    }

    /** Checks that the weld can have the entry, and says where an indication would be drawn. */
    private static List<StripDrawing.Mark> marks(Joint weld, Unit unit, Entry entry) {
        Inspection bare = Inspection.begin(weld, unit);
        if (entry instanceof Entry.Read r) {
            bare.with(List.of(r.reading()), List.of());
            return List.of();
        }
        return entry instanceof Entry.Seen s
                ? StripDrawing.marksOf(bare.with(List.of(), List.of(s.indication())))
                : List.of();
    }
}
