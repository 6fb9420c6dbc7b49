package mensor.drawing;

import java.util.ArrayList;
import java.util.List;
import mensor.inspection.FitUp;
import mensor.inspection.InProcessInspection;
import mensor.length.Length;
import mensor.length.Ruler;
import mensor.length.Unit;
import mensor.weld.Gap;
import mensor.weld.LoggedPass;
import mensor.weld.Stagger;

/**
 * A weld's welding record along its length, in numbers: the openings at fit-up, and each pass with its runs from start to stop, under
 * each other as they lie. Positions in mm, labels in the drawing's units.
 */
public record WeldingDrawing(
        double length,
        List<StripDrawing.Tick> ticks,
        List<StripDrawing.Stretch> gaps,
        List<At> openings,
        List<PassLane> passes,
        List<QuietMarks.QuietMark> marks) {

    /** A station at which an opening was read. */
    public record At(double at, String label) {}

    /** The runs of one pass; empty where no start or stop was recorded. */
    public record PassLane(String label, List<Run> runs) {}

    /** One rod's bead, from where the arc was struck to where it was broken off. */
    public record Run(double from, double to) {}

    public static WeldingDrawing of(
            Ruler ruler,
            Unit unit,
            List<Gap> gaps,
            List<FitUp.Reading> readings,
            List<LoggedPass> passes,
            List<Stagger.StackedStarts> stacked,
            List<InProcessInspection.Answer> answers) {
        List<PassLane> lanes = new ArrayList<>();
        for (int i = 0; i < passes.size(); i++) {
            String kind = passes.get(i).pass().kind().map(k -> " " + k.id()).orElse("");
            lanes.add(new PassLane((i + 1) + kind, runs(passes.get(i), ruler)));
        }
        List<StripDrawing.Stretch> stretches = gaps.stream()
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
                stretches,
                openings,
                lanes,
                QuietMarks.of(ruler, List.of(), stacked, answers));
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
            runs.add(new Run(StripDrawing.mm(from), StripDrawing.mm(to)));
        }
        if (ruler.closed() && !starts.isEmpty()) {
            pass.stops().stream()
                    .filter(s -> !s.isOver(starts.get(0)) && s.isPositive())
                    .findFirst()
                    .ifPresent(s -> runs.add(0, new Run(0, StripDrawing.mm(s))));
        }
        return List.copyOf(runs);
    }
}
