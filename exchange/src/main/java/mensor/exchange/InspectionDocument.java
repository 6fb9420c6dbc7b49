package mensor.exchange;

import java.util.LinkedHashMap;
import java.util.Map;
import mensor.criteria.CriteriaBook;
import mensor.inspection.Inspection;

/**
 * A {@code mensor-inspection/1} document: what the core judges, the code that it names, and the record that is kept and
 * given back unchanged.
 */
public final class InspectionDocument {
    public static final String FORMAT = "mensor-inspection/1";

    private final Inspection inspection;
    private final CriteriaBook book;
    private final Json.Object record; // null where the document has none

    InspectionDocument(Inspection inspection, CriteriaBook book, Json.Object record) {
        this.inspection = inspection;
        this.book = book;
        this.record = record;
    }

    /**
     * Reads a document.
     *
     * @throws UnreadableInput naming the field by its path
     */
    public static InspectionDocument read(String text) {
        return new InspectionReader(Json.read(text)).document();
    }

    /**
     * The weld and what was seen on it, for questions that no criteria book answers.
     *
     * @throws UnreadableInput naming the field by its path
     */
    public static Inspection readUnjudged(String text) {
        return new InspectionReader(Json.read(text)).unjudged();
    }

    /** A document of an inspection that was put together elsewhere. */
    public static InspectionDocument of(Inspection inspection, CriteriaBook book) {
        return new InspectionDocument(inspection, book, null);
    }

    public Inspection inspection() {
        return inspection;
    }

    public CriteriaBook book() {
        return book;
    }

    /** The document as one line of JSON that reads back to the same inspection. */
    public String write() {
        return Json.write(json());
    }

    Json.Object json() {
        Map<String, Json> fields = new LinkedHashMap<>();
        fields.put("format", new Json.Text(FORMAT));
        fields.put("criteria", new Json.Text(book.id()));
        fields.putAll(new InspectionWriter(inspection).fields());
        if (record != null) {
            fields.put("record", record);
        }
        return new Json.Object(fields);
    }
}
