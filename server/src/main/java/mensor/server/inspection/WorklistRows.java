package mensor.server.inspection;

import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * What the worklist finds, groups and sorts by, kept beside the inspections in a table of its own: of each weld and side of the
 * contract the newest inspection, and the newest signed one. It is made of the other tables, so it can be made of them again.
 */
@Component
class WorklistRows {
    private static final Logger LOG = LoggerFactory.getLogger(WorklistRows.class);
    private static final int AT_ONCE = 500;
    private static final Pattern NUMBER = Pattern.compile("[0-9]{1,8}");
    private static final String BEFORE_ALL = "\u0001";

    /** The columns, by what each is made of. What a signed reject waits for is told by its repairs and comes after. */
    private static final Map<String, String> COLUMNS = Map.ofEntries(
            Map.entry("INSPECTION_ID", "i.id"),
            Map.entry("JOINT_ID", "i.joint_id"),
            Map.entry("NEWEST", notBefore("true")),
            Map.entry("NEWEST_SIGNED", "i.state = 'SIGNED' and " + notBefore("k.state = 'SIGNED'")),
            Map.entry(
                    "WORK_GROUP",
                    "case when i.state = 'SIGNED' then case when i.verdict = 'reject' then 'repair'"
                            + " when i.signed_elsewhere is not null then 'elsewhere' else 'done' end"
                            + " when i.entry_count = 0 then 'inspect'"
                            + " when i.verdict = 'incomplete' then 'in-progress' else 'sign' end"),
            Map.entry(
                    "WORK_ORDER",
                    joined(
                            "b.name",
                            "j.lot",
                            "j.mark",
                            "coalesce(j.weld_no, '')",
                            "coalesce(j.side, '')",
                            "i.capacity")),
            Map.entry(
                    "WORDS",
                    "lower(concat_ws(' ', j.mark, j.weld_no, j.side, j.welder, j.wps, j.lot, j.in_words, j.drawing, b.name))"),
            Map.entry("JOB", "b.name"),
            Map.entry("LOT", "j.lot"),
            Map.entry("MARK", "j.mark"),
            Map.entry("IN_WORDS", "j.in_words"),
            Map.entry("POSITION", "j.position"),
            Map.entry("WELDER", "j.welder"),
            Map.entry("WPS", "j.wps"),
            Map.entry("STAGE", "i.stage"),
            Map.entry("VERDICT", "i.verdict"),
            Map.entry(
                    "ALIKE",
                    "case when i.state <> 'SIGNED' and i.entry_count = 0 and i.cycle = 0"
                            + " then concat(cast(j.job_id as varchar), j.design, i.capacity) end"));

    /** Sorted as people count. */
    private static final List<String> COUNTED = List.of("WORK_ORDER", "JOB", "LOT", "MARK", "IN_WORDS");

    private static final List<String> NAMES = COLUMNS.keySet().stream().sorted().toList();

    private static final String MADE = "select * from (select "
            + NAMES.stream().map(n -> COLUMNS.get(n) + " as " + n).collect(Collectors.joining(", "))
            + " from inspection i join joint j on j.id = i.joint_id join job b on b.id = j.job_id"
            + " where i.joint_id in (:joints)) w where newest or newest_signed";

    private static final String KEPT =
            "select " + String.join(", ", NAMES) + " from worklist_row where joint_id in (:joints)";

    private static final String STORE = "insert into worklist_row (" + String.join(", ", NAMES) + ") values ("
            + NAMES.stream().map(n -> ":" + n).collect(Collectors.joining(", ")) + ")";

    private final JdbcClient jdbc;
    private final NamedParameterJdbcTemplate batches;
    private final RepairStanding repairs;

    WorklistRows(JdbcClient jdbc, NamedParameterJdbcTemplate batches, RepairStanding repairs) {
        this.jdbc = jdbc;
        this.batches = batches;
        this.repairs = repairs;
    }

    private static String notBefore(String which) {
        return "not exists (select 1 from inspection k where k.joint_id = i.joint_id and k.capacity = i.capacity and "
                + which + " and (k.cycle > i.cycle or k.cycle = i.cycle and k.revision > i.revision))";
    }

    /** Parts by a sign that comes before all others: a mark stands before a longer one that begins with it. */
    private static String joined(String... parts) {
        return "concat(" + String.join(", '" + BEFORE_ALL + "', ", parts) + ")";
    }

    /** As people count, 2 before 10, and in small letters. */
    static String inOrder(String text) {
        return text == null
                ? null
                : NUMBER.matcher(text.toLowerCase(Locale.ROOT))
                        .replaceAll(m -> "0".repeat(8 - m.group().length()) + m.group());
    }

