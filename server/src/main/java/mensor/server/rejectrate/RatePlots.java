package mensor.server.rejectrate;

import static mensor.server.rejectrate.PlotNumbers.count;
import static mensor.server.rejectrate.PlotNumbers.number;
import static mensor.server.rejectrate.PlotNumbers.percent;
import static mensor.server.rejectrate.PlotNumbers.percents;
import static mensor.server.rejectrate.PlotNumbers.range;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.stream.Collectors;
import mensor.cause.CauseClass;
import mensor.rejectrate.CountChart;
import mensor.rejectrate.Interval;
import mensor.rejectrate.Pareto;
import mensor.server.rejectrate.PlotsView.Mark;
import mensor.server.rejectrate.PlotsView.PlotPointView;
import mensor.server.rejectrate.PlotsView.PlotView;
import mensor.server.rejectrate.RateSamples.Gathered;
import mensor.server.rejectrate.RateSamples.Sample;
import mensor.weld.Named;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.stereotype.Component;

/** What the first looks at the welds tell: rates over time, kinds, causes, positions and rods. */
@Component
class RatePlots {
    private static final double HUNDRED_INCHES = 2540;
    private static final String TALLIES = " from inspection_tally t join joint j on j.id = t.joint_id";
    private static final String NOT_RECORDED = "not recorded";
    private static final String NOT_TRACED = "not traced";

    private final JdbcClient jdbc;
    private final RateSamples samples;

    RatePlots(JdbcClient jdbc, RateSamples samples) {
        this.jdbc = jdbc;
        this.samples = samples;
    }

    private static String where(PlotScope scope) {
        return " where true" + RateSamples.where(scope);
    }

    /** A u-chart over the length that was inspected. */
    PlotView rate(PlotScope scope) {
        Gathered g = samples.of(scope);
        CountChart chart = g.samples().isEmpty()
                ? new CountChart(0, List.of())
                : CountChart.of(g.samples().stream()
                        .map(s -> new CountChart.Sample((int) s.places(), s.hundreds()))
                        .toList());
        List<PlotPointView> points = new ArrayList<>();
        for (int i = 0; i < g.samples().size(); i++) {
            Sample s = g.samples().get(i);
            CountChart.Point p = chart.points().get(i);
            points.add(new PlotPointView(
                    s.key(),
                    s.name(),
                    List.of(
                            s.name(),
                            String.valueOf(s.welds()),
                            String.valueOf(s.places()),
                            number(100 * s.hundreds()),
                            number(p.rate()),
                            number(p.low()) + " to " + number(p.high())),
                    p.rate(),
                    p.low(),
                    p.high(),
                    null,
                    null,
                    p.out() ? Mark.OUT : p.run() ? Mark.RUN : null));
        }
        return new PlotView(
                Question.RATE.id(),
                Question.RATE.words(),
                g.enough() ? changed(g, chart) : tooFew(g),
                g.enough(),
                Question.RATE.shape(),
                "rejected places per 100 in",
                g.samples().isEmpty() ? null : chart.mean(),
                List.of("When", "Welds", "Places", "Inches", "per 100 in", "Limits"),
                points,
                "A u-chart, a point for each " + g.what()
                        + ": the limits lie three standard deviations of a Poisson count from the mean, wider where less was inspected. "
                        + "Eight in a row on one side are marked too. A steady shop is beyond them about once in 370 points.");
    }

    private static String tooFew(Gathered g) {
        return "Too few to say: " + count(g.welds(), "weld") + "; " + RejectRates.ENOUGH + " are asked.";
    }

    private static String changed(Gathered g, CountChart chart) {
        List<String> out = new ArrayList<>();
        int run = 0;
        for (int i = 0; i < chart.points().size(); i++) {
            CountChart.Point p = chart.points().get(i);
            if (p.out()) {
                out.add(g.samples().get(i).name() + (p.rate() > p.high() ? " over" : " under") + " its limits ("
                        + number(p.rate()) + " per 100 in)");
            }
            run += p.run() ? 1 : 0;
        }
        if (run > 0) {
            out.add(run + " in a row on one side of the mean");
        }
        return out.isEmpty()
                ? "No: all lies within what chance gives around " + number(chart.mean()) + " per 100 in."
                : "Yes: " + String.join("; ", out.subList(0, Math.min(3, out.size())))
                        + (out.size() > 3 ? "; and more" : "") + ". Look for what changed then.";
    }

