package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import mensor.inspection.Addendum;
import mensor.length.Unit;
import mensor.weld.Gap;
import mensor.weld.Joint;
import mensor.weld.WeldingRecord;

/** The parts of an inspection as they are kept: each JSON in the format's shape, read and written by itself. */
public final class InspectionParts {
    private InspectionParts() {}

    /** Reads a joint alone; fields in errors are relative to it. */
    public static Joint readJoint(String json, Unit units) {
        try {
            return JointReader.joint(Fields.of("joint", Json.read(json), units));
        } catch (UnreadableInput e) {
            String field = e.field().startsWith("joint.") ? e.field().substring("joint.".length()) : e.field();
            throw new UnreadableInput(field, e.problem());
        }
    }

    /** A joint alone, in the format's shape. */
    public static String joint(Joint joint) {
        return Json.canonical(InspectionWriter.joint(joint));
    }

    /** Reads the contract's limits alone; fields in errors are relative to the list: {@code [1].max}. */
    public static List<Addendum> readAddenda(String json, Unit units) {
        try {
            return InspectionReader.addenda(Fields.of("", new Json.Object(Map.of("addenda", Json.read(json))), units));
        } catch (UnreadableInput e) {
            throw new UnreadableInput(e.field().replaceFirst("^addenda", ""), e.problem());
        }
    }

    /** Reads a welding record alone; fields in errors are relative to it, bare lengths in the given unit. */
    public static WeldingRecord readWelding(String json, Unit units) {
        return WeldingReader.welding(Fields.of("", Json.read(json), units));
    }

    /** One text for one JSON content: fields sorted, no white space. */
    public static String canonical(String json) {
        return Json.canonical(Json.read(json));
    }

    /** Gaps as the format lists them. */
    public static String gaps(List<Gap> gaps) {
        return Json.write(new Json.Array(gaps.stream()
                .map(g -> (Json) new Json.Object(Map.of(
                        "from", new Json.Text(g.span().from().toString()),
                        "to", new Json.Text(g.span().to().toString()),
                        "opening", new Json.Text(g.opening().toString()))))
                .toList()));
    }

    /** The joint with these gaps in place of those that it was set up with. */
    public static String withGaps(String joint, String gaps) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) Json.read(joint)).fields());
        fields.remove("rootOpening");
        Json.Array found = (Json.Array) Json.read(gaps);
        if (found.items().isEmpty()) {
            fields.remove("gaps");
        } else {
            fields.put("gaps", found);
        }
        return Json.write(new Json.Object(fields));
    }

    /** The joint under another mark and without its number, for who should not know which weld of the shop it is. */
    public static String nameless(String joint, String mark) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) Json.read(joint)).fields());
        fields.remove("weldNo");
        fields.put("mark", new Json.Text(mark));
        return Json.write(new Json.Object(fields));
    }

    /** The joint without the fields named: what is left tells whether two joints are alike. */
    public static String without(String joint, List<String> fields) {
        Map<String, Json> kept = new LinkedHashMap<>(((Json.Object) Json.read(joint)).fields());
        fields.forEach(kept::remove);
        return Json.canonical(new Json.Object(kept));
    }
}
