package mensor.server.history;

import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Stream;
import mensor.server.people.People;
import org.jspecify.annotations.Nullable;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * What was changed of a weld and all that belongs to it, and of what the shop keeps, as Envers kept it: who, when, what stood before and after. Each kind
 * of thing has its table of revisions; two rows of one thing that follow each other are compared field by field.
 */
@Service
public class History {
    private static final String OF_INSPECTIONS = "inspection_id in (select id from inspection where joint_id = :joint)";
    private static final String OF_DEFECTS = "defect_id in (select id from defect where joint_id = :joint)";

    private static final String ALL = "true";

    /** A table of revisions, what its rows are, and which of them belong to a weld. */
    private record Kept(String table, String title, String where) {}

    private static final List<Kept> KEPT = List.of(
            new Kept("joint", "Weld", "id = :joint"),
            new Kept("inspection", "Inspection", "joint_id = :joint"),
            new Kept("entry", "Entry", OF_INSPECTIONS),
            new Kept("handover", "Hand-over", OF_INSPECTIONS),
            new Kept("photo", "Picture", OF_INSPECTIONS),
            new Kept("gauge_waiver", "Gauge waived", OF_INSPECTIONS),
            new Kept("rating", "Rating", OF_INSPECTIONS),
            new Kept("welding_entry", "Welding record", "joint_id = :joint"),
            new Kept("deviation", "Deviation", "joint_id = :joint"),
            new Kept("trial", "Change tried", "joint_id = :joint"),
            new Kept("specimen", "Specimen", "joint_id = :joint"),
            new Kept("defect", "Defect", "joint_id = :joint"),
            new Kept("repair_step", "Repair", OF_DEFECTS),
            new Kept("repair_hold", "Hold", OF_DEFECTS),
            new Kept("repair_photo", "Picture of the repair", OF_DEFECTS));

    /** What belongs to the shop and not to one weld. */
    private static final List<Kept> OF_THE_SHOP = List.of(
            new Kept("job", "Job", ALL),
            new Kept("brought_job", "Job brought in", ALL),
            new Kept("trusted_installation", "Installation trusted", ALL),
            new Kept("shop_setting", "Shop", ALL),
            new Kept("wps", "Procedure", ALL),
            new Kept("criteria_check", "Acceptance criteria", ALL),
            new Kept("gauge", "Gauge", ALL),
            new Kept("machine", "Machine", ALL),
            new Kept("kit", "Gauges in hand", ALL),
            new Kept("person", "Person", ALL),
            new Kept("access_token", "Token for a script", ALL),
            new Kept("welder", "Welder", ALL),
            new Kept("piece", "Test piece", ALL),
            new Kept("piece_picture", "Picture of a test piece", ALL),
            new Kept("drill", "Drill", ALL),
            new Kept("handout", "Drill handed out", ALL));

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
     * @param did recorded, changed, taken off
     */
    public record HistoryChange(
            long revision, Instant at, String by, String what, String name, String did, List<FieldChange> fields) {

        private boolean says(String text) {
            return Stream.concat(
                            Stream.of(by, what, name),
                            fields.stream().flatMap(f -> Stream.of(f.field(), f.before(), f.after())))
                    .anyMatch(t -> t != null && t.toLowerCase(Locale.ROOT).contains(text));
        }
    }

    /** A field with what stood before and after; absent where nothing stood. */
    public record FieldChange(
            String field, @Nullable String before, @Nullable String after) {}

    /**
     * Some of the changes, the newest first.
     *
     * @param fitting how many fit in all
     * @param kinds how many there are of each kind of thing
     */
    public record HistoryPage(List<HistoryChange> changes, int fitting, Map<String, Integer> kinds) {}

    /** Of a weld and all that belongs to it, the newest first. */
    @Transactional(readOnly = true)
    public List<HistoryChange> ofJoint(UUID joint) {
        return newestFirst(KEPT, joint);
    }