    /** The range of work order in which a job's welds lie. */
    static List<String> rangeOf(String job) {
        return List.of(inOrder(job) + BEFORE_ALL, inOrder(job) + "\u0002");
    }

    /** What changed of the rows of some welds. */
    enum Change {
        NONE,
        /** What is read of them, not where they stand: the verdict of one that is under way. */
        SHOWN,
        MOVED;

        Change and(Change other) {
            return values()[Math.max(ordinal(), other.ordinal())];
        }
    }

    /** Makes the rows of some welds anew, and stores those that differ. */
    Change remake(Collection<UUID> joints) {
        Change change = Change.NONE;
        List<UUID> all = List.copyOf(joints);
        for (int from = 0; from < all.size(); from += AT_ONCE) {
            change = change.and(remakeSome(all.subList(from, Math.min(all.size(), from + AT_ONCE))));
        }
        return change;
    }

    private Change remakeSome(List<UUID> joints) {
        Map<Object, Map<String, Object>> kept = byId(KEPT, joints);
        List<Map<String, Object>> store = new ArrayList<>();
        List<Object> drop = new ArrayList<>();
        Change change = Change.NONE;
        for (Map.Entry<Object, Map<String, Object>> made : made(joints).entrySet()) {
            Map<String, Object> before = kept.remove(made.getKey());
            if (made.getValue().equals(before)) {
                continue;
            }
            store.add(made.getValue());
            if (before != null) {
                drop.add(made.getKey());
            }
            change =
                    change.and(before != null && standsAsBefore(before, made.getValue()) ? Change.SHOWN : Change.MOVED);
        }
        if (!kept.isEmpty()) {
            drop.addAll(kept.keySet());
            change = Change.MOVED;
        }
        if (!drop.isEmpty()) {
            jdbc.sql("delete from worklist_row where inspection_id in (:ids)")
                    .param("ids", drop)
                    .update();
        }
        if (!store.isEmpty()) {
            batches.batchUpdate(STORE, store.toArray(Map[]::new));
        }
        return change;
    }

    private static boolean standsAsBefore(Map<String, Object> before, Map<String, Object> now) {
        return NAMES.stream()
                .filter(n -> !n.equals("VERDICT") && !n.equals("STAGE"))
                .allMatch(n -> Objects.equals(before.get(n), now.get(n)));
    }

    private Map<Object, Map<String, Object>> made(List<UUID> joints) {
        Map<Object, Map<String, Object>> made = byId(MADE, joints);
        // only of signed rejects does anybody ask what their repair waits for
        List<UUID> rejects = made.values().stream()
                .filter(r -> r.get("WORK_GROUP").equals("repair"))
                .map(r -> (UUID) r.get("INSPECTION_ID"))
                .toList();
        Map<UUID, RepairStanding.Standing> standing = repairs.of(rejects);
        Set<UUID> elsewhere = elsewhere(rejects);
        for (UUID reject : rejects) {
            String group = NextStep.group(standing.getOrDefault(reject, RepairStanding.Standing.NONE));
            made.get(reject)
                    .put("WORK_GROUP", group.equals("done") && elsewhere.contains(reject) ? "elsewhere" : group);
        }
        for (Map<String, Object> row : made.values()) {
            COUNTED.forEach(n -> row.put(n, inOrder((String) row.get(n))));
            row.put(
                    "WORK_ORDER",
                    row.get("WORK_ORDER") + BEFORE_ALL + row.get("INSPECTION_ID")); // no two stand at one place
        }
        return made;
    }

    private Set<UUID> elsewhere(List<UUID> inspections) {
        return inspections.isEmpty()
                ? Set.of()
                : Set.copyOf(jdbc.sql("select id from inspection where id in (:ids) and signed_elsewhere is not null")
                        .param("ids", inspections)
                        .query(UUID.class)
                        .list());
    }

    private Map<Object, Map<String, Object>> byId(String sql, List<UUID> joints) {
        Map<Object, Map<String, Object>> rows = new HashMap<>();
        for (Map<String, Object> row :
                jdbc.sql(sql).param("joints", joints).query().listOfRows()) {
            Map<String, Object> its = new HashMap<>();
            NAMES.forEach(n -> its.put(n, row.get(n)));
            rows.put(its.get("INSPECTION_ID"), its);
        }
        return rows;
    }

    /** After an upgrade, or where the table was emptied: all rows are made. */
    void makeAllWhereNone() {
        boolean none =
                jdbc.sql("select count(*) from worklist_row").query(Long.class).single() == 0;
        List<UUID> joints =
                none ? jdbc.sql("select id from joint").query(UUID.class).list() : List.of();
        if (!joints.isEmpty()) {
            LOG.info("making the worklist of {} welds", joints.size());
            remake(joints);
        }
    }
}
