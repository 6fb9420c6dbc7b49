package mensor.testpiece;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import mensor.length.Unit;

/**
 * One thing to change on the next piece: back to what scored better, what helped this welder before, else what the commonest fault
 * asks for (common practice, no source).
 *
 * @param to the value, where one can be named
 */
public record NextChange(PieceSetting setting, Optional<String> to, String words, String why) {
    /** One step of the machine. */
    private static final int STEP = 5;

    /** What a fault asks for first. */
    private record Remedy(PieceSetting setting, int amps, String words) {}

    private static final Map<String, Remedy> REMEDIES = new LinkedHashMap<>();

    static {
        REMEDIES.put("undercut", new Remedy(PieceSetting.AMPS, -STEP, "5 A less; wait at the toe until it fills"));
        REMEDIES.put("overlap", new Remedy(PieceSetting.AMPS, STEP, "5 A more, and keep the pool moving"));
        REMEDIES.put(
                "slag", new Remedy(PieceSetting.AMPS, STEP, "5 A more; drag, so that the slag stays behind the pool"));
        REMEDIES.put("porosity", new Remedy(PieceSetting.ARC_LENGTH, 0, "a shorter arc: the core wire's diameter"));
        REMEDIES.put("lack of fusion", new Remedy(PieceSetting.AMPS, STEP, "5 A more, the arc at the root"));
        REMEDIES.put(
                "spatter", new Remedy(PieceSetting.ARC_LENGTH, 0, "a shorter arc; then 5 A less where it goes on"));
        REMEDIES.put(
                "restart", new Remedy(PieceSetting.RESTART, 0, "strike ahead of the crater and come back over it"));
        REMEDIES.put("crater", new Remedy(PieceSetting.RESTART, 0, "pause and step back at the end of the rod"));
        REMEDIES.put(
                "crack",
                new Remedy(
                        PieceSetting.RESTART,
                        0,
                        "fill every crater before the arc is broken; a first bead that is not thin"));
        REMEDIES.put("convex", new Remedy(PieceSetting.AMPS, STEP, "5 A more, and a pause at the toes"));
        REMEDIES.put(
                "unequal legs",
                new Remedy(PieceSetting.WORK_ANGLE, 0, "the rod aimed a little toward the short leg's plate"));
        REMEDIES.put(
                "strike",
                new Remedy(PieceSetting.RESTART, 0, "strike only where the bead will cover it; check the clamp"));
        REMEDIES.put(
                "uneven width",
                new Remedy(PieceSetting.TECHNIQUE, 0, "sight of the pool, a prop for the hand, then a steady count"));
    }

    /** The faults that a practice piece may be said to show. */
    public static List<String> faults() {
        return List.copyOf(REMEDIES.keySet());
    }

    /** What a fault asks for first, in words; empty for a fault that is not known here. */
    public static Optional<String> remedy(String fault) {
        return Optional.ofNullable(REMEDIES.get(fault)).map(Remedy::words);
    }

    static Optional<NextChange> of(Series series) {
        int last = series.pieces().size() - 1;
        return held(series, last)
                .or(() -> back(series, last))
                .or(() -> helped(series, last))
                .or(() -> asked(series.pieces().get(last)));
    }

    /** The newest piece that broke less and was made otherwise in one thing alone: back to that. */
    private static Optional<NextChange> held(Series series, int last) {
        for (int i = last - 1; i >= 0 && series.hasBroken(last); i--) {
            List<SettingChange> changes = series.changes(i, last);
            if (series.isSameExercise(i, last) && changes.size() == 1 && series.brokeLess(i, last)) {
                SettingChange c = changes.get(0);
                boolean whole = !series.hasBroken(i);
                return Optional.of(new NextChange(
                        c.setting(),
                        Optional.of(series.pieces().get(i).settings().get(c.setting())),
                        c.setting().title() + " back to " + c.from(),
                        whole
                                ? "the piece with " + c.to() + " failed its specimens, that with " + c.from() + " held"
                                : "with " + c.to() + " more specimens failed than with " + c.from()));
            }
        }
        return Optional.empty();
    }

    /** The last step alone made it worse: undo it. */
    private static Optional<NextChange> back(Series series, int last) {
        List<SettingChange> changes = series.changes(last);
        if (changes.size() != 1 || !series.isSameExercise(last - 1, last)) {
            return Optional.empty();
        }
        SettingChange c = changes.get(0);
        String value = series.pieces().get(last - 1).settings().get(c.setting());
        if (series.hasBroken(last) && !series.hasBroken(last - 1)) {
            return Optional.of(new NextChange(
                    c.setting(),
                    Optional.of(value),
                    c.setting().title() + " back to " + c.from(),
                    "the piece with " + c.to() + " failed its specimens, however it looks"));
        }
        if (series.hasBroken(last - 1)
                || series.pieces().get(last).score().isEmpty()
                || series.pieces().get(last - 1).score().isEmpty()) {
            return Optional.empty();
        }
        double gain = series.pieces().get(last).score().getAsDouble()
                - series.pieces().get(last - 1).score().getAsDouble();
        return gain < 0 && series.isFelt(gain)
                ? Optional.of(new NextChange(
                        c.setting(),
                        Optional.of(value),
                        c.setting().title() + " back to " + c.from(),
                        "with " + c.to() + " the score fell by " + points(-gain)))
                : Optional.empty();
    }

    /** A change of this welder's that helped, and that the last piece does not have. */
    private static Optional<NextChange> helped(Series series, int last) {
        Series.Piece now = series.pieces().get(last);
        Unit unit = now.unit();
        return series.tried().stream()
                .filter(Series.Tried::isHelp)
                .filter(t -> series.isLike(t.piece(), last))
                .filter(t -> now.settings().containsKey(t.change().setting()))
                .filter(t -> t.change()
                        .setting()
                        .isShortOf(now.settings().get(t.change().setting()), unit, t.change()))
                .findFirst()
                .map(t -> new NextChange(
                        t.change().setting(),
                        Optional.empty(),
                        t.change().setting().title() + " toward " + t.change().to(),
                        "it helped before: " + t.change().inWords() + ", " + points(t.gain()) + " more"));
    }

    /** What the commonest fault asks for. */
    private static Optional<NextChange> asked(Series.Piece now) {
        return now.faults().entrySet().stream()
                .filter(e -> e.getValue() > 0 && REMEDIES.containsKey(e.getKey()))
                .max(Comparator.<Map.Entry<String, Integer>>comparingInt(Map.Entry::getValue)
                        .thenComparing(e -> -faults().indexOf(e.getKey())))
                .map(e -> {
                    Remedy r = REMEDIES.get(e.getKey());
                    Optional<String> to = r.amps() == 0
                            ? Optional.empty()
                            : Optional.ofNullable(now.settings().get(PieceSetting.AMPS))
                                    .map(a -> mensor.weld.Range.plain(Double.parseDouble(a.strip()) + r.amps()));
                    return new NextChange(
                            r.setting(), to, r.words(), "the commonest fault of this piece is " + e.getKey());
                });
    }

    private static String points(double n) {
        return mensor.weld.Range.plain(Math.round(n * 10) / 10.0) + (n == 1 ? " point" : " points");
    }
}
