package mensor.server.rejectrate;

import static mensor.server.rejectrate.PlotNumbers.count;
import static mensor.server.rejectrate.PlotNumbers.number;
import static mensor.server.rejectrate.PlotNumbers.percent;
import static mensor.server.rejectrate.PlotNumbers.percents;
import static mensor.server.rejectrate.PlotNumbers.range;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.UUID;
import mensor.rejectrate.EstimateRatio;
import mensor.rejectrate.EstimateRatio.Pair;
import mensor.rejectrate.TimesToClose;
import mensor.rejectrate.TimesToClose.Step;
import mensor.rejectrate.TimesToClose.Time;
import mensor.server.rejectrate.PlotsView.PlotPointView;
import mensor.server.rejectrate.PlotsView.PlotView;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the repairs tell: how long a reject stays open, what a repair takes beside what was estimated. */
@Component
class RepairPlots {
    /** Fewer tell too little. */
    static final int ENOUGH = 10;

    static final String STILL_OPEN = "open";
    private static final int MOST_PAIRS = 400;

    private final JdbcClient jdbc;
    private final Clock clock;

    RepairPlots(JdbcClient jdbc, Clock clock) {
        this.jdbc = jdbc;
        this.clock = clock;
    }

    static String where(PlotScope scope) {
        return " from defect d join joint j on j.id = d.joint_id where true" + scope.where("j", "wps", "d.raised_at");
    }

    /** Whole days begun: what is closed the day it was raised took one. */
    static long days(Instant from, Instant to) {
        return Math.max(1, (long) Math.ceil(Duration.between(from, to).toSeconds() / 86_400.0));
    }

    PlotView days(PlotScope scope) {
        Instant now = clock.instant();
        List<Time> times = jdbc.sql("select d.raised_at, d.closed_at" + where(scope))
                .params(scope.values())
                .query((r, n) -> {
                    Timestamp closed = r.getTimestamp(2);
                    return new Time(
                            days(r.getTimestamp(1).toInstant(), closed == null ? now : closed.toInstant()),
                            closed != null);
                })
                .list();
        TimesToClose k = times.isEmpty() ? new TimesToClose(0, 0, List.of()) : TimesToClose.of(times);
        boolean enough = times.size() >= ENOUGH;
        List<PlotPointView> points = new ArrayList<>();
        for (Step s : k.steps()) {
            String day = String.valueOf((long) s.time());
            points.add(new PlotPointView(
                    day,
                    "day " + day,
                    List.of(
                            day,
                            String.valueOf(s.closed()),
                            String.valueOf(s.atRisk()),
                            percent(s.share()),
                            percents(s.low(), s.high())),
                    100 * s.share(),
                    100 * s.low(),
                    100 * s.high(),
                    null,
                    s.time(),
                    null));
        }
        if (k.open() > 0) {
            double last = k.steps().isEmpty()
                    ? 1
                    : k.steps().get(k.steps().size() - 1).share();
            double longest = times.stream()
                    .filter(t -> !t.closed())
                    .mapToDouble(Time::time)
                    .max()
                    .orElse(0);
            points.add(new PlotPointView(
                    STILL_OPEN,
                    "still open",
                    List.of("still open", "", String.valueOf(k.open()), "", ""),
                    100 * last,
                    null,
                    null,
                    null,
                    Math.max(
                            longest,
                            k.steps().isEmpty()
                                    ? 0
                                    : k.steps().get(k.steps().size() - 1).time()),
                    null));
        }
        return new PlotView(
                Question.DAYS.id(),
                Question.DAYS.words(),
                enough ? half(k) : "Too few to say: " + count(times.size(), "reject") + "; " + ENOUGH + " are asked.",
                enough,
                Question.DAYS.shape(),
                "share still open, %",
                k.median().isPresent() ? k.median().getAsDouble() : null,
                List.of("Day", "Closed", "Open before", "Open after", "95 % interval"),
                points,
                "Days from the reject to the closing, a day begun counts whole. What is open counts for as long as it has been (Kaplan and "
                        + "Meier): left out, the time would look shorter than it is.");
    }

