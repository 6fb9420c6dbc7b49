package mensor.drawing;

import java.util.ArrayList;
import java.util.List;
import mensor.inspection.FitUp;
import mensor.inspection.InProcessInspection;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.Joint;
import mensor.weld.LoggedPass;
import mensor.weld.Stagger;

/**
 * A weld's welding record along its length, in numbers: the openings at fit-up, and each pass with its runs from start to stop, under
 * each other as they lie. Positions in mm, labels in the drawing's units.
 */
public record WeldingDrawing(
        double length,
        List<StripDrawing.Tick> ticks,
        List<StripDrawing.Tick> clock,
        List<StripDrawing.Stretch> gaps,
        List<At> openings,
        List<PassLane> passes,
        List<QuietMarks.QuietMark> marks) {

    /** A station at which an opening was read. */
    public record At(double at, String label) {}

    /** The runs of one pass; empty where no start or stop was recorded. */
    public record PassLane(String label, List<Run> runs) {}

    /**
     * One rod's bead, from where the arc was struck to where it was broken off.
     *
     * @param back it was laid against the way in which the weld is measured
     */
    public record Run(double from, double to, boolean back) {}

    public static WeldingDrawing of(
            Joint joint,
            Unit unit,
            List<FitUp.Reading> readings,
            List<LoggedPass> passes,
            List<Stagger.StackedStarts> stacked,
            List<InProcessInspection.Answer> answers) {
        Ruler ruler = joint.ruler();
        List<PassLane> lanes = new ArrayList<>();
        for (int i = 0; i < passes.size(); i++) {
            String kind = passes.get(i).pass().kind().map(k -> " " + k.id()).orElse("");
            lanes.add(new PassLane(
                    (i + 1) + kind,
                    joint.clock().isPresent() && isInHalves(passes.get(i))
                            ? halves(passes.get(i), ruler)
                            : runs(passes.get(i), ruler)));
        }
        List<StripDrawing.Stretch> stretches = joint.gaps().stream()
                .flatMap(g -> ruler.straight(g.span()).stream()
                        .map(s -> new StripDrawing.Stretch(
                                StripDrawing.mm(s.from()),
                                StripDrawing.mm(s.to()),
                                "gap " + g.opening().shown())))
                .toList();
        List<At> openings = readings.stream()
                .filter(r -> r.isStation() && r.opening().isPresent())
                .map(r -> new At(
                        StripDrawing.mm(r.span().from()),
                        r.opening().orElseThrow().shown()))
                .toList();
        return new WeldingDrawing(
                StripDrawing.mm(ruler.length()),
                StripDrawing.ticks(ruler.length(), unit),
                StripDrawing.clock(joint),
                stretches,
                openings,
                lanes,
                QuietMarks.of(ruler, joint::shown, List.of(), stacked, answers));
    }

    /** Up or down both sides of a pipe: two starts and two stops, the second against the way in which the weld is measured. */
    private static boolean isInHalves(LoggedPass pass) {
        return pass.pass().progression().isPresent()
                && pass.starts().size() == 2
                && pass.stops().size() == 2;
    }

    private static List<Run> halves(LoggedPass pass, Ruler ruler) {
        List<Run> runs = new ArrayList<>();
        ruler.straight(new Span(pass.starts().get(0), pass.stops().get(0)))
                .forEach(s -> runs.add(new Run(StripDrawing.mm(s.from()), StripDrawing.mm(s.to()), false)));
        ruler.straight(new Span(pass.stops().get(1), pass.starts().get(1)))
                .forEach(s -> runs.add(new Run(StripDrawing.mm(s.from()), StripDrawing.mm(s.to()), true)));
        return List.copyOf(runs);
    }

    /** Each start runs to the next stop after it, else to the next start or the weld's end; on a closed weld round the datum. */
    private static List<Run> runs(LoggedPass pass, Ruler ruler) {
        List<Run> runs = new ArrayList<>();
        List<Length> starts = pass.starts().stream().sorted().toList();
        for (int i = 0; i < starts.size(); i++) {
            Length from = starts.get(i);
            Length until = i + 1 < starts.size() ? starts.get(i + 1) : ruler.length();
            Length to = pass.stops().stream()
                    .filter(s -> s.isOver(from))
                    .min(Length::compareTo)
                    .orElse(until);
            runs.add(new Run(StripDrawing.mm(from), StripDrawing.mm(to), false));
        }
        if (ruler.closed() && !starts.isEmpty()) {
            pass.stops().stream()
                    .filter(s -> !s.isOver(starts.get(0)) && s.isPositive())
                    .findFirst()
                    .ifPresent(s -> runs.add(0, new Run(0, StripDrawing.mm(s), false)));
        }
        return List.copyOf(runs);
    }
}
