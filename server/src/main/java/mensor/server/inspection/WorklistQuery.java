package mensor.server.inspection;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Timestamp;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Asks the database for a page of the worklist: found, grouped, sorted and cut there, so that twenty thousand welds cost no more
 * than their first rows.
 */
@Component
class WorklistQuery {
    /** What a signed reject waits for is told by its repairs, which are counted in one place, and given here by inspection. */
    private static final String GROUP = """
            case when i.state <> 'SIGNED' then
                   case when i.entry_count = 0 then 'inspect'
                        when i.verdict = 'incomplete' then 'in-progress'
                        else 'sign' end
                 when i.verdict <> 'reject' then 'done'
                 else coalesce(r.repair_group, 'done') end""";

    private static final String JOINED = """
             from inspection i
            join joint j on j.id = i.joint_id
            join job b on b.id = j.job_id
            left join unnest(cast(:rejects as uuid array), cast(:groups as varchar array)) as r (inspection_id, repair_group)
              on r.inspection_id = i.id
            """;

    /** The newest inspection of each weld and side of the contract; a viewer sees the newest signed one. */
    private static final String FROM = JOINED + """
            where (:signedOnly = false or i.state = 'SIGNED')
              and not exists (select 1 from inspection k where k.joint_id = i.joint_id and k.capacity = i.capacity
                and (:signedOnly = false or k.state = 'SIGNED')
                and (k.cycle > i.cycle or k.cycle = i.cycle and k.revision > i.revision))""";

    private static final String TEXT =
            "lower(concat_ws(' ', j.mark, j.weld_no, j.side, j.welder, j.wps, j.lot, j.in_words, j.drawing, b.name))";

    private static final String WELD =
            "lower(b.name), lower(j.lot), lower(j.mark), j.weld_no nulls first, j.side nulls first, i.capacity, i.id";

    private static final Map<String, String> SORTS = Map.of(
            "job", "lower(b.name)",
            "lot", "lower(j.lot)",
            "mark", "lower(j.mark)",
            "inWords", "lower(j.in_words)",
            "position", "j.position",
            "welder", "j.welder",
            "wps", "j.wps",
            "stage", "i.stage",
            "verdict", "i.verdict",
            "next", GROUP);

    private final JdbcClient jdbc;

