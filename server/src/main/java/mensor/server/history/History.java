package mensor.server.history;

import java.sql.ResultSet;
import java.sql.ResultSetMetaData;
import java.sql.SQLException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import mensor.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What was changed of a weld and all that belongs to it, as Envers kept it: who, when, what stood before and after. Each kind
 * of thing has its table of revisions; two rows of one thing that follow each other are compared field by field.
 */
@Service
public class History {
    private static final String OF_INSPECTIONS = "inspection_id in (select id from inspection where joint_id = :joint)";
    private static final String OF_DEFECTS = "defect_id in (select id from defect where joint_id = :joint)";

    /** A table of revisions, what its rows are, and which of them belong to a weld. */
    private record Kept(String table, String title, String where) {}

    private static final List<Kept> KEPT = List.of(
            new Kept("joint", "Weld", "id = :joint"),
            new Kept("inspection", "Inspection", "joint_id = :joint"),
            new Kept("entry", "Recorded", OF_INSPECTIONS),
            new Kept("handover", "Hand-over", OF_INSPECTIONS),
            new Kept("photo", "Picture", OF_INSPECTIONS),
            new Kept("gauge_waiver", "Gauge waived", OF_INSPECTIONS),
            new Kept("rating", "Rating", OF_INSPECTIONS),
            new Kept("welding_entry", "Welding record", "joint_id = :joint"),
            new Kept("deviation", "Deviation", "joint_id = :joint"),
            new Kept("trial", "Change tried", "joint_id = :joint"),
            new Kept("test_piece", "Specimen", "joint_id = :joint"),
            new Kept("defect", "Defect", "joint_id = :joint"),
            new Kept("repair_step", "Repair", OF_DEFECTS),
            new Kept("repair_hold", "Hold", OF_DEFECTS),
            new Kept("repair_photo", "Picture of the repair", OF_DEFECTS));

    /** Keys, and what the heading of a change says already. */
    private static final Set<String> UNSAID = Set.of(
            "REV",
            "REVTYPE",
            "REVTSTMP",
            "PERSON",
            "ID",
            "KIND",
            "SEQUENCE",
            "DESIGN",
            "PLACE_INDEX",
            "JOINT_ID",
            "INSPECTION_ID",
            "DEFECT_ID",
            "JOB_ID",
            "ENTERED_BY",
            "ENTERED_AT",
            "RECORDED_BY",
            "RECORDED_AT",
            "CREATED_BY",
            "CREATED_AT",
            "STARTED_AT",
            "ENTRIES",
            "FIRST_LOOK_ID",
            "LOOK_ID",
            "FOLLOWS",
            "AMENDS",
            "PROCEDURE_ID");

    private final JdbcClient jdbc;
    private final People people;
    private final JsonMapper json;

    History(JdbcClient jdbc, People people, JsonMapper json) {
        this.jdbc = jdbc;
        this.people = people;
        this.json = json;
    }

    /**
     * One thing changed.
     *
     * @param by empty where the application did it by itself, or the history begins
     * @param did begun, changed, taken off
     */
    public record HistoryChange(
            long revision, Instant at, String by, String what, String name, String did, List<FieldChange> fields) {}

    /** A field with what stood before and after; absent where nothing stood. */
    public record FieldChange(
            String field, @Nullable String before, @Nullable String after) {}

    /** The newest first. */
    @Transactional(readOnly = true)
    public List<HistoryChange> ofJoint(UUID joint) {
        Map<UUID, String> names = new HashMap<>();
        people.all().forEach(p -> names.put(p.id(), p.name()));
        List<HistoryChange> changes = new ArrayList<>();
        for (Kept kept : KEPT) {
            changes.addAll(of(kept, joint, names));
        }
        changes.sort(Comparator.comparingLong(HistoryChange::revision).reversed());
        return changes;
    }

