package mensor.exchange;

import java.util.List;
import mensor.length.Unit;
import mensor.look.Indication;
import mensor.weld.Joint;
import mensor.weld.WeldingRecord;

/** An inspection kept in parts, each of them JSON in the format's shape; joined, they are a {@code mensor-inspection/1} document. */
public record InspectionParts(
        String criteria,
        String units,
        String joint,
        String conditions,
        List<String> clear,
        List<String> covered,
        List<String> readings,
        List<String> indications,
        String welding) {

    /**
     * Reads the parts as one document.
     *
     * @throws UnreadableInput naming the field by its path in the document
     */
    public InspectionDocument read() {
        return InspectionDocument.read("{\"format\":\"" + InspectionDocument.FORMAT + "\",\"criteria\":"
                + Json.write(new Json.Text(criteria)) + ",\"units\":" + Json.write(new Json.Text(units)) + ",\"joint\":"
                + joint + ",\"conditions\":" + conditions + ",\"clear\":["
                + String.join(
                        ",",
                        clear.stream().map(c -> Json.write(new Json.Text(c))).toList()) + "],\"covered\":["
                + String.join(",", covered) + "],\"readings\":[" + String.join(",", readings) + "],\"indications\":["
                + String.join(",", indications) + "],\"welding\":" + welding + "}");
    }

    /** Reads a joint alone; fields in errors are relative to it. */
    public static Joint readJoint(String json, Unit units) {
        try {
            return InspectionReader.joint(Fields.of("joint", Json.read(json), units));
        } catch (UnreadableInput e) {
            String field = e.field().startsWith("joint.") ? e.field().substring("joint.".length()) : e.field();
            throw new UnreadableInput(field, e.problem());
        }
    }

    /** Reads an indication alone; fields in errors are relative to it. */
    public static Indication readIndication(String json, Unit units) {
        return InspectionReader.indication("", Fields.of("", Json.read(json), units));
    }

    /** Reads a welding record alone; fields in errors are relative to it, bare lengths in the given unit. */
    public static WeldingRecord readWelding(String json, Unit units) {
        return WeldingReader.welding(Fields.of("", Json.read(json), units));
    }

    /** One text for one JSON content: fields sorted, no white space. */
    public static String canonical(String json) {
        return Json.canonical(Json.read(json));
    }
}
