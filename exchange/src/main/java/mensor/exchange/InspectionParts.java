package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.length.Unit;
import mensor.look.Addendum;
import mensor.look.Indication;
import mensor.look.Inspection;
import mensor.look.Reading;
import mensor.weld.Gap;
import mensor.weld.Joint;
import mensor.weld.Procedure;
import mensor.weld.Range;
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
        String welding,
        String addenda,
        String readingChoices) {
    /** The contract says nothing beyond the book. */
    public static final String NO_ADDENDA = "[]";

    /** The readings are taken as the careful reading takes them. */
    public static final String NO_CHOICES = "{}";

    /**
     * Reads the parts as one document.
     *
     * @throws UnreadableInput naming the field by its path in the document
     */
    public InspectionDocument read() {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("format", new Json.Text(InspectionDocument.FORMAT));
        fields.put("criteria", new Json.Text(criteria));
        fields.put("units", new Json.Text(units));
        fields.put("joint", part(joint));
        fields.put("conditions", part(conditions));
        fields.put(
                "clear",
                new Json.Array(clear.stream().map(c -> (Json) new Json.Text(c)).toList()));
        fields.put("covered", part(covered));
        fields.put("readings", part(readings));
        fields.put("indications", part(indications));
        fields.put("welding", part(welding));
        fields.put("addenda", part(addenda));
        fields.put("readingChoices", part(readingChoices));
        return new InspectionReader(new Json.Object(fields), InspectionParts::reading, InspectionParts::indication)
                .document();
    }

    /** The parts of looks that are open are read again with each key at the bench: as many as a few long welds have. */
    private static final int MOST_REMEMBERED = 20_000;

    private static final Remembered<String, Json> PARTS = new Remembered<>(MOST_REMEMBERED);
    private static final Remembered<Entry, Reading> READINGS = new Remembered<>(MOST_REMEMBERED);
    private static final Remembered<Entry, Indication> INDICATIONS = new Remembered<>(MOST_REMEMBERED);

    /** What an entry says does not hang on its place in the document, only on the unit of its bare lengths. */
    private record Entry(Json.Object said, Unit units) {}

    private static Json part(String json) {
        return PARTS.get(json, () -> Json.read(json));
    }

    private static Json part(List<String> several) {
        return new Json.Array(several.stream().map(InspectionParts::part).toList());
    }

    private static Reading reading(String at, Fields f) {
        return READINGS.get(new Entry(f.source(), f.unit()), () -> InspectionReader.reading(at, f));
    }

    private static Indication indication(String at, Fields f) {
        return INDICATIONS.get(new Entry(f.source(), f.unit()), () -> InspectionReader.indication(at, f));
    }

    /**
     * A look at the joint with one entry alone, to see whether the weld can have it.
     *
     * @throws UnreadableInput as the format refuses it, the field relative to the entry
     */
    public static Inspection withOne(String criteria, String units, String joint, String entry, boolean reading) {
        String content = measured(entry, reading, Optional.empty());
        List<String> one = List.of(content);
        InspectionParts parts = new InspectionParts(
                criteria,
                units,
                joint,
                "{}",
                List.of(),
                List.of(),
                reading ? one : List.of(),
                reading ? List.of() : one,
                "{}",
                NO_ADDENDA,
                NO_CHOICES);
        try {
            return parts.read().inspection();
        } catch (UnreadableInput e) {
            throw new UnreadableInput(e.field().replaceFirst("^(readings|indications)\\[0]\\.?", ""), e.problem());
        }
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

    /**
     * A reading or an indication with the smallest division of the gauge that it names, unless it gives one itself. The format
     * names the gauge of a reading only.
     */
    public static String measured(String entry, boolean reading, Optional<String> division) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) Json.read(entry)).fields());
        if (!reading) {
            fields.remove("gauge");
        }
        boolean measured = reading
                ? fields.containsKey("at")
                : Stream.of("depth", "diameter", "offset").anyMatch(fields::containsKey);
        if (measured) {
            division.ifPresent(d -> fields.putIfAbsent("division", new Json.Text(d)));
        }
        return Json.write(new Json.Object(fields));
    }

    /** Reads an indication alone; fields in errors are relative to it. */
    public static Indication readIndication(String json, Unit units) {
        return InspectionReader.indication("", Fields.of("", Json.read(json), units));
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

    /** The joint without the fields named: what is left tells whether two joints are alike. */
    public static String without(String joint, List<String> fields) {
        Map<String, Json> kept = new LinkedHashMap<>(((Json.Object) Json.read(joint)).fields());
        fields.forEach(kept::remove);
        return Json.canonical(new Json.Object(kept));
    }

    /** A welding record put together from what holds for the whole weld, its passes, its procedure's amps and the rods' hours out. */
    public static String welding(
            String whole, List<String> passes, Optional<Procedure> procedure, Optional<Double> exposureHours) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) Json.read(whole)).fields());
        if (!passes.isEmpty()) {
            fields.put("passes", new Json.Array(passes.stream().map(Json::read).toList()));
        }
        exposureHours.ifPresent(h -> fields.putIfAbsent("electrodeExposureHours", number(Math.round(h * 100) / 100.0)));
        Map<String, Json> amps = new LinkedHashMap<>();
        procedure.ifPresent(w -> w.passes()
                .forEach(p -> p.amps()
                        .ifPresent(r ->
                                amps.put(p.kind().id(), new Json.Array(List.of(number(r.low()), number(r.high())))))));
        if (!amps.isEmpty()) {
            fields.put("procedure", new Json.Object(Map.of("amps", new Json.Object(amps))));
        }
        return Json.write(new Json.Object(fields));
    }

    private static Json number(double d) {
        return new Json.Number(Range.plain(d));
    }
}
