package mensor.server.report;

import java.util.List;
import java.util.Locale;
import mensor.server.study.AgreementView;
import mensor.server.study.AgreementView.CriterionAgreementView;
import mensor.server.study.AgreementView.KappaView;
import mensor.server.study.AgreementView.LeanView;
import mensor.server.study.GaugeStudyView;
import mensor.server.study.GaugeStudyView.SpreadView;
import mensor.server.study.StudyView;

/** A study on paper: what it comes to, and every reading. */
final class StudyPaper {
    private static final double WIDE = 640;
    private static final double HIGH = 170;
    private static final double MARGIN = 40;

    private StudyPaper() {}

    static String of(StudyView study) {
        return study.gauge() == null ? agreement(study, study.agreement()) : gauge(study, study.gauge());
    }

    private static String agreement(StudyView study, AgreementView a) {
        Html h = new Html();
        h.add("h1", study.title());
        h.add(
                "p",
                String.join(", ", a.people()) + " · " + a.welds() + " welds, each seen " + a.passes()
                        + " times in shuffled order without seeing the others");
        h.open("p").add("b", study.said()).close("p");
        if (!a.first().isEmpty()) {
            h.add("h2", "To talk about first");
            h.open("ul");
            a.first().forEach(f -> h.add("li", f));
            h.close("ul");
        }
        h.open("table").open("tr");
        List.of("", "Among all", "With oneself", "Divided on welds").forEach(t -> h.add("th", t));
        h.close("tr");
        for (CriterionAgreementView q : a.questions()) {
            h.open("tr").add("td", q.question());
            h.add("td", kappa(q.among()));
            h.add(
                    "td",
                    String.join(
                            "; ",
                            q.withSelf().stream()
                                    .map(w -> w.person() + " " + kappa(w.kappa()))
                                    .toList()));
            h.add(
                    "td",
                    String.join(", ", q.divided().stream().map(String::valueOf).toList()));
            h.close("tr");
        }
        h.close("table");
        if (!a.questions().isEmpty()) {
            h.add("h2", "Who leans which way, on the verdict");
            for (LeanView l : a.questions().get(0).leans()) {
                h.add(
                        "p",
                        l.person() + ": bad called good " + l.falseAccepts() + " of " + l.ofBad() + " ("
                                + percent(100 * l.acceptLow()) + " to " + percent(100 * l.acceptHigh())
                                + "), good called bad " + l.falseRejects() + " of " + l.ofGood() + " ("
                                + percent(100 * l.rejectLow()) + " to " + percent(100 * l.rejectHigh()) + ")");
            }
        }
        h.add(
                "p",
                "caution",
                "Kappa is agreement beyond chance: Cohen's of two, Fleiss' of several, with 95 % intervals of large samples; few welds tell "
                        + "little. Words of Landis and Koch. It holds for welds like these.");
        return h.toString();
    }

    private static String kappa(KappaView k) {
        return k.value() == null
                ? "all the same"
                : String.format(Locale.ROOT, "%.2f (%.2f to %.2f)", k.value(), k.low(), k.high());
    }

    private static String gauge(StudyView study, GaugeStudyView g) {
        Html h = new Html();
        h.add("h1", study.title());
        h.add(
                "p",
                "Gauge " + g.gauge() + " · " + g.quantity() + ", " + g.units() + " · "
                        + g.people().size() + " people, " + g.parts().size() + " parts, "
                        + g.readings().get(0).size() + " repeats · " + study.by());
        h.open("p").add("b", g.said()).close("p");
        h.add(
                "p",
                "Standard uncertainty of one reading by these people: " + number(g.uncertainty()) + " " + g.units()
                        + (g.inUse() ? "; the register takes it." : "; the register does not take it."));
        if (g.bias() != null) {
            h.add(
                    "p",
                    "Bias " + number(g.bias().mean()) + " " + g.units()
                            + (g.bias().biased() ? ", more than chance" : ", no more than chance")
                            + "; along the range it changes by "
                            + number(g.bias().slope()) + " for each "
                            + g.units()
                            + (g.bias().sloped() ? ", more than chance." : ", no more than chance."));
        }
        results(h, g);
        h.drawing(readings(g));
        h.add(
                "p",
                "small",
                "Each reading by part; a shape for each person: circle, square, triangle, diamond, and again.");
        table(h, g);
        h.add(
                "p",
                "caution",
                "Analysis of variance, crossed; an interaction that chance gives in more than 25 of 100 is pooled (AIAG, from memory). "
                        + "Under 10 % is good, to 30 % conditional. The study holds for these people, this gauge and parts like these.");
        return h.toString();
    }

