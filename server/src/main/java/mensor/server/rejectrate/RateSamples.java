package mensor.server.rejectrate;

import java.time.LocalDate;
import java.time.YearMonth;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.function.Function;
import mensor.inspection.Verdict;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/**
 * The first looks in the order in which they were signed, gathered: by month where there are three of them, else by day, else ten welds at a time.
 */
@Component
class RateSamples {
    /** Fewer samples show no change. */
    static final int LEAST = 3;

    static final int TEN = 10;
    static final String TENS = "ten-";
    static final String ORDER = "t.signed_at, t.inspection_id";

    private static final double HUNDRED_INCHES = 2540;
    private static final DateTimeFormatter MONTH = DateTimeFormatter.ofPattern("MMM yyyy", Locale.US);
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("MMM d, yyyy", Locale.US);
    private static final String SUMS = " count(*), sum(t.length_mm), sum(t.places), sum(case when i.verdict = '"
            + Verdict.ACCEPT.id() + "' then 1 else 0 end)";
    private static final String FROM = " from inspection_tally t join joint j on j.id = t.joint_id"
            + " join inspection i on i.id = t.inspection_id where true";

    private final JdbcClient jdbc;

    RateSamples(JdbcClient jdbc) {
        this.jdbc = jdbc;
    }

    /** @param what a sample is: a month, a day, ten welds */
    record Gathered(String what, List<Sample> samples) {
        long welds() {
            return samples.stream().mapToLong(Sample::welds).sum();
        }

        boolean enough() {
            return welds() >= RejectRates.ENOUGH && samples.size() >= LEAST;
        }
    }

    /** @param key by which its welds are asked for */
    record Sample(String key, String name, long welds, double hundreds, long places, long accepted) {
        private Sample and(Sample other) {
            return new Sample(
                    key,
                    name,
                    welds + other.welds,
                    hundreds + other.hundreds,
                    places + other.places,
                    accepted + other.accepted);
        }
    }

    static String where(PlotScope scope) {
        return scope.where("t", "procedure", "t.signed_at");
    }

    Gathered of(PlotScope scope) {
        record Day(LocalDate day, Sample sums) {}
        String day = "cast(t.signed_at at time zone 'UTC' as date)";
        List<Day> days = jdbc.sql(
                        "select " + day + "," + SUMS + FROM + where(scope) + " group by " + day + " order by 1")
                .params(scope.values())
                .query((r, n) -> new Day(
                        r.getObject(1, LocalDate.class),
                        new Sample("", "", r.getLong(2), r.getDouble(3) / HUNDRED_INCHES, r.getLong(4), r.getLong(5))))
                .list();
        if (days.stream().map(d -> YearMonth.from(d.day())).distinct().count() >= LEAST) {
            return new Gathered(
                    "month",
                    merged(
                            days,
                            d -> YearMonth.from(d.day()).toString(),
                            d -> d.day().format(MONTH),
                            Day::sums));
        }
        if (days.size() >= LEAST) {
            return new Gathered(
                    "day", merged(days, d -> d.day().toString(), d -> d.day().format(DAY), Day::sums));
        }
        return new Gathered("ten welds", tens(scope));
    }

    private static <T> List<Sample> merged(
            List<T> parts, Function<T, String> key, Function<T, String> name, Function<T, Sample> sums) {
        Map<String, Sample> merged = new LinkedHashMap<>();
        for (T part : parts) {
            Sample s = sums.apply(part);
            Sample named =
                    new Sample(key.apply(part), name.apply(part), s.welds(), s.hundreds(), s.places(), s.accepted());
            merged.merge(named.key(), named, Sample::and);
        }
        return List.copyOf(merged.values());
    }

    private List<Sample> tens(PlotScope scope) {
        List<Sample> each = jdbc.sql("select 1, t.length_mm, t.places, case when i.verdict = '" + Verdict.ACCEPT.id()
                        + "' then 1 else 0 end" + FROM + where(scope) + " order by " + ORDER)
                .params(scope.values())
                .query((r, n) -> new Sample("", "", 1, r.getDouble(2) / HUNDRED_INCHES, r.getLong(3), r.getLong(4)))
                .list();
        List<Sample> tens = new ArrayList<>();
        for (int i = 0; i < each.size(); i += TEN) {
            int to = Math.min(each.size(), i + TEN);
            String key = TENS + i / TEN;
            String name = "welds " + (i + 1) + " to " + to;
            tens.add(each.subList(i, to).stream().reduce(new Sample(key, name, 0, 0, 0, 0), Sample::and));
        }
        return tens;
    }
}