    WorklistQuery(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * What is wanted of the list.
     *
     * @param find each of its words stands somewhere in the weld's mark, number, welder, procedure, lot, job or description
     * @param sort a column, by the order of the work where it is empty; with "-" before it the other way round
     */
    record Wanted(boolean signedOnly, String find, String group, UUID job, String sort, int from, int size) {}

    /** The rows of a page with their group, and how many fit in each group. */
    record Found(List<Worklist.Line> rows, List<String> groups, Map<String, Integer> counts) {}

    private record Grouped(Worklist.Line line, String group) {}

    Found find(Wanted wanted, Map<UUID, String> repairGroups) {
        Map<String, Object> values = new HashMap<>();
        values.put("signedOnly", wanted.signedOnly());
        values.put("rejects", repairGroups.keySet().toArray(UUID[]::new));
        values.put("groups", repairGroups.values().toArray(String[]::new));
        String where = where(wanted, values);
        Map<String, Integer> counts = counts(where, values);
        String only = wanted.group().equals("all") ? "" : " and (" + GROUP + ") = :group";
        values.put("group", wanted.group());
        values.put("from", Math.max(0, wanted.from()));
        values.put("size", Math.min(Math.max(1, wanted.size()), 500));
        // first which, by what they are sorted by alone; then what is shown of these few
        List<UUID> ids = jdbc.sql("select i.id" + FROM + where + only + " order by " + order(wanted.sort())
                        + " offset :from rows fetch next :size rows only")
                .params(values)
                .query((row, n) -> row.getObject(1, UUID.class))
                .list();
        if (ids.isEmpty()) {
            return new Found(List.of(), List.of(), counts);
        }
        values.put("ids", ids);
        Map<UUID, Grouped> byId = new HashMap<>();
        jdbc.sql("select i.id as inspection_id, j.id as weld_id, j.job_id, j.lot, j.mark, j.weld_no, j.side,"
                        + " j.in_words, j.position, j.welder, j.wps, j.design, j.welded_at, j.delay_hours, i.stage, i.capacity,"
                        + " i.cycle, i.revision, i.state, i.verdict, i.rejects, i.todos, i.entry_count, i.holder, "
                        + GROUP
                        + " as work_group" + JOINED + " where i.id in (:ids)")
                .params(values)
                .query((row, n) -> {
                    Worklist.Line line = line(row);
                    return byId.put(line.inspectionId(), new Grouped(line, row.getString("work_group")));
                })
                .list();
        List<Worklist.Line> rows = new ArrayList<>();
        List<String> groups = new ArrayList<>();
        for (UUID id : ids) {
            rows.add(byId.get(id).line());
            groups.add(byId.get(id).group());
        }
        return new Found(rows, groups, counts);
    }

    private static String where(Wanted wanted, Map<String, Object> values) {
        StringBuilder where = new StringBuilder();
        if (wanted.job() != null) {
            where.append(" and j.job_id = :job");
            values.put("job", wanted.job());
        }
        int n = 0;
        for (String word : wanted.find().strip().toLowerCase(Locale.ROOT).split("\\s+")) {
            if (!word.isEmpty() && n < 8) {
                String name = "word" + n++;
                where.append(" and ")
                        .append(TEXT)
                        .append(" like :")
                        .append(name)
                        .append(" escape '!'");
                values.put(
                        name, "%" + word.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%");
            }
        }
        return where.toString();
    }

    private Map<String, Integer> counts(String where, Map<String, Object> values) {
        Map<String, Integer> counts = new LinkedHashMap<>();
        jdbc.sql("select work_group, count(*) as welds from (select " + GROUP + " as work_group" + FROM + where
                        + ") w group by work_group")
                .params(values)
                .query((row, n) -> counts.put(row.getString("work_group"), row.getInt("welds")))
                .list();
        counts.put("all", counts.values().stream().mapToInt(Integer::intValue).sum());
        return counts;
    }

    private static String order(String sort) {
        boolean down = sort.startsWith("-");
        String column = SORTS.get(down ? sort.substring(1) : sort);
        if (column == null) {
            return WELD;
        }
        return column + (down ? " desc nulls last, " : " nulls first, ") + WELD;
    }

    private static Worklist.Line line(ResultSet row) throws SQLException {
        Timestamp welded = row.getTimestamp("welded_at");
        int delay = row.getInt("delay_hours");
        Integer delayHours = row.wasNull() ? null : delay;
        return new Worklist.Line(
                row.getObject("weld_id", UUID.class),
                row.getObject("inspection_id", UUID.class),
                row.getObject("job_id", UUID.class),
                row.getString("lot"),
                row.getString("mark"),
                row.getString("weld_no"),
                row.getString("side"),
                row.getString("in_words"),
                row.getString("position"),
                row.getString("welder"),
                row.getString("wps"),
                row.getString("design"),
                instant(welded),
                delayHours,
                row.getString("stage"),
                row.getString("capacity"),
                row.getInt("cycle"),
                row.getInt("revision"),
                StoredInspection.State.valueOf(row.getString("state")),
                row.getString("verdict"),
                row.getInt("rejects"),
                row.getInt("todos"),
                row.getInt("entry_count"),
                row.getObject("holder", UUID.class));
    }

    private static Instant instant(Timestamp at) {
        return at == null ? null : at.toInstant();
    }

    /** How many welds that nobody began are alike, by job, design and capacity. */
    Map<String, Integer> alike(List<Worklist.Line> rows) {
        List<String> designs = rows.stream()
                .filter(l -> !l.isSigned() && l.entryCount() == 0 && l.cycle() == 0)
                .map(Worklist.Line::design)
                .distinct()
                .toList();
        Map<String, Integer> alike = new HashMap<>();
        if (!designs.isEmpty()) {
            jdbc.sql(
                            "select j.job_id, j.design, i.capacity, count(*) as welds from inspection i join joint j on j.id = i.joint_id"
                                    + " where j.design in (:designs) and i.entry_count = 0 and i.cycle = 0 and i.state <> 'SIGNED'"
                                    + " group by j.job_id, j.design, i.capacity")
                    .param("designs", designs)
                    .query((row, n) -> alike.put(
                            row.getObject("job_id", UUID.class) + row.getString("design") + row.getString("capacity"),
                            row.getInt("welds")))
                    .list();
        }
        return alike;
    }
}