    private static String half(TimesToClose k) {
        String open = k.open() == 0 ? "" : " " + k.open() + (k.open() == 1 ? " is" : " are") + " still open.";
        OptionalDouble median = k.median();
        if (median.isEmpty()) {
            return "More than half are not closed yet: " + k.closed() + " of " + (k.closed() + k.open()) + " are.";
        }
        OptionalDouble high = k.medianHigh();
        return "Half are closed within " + count((long) median.getAsDouble(), "day") + " ("
                + (long) k.medianLow().orElse(median.getAsDouble())
                + (high.isPresent() ? " to " + (long) high.getAsDouble() : " or more") + ")." + open;
    }

    private record Repair(UUID step, String name, double estimated, double actual) {}

    PlotView metal(PlotScope scope) {
        return pairs(
                scope,
                Question.METAL,
                "m.estimated_grams",
                "m.grams",
                1,
                "g",
                "Estimated from the cavity and its run-outs; true from the rods that were counted and what one leaves behind.");
    }

    PlotView hours(PlotScope scope) {
        return pairs(
                scope,
                Question.HOURS,
                "m.estimated_minutes",
                "m.minutes",
                60,
                "h",
                "Across: the arc time that was estimated. Up: the hours of work that were noted, gouging, tests and waiting hands-on included; "
                        + "they are more by nature, the ratio says how much.");
    }

    private PlotView pairs(
            PlotScope scope, Question q, String estimated, String actual, double per, String unit, String note) {
        List<Repair> repairs = jdbc.sql("select m.step_id, d.number, j.mark, " + estimated + ", " + actual
                        + where(scope).replace(" where ", " join repair_metal m on m.defect_id = d.id where ")
                        + " and " + estimated + " > 0 and " + actual + " > 0 order by d.raised_at desc, m.step_id")
                .params(scope.values())
                .query((r, n) -> new Repair(
                        r.getObject(1, UUID.class),
                        "NC-" + r.getInt(2) + ", " + r.getString(3),
                        r.getDouble(4) / per,
                        r.getDouble(5) / per))
                .list();
        boolean enough = repairs.size() >= ENOUGH;
        String answer = "Too few to say: " + count(repairs.size(), "repair") + " with both; " + ENOUGH + " are asked.";
        Double middle = null;
        if (!repairs.isEmpty()) {
            EstimateRatio ratio = EstimateRatio.of(repairs.stream()
                    .map(r -> new Pair(r.estimated(), r.actual()))
                    .toList());
            middle = ratio.ratio();
            answer = enough
                    ? number(ratio.ratio()) + " times as much as estimated"
                            + ratio.interval().map(i -> " (" + range(i) + ")").orElse("") + ", in "
                            + count(ratio.pairs(), "repair") + ": " + number(ratio.actual()) + " " + unit + " for "
                            + number(ratio.estimated()) + " " + unit + "."
                    : answer;
        }
        return new PlotView(
                q.id(),
                q.words(),
                answer,
                enough,
                q.shape(),
                unit,
                middle,
                List.of("Repair", "Estimated, " + unit, "True, " + unit, "Ratio"),
                repairs.stream()
                        .limit(MOST_PAIRS)
                        .map(r -> new PlotPointView(
                                r.step().toString(),
                                r.name(),
                                List.of(
                                        r.name(),
                                        number(r.estimated()),
                                        number(r.actual()),
                                        number(r.actual() / r.estimated())),
                                r.actual(),
                                null,
                                null,
                                null,
                                r.estimated(),
                                null))
                        .toList(),
                note + " The mean ratio is geometric, with Student's interval on the logarithms"
                        + (repairs.size() > MOST_PAIRS ? "; the newest " + MOST_PAIRS + " are drawn." : "."));
    }
}
