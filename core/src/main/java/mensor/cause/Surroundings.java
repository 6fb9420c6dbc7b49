package mensor.cause;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.weld.Range;
import mensor.weld.Steel;

/**
 * What is known around a weld beside its look and its record: the remarks of the in-process look, where rods were changed,
 * what the boxes of the rods say, which procedure stands behind its numbers, and what was tried before.
 */
public record Surroundings(
        List<Remark> remarks,
        List<Length> startsAndStops,
        List<BoxLabel> labels,
        Optional<String> procedure,
        Steel steel,
        List<Tried> tried) {
    public static final Surroundings NONE =
            new Surroundings(List.of(), List.of(), List.of(), Optional.empty(), Steel.UNKNOWN, List.of());

    /** Something noted while the passes went in. */
    public record Remark(Fact fact, String words) {}

    /** The amps that the maker prints on a box of rods. */
    public record BoxLabel(String electrode, Length diameter, Range amps) {}

    /** A cause that was acted upon, and what the next weld showed of it. */
    public record Tried(CauseClass cause, boolean better, String words) {}

    Optional<Range> label(Optional<String> electrode, Optional<Length> diameter) {
        return labels.stream()
                .filter(l -> electrode.filter(l.electrode()::equals).isPresent()
                        && diameter.filter(d -> d.compareTo(l.diameter()) == 0).isPresent())
                .map(BoxLabel::amps)
                .findFirst();
    }
}
