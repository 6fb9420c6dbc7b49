package mensor.server.inspection;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
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
import java.util.Set;
import java.util.UUID;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * Asks the database for a page of the worklist: found, sorted and cut there from what {@link WorklistRows} keeps, so that a
 * hundred thousand welds cost no more than their first rows.
 */
@Component
class WorklistQuery {
    private static final Map<String, String> SORTS = Map.of(
            "job", "job",
            "lot", "lot",
            "mark", "mark",
            "inWords", "in_words",
            "position", "position",
            "welder", "welder",
            "wps", "wps",
            "stage", "stage",
            "verdict", "verdict",
            "next", "work_group");

    private static final int REMEMBERED = 500;

    /** How many there are in each group, and how many are alike: asked anew once a weld came or went elsewhere. */
    private final Cache<List<Object>, Map<String, Integer>> counts =
            Caffeine.newBuilder().maximumSize(REMEMBERED).build();

    private final JdbcClient jdbc;
    private final WorklistWatch watch;

    WorklistQuery(JdbcClient jdbc, WorklistWatch watch) {
        this.jdbc = jdbc;
        this.watch = watch;
    }

    /**
     * What is wanted of the list.
     *
     * @param signedOnly of each weld the newest signed inspection, as a viewer sees it
     * @param find each of its words stands somewhere in the weld's mark, number, welder, procedure, lot, job or description
     * @param job a job's name; all jobs where it is empty
     * @param sort a column, by the order of the work where it is empty; with "-" before it the other way round
     */
    record Wanted(boolean signedOnly, String find, String group, String job, String sort, int from, int size) {}

    /** The rows of a page with their group, and how many fit in each group. */
    record Found(List<Worklist.Line> rows, Map<UUID, String> groups, Map<String, Integer> counts) {}

    Found find(Wanted wanted) {
        Map<String, Object> values = new HashMap<>();
        String where = where(wanted, values);
        Map<String, Integer> inGroups = counts(wanted, where, values);
        boolean oneGroup = !wanted.group().equals("all");
        values.put("group", wanted.group());
        values.put("from", Math.max(0, wanted.from()));
        values.put("size", Math.min(Math.max(1, wanted.size()), 500));
        Map<UUID, String> groups = new LinkedHashMap<>();
        jdbc.sql("select inspection_id, work_group from worklist_row" + where
                        + (oneGroup ? " and work_group = :group" : "") + " order by " + order(wanted, oneGroup)
                        + " offset :from rows fetch next :size rows only")
                .params(values)
                .query((row, n) -> groups.put(row.getObject(1, UUID.class), row.getString(2)))
                .list();
        return new Found(groups.isEmpty() ? List.of() : lines(groups.keySet()), groups, inGroups);
    }

    /** What is shown of a few inspections, in the order in which they are asked for. */
    private List<Worklist.Line> lines(Set<UUID> ids) {
        Map<UUID, Worklist.Line> byId = new HashMap<>();
        jdbc.sql("select i.id as inspection_id, j.id as weld_id, j.job_id, j.lot, j.mark, j.weld_no, j.side,"
                        + " j.in_words, j.position, j.welder, j.wps, j.design, j.welded_at, j.delay_hours, i.stage, i.capacity,"
                        + " i.cycle, i.revision, i.state, i.verdict, i.rejects, i.todos, i.entry_count, i.holder"
                        + " from inspection i join joint j on j.id = i.joint_id where i.id in (:ids)")
                .param("ids", ids)
                .query((row, n) -> {
                    Worklist.Line line = line(row);
                    return byId.put(line.inspectionId(), line);
                })
                .list();
        return ids.stream().map(byId::get).toList();
    }

    private static String where(Wanted wanted, Map<String, Object> values) {
        StringBuilder where = new StringBuilder(" where ").append(seen(wanted)).append(" = true");
        if (!wanted.job().isEmpty()) {
            List<String> range = WorklistRows.rangeOf(wanted.job());
            where.append(" and work_order > :first and work_order < :last");
            values.put("first", range.get(0));
            values.put("last", range.get(1));
        }
        int n = 0;
        for (String word : wanted.find().strip().toLowerCase(Locale.ROOT).split("\\s+")) {
            if (!word.isEmpty() && n < 8) {
                String name = "word" + n++;
                where.append(" and words like :").append(name).append(" escape '!'");
                values.put(
                        name, "%" + word.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%");
            }
        }
        return where.toString();
    }

    private static String seen(Wanted wanted) {
        return wanted.signedOnly() ? "newest_signed" : "newest";
    }

    private Map<String, Integer> counts(Wanted wanted, String where, Map<String, Object> values) {
        String places = watch.places(); // before the database is asked: what comes meanwhile is asked for the next time
        return counts.get(List.of(places, wanted.signedOnly(), wanted.find(), wanted.job()), key -> {
            Map<String, Integer> inGroups = new LinkedHashMap<>();
            jdbc.sql("select work_group, count(*) as welds from worklist_row" + where + " group by work_group")
                    .params(values)
                    .query((row, n) -> inGroups.put(row.getString("work_group"), row.getInt("welds")))
                    .list();
            inGroups.put(
                    "all",
                    inGroups.values().stream().mapToInt(Integer::intValue).sum());
            return inGroups;
        });
    }

    /** Named as the indexes are, so that the first rows are read from one and no more. */
    private static String order(Wanted wanted, boolean oneGroup) {
        boolean down = wanted.sort().startsWith("-");
        String column = SORTS.get(down ? wanted.sort().substring(1) : wanted.sort());
        if (column == null) {
            return seen(wanted) + (oneGroup || wanted.signedOnly() ? ", work_group" : "") + ", work_order";
        }
        return column + (down ? " desc nulls last, " : " nulls first, ") + "work_order";
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
        String places = watch.places();
        Map<String, Integer> alike = new HashMap<>();
        List<String> ask = new ArrayList<>();
        rows.stream()
                .filter(l -> !l.isSigned() && l.entryCount() == 0 && l.cycle() == 0)
                .map(Worklist.Line::alike)
                .distinct()
                .forEach(one -> {
                    Map<String, Integer> known = counts.getIfPresent(List.of(places, one));
                    if (known == null) {
                        ask.add(one);
                    } else {
                        alike.putAll(known);
                    }
                });
        if (!ask.isEmpty()) {
            jdbc.sql("select alike, count(*) as welds from worklist_row where alike in (:alike) group by alike")
                    .param("alike", ask)
                    .query((row, n) -> alike.put(row.getString("alike"), row.getInt("welds")))
                    .list();
            ask.forEach(one -> counts.put(List.of(places, one), Map.of(one, alike.getOrDefault(one, 0))));
        }
        return alike;
    }
}
