package mensor.weld;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import mensor.length.Length;

/**
 * What a welder's test allows: the rod group (F number) of the test and those below it, the positions that the test position
 * covers (AWS D1.1 6.10 (4.10), from memory, medium confidence), up to a thickness, with backing or without. It lapses where the process was not
 * used for six months.
 *
 * @param thickest the thickest groove metal that is covered; absent is unlimited. Fillets are not limited by it
 * @param leastDiameter of a pipe, outside, that is covered; absent is unlimited, or a test on plate that said nothing of pipe
 * @param lastUsed the last day on which the welder was seen to use the process
 */
public record Qualification(
        int group,
        Position position,
        Optional<Length> thickest,
        boolean backing,
        Optional<Length> leastDiameter,
        LocalDate tested,
        LocalDate lastUsed) {
    private static final int MONTHS = 6;

    public Qualification {
        if (group < 1 || group > 4) {
            throw new InvalidField("group", "rod groups are F1 to F4");
        }
        if (lastUsed.isBefore(tested)) {
            throw new InvalidField("lastUsed", "lies before the test, " + tested);
        }
    }

    /** What is to be welded, as far as it bears on the welder. */
    public record Task(
            WeldType weld,
            Optional<Position> position,
            Optional<Integer> group,
            Length thickness,
            boolean backing,
            Optional<Length> diameter,
            LocalDate day) {}

    public Set<Position> positions() {
        return switch (position) {
            case FLAT_FILLET -> EnumSet.of(Position.FLAT_FILLET);
            case HORIZONTAL_FILLET -> EnumSet.of(Position.FLAT_FILLET, Position.HORIZONTAL_FILLET);
            case VERTICAL_FILLET ->
                EnumSet.of(Position.FLAT_FILLET, Position.HORIZONTAL_FILLET, Position.VERTICAL_FILLET);
            case OVERHEAD_FILLET ->
                EnumSet.of(Position.FLAT_FILLET, Position.HORIZONTAL_FILLET, Position.OVERHEAD_FILLET);
            case FLAT_GROOVE -> EnumSet.of(Position.FLAT_GROOVE, Position.FLAT_FILLET, Position.HORIZONTAL_FILLET);
            case HORIZONTAL_GROOVE ->
                EnumSet.of(
                        Position.FLAT_GROOVE,
                        Position.HORIZONTAL_GROOVE,
                        Position.FLAT_FILLET,
                        Position.HORIZONTAL_FILLET);
            case VERTICAL_GROOVE ->
                EnumSet.of(
                        Position.FLAT_GROOVE,
                        Position.HORIZONTAL_GROOVE,
                        Position.VERTICAL_GROOVE,
                        Position.FLAT_FILLET,
                        Position.HORIZONTAL_FILLET,
                        Position.VERTICAL_FILLET);
            case OVERHEAD_GROOVE ->
                EnumSet.of(
                        Position.FLAT_GROOVE,
                        Position.OVERHEAD_GROOVE,
                        Position.FLAT_FILLET,
                        Position.HORIZONTAL_FILLET,
                        Position.OVERHEAD_FILLET);
            case PIPE_FIXED_HORIZONTAL_FILLET, PIPE_FIXED_INCLINED_FILLET ->
                EnumSet.range(Position.FLAT_FILLET, position);
            case PIPE_FIXED_HORIZONTAL -> {
                Set<Position> all = EnumSet.allOf(Position.class);
                all.removeAll(EnumSet.of(
                        Position.HORIZONTAL_GROOVE, Position.PIPE_FIXED_INCLINED, Position.PIPE_FIXED_INCLINED_FILLET));
                yield all;
            }
            case PIPE_FIXED_INCLINED -> EnumSet.allOf(Position.class);
        };
    }

    /** The last day of it, unless the process is used again. */
    public LocalDate holdsUntil() {
        return lastUsed.plusMonths(MONTHS);
    }

    /** Why it no longer holds on a day; six months after its last use to the day it still does. */
    public Optional<String> lapse(LocalDate day) {
        LocalDate lapses = holdsUntil();
        return day.isAfter(lapses)
                ? Optional.of("lapsed on " + Day.shown(lapses) + ": last used " + Day.shown(lastUsed)
                        + ", six months ago and more")
                : Optional.empty();
    }

    /** Why this test does not cover the task; empty where it does. */
    public List<String> gaps(Task task) {
        List<String> gaps = new ArrayList<>();
        task.group().filter(g -> g > group).ifPresent(g -> gaps.add("rod group F" + g + ", tested in F" + group));
        boolean filletTest = position.id().endsWith("F");
        if (filletTest && task.weld() == WeldType.GROOVE) {
            gaps.add("a groove, tested on a fillet");
        } else {
            task.position()
                    .filter(p -> !positions().contains(p))
                    .ifPresent(p -> gaps.add("position " + p.id() + ", tested in " + position.id()));
        }
        if (task.weld() == WeldType.GROOVE) {
            thickest.filter(task.thickness()::isOver)
                    .ifPresent(t ->
                            gaps.add(task.thickness().shownWithUnit() + " thick, covered to " + t.shownWithUnit()));
            if (backing && !task.backing()) {
                gaps.add("welded without backing, tested with backing");
            }
        }
        leastDiameter
                .flatMap(least -> task.diameter().filter(d -> d.isUnder(least)))
                .ifPresent(d -> gaps.add(d.shownWithUnit() + " outside, covered from "
                        + leastDiameter.get().shownWithUnit()));
        lapse(task.day()).ifPresent(gaps::add);
        if (task.day().isBefore(tested)) {
            gaps.add("tested on " + tested + " only");
        }
        return List.copyOf(gaps);
    }

    /** The red line at set-up: empty where one of the tests covers the task, else what the nearest one lacks. */
    public static Optional<String> redLine(String welder, List<Qualification> tests, Task task) {
        if (tests.isEmpty()) {
            return Optional.of("welder " + welder + " has no qualification on record");
        }
        List<String> least = null;
        for (Qualification q : tests) {
            List<String> gaps = q.gaps(task);
            if (gaps.isEmpty()) {
                return Optional.empty();
            }
            if (least == null || gaps.size() < least.size()) {
                least = gaps;
            }
        }
        return Optional.of("welder " + welder + " is not qualified for this: " + String.join("; ", least));
    }
}
