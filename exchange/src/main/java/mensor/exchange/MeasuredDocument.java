package mensor.exchange;

import java.math.BigDecimal;
import java.math.RoundingMode;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import mensor.inspection.Criterion;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.Undercut;
import mensor.inspection.Verdict;
import mensor.judge.Evaluation;
import mensor.judge.Judge;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.scan.WeldScan.Quantity;
import mensor.scan.WeldScan.Reach;
import mensor.scan.WeldScan.Result;
import mensor.scan.WeldScan.Station;
import mensor.scan.WeldScan.Stretch;
import mensor.scan.WeldScan.Value;
import mensor.weld.Toe;

/**
 * What a scan comes to, as {@code mensor-measured/1}: the values in mm, what is proposed as readings and indications, and the verdict of the
 * inspection joined with them. Described in docs/formats.md.
 *
 * @param verdict of the joined inspection; never accept where a part of the weld was not measured
 */
record MeasuredDocument(String line, Verdict verdict) {
    static final String FORMAT = "mensor-measured/1";
    private static final double MM_OF_AN_INCH = 25.4;

    static MeasuredDocument of(
            String file, String inspectionText, Inspection inspection, ScanFile.Head head, Result result) {
        List<Json> readings = readings(inspection, head, result);
        List<Json> indications = indications(inspection, result);
        String joined = joined(inspectionText, readings, indications, isUndercutClear(result));
        InspectionDocument both = InspectionDocument.read(joined);
        Evaluation evaluation = Judge.evaluate(both.inspection(), both.book());
        boolean looked = isLookedAt(inspection, result);
        Verdict verdict = evaluation.verdict() == Verdict.REJECT || looked ? evaluation.verdict() : Verdict.INCOMPLETE;
        Map<String, Json> answer = measured(file, inspection, head, result);
        answer.put(
                "evaluation",
                Json.read(EvaluationDocument.write(file, inspection.joint().mark(), evaluation)));
        answer.put("verdict", new Json.Text(verdict.id()));
        return new MeasuredDocument(Json.write(new Json.Object(answer)), verdict);
    }

    /** What the scan alone tells. */
    static Map<String, Json> measured(String file, Inspection inspection, ScanFile.Head head, Result result) {
        Map<String, Json> answer = new LinkedHashMap<>();
        answer.put("format", new Json.Text(FORMAT));
        answer.put("file", new Json.Text(file));
        answer.put("mark", new Json.Text(inspection.joint().mark()));
        answer.put("profiles", whole(result.profiles()));
        answer.put("points", whole(result.points()));
        answer.put("leftOut", object("profiles", whole(result.leftOut()), "points", whole(result.pointsLeftOut())));
        answer.put(
                "why",
                new Json.Array(result.why().stream().<Json>map(Json.Text::new).toList()));
        answer.put(
                "notes",
                new Json.Array(Stream.concat(result.notes().stream(), words(inspection, result))
                        .<Json>map(Json.Text::new)
                        .toList()));
        number(answer, "noise", result.noise());
        answer.put("covered", reaches(result.covered()));
        answer.put("notMeasured", reaches(notMeasured(result)));
        answer.put(
                "stations",
                new Json.Array(result.stations().stream()
                        .map(MeasuredDocument::station)
                        .toList()));
        answer.put(
                "stretches",
                new Json.Array(result.stretches().stream()
                        .map(MeasuredDocument::stretch)
                        .toList()));
        answer.put(
                "proposed",
                object(
                        "readings",
                        new Json.Array(readings(inspection, head, result)),
                        "indications",
                        new Json.Array(indications(inspection, result)),
                        "notMeasured",
                        reaches(notMeasured(result)),
                        "lookHere",
                        new Json.Array(result.looks().stream()
                                .map(MeasuredDocument::stretch)
                                .toList())));
        return answer;
    }

    private static Stream<String> words(Inspection inspection, Result result) {
        Unit unit = inspection.units();
        return Stream.concat(
                result.unseenToes().stream()
                        .map(t -> "toe " + toe(t.toe()) + " at " + shown(t.from(), unit) + "–" + shown(t.to(), unit)
                                + ": no returns beside it; no undercut was measured there: inspect it"),
                result.looks().stream()
                        .map(t -> "look here: toe " + toe(t.quantity()) + " at " + shown(t.from(), unit)
                                + " looks " + shown(t.worst(), unit)
                                + " deep on one or two profiles, too short to be measured"));
    }

    private static String toe(Quantity q) {
        return q == Quantity.UNDERCUT_A ? "A" : "B";
    }

    private static String shown(double mm, Unit unit) {
        double mark = unit == Unit.INCH ? MM_OF_AN_INCH / 32 : 0.1;
        return Length.ofNanometres(Math.round(Math.round(mm / mark) * mark * 1e6), unit)
                .shownWithUnit();
    }

