package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.inspection.Indication;
import mensor.inspection.IndicationField;
import mensor.inspection.IndicationKind;
import mensor.inspection.Reading;
import mensor.length.Unit;
import mensor.weld.InvalidField;
import mensor.weld.Joint;
import tools.jackson.core.JsonParser;

/**
 * One entry in the fields of the inspection format, as it was typed: read once where it comes in, and written where it is
 * stored or sent. Beyond the format an indication may name its gauge too.
 */
public final class EntryDocument {
    private static final Pattern TIME = Pattern.compile("\"\\d{1,2}:\\d{2}\"");

    private final String canonical;
    private Json.Object fields; // of a stored one read when somebody asks

    private EntryDocument(String canonical, Json.Object fields) {
        this.canonical = canonical;
        this.fields = fields;
    }

    /** As it was stored: a text that {@link #canonical} wrote. */
    public static EntryDocument stored(String canonical) {
        return new EntryDocument(canonical, null);
    }

    /** @throws UnreadableInput where the text is no object */
    public static EntryDocument read(String text) {
        return of(Json.read(text));
    }

    /** From a parser that stands at the entry's first token. */
    public static EntryDocument read(JsonParser parser) {
        return of(Json.value(parser, ""));
    }

    /** Of fields by name: texts, whole numbers and truths. */
    public static EntryDocument of(Map<String, ?> fields) {
        Map<String, Json> json = new LinkedHashMap<>();
        fields.forEach((name, value) -> json.put(name, value(value)));
        return of(new Json.Object(json));
    }

    /** Of a line's texts: a field that counts is a number, one that is true or not is that. */
    public static EntryDocument typed(Map<String, String> fields) {
        Map<String, Object> typed = new LinkedHashMap<>();
        fields.forEach((f, v) -> typed.put(
                f, NUMBERS.contains(f) ? Integer.valueOf(v) : TRUTHS.contains(f) ? (Object) Boolean.valueOf(v) : v));
        return of(typed);
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

    private static Json value(Object value) {
        if (value instanceof Boolean b) {
            return new Json.Bool(b);
        }
        return value instanceof Number ? new Json.Number(value.toString()) : new Json.Text(value.toString());
    }

    private static EntryDocument of(Json value) {
        if (value instanceof Json.Object o) {
            // a field without a value was not given
            Map<String, Json> given = new LinkedHashMap<>(o.fields());
            given.values().removeIf(Json.Null.class::isInstance);
            Json.Object fields = new Json.Object(given);
            return new EntryDocument(Json.canonical(fields), fields);
        }
        throw new UnreadableInput("content", "an entry's fields are required, got " + value.said());
    }

    /** Whether a value looks like a time of the clock, and so the joint must be asked. */
    public boolean hasTimes() {
        return TIME.matcher(canonical).find();
    }

    /** The same entry with the places that were given by the clock as lengths from the datum. */
    public EntryDocument inLengths(Joint joint) {
        return joint.clock()
                .map(clock -> of(ClockPlaces.inLengths(fields(), clock)))
                .orElse(this);
    }

    /** One text for one content: fields sorted, no white space, lengths as typed. */
    public String canonical() {
        return canonical;
    }

    /**
     * The entry itself.
     *
     * @param unit of its bare lengths
     * @throws UnreadableInput as the format refuses it, the field relative to the entry
     */
    public Entry entry(Entry.Sort sort, Unit unit) {
        Json.Object said = fields();
        try {
            return switch (sort) {
                case READING -> new Entry.Read(reading(Fields.of("", said, unit)));
                case INDICATION -> seen(said, unit);
                case CLEAR -> noneSeen(Fields.of("", said, unit));
                case COVER -> new Entry.Covered(InspectionReader.cover("", Fields.of("", said, unit)));
            };
        } catch (InvalidField e) {
            throw new UnreadableInput(e.field(), e.problem());
        }
    }

    private synchronized Json.Object fields() {
        if (fields == null) {
            fields = (Json.Object) Json.read(canonical);
        }
        return fields;
    }

    private static Reading reading(Fields f) {
        return InspectionReader.reading("", f);
    }

    private static Entry seen(Json.Object fields, Unit unit) {
        Optional<String> gauge = Fields.of("", fields, unit).text("gauge");
        Map<String, Json> inFormat = new LinkedHashMap<>(fields.fields());
        inFormat.remove("gauge");
        Indication seen = IndicationReader.indication("", Fields.of("", new Json.Object(inFormat), unit));
        return new Entry.Seen(seen, gauge);
    }

    private static Entry noneSeen(Fields f) {
        Criterion criterion = InspectionReader.clearable(f);
        f.end();
        return new Entry.NoneSeen(criterion);
    }

    @Override
    public boolean equals(Object other) {
        return other instanceof EntryDocument d && d.canonical.equals(canonical);
    }

    @Override
    public int hashCode() {
        return canonical.hashCode();
    }

    @Override
    public String toString() {
        return canonical();
    }
}
