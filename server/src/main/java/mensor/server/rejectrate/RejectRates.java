package mensor.server.rejectrate;

import jakarta.persistence.EntityManager;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import mensor.cause.CauseClass;
import mensor.rejectrate.Interval;
import mensor.server.rejectrate.RejectRatesView.QuarterRow;
import mensor.server.rejectrate.RejectRatesView.RejectRate;
import mensor.server.rejectrate.RejectRatesView.RejectRateRow;
import mensor.server.rejectrate.RejectRatesView.ShareRow;
import mensor.server.web.Refusal;
import mensor.server.welder.Welders;
import mensor.weld.Named;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What the signed inspections tell of welders, procedures, positions and rods. */
@Service
class RejectRates {
    /** Fewer welds tell too little to be set beside others. */
    static final int ENOUGH = 20;

    private static final double HUNDRED_INCHES = 2540;
    private static final Map<String, String> COLUMNS = Map.of(
            "welder", "t.welder", "procedure", "t.procedure", "position", "t.position", "electrode", "t.electrode");

    private final EntityManager entities;
    private final Welders welders;

    RejectRates(EntityManager entities, Welders welders) {
        this.entities = entities;
        this.welders = welders;
    }

    private record Sums(long welds, double lengthMm, long places) {}

    private static String column(String by) {
        String column = COLUMNS.get(by);
        if (column == null) {
            throw Refusal.invalid("by", "welder, procedure, position or electrode is required, got \"" + by + "\"");
        }
        return column;
    }

    /** All of one kind: those with enough welds by their rate, the highest first; the others after them by name. */
    @Transactional(readOnly = true)
    RejectRatesView by(String by) {
        Map<String, String> names = names(by);
        List<RejectRateRow> rows = new ArrayList<>();
        List<Object[]> found = entities.createQuery(
                        "select " + column(by)
                                + ", count(t), sum(t.lengthMm), sum(t.places) from InspectionTally t group by "
                                + column(by),
                        Object[].class)
                .getResultList();
        for (Object[] r : found) {
            rows.add(row((String) r[0], names, sums(r, 1)));
        }
        rows.sort(Comparator.<RejectRateRow>comparingInt(r -> r.enough() ? 0 : 1)
                .thenComparingDouble(r -> r.enough() ? -r.per100() : 0)
                .thenComparing(r -> String.valueOf(r.key())));
        return new RejectRatesView(by, rows, ENOUGH);
    }

    private Map<String, String> names(String by) {
        Map<String, String> names = new HashMap<>();
        if (by.equals("welder")) {
            welders.all().forEach(w -> names.put(w.form().stamp(), w.form().name()));
        }
        return names;
    }

    private static Sums sums(Object[] r, int from) {
        return new Sums(
                ((Number) r[from]).longValue(),
                ((Number) r[from + 1]).doubleValue(),
                ((Number) r[from + 2]).longValue());
    }

    private static RejectRateRow row(String key, Map<String, String> names, Sums s) {
        double hundreds = s.lengthMm() / HUNDRED_INCHES;
        Interval i = Interval.poisson(s.places(), hundreds);
        return new RejectRateRow(
                key,
                key == null ? null : names.get(key),
                s.welds(),
                s.lengthMm(),
                s.places(),
                s.places() / hundreds,
                i.low(),
                i.high(),
                s.welds() >= ENOUGH);
    }

    /** One of them: which kinds, which causes, and how it went over time. */
    @Transactional(readOnly = true)
    RejectRate one(String by, String key) {
        String where = key == null || key.isEmpty() ? column(by) + " is null" : column(by) + " = :key";
        Object[] all = query(
                        "select count(t), sum(t.lengthMm), sum(t.places) from InspectionTally t where " + where, key)
                .get(0);
        if (((Number) all[0]).longValue() == 0) {
            throw Refusal.notFound("no signed inspection is counted for this " + by);
        }
        Sums sums = sums(all, 0);
        List<Object[]> found = query(
                "select p.trouble, p.cause, sum(p.places) from InspectionTally t join t.troubles p where " + where
                        + " group by p.trouble, p.cause",
                key);
        Map<String, Long> kinds = new HashMap<>();
        Map<String, Long> hand = new HashMap<>();
        Map<String, Long> shop = new HashMap<>();
        for (Object[] r : found) {
            long places = ((Number) r[2]).longValue();
            kinds.merge((String) r[0], places, Long::sum);
            Named.find(CauseClass.class, String.valueOf(r[1]))
                    .ifPresent(c -> (c.isHands() ? hand : shop).merge(c.title(), places, Long::sum));
        }
        return new RejectRate(
                by,
                row(key == null || key.isEmpty() ? null : key, names(by), sums),
                shares(kinds, sums.places()),
                shares(hand, sums.places()),
                shares(shop, sums.places()),
                trend(where, key));
    }

    private List<Object[]> query(String text, String key) {
        var query = entities.createQuery(text, Object[].class);
        if (text.contains(":key")) {
            query.setParameter("key", key);
        }
        return query.getResultList();
    }

    private static List<ShareRow> shares(Map<String, Long> counts, long of) {
        return counts.entrySet().stream()
                .sorted(Map.Entry.<String, Long>comparingByValue().reversed().thenComparing(Map.Entry.comparingByKey()))
                .map(e -> {
                    Interval i = Interval.wilson(e.getValue(), of);
                    return new ShareRow(e.getKey(), e.getValue(), (double) e.getValue() / of, i.low(), i.high());
                })
                .toList();
    }

    /** By quarters of the year, those without an inspection left out. */
    private List<QuarterRow> trend(String where, String key) {
        List<Object[]> found = query(
                "select extract(year from t.signedAt), extract(quarter from t.signedAt), count(t), sum(t.lengthMm), sum(t.places)"
                        + " from InspectionTally t where " + where
                        + " group by extract(year from t.signedAt), extract(quarter from t.signedAt)",
                key);
        Map<LocalDate, QuarterRow> trend = new TreeMap<>();
        for (Object[] r : found) {
            LocalDate from = LocalDate.of(((Number) r[0]).intValue(), ((Number) r[1]).intValue() * 3 - 2, 1);
            Sums s = sums(r, 2);
            double hundreds = s.lengthMm() / HUNDRED_INCHES;
            Interval i = Interval.poisson(s.places(), hundreds);
            trend.put(
                    from,
                    new QuarterRow(
                            from, s.welds(), s.lengthMm(), s.places(), s.places() / hundreds, i.low(), i.high()));
        }
        return List.copyOf(trend.values());
    }
}
