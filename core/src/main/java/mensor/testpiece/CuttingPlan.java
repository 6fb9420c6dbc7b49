package mensor.testpiece;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.ClockFace;
import mensor.weld.Joint;

/**
 * Where each specimen is taken from a welder's test piece: kinds and number by thickness, places along the weld or around the pipe
 * (AWS D1.1 clause 6 (4) and ASME IX QW-452 and QW-463, from memory, medium confidence: check against your copy).
 *
 * @param cuts in order along the weld
 * @param discards what is cut off and thrown away
 * @param problems why it cannot be cut so: too short, or of a shape for which no plan is kept
 */
public record CuttingPlan(List<Cut> cuts, List<Span> discards, List<String> problems) {
    public static final String CITATION =
            "AWS D1.1/D1.1M clause 6 (4), ASME IX QW-452 and QW-463, from memory: check against your copy";

    private static final int PIPE_PLACES = 4;

    /** A specimen and where it is cut: a stretch of the weld, around a pipe with the time in its middle. */
    public record Cut(SpecimenKind kind, int number, Span where, Optional<String> byClock) {
        public String name() {
            return kind.title().toLowerCase(java.util.Locale.ROOT) + " " + number;
        }
    }

    public static CuttingPlan of(Joint joint) {
        Unit unit = joint.length().unit();
        return switch (joint.connection()) {
            case BUTT -> plate(joint, unit);
            case PIPE_BUTT -> pipe(joint, unit);
            case TEE, LAP, CORNER -> joint.isFillet() ? fillet(joint, unit) : plate(joint, unit);
            case TUBE_TO_PLATE ->
                none(
                        "a tube on a plate is cut into four quarters for macro sections; no plan with places is kept for it");
        };
    }

    private static CuttingPlan none(String problem) {
        return new CuttingPlan(List.of(), List.of(), List.of(problem));
    }

    private static Length discard(Unit unit) {
        return unit.pick(Length.inches(1), Length.millimetres("25"));
    }

    /** Under 3/8 in [10 mm] and up to it, one face and one root bend; thicker, as many side bends. */
    private static boolean isSideBent(Joint joint, Unit unit) {
        return joint.thinner().thickness().isOver(unit.pick(Length.inches(3, 8), Length.millimetres("10")));
    }

    private static Length width(SpecimenKind kind, Unit unit) {
        return switch (kind) {
            case FACE_BEND, ROOT_BEND -> unit.pick(Length.inches(3, 2), Length.millimetres("40"));
            case SIDE_BEND -> unit.pick(Length.inches(3, 8), Length.millimetres("10"));
            case MACRO, NICK_BREAK -> unit.pick(Length.inches(3, 4), Length.millimetres("20"));
            case FILLET_BREAK -> unit.pick(Length.inches(4), Length.millimetres("100"));
        };
    }

    /** Beside the pieces cut off at either end, the root bend from the start and the face bend from the end. */
    private static CuttingPlan plate(Joint joint, Unit unit) {
        boolean side = isSideBent(joint, unit);
        SpecimenKind first = side ? SpecimenKind.SIDE_BEND : SpecimenKind.ROOT_BEND;
        SpecimenKind last = side ? SpecimenKind.SIDE_BEND : SpecimenKind.FACE_BEND;
        Length off = discard(unit);
        Length end = joint.length();
        Length wanted = off.times(2).plus(width(first, unit)).plus(width(last, unit));
        if (end.isUnder(wanted)) {
            return none("the plate is too short: two specimens and what is cut off at the ends take "
                    + wanted.shownWithUnit());
        }
        Length rest = end.minus(off);
        return new CuttingPlan(
                List.of(
                        new Cut(first, 1, new Span(off, off.plus(width(first, unit))), Optional.empty()),
                        new Cut(last, side ? 2 : 1, new Span(rest.minus(width(last, unit)), rest), Optional.empty())),
                List.of(new Span(Length.zero(unit), off), new Span(rest, end)),
                List.of());
    }

    /** Four places halfway between top, sides and bottom of a fixed pipe; of a level one that is turned or stands upright two, opposite. */
    private static CuttingPlan pipe(Joint joint, Unit unit) {
        boolean side = isSideBent(joint, unit);
        boolean fixed = joint.position().filter(p -> p.isFixedPipe()).isPresent();
        int count = fixed ? PIPE_PLACES : 2;
        SpecimenKind[] turns = side
                ? new SpecimenKind[] {SpecimenKind.SIDE_BEND, SpecimenKind.SIDE_BEND}
                : new SpecimenKind[] {SpecimenKind.FACE_BEND, SpecimenKind.ROOT_BEND};
        List<Cut> cuts = new ArrayList<>();
        int[] numbers = new int[SpecimenKind.values().length];
        for (int i = 0; i < count; i++) {
            SpecimenKind kind = turns[i % 2];
            int eighths = 1 + i * 8 / count;
            int minutes = 90 * eighths; // 1:30 and on
            String time = time(minutes);
            Length middle = joint.clock().map(c -> c.place(time)).orElseGet(() -> eighth(joint.length(), eighths));
            Length half = width(kind, unit).dividedBy(2);
            Length from = middle.isUnder(half) ? Length.zero(unit) : middle.minus(half);
            cuts.add(new Cut(
                    kind,
                    ++numbers[kind.ordinal()],
                    new Span(from, middle.plus(half)),
                    joint.clock().map(ClockFace::datum).map(d -> time)));
        }
        Length all = cuts.stream().map(c -> width(c.kind(), unit)).reduce(Length.zero(unit), Length::plus);
        return joint.length().isUnder(all.times(2))
                ? none("the pipe is too small for " + count
                        + " specimens side by side; a smaller one is tested whole or in pairs")
                : new CuttingPlan(List.copyOf(cuts), List.of(), List.of());
    }

    private static Length eighth(Length around, int eighths) {
        return around.times(eighths).dividedBy(8);
    }

    private static String time(int minutes) {
        int hour = minutes / 60 % 12;
        return (hour == 0 ? 12 : hour) + ":" + (minutes % 60 < 10 ? "0" : "") + minutes % 60;
    }

    /** The middle is broken, and beside it a section polished; the ends are cut off. */
    private static CuttingPlan fillet(Joint joint, Unit unit) {
        Length off = discard(unit);
        Length macro = width(SpecimenKind.MACRO, unit);
        Length broken = width(SpecimenKind.FILLET_BREAK, unit);
        Length end = joint.length();
        Length wanted = off.times(2).plus(macro).plus(broken);
        if (end.isUnder(wanted)) {
            return none("the fillet is too short: a break, a section and what is cut off at the ends take "
                    + wanted.shownWithUnit());
        }
        return new CuttingPlan(
                List.of(
                        new Cut(SpecimenKind.MACRO, 1, new Span(off, off.plus(macro)), Optional.empty()),
                        new Cut(
                                SpecimenKind.FILLET_BREAK,
                                1,
                                new Span(off.plus(macro), end.minus(off)),
                                Optional.empty())),
                List.of(new Span(Length.zero(unit), off), new Span(end.minus(off), end)),
                List.of());
    }
}
