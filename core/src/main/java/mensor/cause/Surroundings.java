package mensor.cause;

import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import mensor.inspection.InProcessInspection;
import mensor.inspection.InspectionItem;
import mensor.inspection.PoolSight;
import mensor.inspection.ProcessQuestion;
import mensor.inspection.Verdict;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.LoggedPass;
import mensor.weld.Procedure;
import mensor.weld.Range;
import mensor.weld.Steel;

/**
 * What is known around a weld beside its inspection and its record: the remarks of the in-process inspection, where rods were changed,
 * what the boxes of the rods say, which procedure stands behind its numbers, and what was tried before.
 */
public record Surroundings(
        List<Remark> remarks,
        List<Length> startsAndStops,
        List<BoxLabel> labels,
        Optional<String> procedure,
        Steel steel,
        List<Tried> tried,
        List<PassesAtPlace.ChangeHere> changes) {
    public static final Surroundings NONE =
            new Surroundings(List.of(), List.of(), List.of(), Optional.empty(), Steel.UNKNOWN, List.of());

    /** Where nothing was changed within a pass. */
    public Surroundings(
            List<Remark> remarks,
            List<Length> startsAndStops,
            List<BoxLabel> labels,
            Optional<String> procedure,
            Steel steel,
            List<Tried> tried) {
        this(remarks, startsAndStops, labels, procedure, steel, tried, List.of());
    }

    /** Something noted while the passes went in; where it has a place, it speaks of defects there. */
    public record Remark(Fact fact, String words, Optional<Span> where) {}

    /** The amps that the maker prints on a box of rods. */
    public record BoxLabel(String electrode, Length diameter, Range amps) {}

    /** What the inspections while the passes went in found other than wanted. */
    public static List<Remark> remarks(List<InProcessInspection.Answer> answers) {
        return answers.stream()
                .filter(a -> !a.asWanted())
                .map(a -> new Remark(
                        fact(a.question()),
                        "in-process inspection, not so: \u201c" + a.question().title() + "\u201d"
                                + a.where().map(w -> " at " + w.shown()).orElse("")
                                + (a.note().isBlank() ? "" : " (" + a.note() + ")"),
                        a.where()))
                .toList();
    }

    /** What the fit-up was found to be other than allowed. */
    public static List<Remark> fitUp(List<InspectionItem> items) {
        return items.stream()
                .filter(i -> i.verdict() == Verdict.REJECT)
                .map(i -> new Remark(
                        Fact.FIT_UP_OFF,
                        "fit-up: " + i.title().toLowerCase(Locale.ROOT) + " " + i.measured() + ", allowed "
                                + i.allowed(),
                        i.where()))
                .toList();
    }

    /** What was seen while a rod burned, with its place where somebody noted one; that all was steady speaks of nothing. */
    public static Optional<Remark> seen(PoolSight sight, Optional<Span> where) {
        return fact(sight)
                .map(f -> new Remark(
                        f,
                        "seen while welding: " + sight.title().toLowerCase(Locale.ROOT)
                                + where.map(w -> " at " + w.shown()).orElse(""),
                        where));
    }

    /** The plate warmer before a pass than the procedure allows between passes; a value still planned was read by nobody. */
    public static Optional<Remark> warm(List<LoggedPass> passes, Optional<Procedure> procedure) {
        OptionalDouble most = procedure.map(Procedure::interpassMaxF).orElse(OptionalDouble.empty());
        return most.isEmpty()
                ? Optional.empty()
                : IntStream.range(1, passes.size())
                        .filter(i -> passes.get(i).temperatureF().orElse(0) > most.getAsDouble()
                                && !passes.get(i).planned().contains("temperatureF"))
                        .boxed()
                        .max(Comparator.comparingDouble(
                                i -> passes.get(i).temperatureF().getAsDouble()))
                        .map(i -> new Remark(
                                Fact.PLATE_WARM,
                                "interpass "
                                        + Range.plain(
                                                passes.get(i).temperatureF().getAsDouble())
                                        + " °F before pass " + (i + 1) + "; "
                                        + procedure.get().name() + " allows at most "
                                        + Range.plain(most.getAsDouble()) + " °F",
                                Optional.empty()));
    }

    private static Optional<Fact> fact(PoolSight sight) {
        return switch (sight) {
            case ARC_WANDERS -> Optional.of(Fact.SEEN_ARC_WANDERS);
            case SLAG_AHEAD -> Optional.of(Fact.SEEN_SLAG_AHEAD);
            case KEYHOLE_CLOSES -> Optional.of(Fact.SEEN_KEYHOLE_CLOSES);
            case KEYHOLE_GROWS -> Optional.of(Fact.SEEN_KEYHOLE_GROWS);
            case ROD_STICKS -> Optional.of(Fact.SEEN_ROD_STICKS);
            case UNDERCUT_STAYS -> Optional.of(Fact.SEEN_UNDERCUT_STAYS);
            case METAL_FALLS -> Optional.of(Fact.SEEN_METAL_FALLS);
            case STEADY -> Optional.empty();
        };
    }

    private static Fact fact(ProcessQuestion question) {
        return switch (question) {
            case ROOT, ROOT_BACK -> Fact.REMARK_ROOT;
            case SLAG_LINES, LAYERS_CLEAN -> Fact.REMARK_NOT_CLEAN;
            case OLD_WELD -> Fact.REMARK_OLD_WELD;
            case HIGH_SPOTS -> Fact.REMARK_VALLEY;
            case FILL_BELOW -> Fact.REMARK_FILL_HIGH;
        };
    }

    /** A cause that was acted upon because of a trouble, and what the next weld showed of it. */
    public record Tried(CauseClass cause, String trouble, boolean better, String words) {}

    Optional<Range> label(Optional<String> electrode, Optional<Length> diameter) {
        return label(labels, electrode, diameter);
    }

    /** What the box of such rods says, where somebody noted it. */
    public static Optional<Range> label(List<BoxLabel> labels, Optional<String> electrode, Optional<Length> diameter) {
        return labels.stream()
                .filter(l -> electrode.filter(l.electrode()::equals).isPresent()
                        && diameter.filter(d -> d.compareTo(l.diameter()) == 0).isPresent())
                .map(BoxLabel::amps)
                .findFirst();
    }
}
