package mensor.server.repair;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import mensor.repair.Disposition;
import mensor.repair.HoldKind;
import mensor.repair.RepairState;
import mensor.server.repair.DefectsView.DefectRow;
import mensor.server.repair.DefectsView.WaitingView;
import mensor.server.web.Refusal;
import mensor.weld.Named;
import org.springframework.jdbc.core.RowMapper;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** The shop's list of repairs and of what waits for the Engineer: found, sorted and cut by the database. */
@Component
class RepairsList {
    private static final String OF_WELDS =
            " from defect d join joint j on j.id = d.joint_id join job b on b.id = d.job_id";
    private static final String REJECTED = OF_WELDS;
    private static final String WAITING =
            OF_WELDS + " join repair_hold h on h.defect_id = d.id and h.released_at is null and h.dropped = false";
    private static final String ON_HOLD =
            "exists (select 1 from repair_hold h where h.defect_id = d.id and h.released_at is null and h.dropped = false)";
    private static final String WORDS =
            "lower('nc-' || d.number || ' ' || j.mark || ' ' || coalesce(j.lot, '') || ' ' || b.name || ' ' || d.words)";

    /** Of either list; what only one of them has is no order of the other. */
    private static final Map<String, String> SORTS = Map.of(
            "weld", "j.mark",
            "job", "b.name",
            "lot", "j.lot",
            "what", "d.words",
            "disposition", "d.disposition",
            "state", "d.state",
            "no", "d.number");

    private static final int MOST = 500;

    private final JdbcClient jdbc;

    RepairsList(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /**
     * What is wanted of the lists.
     *
     * @param job all of this job, closed ones too; absent is all that is not closed
     * @param find each of its words stands somewhere in number, mark, lot, job or what was rejected
     * @param where where the rejected places stand: {@code undecided}, {@code hold}, a state of the repair; empty is anywhere
     * @param sort a column's name, with "-" before it the other way round
     */
    record Wanted(UUID job, String find, String where, String sort, int from, int size) {}

    /** A page of both lists, with how many fit in each. */
    @Transactional(readOnly = true)
    public DefectsView.RepairsPage page(Wanted wanted) {
        Map<String, Object> values = new HashMap<>();
        String found = found(wanted, values);
        String rejected = " where " + (wanted.job() == null ? "d.state <> '" + RepairState.CLOSED.id() + "'" : "true")
                + found + standing(wanted.where(), values);
        String waiting = " where true" + found;
        return new DefectsView.RepairsPage(
                rows(
                        "d.id, d.inspection_id, d.number, b.name, d.job_id, j.lot, j.mark, d.words, d.disposition, d.state,"
                                + " d.cycle, d.raised_at, " + ON_HOLD + " as on_hold" + REJECTED + rejected,
                        order(wanted.sort(), "b.name, d.number", "d.raised_at"),
                        wanted,
                        values,
                        (r, n) -> defect(r)),
                rows(
                        "d.id, d.inspection_id, d.number, b.name, j.mark, d.words, h.kind, h.raised_at" + WAITING
                                + waiting,
                        order(wanted.sort(), "h.raised_at, h.id", "h.raised_at"),
                        wanted,
                        values,
                        (r, n) -> waiting(r)),
                count(REJECTED + rejected, values),
                count(WAITING + waiting, values));
    }

    private static String found(Wanted wanted, Map<String, Object> values) {
        StringBuilder where = new StringBuilder();
        if (wanted.job() != null) {
            where.append(" and d.job_id = :job");
            values.put("job", wanted.job());
        }
        int n = 0;
        for (String word : wanted.find().strip().toLowerCase(Locale.ROOT).split("\\s+")) {
            if (!word.isEmpty() && n < 8) {
                String name = "word" + n++;
                where.append(" and ")
                        .append(WORDS)
                        .append(" like :")
                        .append(name)
                        .append(" escape '!'");
                values.put(
                        name, "%" + word.replace("!", "!!").replace("%", "!%").replace("_", "!_") + "%");
            }
        }
        return where.toString();
    }

    private static String standing(String where, Map<String, Object> values) {
        return switch (where) {
            case "" -> "";
            case "undecided" -> " and d.disposition is null";
            case "hold" -> " and " + ON_HOLD;
            default -> {
                values.put(
                        "state",
                        Named.find(RepairState.class, where)
                                .map(RepairState::id)
                                .orElseThrow(() -> Refusal.invalid(
                                        "where",
                                        "undecided, hold or one of " + Named.list(RepairState.class)
                                                + " is required, got \"" + where + "\"")));
                yield " and d.state = :state";
            }
        };
    }

    private static String order(String sort, String usual, String since) {
        boolean down = sort.startsWith("-");
        String name = down ? sort.substring(1) : sort;
        String column = name.equals("since") ? since : SORTS.get(name);
        return column == null ? usual : column + (down ? " desc nulls last, " : " nulls first, ") + usual;
    }

    private <T> List<T> rows(String what, String order, Wanted wanted, Map<String, Object> values, RowMapper<T> row) {
        return jdbc.sql("select " + what + " order by " + order + " offset :from rows fetch next :size rows only")
                .params(values)
                .param("from", Math.max(0, wanted.from()))
                .param("size", Math.min(Math.max(1, wanted.size()), MOST))
                .query(row)
                .list();
    }

    private int count(String from, Map<String, Object> values) {
        return jdbc.sql("select count(*)" + from)
                .params(values)
                .query(Integer.class)
                .single();
    }

    private static DefectRow defect(ResultSet r) throws SQLException {
        RepairState state = Named.find(RepairState.class, r.getString("state")).orElseThrow();
        String disposition = r.getString("disposition");
        return new DefectRow(
                r.getObject("id", UUID.class),
                r.getObject("inspection_id", UUID.class),
                DefectEntity.numbered(r.getInt("number")),
                r.getString("name"),
                r.getObject("job_id", UUID.class),
                r.getString("lot"),
                r.getString("mark"),
                r.getString("words"),
                disposition == null
                        ? null
                        : Named.find(Disposition.class, disposition)
                                .orElseThrow()
                                .title(),
                state.id(),
                state.title(),
                r.getInt("cycle"),
                r.getBoolean("on_hold"),
                r.getTimestamp("raised_at").toInstant());
    }

    private static WaitingView waiting(ResultSet r) throws SQLException {
        HoldKind kind = Named.find(HoldKind.class, r.getString("kind")).orElseThrow();
        return new WaitingView(
                r.getObject("id", UUID.class),
                r.getObject("inspection_id", UUID.class),
                DefectEntity.numbered(r.getInt("number")),
                r.getString("name"),
                r.getString("mark"),
                r.getString("words"),
                kind.id(),
                kind.words(),
                kind.mayBeDenied(),
                r.getTimestamp("raised_at").toInstant());
    }
}