    PlotView kinds(PlotScope scope) {
        Pareto p = counted(scope, "p.trouble");
        return pareto(Question.KINDS, p, Map.of(), "Kind", said(p, Map.of()));
    }

    /** By the cause that led at each place; the hand's and the shop's side by side. */
    PlotView causes(PlotScope scope) {
        Pareto p = counted(scope, "p.cause");
        Map<String, String> names = p.bars().stream()
                .collect(Collectors.toMap(
                        Pareto.Bar::name,
                        b -> Named.find(CauseClass.class, b.name())
                                .map(c -> c.title() + (c.isHands() ? " (hand)" : " (shop)"))
                                .orElse(NOT_TRACED)));
        return pareto(Question.CAUSES, p, names, "Leading cause", said(p, names));
    }

    private Pareto counted(PlotScope scope, String what) {
        Map<String, Long> counts = new HashMap<>();
        jdbc.sql("select " + what + ", sum(p.places)" + TALLIES
                        + " join place_tally p on p.inspection_id = t.inspection_id" + where(scope) + " group by "
                        + what)
                .params(scope.values())
                .query(r -> {
                    counts.merge(Objects.requireNonNullElse(r.getString(1), ""), r.getLong(2), Long::sum);
                });
        return Pareto.of(counts);
    }

    private static String said(Pareto p, Map<String, String> names) {
        if (p.total() < RejectRates.ENOUGH) {
            return "Too few to say: " + count(p.total(), "rejected place") + "; " + RejectRates.ENOUGH + " are asked.";
        }
        List<String> few = p.few().stream()
                .map(b -> names.getOrDefault(b.name(), b.name()))
                .toList();
        return few.size() > 4
                ? "Many: it takes " + few.size() + " to make four fifths of " + p.total() + " places."
                : joined(few) + ": "
                        + percent(p.bars().get(few.size() - 1).cumulative()) + " of " + p.total() + " places."
                        + (p.firstStandsOut()
                                ? " " + few.get(0) + " leads by more than chance."
                                : " That " + few.get(0) + " leads may be chance.");
    }

    private static String joined(List<String> names) {
        String all = names.size() == 1
                ? names.get(0)
                : String.join(", ", names.subList(0, names.size() - 1)) + " and " + names.get(names.size() - 1);
        return all.substring(0, 1).toUpperCase(Locale.US) + all.substring(1);
    }

    private static PlotView pareto(Question q, Pareto p, Map<String, String> names, String title, String answer) {
        return new PlotView(
                q.id(),
                q.words(),
                answer,
                p.total() >= RejectRates.ENOUGH,
                q.shape(),
                "rejected places",
                null,
                List.of(title, "Places", "Share", "95 % interval", "Down to it"),
                p.bars().stream()
                        .map(b -> new PlotPointView(
                                b.name(),
                                names.getOrDefault(b.name(), b.name()),
                                List.of(
                                        names.getOrDefault(b.name(), b.name()),
                                        String.valueOf(b.count()),
                                        percent(b.share()),
                                        percents(
                                                b.interval().low(), b.interval().high()),
                                        percent(b.cumulative())),
                                b.count(),
                                p.total() * b.interval().low(),
                                p.total() * b.interval().high(),
                                b.cumulative(),
                                null,
                                null))
                        .toList(),
                q == Question.CAUSES
                        ? "The cause that leads at each place comes from a ranking, not from proof. Shares with Wilson's interval."
                        : "Places as they were rejected at the first look; shares with Wilson's interval.");
    }

    private record Cell(String key, String name, long welds, double hundreds, long places) {
        Interval interval() {
            return Interval.poisson(places, hundreds);
        }

        boolean enough() {
            return welds >= RejectRates.ENOUGH;
        }
    }

