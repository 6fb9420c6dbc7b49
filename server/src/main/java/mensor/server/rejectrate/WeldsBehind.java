package mensor.server.rejectrate;

import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Clock;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.LocalDate;
import java.time.YearMonth;
import java.time.ZoneOffset;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import mensor.inspection.Verdict;
import mensor.server.people.Actor;
import mensor.server.rejectrate.PlotsView.PlotWeldView;
import mensor.server.testpiece.PieceView.TestedPiece;
import mensor.server.testpiece.Pieces;
import mensor.server.web.Refusal;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** The welds behind a point of a plot. */
@Component
class WeldsBehind {
    private static final int MOST = 200;
    private static final String JOB = " join job b on b.id = j.job_id";
    private static final String TALLIES = " from inspection_tally t join joint j on j.id = t.joint_id" + JOB;

    private final JdbcClient jdbc;
    private final Pieces pieces;
    private final Clock clock;

    WeldsBehind(JdbcClient jdbc, Pieces pieces, Clock clock) {
        this.jdbc = jdbc;
        this.pieces = pieces;
        this.clock = clock;
    }

    PlotsView.PlotWelds behind(Actor actor, PlotScope scope, Question q, String key) {
        Map<String, Object> values = scope.values();
        return switch (q) {
            case RATE -> looks(scope, "t.places > 0" + inSample(scope, key, values), values);
            case FIRST_LOOK -> {
                values.put("accept", Verdict.ACCEPT.id());
                yield looks(
                        scope,
                        "exists (select 1 from inspection i where i.id = t.inspection_id and i.verdict <> :accept)"
                                + inSample(scope, key, values),
                        values);
            }
            case POSITIONS -> {
                int bar = key.indexOf('|');
                if (bar < 0) {
                    throw unknown(key);
                }
                yield looks(
                        scope,
                        "t.places > 0 and " + same("t.position", "position", key.substring(0, bar), values) + " and "
                                + same("t.electrode", "electrode", key.substring(bar + 1), values),
                        values);
            }
            case KINDS -> looks(scope, ofPlaces(same("p.trouble", "trouble", key, values)), values);
            case CAUSES -> looks(scope, ofPlaces(same("p.cause", "cause", key, values)), values);
            case DAYS -> rejects(scope, key, values);
            case METAL, HOURS -> repairs(scope, key, values);
            case EYE -> tested(actor);
        };
    }

    private static Refusal unknown(String key) {
        return Refusal.invalid("key", "\"" + key + "\" is no point of this plot");
    }

    private static String same(String column, String name, String key, Map<String, Object> values) {
        if (key.isEmpty()) {
            return column + " is null";
        }
        values.put(name, key);
        return column + " = :" + name;
    }

    private static String ofPlaces(String which) {
        return "exists (select 1 from place_tally p where p.inspection_id = t.inspection_id and " + which + ")";
    }

    /** Of a month, of a day, or of ten welds in the order in which they were signed. */
    private static String inSample(PlotScope scope, String key, Map<String, Object> values) {
        if (key.matches(RateSamples.TENS + "\\d{1,6}")) {
            long first = Long.parseLong(key.substring(RateSamples.TENS.length())) * RateSamples.TEN;
            values.put("first", first);
            values.put("last", first + RateSamples.TEN);
            return " and t.inspection_id in (select x.inspection_id from (select t.inspection_id, row_number() over (order by "
                    + RateSamples.ORDER + ") as place"
                    + " from inspection_tally t join joint j on j.id = t.joint_id where true"
                    + RateSamples.where(scope) + ") x where x.place > :first and x.place <= :last)";
        }
        try {
            boolean day = key.length() > "2026-03".length();
            LocalDate from = day ? LocalDate.parse(key) : YearMonth.parse(key).atDay(1);
            LocalDate to = day ? from.plusDays(1) : from.plusMonths(1);
            values.put("start", from.atStartOfDay().atOffset(ZoneOffset.UTC));
            values.put("end", to.atStartOfDay().atOffset(ZoneOffset.UTC));
            return " and t.signed_at >= :start and t.signed_at < :end";
        } catch (DateTimeException e) {
            throw unknown(key);
        }
    }