    /** Along the weld, and beside a toe. */
    private static List<Reach> notMeasured(Result result) {
        return Stream.concat(
                        result.holes().stream(), result.unseenToes().stream().map(t -> new Reach(t.from(), t.to())))
                .sorted(Comparator.comparingDouble(Reach::from))
                .toList();
    }

    /**
     * Whether somebody looked where the scan tells nothing: a hole along the weld by a reading in it or by what was said of
     * undercut by hand; a toe without returns, or a place that looks deep, by what was said of undercut alone.
     */
    private static boolean isLookedAt(Inspection byHand, Result result) {
        if (byHand.isClear(Criterion.UNDERCUT)) {
            return true;
        }
        boolean toes = Stream.concat(
                        result.unseenToes().stream().map(t -> new Stretch(t.toe(), t.from(), t.to(), 0, 0)),
                        result.looks().stream())
                .allMatch(t -> byHand.indications().stream().anyMatch(i -> isUndercutAt(i, t)));
        boolean holes = result.holes().stream()
                .allMatch(h -> byHand.readings().stream().anyMatch(r -> reaches(r.span(), h.from(), h.to())));
        return toes && holes;
    }

    private static boolean isUndercutAt(Indication i, Stretch t) {
        Toe toe = t.quantity() == Quantity.UNDERCUT_A ? Toe.A : Toe.B;
        return i instanceof Undercut u && u.toe() == toe && reaches(u.span(), t.from(), t.to());
    }

    private static boolean reaches(Span span, double from, double to) {
        return ScanCommand.mm(span.from()) <= to + 1e-9 && ScanCommand.mm(span.to()) >= from - 1e-9;
    }

    /** The shortest undercut that matters (common practice, no source): three profiles must stand on it. */
    private static final double SHORTEST = 3;

    /** The whole weld was measured closely, both toes came back, and none goes below its member by as much as is reported. */
    static boolean isUndercutClear(Result r) {
        return r.holes().isEmpty()
                && r.unseenToes().isEmpty()
                && r.looks().isEmpty()
                && !r.stations().isEmpty()
                && isClose(r.track().s())
                && r.stretches().stream()
                        .noneMatch(s -> s.quantity() == Quantity.UNDERCUT_A || s.quantity() == Quantity.UNDERCUT_B);
    }

    private static boolean isClose(double[] places) {
        for (int i = 1; i < places.length; i++) {
            if (3 * (places[i] - places[i - 1]) > SHORTEST + 1e-6) {
                return false;
            }
        }
        return true;
    }

    private static Json whole(long n) {
        return new Json.Number(String.valueOf(n));
    }

    /** Names and values by turns. */
    private static Json object(Object... pairs) {
        Map<String, Json> fields = new LinkedHashMap<>();
        for (int i = 0; i < pairs.length; i += 2) {
            fields.put((String) pairs[i], (Json) pairs[i + 1]);
        }
        return new Json.Object(fields);
    }

    private static Json reaches(List<Reach> reaches) {
        return new Json.Array(reaches.stream()
                .<Json>map(r -> new Json.Array(List.of(plain(r.from()), plain(r.to()))))
                .toList());
    }

    private static Json plain(double mm) {
        return new Json.Number(BigDecimal.valueOf(mm)
                .setScale(4, RoundingMode.HALF_EVEN)
                .stripTrailingZeros()
                .toPlainString());
    }

    private static void number(Map<String, Json> fields, String name, double value) {
        if (Double.isFinite(value)) {
            fields.put(name, plain(value));
        }
    }

    private static Json station(Station s) {
        Map<String, Json> fields = new LinkedHashMap<>();
        number(fields, "at", s.at());
        number(fields, "from", s.from());
        number(fields, "to", s.to());
        Map<String, Json> u = new LinkedHashMap<>();
        for (Value v : s.values()) {
            if (v.quantity() == Quantity.AREA) {
                continue; // what two scans are compared by, no measure of the weld's own
            }
            number(fields, v.quantity().id(), v.value());
            number(u, v.quantity().id(), v.u());
        }
        fields.put("u", new Json.Object(u));
        return new Json.Object(fields);
    }

    private static Json stretch(Stretch s) {
        Map<String, Json> fields = new LinkedHashMap<>();
        kind(fields, s);
        number(fields, "from", s.from());
        number(fields, "to", s.to());
        number(fields, s.quantity() == Quantity.SIZE ? "least" : "depth", s.worst());
        number(fields, "u", s.u());
        return new Json.Object(fields);
    }

    private static void kind(Map<String, Json> fields, Stretch s) {
        switch (s.quantity()) {
            case SIZE -> fields.put("kind", new Json.Text("undersize"));
            case UNDERFILL -> fields.put("kind", new Json.Text("underfill"));
            default -> {
                fields.put("kind", new Json.Text("undercut"));
                fields.put("toe", new Json.Text(s.quantity() == Quantity.UNDERCUT_A ? "A" : "B"));
            }
        }
    }