    /** Each combination's rate with its interval, the highest first. */
    PlotView positions(PlotScope scope) {
        List<Cell> cells = jdbc
                .sql("select t.position, t.electrode, count(*), sum(t.length_mm), sum(t.places)" + TALLIES
                        + where(scope) + " group by t.position, t.electrode")
                .params(scope.values())
                .query((r, n) -> new Cell(
                        Objects.requireNonNullElse(r.getString(1), "") + "|"
                                + Objects.requireNonNullElse(r.getString(2), ""),
                        Objects.requireNonNullElse(r.getString(1), NOT_RECORDED) + ", "
                                + Objects.requireNonNullElse(r.getString(2), NOT_RECORDED),
                        r.getLong(3),
                        r.getDouble(4) / HUNDRED_INCHES,
                        r.getLong(5)))
                .list()
                .stream()
                .sorted((a, b) -> a.enough() != b.enough()
                        ? (a.enough() ? -1 : 1)
                        : Double.compare(b.places() / b.hundreds(), a.places() / a.hundreds()))
                .toList();
        double mean = cells.stream().mapToLong(Cell::places).sum()
                / Math.max(1e-9, cells.stream().mapToDouble(Cell::hundreds).sum());
        List<Cell> high = cells.stream()
                .filter(c -> c.enough() && c.interval().low() > mean)
                .toList();
        boolean enough = cells.stream().filter(Cell::enough).count() >= 2;
        String answer = !enough
                ? "Too few to say: a comparison asks two positions or rods of " + RejectRates.ENOUGH + " welds each."
                : high.isEmpty()
                        ? "None stands out by more than chance from " + number(mean) + " per 100 in of all together."
                        : high.stream()
                                        .map(c -> c.name() + ": " + number(c.places() / c.hundreds()) + " per 100 in ("
                                                + range(c.interval()) + ")")
                                        .collect(Collectors.joining("; "))
                                + ", where all together have " + number(mean) + ".";
        return new PlotView(
                Question.POSITIONS.id(),
                Question.POSITIONS.words(),
                answer,
                enough,
                Question.POSITIONS.shape(),
                "rejected places per 100 in",
                cells.isEmpty() ? null : mean,
                List.of("Position, rod", "Welds", "Places", "Inches", "per 100 in", "95 % interval"),
                cells.stream()
                        .map(c -> new PlotPointView(
                                c.key(),
                                c.name(),
                                List.of(
                                        c.name(),
                                        String.valueOf(c.welds()),
                                        String.valueOf(c.places()),
                                        number(100 * c.hundreds()),
                                        number(c.places() / c.hundreds()),
                                        range(c.interval())),
                                c.places() / c.hundreds(),
                                c.interval().low(),
                                c.interval().high(),
                                null,
                                null,
                                !c.enough() ? Mark.FEW : high.contains(c) ? Mark.HIGH : null))
                        .toList(),
                "Intervals of a Poisson count. Among twenty combinations one stands out by chance alone; under "
                        + RejectRates.ENOUGH + " welds nothing is said. Joints and lengths differ too.");
    }

    /** The share of welds that the first look accepted. */
    PlotView firstLook(PlotScope scope) {
        Gathered g = samples.of(scope);
        long welds = g.welds();
        long accepted = g.samples().stream().mapToLong(Sample::accepted).sum();
        boolean enough = welds >= RejectRates.ENOUGH;
        Interval all = Interval.wilson(accepted, Math.max(1, welds));
        return new PlotView(
                Question.FIRST_LOOK.id(),
                Question.FIRST_LOOK.words(),
                enough
                        ? percent((double) accepted / welds) + " of " + count(welds, "weld") + " ("
                                + percents(all.low(), all.high()) + ")."
                        : tooFew(g),
                enough,
                Question.FIRST_LOOK.shape(),
                "share accepted at the first look, %",
                welds == 0 ? null : 100.0 * accepted / welds,
                List.of("When", "Welds", "Accepted", "Share", "95 % interval"),
                g.samples().stream()
                        .map(s -> {
                            Interval i = Interval.wilson(s.accepted(), s.welds());
                            double share = (double) s.accepted() / s.welds();
                            return new PlotPointView(
                                    s.key(),
                                    s.name(),
                                    List.of(
                                            s.name(),
                                            String.valueOf(s.welds()),
                                            String.valueOf(s.accepted()),
                                            percent(share),
                                            percents(i.low(), i.high())),
                                    100 * share,
                                    100 * i.low(),
                                    100 * i.high(),
                                    null,
                                    null,
                                    s.welds() < RejectRates.ENOUGH ? Mark.FEW : null);
                        })
                        .toList(),
                "The fabricator's first look at each weld, as it was signed; a repair does not undo it. Wilson's interval; the dashed line is "
                        + "the share of all.");
    }
}