    private static void results(Html h, GaugeStudyView g) {
        h.open("table").open("tr");
        h.add("th", "Standard deviation, " + g.units());
        g.results().forEach(r -> h.add("th", r.method()));
        h.close("tr");
        row(h, g, "Repeatability (EV)", r -> number(r.ev()));
        row(h, g, "Reproducibility (AV)", r -> number(r.av()));
        row(
                h,
                g,
                "Gauge and people (GRR)",
                r -> number(r.grr())
                        + (r.low() == null ? "" : " (95 %: " + number(r.low()) + " to " + number(r.high()) + ")"));
        row(h, g, "Parts (PV)", r -> number(r.pv()));
        row(h, g, "Total (TV)", r -> number(r.total()));
        row(h, g, "GRR of the total", r -> percent(r.percent()) + ", " + r.words());
        if (g.tolerance() != null) {
            row(h, g, "GRR of the tolerance " + number(g.tolerance()), r -> percent(r.percentOfTolerance()));
        }
        row(h, g, "Groups told apart", r -> r.categories() == null ? "" : String.valueOf(r.categories()));
        h.close("table");
    }

    private interface Cell {
        String of(SpreadView r);
    }

    private static void row(Html h, GaugeStudyView g, String title, Cell cell) {
        h.open("tr").add("td", title);
        g.results().forEach(r -> h.add("td", cell.of(r)));
        h.close("tr");
    }

    private static void table(Html h, GaugeStudyView g) {
        h.open("table").open("tr");
        h.add("th", "Person").add("th", "Repeat");
        g.parts().forEach(p -> h.add("th", p));
        h.close("tr");
        for (int a = 0; a < g.people().size(); a++) {
            for (int r = 0; r < g.readings().get(a).size(); r++) {
                h.open("tr");
                h.add("td", g.people().get(a)).add("td", String.valueOf(r + 1));
                g.readings().get(a).get(r).forEach(v -> h.add("td", number(v)));
                h.close("tr");
            }
        }
        if (g.references() != null) {
            h.open("tr").add("td", "Reference").add("td", "");
            g.references().forEach(v -> h.add("td", number(v)));
            h.close("tr");
        }
        h.close("table");
    }

    private static String readings(GaugeStudyView g) {
        double least = Double.MAX_VALUE;
        double most = -Double.MAX_VALUE;
        for (List<List<Double>> person : g.readings()) {
            for (List<Double> repeat : person) {
                for (double v : repeat) {
                    least = Math.min(least, v);
                    most = Math.max(most, v);
                }
            }
        }
        double reach = Math.max(most - least, 1e-9);
        StringBuilder svg = new StringBuilder(String.format(
                Locale.ROOT,
                "<svg xmlns=\"http://www.w3.org/2000/svg\" viewBox=\"0 0 %.0f %.0f\" width=\"%.0f\" height=\"%.0f\">",
                WIDE,
                HIGH,
                WIDE,
                HIGH));
        double step = (WIDE - 2 * MARGIN) / g.parts().size();
        for (int p = 0; p < g.parts().size(); p++) {
            double x = MARGIN + (p + 0.5) * step;
            svg.append(String.format(
                    Locale.ROOT,
                    "<text x=\"%.1f\" y=\"%.1f\" font-size=\"11\" text-anchor=\"middle\">%s</text>",
                    x,
                    HIGH - 4,
                    Html.escaped(g.parts().get(p))));
            for (int a = 0; a < g.readings().size(); a++) {
                for (List<Double> repeat : g.readings().get(a)) {
                    double at = x + (a - (g.readings().size() - 1) / 2.0) * Math.min(10, step / 4);
                    double y = 10 + (most - repeat.get(p)) / reach * (HIGH - 40);
                    svg.append(mark(a, at, y));
                }
            }
        }
        return svg.append("</svg>").toString();
    }

    /** A shape for each person. */
    private static String mark(int person, double x, double y) {
        String look = "fill=\"none\" stroke=\"#1b3a5b\" stroke-width=\"1.3\"";
        return switch (person % 4) {
            case 0 -> String.format(Locale.ROOT, "<circle cx=\"%.1f\" cy=\"%.1f\" r=\"3.2\" %s/>", x, y, look);
            case 1 ->
                String.format(
                        Locale.ROOT, "<rect x=\"%.1f\" y=\"%.1f\" width=\"6\" height=\"6\" %s/>", x - 3, y - 3, look);
            case 2 -> String.format(Locale.ROOT, "<path d=\"M%.1f %.1fl3.6 6.4h-7.2z\" %s/>", x, y - 3.8, look);
            default ->
                String.format(Locale.ROOT, "<path d=\"M%.1f %.1fl3.8 3.8l-3.8 3.8l-3.8 -3.8z\" %s/>", x, y - 3.8, look);
        };
    }

    private static String number(double v) {
        double size = Math.abs(v);
        return String.format(Locale.ROOT, size != 0 && size < 0.1 ? "%.4f" : "%.3f", v);
    }

    private static String percent(double v) {
        return String.format(Locale.ROOT, "%.1f %%", v);
    }
}