    private PlotsView.PlotWelds looks(PlotScope scope, String which, Map<String, Object> values) {
        String from = TALLIES + " where " + which + scope.where("t", "procedure", "t.signed_at");
        return page(
                "t.inspection_id, j.mark, j.lot, b.name, t.signed_at, t.places" + from
                        + " order by t.signed_at desc, j.mark",
                from,
                values,
                r -> r.getInt(6) == 0 ? "no place traced" : PlotNumbers.count(r.getInt(6), "rejected place"));
    }

    /** Of a day the rejects that were closed on it; else those that are open. */
    private PlotsView.PlotWelds rejects(PlotScope scope, String key, Map<String, Object> values) {
        boolean open = key.equals(RepairPlots.STILL_OPEN);
        if (!open && !key.matches("\\d{1,6}")) {
            throw unknown(key);
        }
        record Reject(PlotWeldView weld, long days) {}
        Instant now = clock.instant();
        List<Reject> all = jdbc.sql(
                        "select d.inspection_id, j.mark, j.lot, b.name, d.raised_at, d.closed_at, d.number, d.words"
                                + RepairPlots.where(scope).replace(" where ", JOB + " where ")
                                + " and d.closed_at is " + (open ? "null" : "not null")
                                + " order by d.raised_at desc, d.number")
                .params(values)
                .query((r, n) -> {
                    Instant end = open ? now : r.getTimestamp(6).toInstant();
                    long days = RepairPlots.days(r.getTimestamp(5).toInstant(), end);
                    return new Reject(
                            weld(
                                    r,
                                    "NC-" + r.getInt(7) + ", " + r.getString(8)
                                            + (open ? ": open for " : ": closed after ")
                                            + PlotNumbers.count(days, "day")),
                            days);
                })
                .list();
        List<PlotWeldView> welds = all.stream()
                .filter(r -> open || r.days() == Long.parseLong(key))
                .map(Reject::weld)
                .toList();
        return new PlotsView.PlotWelds(key, welds.stream().limit(MOST).toList(), welds.size());
    }

    private PlotsView.PlotWelds repairs(PlotScope scope, String key, Map<String, Object> values) {
        try {
            values.put("step", UUID.fromString(key));
        } catch (IllegalArgumentException e) {
            throw unknown(key);
        }
        String from =
                RepairPlots.where(scope).replace(" where ", JOB + " join repair_metal m on m.defect_id = d.id where ")
                        + " and m.step_id = :step";
        return page(
                "d.inspection_id, j.mark, j.lot, b.name, d.raised_at, d.number, d.words" + from,
                from,
                values,
                r -> "NC-" + r.getInt(6) + ", " + r.getString(7));
    }

    private PlotsView.PlotWelds tested(Actor actor) {
        List<PlotWeldView> welds = pieces.againstTheEye(actor).stream()
                .filter(TestedPiece::broke)
                .map(p -> new PlotWeldView(
                        p.inspectionId(),
                        p.pieceId(),
                        p.title(),
                        null,
                        p.by(),
                        null,
                        "accepted by eye, rejected by its specimens"))
                .toList();
        return new PlotsView.PlotWelds("", welds.stream().limit(MOST).toList(), welds.size());
    }

    private interface Said {
        String of(ResultSet row) throws SQLException;
    }

    private PlotsView.PlotWelds page(String what, String from, Map<String, Object> values, Said said) {
        return new PlotsView.PlotWelds(
                "",
                jdbc.sql("select " + what + " fetch first " + MOST + " rows only")
                        .params(values)
                        .query((r, n) -> weld(r, said.of(r)))
                        .list(),
                jdbc.sql("select count(*)" + from)
                        .params(new HashMap<>(values))
                        .query(Long.class)
                        .single());
    }

    /** The first five columns: inspection, mark, lot, job, when. */
    private static PlotWeldView weld(ResultSet r, String said) throws SQLException {
        return new PlotWeldView(
                r.getObject(1, UUID.class),
                null,
                r.getString(2),
                r.getString(3),
                r.getString(4),
                r.getTimestamp(5).toInstant(),
                said);
    }
}
