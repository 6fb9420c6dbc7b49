package mensor.testpiece;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import mensor.inspection.Verdict;
import mensor.length.Unit;

/**
 * The test pieces of one welder, or of one exercise of hers, in the order in which they were welded: what was changed from each to the next, and
 * what helped.
 */
public record Series(List<Piece> pieces) {
    /** Two scores nearer than this are no difference that a rater would swear to. */
    private static final double FELT = 0.5;

    private static final List<PieceSetting> LIKE =
            List.of(PieceSetting.ROD, PieceSetting.DIAMETER, PieceSetting.POSITION, PieceSetting.PROGRESSION);

    public Series {
        pieces = List.copyOf(pieces);
    }

    /**
     * A piece of the series.
     *
     * @param exercise the drill, else what the piece is made as: scores of two exercises say nothing of a change between them
     * @param score from 0 to 10, the mean of its raters; absent where nobody rated it
     * @param faults how many of each, by the word for it
     * @param broke what the specimens came to; absent where none was tested
     * @param failed how many specimens failed
     * @param rejected by the code or its specimens
     */
    public record Piece(
            String exercise,
            Map<PieceSetting, String> settings,
            Unit unit,
            OptionalDouble score,
            Map<String, Integer> faults,
            Optional<Verdict> broke,
            int failed,
            boolean rejected) {
        public Piece {
            settings = Map.copyOf(settings);
            faults = Map.copyOf(faults);
        }
    }

    /**
     * A single change, and how many points the score went up with it.
     *
     * @param piece the place in the series of the piece that was made with it
     * @param broke that piece failed its specimens: however it scored, that is no help
     */
    public record Tried(SettingChange change, double gain, int piece, boolean broke) {
        boolean isHelp() {
            return gain >= FELT && !broke;
        }
    }

    /** What was changed from the piece before. */
    public List<SettingChange> changes(int i) {
        return i == 0 ? List.of() : changes(i - 1, i);
    }

    public List<SettingChange> changes(int before, int after) {
        Piece a = pieces.get(before);
        Piece b = pieces.get(after);
        return SettingChange.between(a.settings(), a.unit(), b.settings(), b.unit());
    }

    /** The piece with the highest score that was not rejected and did not fail its specimens; of those alike the newest. Empty where there is none. */
    public Optional<Integer> best() {
        Optional<Integer> best = Optional.empty();
        for (int i = 0; i < pieces.size(); i++) {
            OptionalDouble score = pieces.get(i).score();
            if (score.isPresent()
                    && !hasBroken(i)
                    && !pieces.get(i).rejected()
                    && (best.isEmpty()
                            || score.getAsDouble()
                                    >= pieces.get(best.get()).score().getAsDouble())) {
                best = Optional.of(i);
            }
        }
        return best;
    }

    /** Each step in which one thing alone was changed between two rated pieces, what helped most first. */
    public List<Tried> tried() {
        List<Tried> tried = new ArrayList<>();
        for (int i = 1; i < pieces.size(); i++) {
            OptionalDouble before = pieces.get(i - 1).score();
            OptionalDouble after = pieces.get(i).score();
            List<SettingChange> changes = changes(i);
            if (isSameExercise(i - 1, i)
                    && !hasBroken(i - 1)
                    && changes.size() == 1
                    && before.isPresent()
                    && after.isPresent()) {
                tried.add(new Tried(changes.get(0), after.getAsDouble() - before.getAsDouble(), i, hasBroken(i)));
            }
        }
        tried.sort(Comparator.comparing(Tried::broke)
                .thenComparing(Comparator.comparingDouble(Tried::gain).reversed()));
        return List.copyOf(tried);
    }

    /** What is told of the step to a piece: nothing, the one thing that was changed, or that two at once tell nothing of either. */
    public String stepInWords(int i) {
        if (i == 0) {
            return "the first of the series";
        }
        if (!isSameExercise(i - 1, i)) {
            return "another exercise: " + pieces.get(i).exercise();
        }
        List<SettingChange> changes = changes(i);
        String words =
                String.join("; ", changes.stream().map(SettingChange::inWords).toList());
        return switch (changes.size()) {
            case 0 -> "nothing noted as changed";
            case 1 -> words;
            default -> changes.size() + " things at once: " + words + ". Which of them did it cannot be told";
        };
    }

    /** The one thing to change next; empty where nothing speaks for one. */
    public Optional<NextChange> next() {
        return pieces.isEmpty() ? Optional.empty() : NextChange.of(this);
    }

    boolean hasBroken(int i) {
        return pieces.get(i).broke().filter(v -> v == Verdict.REJECT).isPresent();
    }

    public boolean isSameExercise(int one, int other) {
        return pieces.get(one).exercise().equals(pieces.get(other).exercise());
    }

    /** The same exercise with the same rod in the same position: what one tells, it tells of the other. */
    boolean isLike(int one, int other) {
        return isSameExercise(one, other)
                && LIKE.stream().allMatch(s -> {
                    String a = pieces.get(one).settings().get(s);
                    String b = pieces.get(other).settings().get(s);
                    return a == null || b == null
                            ? a == null && b == null
                            : s.isSame(
                                    a,
                                    pieces.get(one).unit(),
                                    b,
                                    pieces.get(other).unit());
                });
    }

    /** The specimens failed of fewer: of a piece that held, none. */
    boolean brokeLess(int one, int than) {
        boolean tested = pieces.get(one).broke().isPresent();
        return tested
                && (hasBroken(one) ? pieces.get(one).failed() : 0)
                        < (hasBroken(than) ? Math.max(1, pieces.get(than).failed()) : 0);
    }

    boolean isFelt(double gain) {
        return Math.abs(gain) >= FELT;
    }
}