    private List<HistoryChange> of(Kept kept, UUID joint, Map<UUID, String> names) {
        List<Map<String, Object>> rows = jdbc.sql("select * from " + kept.table()
                        + "_aud a join revinfo using (rev) where " + kept.where() + " order by rev")
                .param("joint", joint)
                .query((row, n) -> read(row))
                .list();
        Map<Object, Map<String, Object>> before = new HashMap<>();
        List<HistoryChange> changes = new ArrayList<>();
        for (Map<String, Object> row : rows) {
            Object id = row.getOrDefault("ID", row.get("INSPECTION_ID"));
            Map<String, Object> old = before.put(id, row);
            boolean gone = ((Number) row.get("REVTYPE")).intValue() == 2;
            List<FieldChange> fields = gone ? List.of() : between(old, row, names);
            if (old != null && fields.isEmpty() && !gone) {
                continue;
            }
            Object person = row.get("PERSON");
            changes.add(new HistoryChange(
                    ((Number) row.get("REV")).longValue(),
                    Instant.ofEpochMilli(((Number) row.get("REVTSTMP")).longValue()),
                    person == null ? "" : names.getOrDefault((UUID) person, ""),
                    kept.title(),
                    nameOf(kept, row),
                    gone ? "taken off" : old == null ? "begun" : "changed",
                    fields));
        }
        return changes;
    }

    private static Map<String, Object> read(ResultSet row) throws SQLException {
        Map<String, Object> read = new LinkedHashMap<>();
        ResultSetMetaData columns = row.getMetaData();
        for (int i = 1; i <= columns.getColumnCount(); i++) {
            Object value = row.getObject(i);
            read.put(
                    columns.getColumnLabel(i).toUpperCase(Locale.ROOT),
                    value instanceof java.sql.Clob ? row.getString(i) : value);
        }
        return read;
    }

    /** Which one of its sort it is. */
    private static String nameOf(Kept kept, Map<String, Object> row) {
        Object name = switch (kept.table()) {
            case "inspection" -> row.get("STAGE") + " (" + row.get("CAPACITY") + "), revision " + row.get("REVISION");
            case "entry", "welding_entry" ->
                String.valueOf(row.get("KIND")).toLowerCase(Locale.ROOT).replace('_', ' ');
            case "defect" -> "NC-" + row.get("NUMBER");
            case "repair_step" -> row.get("STATE");
            case "repair_hold" -> row.get("KIND");
            case "joint" -> row.get("MARK");
            case "gauge_waiver" -> row.get("GAUGE");
            case "test_piece" -> row.get("SPECIMEN");
            case "photo" -> row.get("PLACE");
            default -> "";
        };
        return name == null ? "" : String.valueOf(name);
    }

    private List<FieldChange> between(Map<String, Object> old, Map<String, Object> now, Map<UUID, String> names) {
        Map<String, String> before = old == null ? Map.of() : flat(old, names);
        Map<String, String> after = flat(now, names);
        List<FieldChange> changes = new ArrayList<>();
        after.forEach((field, value) -> {
            if (!Objects.equals(before.get(field), value)) {
                changes.add(new FieldChange(field, before.get(field), value));
            }
        });
        before.forEach((field, value) -> {
            if (!after.containsKey(field)) {
                changes.add(new FieldChange(field, value, null));
            }
        });
        return changes;
    }

    /** The row's fields in words; a document's fields one by one. */
    private Map<String, String> flat(Map<String, Object> row, Map<UUID, String> names) {
        Map<String, String> flat = new LinkedHashMap<>();
        row.forEach((column, value) -> {
            if (value == null || UNSAID.contains(column) || Boolean.FALSE.equals(value)) {
                return;
            }
            String field = column.toLowerCase(Locale.ROOT).replace('_', ' ');
            if (value instanceof UUID id) {
                flat.put(field, names.getOrDefault(id, id.toString()));
            } else if (value instanceof String text && text.startsWith("{")) {
                document(flat, field, text);
            } else {
                flat.put(field, String.valueOf(value));
            }
        });
        return flat;
    }

    private void document(Map<String, String> flat, String field, String text) {
        try {
            JsonNode read = json.readTree(text);
            read.properties()
                    .forEach(p -> flat.put(
                            field.equals("content") ? p.getKey() : field + ": " + p.getKey(),
                            p.getValue().isString()
                                    ? p.getValue().asString()
                                    : p.getValue().toString()));
        } catch (JacksonException e) {
            flat.put(field, text);
        }
    }
}