    /** In the joint's units; a depth upward, a size downward, so that rounding never helps the weld. */
    private static Json length(double mm, Unit unit, RoundingMode rounding) {
        BigDecimal against = BigDecimal.valueOf(mm).setScale(3, rounding);
        BigDecimal value = unit == Unit.INCH ? against.divide(BigDecimal.valueOf(MM_OF_AN_INCH), 5, rounding) : against;
        return new Json.Text(value.max(BigDecimal.ZERO).stripTrailingZeros().toPlainString());
    }

    private static Json place(double mm, Inspection inspection, RoundingMode rounding) {
        double end = ScanCommand.mm(inspection.joint().length());
        double within = Math.max(0, Math.min(end, mm));
        return within == end
                ? new Json.Text(inspection.joint().length().shown())
                : length(within, inspection.units(), rounding);
    }

    static List<Json> readings(Inspection inspection, ScanFile.Head head, Result result) {
        Unit unit = inspection.units();
        List<Json> readings = new ArrayList<>();
        for (Station s : result.stations()) {
            Map<String, Json> r = new LinkedHashMap<>();
            r.put("at", place(s.at(), inspection, RoundingMode.DOWN));
            put(r, s, Quantity.LEG_A, "legA", unit, RoundingMode.DOWN);
            put(r, s, Quantity.LEG_B, "legB", unit, RoundingMode.DOWN);
            put(r, s, Quantity.THROAT, "throat", unit, RoundingMode.DOWN);
            put(r, s, Quantity.CONVEXITY, "convexity", unit, RoundingMode.UP);
            put(r, s, Quantity.REINFORCEMENT, "reinforcement", unit, RoundingMode.UP);
            put(r, s, Quantity.OFFSET, "offset", unit, RoundingMode.UP);
            put(r, s, Quantity.FACE_WIDTH, "faceWidth", unit, RoundingMode.DOWN);
            named(
                    r,
                    head,
                    s.values().stream().mapToDouble(Value::u).filter(u -> u < 1).max(),
                    unit);
            readings.add(new Json.Object(r));
        }
        return readings;
    }

    private static void put(
            Map<String, Json> r, Station s, Quantity q, String field, Unit unit, RoundingMode rounding) {
        s.value(q).ifPresent(v -> r.put(field, length(v, unit, rounding)));
    }

    /** The scanner as the gauge, its division twice the standard uncertainty. */
    private static void named(Map<String, Json> fields, ScanFile.Head head, OptionalDouble u, Unit unit) {
        fields.put("gauge", new Json.Text(head.device()));
        u.ifPresent(x -> fields.put("division", length(Math.max(2 * x, 0.001), unit, RoundingMode.UP)));
    }

    static List<Json> indications(Inspection inspection, Result result) {
        Unit unit = inspection.units();
        List<Json> indications = new ArrayList<>();
        for (Stretch s : result.stretches()) {
            Map<String, Json> i = new LinkedHashMap<>();
            kind(i, s);
            i.put("from", place(s.from(), inspection, RoundingMode.DOWN));
            i.put("to", place(s.to(), inspection, RoundingMode.UP));
            if (s.quantity() == Quantity.SIZE) {
                i.put("least", length(s.worst(), unit, RoundingMode.DOWN));
            } else {
                i.put("depth", length(s.worst(), unit, RoundingMode.UP));
            }
            if (s.quantity() == Quantity.UNDERCUT_A || s.quantity() == Quantity.UNDERCUT_B) {
                i.put("division", length(Math.max(2 * s.u(), 0.001), unit, RoundingMode.UP));
            }
            indications.add(new Json.Object(i));
        }
        return indications;
    }

    /** The inspection with what is proposed, as a file. */
    private static String joined(String text, List<Json> readings, List<Json> indications, boolean undercutClear) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) Json.read(text)).fields());
        append(fields, "readings", readings);
        append(fields, "indications", indications);
        if (undercutClear && !seesUndercut(fields)) {
            append(fields, "clear", List.of(new Json.Text("undercut")));
        }
        return Json.write(new Json.Object(fields));
    }

    /** Somebody saw an undercut by hand, or said that there is none: the scan does not say so again. */
    private static boolean seesUndercut(Map<String, Json> fields) {
        boolean byHand = fields.get("indications") instanceof Json.Array a
                && a.items().stream()
                        .anyMatch(i -> i instanceof Json.Object o
                                && new Json.Text("undercut").equals(o.fields().get("kind")));
        boolean said = fields.get("clear") instanceof Json.Array a
                && (a.items().contains(new Json.Text("undercut")) || a.items().contains(new Json.Text("all-else")));
        return byHand || said;
    }

    private static void append(Map<String, Json> fields, String name, List<? extends Json> more) {
        List<Json> all = new ArrayList<>(fields.get(name) instanceof Json.Array a ? a.items() : List.of());
        all.addAll(more);
        fields.put(name, new Json.Array(all));
    }
}