    /**
     * Of jobs, procedures, acceptance criteria, gauges, people and welders.
     *
     * @param what one kind of thing; all where it is empty
     * @param find stands somewhere in the change, small or large
     */
    @Transactional(readOnly = true)
    public HistoryPage ofShop(String what, String find, int most) {
        List<HistoryChange> all = newestFirst(OF_THE_SHOP, null);
        Map<String, Integer> kinds = new TreeMap<>();
        all.forEach(c -> kinds.merge(c.what(), 1, Integer::sum));
        List<HistoryChange> fitting = all.stream()
                .filter(c -> what.isEmpty() || c.what().equals(what))
                .filter(c -> c.says(find.strip().toLowerCase(Locale.ROOT)))
                .toList();
        return new HistoryPage(fitting.stream().limit(most).toList(), fitting.size(), kinds);
    }

    private List<HistoryChange> newestFirst(List<Kept> tables, UUID joint) {
        Map<UUID, String> names = new HashMap<>(people.names());
        jdbc.sql("select id, name from gauge")
                .query((row, n) -> names.put(row.getObject("id", UUID.class), row.getString("name")))
                .list();
        List<HistoryChange> changes = new ArrayList<>();
        for (Kept kept : tables) {
            changes.addAll(of(kept, joint, names));
        }
        changes.sort(Comparator.comparingLong(HistoryChange::revision).reversed());
        return changes;
    }

    private List<HistoryChange> of(Kept kept, UUID joint, Map<UUID, String> names) {
        List<Map<String, Object>> rows = jdbc.sql("select * from " + kept.table()
                        + "_aud a join revinfo using (rev) where " + kept.where() + " order by rev")
                .param("joint", joint)
                .query()
                .listOfRows();
        HistoryWords words = new HistoryWords(names);
        Map<Object, Map<String, Object>> before = new HashMap<>();
        List<HistoryChange> changes = new ArrayList<>();
        for (Map<String, Object> row : rows) {
            Object id = row.getOrDefault("ID", row.getOrDefault("STAMP", row.get("INSPECTION_ID")));
            Map<String, Object> old = before.put(id, row);
            boolean gone = ((Number) row.get("REVTYPE")).intValue() == 2;
            List<FieldChange> fields = gone ? List.of() : between(old, row, words);
            if (old != null && fields.isEmpty() && !gone) {
                continue;
            }
            Object person = row.get("PERSON");
            changes.add(new HistoryChange(
                    ((Number) row.get("REV")).longValue(),
                    Instant.ofEpochMilli(((Number) row.get("REVTSTMP")).longValue()),
                    person == null ? "" : names.getOrDefault((UUID) person, ""),
                    kept.title(),
                    words.name(kept.table(), row, content(row)),
                    gone ? "taken off" : old == null ? "recorded" : "changed",
                    fields));
        }
        return changes;
    }

    private List<FieldChange> between(Map<String, Object> old, Map<String, Object> now, HistoryWords words) {
        Map<String, String> before = old == null ? Map.of() : flat(old, words);
        Map<String, String> after = flat(now, words);
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
    private Map<String, String> flat(Map<String, Object> row, HistoryWords words) {
        Map<String, String> flat = new LinkedHashMap<>();
        row.forEach((column, value) -> {
            String field = HistoryWords.camel(column);
            if (value == null || !HistoryWords.isSaid(field) || Boolean.FALSE.equals(value)) {
                return;
            }
            Optional<JsonNode> document = value instanceof String text ? read(text) : Optional.empty();
            if (document.isPresent() && document.get().isObject()) {
                document.get().properties().stream()
                        .filter(p -> HistoryWords.isSaid(p.getKey()))
                        .forEach(p ->
                                words.value(p.getValue()).ifPresent(v -> flat.put(HistoryWords.field(p.getKey()), v)));
            } else {
                document.map(words::value)
                        .orElseGet(() -> words.value(value))
                        .ifPresent(v -> flat.put(HistoryWords.field(field), v));
            }
        });
        return flat;
    }

    private Optional<JsonNode> content(Map<String, Object> row) {
        return row.get("CONTENT") instanceof String text ? read(text) : Optional.empty();
    }

    /** A document or a list of the store; empty where the text is none. */
    private Optional<JsonNode> read(String text) {
        if (!text.startsWith("{") && !text.startsWith("[")) {
            return Optional.empty();
        }
        try {
            return Optional.of(json.readTree(text));
        } catch (JacksonException e) {
            return Optional.empty();
        }
    }
}
