package mensor.server.inspection;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.draw.StripDrawing;
import mensor.exchange.InspectionParts;
import mensor.exchange.UnreadableInput;
import mensor.line.EntryLine;
import mensor.look.IndicationField;
import mensor.look.IndicationKind;
import mensor.server.joint.JointEntity;
import mensor.server.web.AllOptional;
import mensor.server.web.Refused;
import mensor.weld.Joint;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Reads what is typed at the bench's entry line, or pasted into it: understood before anything is put down. */
@Component
class Lines {
    private static final int MOST = 500;

    private final JsonMapper json;

    Lines(JsonMapper json) {
        this.json = json;
    }

    /**
     * Lines to be read.
     *
     * @param before the kind that a line of numbers repeats
     */
    @AllOptional
    record LinesForm(List<String> lines, String before) {}

    /** One entry that a line puts down. */
    record LineEntry(EntryEntity.Kind kind, EntryContent content) {}

    /**
     * What became of one line.
     *
     * @param from where in the line the problem begins, {@code to} where it ends
     * @param marks where its indications would stand on the strip
     */
    record LineView(
            List<LineEntry> entries,
            String kind,
            @Nullable String problem,
            int from,
            int to,
            List<String> expects,
            List<String> completions,
            List<StripDrawing.Mark> marks) {}

    /** Reads lines by the joint alone: nothing is judged for a preview. */
    List<LineView> read(JointEntity entity, LinesForm form) {
        if (form.lines() == null || form.lines().isEmpty() || form.lines().size() > MOST) {
            throw Refused.invalid("lines", "one to " + MOST + " lines at once");
        }
        Joint joint = InspectionParts.readJoint(entity.asFitted(), entity.unit());
        EntryLine reader = new EntryLine(joint);
        String before = form.before() == null ? "" : form.before();
        List<LineView> views = new ArrayList<>();
        for (String line : form.lines()) {
            EntryLine.Understood u = reader.read(line, before);
            before = u.kind();
            views.add(view(entity, u));
        }
        return views;
    }

    private LineView view(JointEntity joint, EntryLine.Understood u) {
        List<LineEntry> entries = new ArrayList<>();
        List<StripDrawing.Mark> marks = new ArrayList<>();
        for (EntryLine.Put p : u.puts()) {
            EntryContent content = json.convertValue(typed(p.fields()), EntryContent.class);
            EntryEntity.Kind kind = EntryEntity.Kind.valueOf(p.sort().name());
            entries.add(new LineEntry(kind, content));
            if (kind != EntryEntity.Kind.CLEAR) {
                try {
                    marks.addAll(marks(joint, kind, json.writeValueAsString(content)));
                } catch (UnreadableInput e) {
                    return new LineView(
                            List.of(), u.kind(), e.problem(), 0, 0, u.expects(), u.completions(), List.of());
                }
            }
        }
        return new LineView(
                entries, u.kind(), u.problem().orElse(null), u.from(), u.to(), u.expects(), u.completions(), marks);
    }

    /** The line's texts as what the fields are: a count is a number, a truth is one. */
    private static Map<String, Object> typed(Map<String, String> fields) {
        Map<String, Object> typed = new LinkedHashMap<>();
        fields.forEach((f, v) -> typed.put(
                f, NUMBERS.contains(f) ? Integer.valueOf(v) : TRUTHS.contains(f) ? (Object) Boolean.valueOf(v) : v));
        return typed;
    }

    private static final Set<String> NUMBERS = fields(IndicationField.Shape.COUNT);
    private static final Set<String> TRUTHS = fields(IndicationField.Shape.FLAG);

    private static Set<String> fields(IndicationField.Shape shape) {
        return Stream.of(IndicationKind.values())
                .flatMap(k -> k.fields().stream())
                .filter(f -> f.shape() == shape)
                .map(IndicationField::name)
                .collect(Collectors.toSet());
    }

    /** Checks the entry by the format as the weld stands, and says where an indication would be drawn. */
    private static List<StripDrawing.Mark> marks(JointEntity joint, EntryEntity.Kind kind, String content) {
        boolean reading = kind == EntryEntity.Kind.READING;
        var look = InspectionParts.withOne(joint.criteria(), joint.units(), joint.asFitted(), content, reading);
        return reading ? List.of() : StripDrawing.marksOf(look);
    }
}
