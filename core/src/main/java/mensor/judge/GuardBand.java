package mensor.judge;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import mensor.inspection.Indication;
import mensor.inspection.Inspection;
import mensor.inspection.ReadValue;
import mensor.inspection.Reading;
import mensor.inspection.Undersize;
import mensor.inspection.Verdict;
import mensor.length.Length;

/**
 * Guarded acceptance over a whole inspection: every measured value is moved by its guard band to the unfavourable side, and what then
 * no longer accepts is read again with a finer gauge. So it holds for every rule, sums and exceptions included. A blade that
 * goes is a decision and no value, and is not moved.
 */
final class GuardBand {
    private final Inspection inspection;
    private final Guard guard;

    GuardBand(Inspection inspection, Guard guard) {
        this.inspection = inspection;
        this.guard = guard;
    }

    /** @param judge answers all findings of an inspection, in one order */
    List<Finding> apply(List<Finding> findings, Function<Inspection, List<Finding>> judge) {
        List<Finding> high = judge.apply(moved(1));
        List<Finding> low = judge.apply(moved(-1));
        List<Finding> guarded = new ArrayList<>();
        for (int i = 0; i < findings.size(); i++) {
            Finding f = findings.get(i);
            if (f.verdict() != Verdict.ACCEPT || !isMeasured(f)) {
                guarded.add(f);
            } else if (unknown(f).isPresent()) {
                guarded.add(f.leftOpen(
                        Why.GAUGE_NOT_NAMED.of(),
                        Ask.Kind.NAME_GAUGE.of(unknown(f).get()),
                        "guarded acceptance needs the reading's uncertainty"));
            } else if (high.get(i).verdict() != Verdict.ACCEPT || low.get(i).verdict() != Verdict.ACCEPT) {
                guarded.add(inTheBand(f));
            } else {
                guarded.add(f.traced(probability(f)));
            }
        }
        return guarded;
    }

    private Finding inTheBand(Finding f) {
        String at = f.span().map(s -> " at " + s.shown()).orElse("");
        return f.leftOpen(
                Why.GUARD_NOT_SURE.of(f.measured(), at, f.allowed()),
                Ask.Kind.FINER_GAUGE_GUARDED.of(at),
                probability(f));
    }

    /** Whether anything that was measured stands behind it, with a number or by where things lie. */
    private boolean isMeasured(Finding f) {
        return f.numbers().isPresent() || measuredIndications(f).findAny().isPresent();
    }

    private IntStream measuredIndications(Finding f) {
        return IntStream.range(0, inspection.indications().size())
                .filter(i -> inspection.indications().get(i).criterion() == f.criterion()
                        && isMeasured(inspection.indications().get(i)));
    }

    private IntStream readings(Finding f) {
        return IntStream.range(0, inspection.readings().size())
                .filter(i -> inspection.readings().get(i) instanceof Reading.Station s
                        && Stream.of(ReadValue.values())
                                .anyMatch(v -> v.criterion() == f.criterion() && v.isReadAt(s)));
    }

    /** The first value of the criterion, deciding or beside the one that decides, whose gauge nobody named. */
    private Optional<String> unknown(Finding f) {
        OptionalInt indication = measuredIndications(f)
                .filter(i -> guard.indications().get(i).isEmpty())
                .findFirst();
        if (indication.isPresent()) {
            return Optional.of(
                    inspection.indications().get(indication.getAsInt()).span().shown());
        }
        return readings(f)
                .filter(i -> guard.readings().get(i).isEmpty())
                .mapToObj(i -> inspection.readings().get(i).span().from().shown())
                .findFirst();
    }

    private static boolean isMeasured(Indication i) {
        return i instanceof Undersize || i.depth().map(Length::isPositive).orElse(false);
    }

    /** What the number that decides comes to by itself. */
    private String probability(Finding f) {
        Optional<Length> u = uncertainty(f);
        if (u.isEmpty()) {
            return "guarded acceptance: nothing here was read with a gauge";
        }
        if (f.numbers().isEmpty()) {
            return "guarded acceptance (JCGM 106): every value is moved by its band of "
                    + guard.factor().toPlainString() + " u to the unfavourable side";
        }
        Finding.Numbers n = f.numbers().get();
        Length y = Length.parse(n.measured(), inspection.units());
        if (!isRead(f, y)) {
            return "guarded acceptance (JCGM 106): every value is moved by its band of "
                    + guard.factor().toPlainString() + " u to the unfavourable side, then summed";
        }
        Length t = Length.parse(n.allowed(), inspection.units());
        double p = n.isLeast() ? Conformance.atLeast(y, u.get(), t) : Conformance.atMost(y, u.get(), t);
        return String.format(
                Locale.ROOT,
                "guarded acceptance (JCGM 106): reading %s, limit %s, standard uncertainty %s, guard band %s u; the"
                        + " probability that the limit is kept is %.3f",
                n.measured(),
                n.allowed(),
                u.get().decimal(),
                guard.factor().toPlainString(),
                p);
    }

    /** Whether the number that decides was read with a gauge; a length that was summed up was not. */
    private boolean isRead(Finding f, Length value) {
        boolean depth = f.indications().stream()
                .map(inspection.indications()::get)
                .anyMatch(i -> i.depth().filter(d -> d.compareTo(value) == 0).isPresent());
        return depth
                || f.readings().stream()
                        .map(inspection.readings()::get)
                        .filter(Reading.Station.class::isInstance)
                        .map(Reading.Station.class::cast)
                        .flatMap(s -> Stream.of(
                                        s.legA(),
                                        s.legB(),
                                        s.throat(),
                                        s.convexity(),
                                        s.reinforcement(),
                                        s.rootReinforcement(),
                                        s.offset())
                                .flatMap(Optional::stream))
                        .anyMatch(l -> l.compareTo(value) == 0);
    }

    private Optional<Length> uncertainty(Finding f) {
        return f.indications().stream()
                .map(guard.indications()::get)
                .flatMap(Optional::stream)
                .findFirst()
                .or(() -> f.readings().stream()
                        .map(guard.readings()::get)
                        .flatMap(Optional::stream)
                        .findFirst());
    }

    /** Every value moved to where it is worse; heights that are limited both ways go up (1) or down (−1). */
    private Inspection moved(int heights) {
        List<Reading> readings = new ArrayList<>();
        for (int i = 0; i < inspection.readings().size(); i++) {
            Reading r = inspection.readings().get(i);
            Optional<Length> band = guard.band(guard.readings().get(i));
            readings.add(band.isPresent() && r instanceof Reading.Station s ? moved(s, band.get(), heights) : r);
        }
        List<Indication> indications = new ArrayList<>();
        for (int i = 0; i < inspection.indications().size(); i++) {
            Indication x = inspection.indications().get(i);
            indications.add(
                    guard.band(guard.indications().get(i)).map(x::worseBy).orElse(x));
        }
        return inspection.with(readings, indications);
    }

    private static Reading.Station moved(Reading.Station s, Length band, int heights) {
        Length signed = heights > 0 ? band : band.negate();
        return new Reading.Station(
                s.at(),
                new Reading.FilletMeasures(
                        s.legA().map(l -> less(l, band)),
                        s.legB().map(l -> less(l, band)),
                        s.throat().map(l -> less(l, band)),
                        s.convexity().map(c -> c.plus(band)),
                        s.concavity().map(c -> c.plus(band)),
                        s.faceWidth()),
                new Reading.GrooveMeasures(
                        s.reinforcement().map(h -> h.plus(signed)),
                        s.rootReinforcement().map(h -> h.plus(signed)),
                        s.rootWidth(),
                        s.offset().map(o -> o.plus(band))),
                s.toeAngles(),
                s.face(),
                Optional.empty(),
                s.gauge());
    }

    /** A band that is wider than the value leaves next to nothing of it. */
    private static Length less(Length l, Length band) {
        Length moved = l.minus(band);
        return moved.isPositive() ? moved : Length.ofNanometres(1, l.unit());
    }
}
