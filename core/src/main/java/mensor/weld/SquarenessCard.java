package mensor.weld;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import mensor.weld.CardLine.State;

/**
 * Whether a joint was square and straight before it was welded and after (common practice, no source): a weld pulls toward the side
 * welded first. What is allowed is the drawing's: the criteria books here set no limit for it.
 */
public final class SquarenessCard {
    /**
     * What was read; what is absent was not.
     *
     * @param preset how far away from the side welded first the member was set
     * @param before after tacking; over zero toward that side, below zero away from it
     * @param allowed what the drawing allows, either way
     */
    public record Answers(
            Optional<Lean> preset,
            Optional<Lean> before,
            Optional<Lean> after,
            Optional<Lean> allowed,
            Optional<Lean> bowBefore,
            Optional<Lean> bowAfter,
            Optional<Lean> bowAllowed,
            Optional<Boolean> tackedBothEnds,
            Optional<Boolean> alternated) {}

    /** How far before and preset may lie apart before it is worth a word. */
    private static final double HALF_A_DEGREE = 0.5;
    /** What a small test stack pulls at most. */
    private static final double USUAL_PULL = 3;

    private final Answers a;
    private final List<CardLine> lines = new ArrayList<>();

    private SquarenessCard(Answers a) {
        this.a = a;
    }

    public static List<CardLine> lines(Answers answers) {
        SquarenessCard card = new SquarenessCard(answers);
        card.before();
        card.yes("Tacked", answers.tackedBothEnds(), "at both ends, before the first bead");
        card.yes(
                "Order of the passes",
                answers.alternated(),
                "sides turn about; on one side alone from the middle out, each rod toward the middle");
        card.held(
                "Square after welding",
                answers.after().map(SquarenessCard::toward).orElse(""),
                answers.after(),
                answers.allowed());
        card.pull();
        card.bow();
        return List.copyOf(card.lines);
    }

    /** What of it departs, for the record as a whole. */
    public static List<PassCheck.Departure> departures(Answers answers) {
        return lines(answers).stream()
                .filter(l -> l.state() == State.DEPARTS)
                .map(l -> new PassCheck.Departure(-1, l.title() + ": " + l.read() + ", " + l.wanted(), true))
                .toList();
    }

    private void line(String title, String read, String wanted, State state) {
        lines.add(CardLine.of(title, read, wanted, state));
    }

    private void yes(String title, Optional<Boolean> answer, String wanted) {
        lines.add(CardLine.of(title, answer, wanted));
    }

    private void before() {
        boolean off = a.preset()
                .flatMap(p -> a.before().map(b -> Math.abs(b.degrees() + p.degrees()) > HALF_A_DEGREE))
                .orElse(false);
        line(
                "Square before welding",
                a.before().map(SquarenessCard::toward).orElse(""),
                a.preset()
                        .map(p -> "preset " + degrees(p.degrees()) + " away")
                        .orElse("preset away by what a trial piece pulled, 1–3° for a small tee"),
                off ? State.REMARK : State.OK);
    }

    /** What was read against what is allowed. */
    private void held(String title, String read, Optional<Lean> lean, Optional<Lean> allowed) {
        line(
                title,
                read,
                allowed.map(l -> l.shown() + " is allowed")
                        .orElse("say what the drawing allows: the criteria set no limit for it"),
                lean.flatMap(r -> allowed.map(r::isOver))
                        .map(over -> over ? State.DEPARTS : State.OK)
                        .orElse(State.REMARK));
    }

    private void pull() {
        Optional<Double> pull = a.before().flatMap(b -> a.after().map(r -> r.degrees() - b.degrees()));
        line(
                "Pulled by the weld",
                pull.map(SquarenessCard::way).orElse(""),
                pull.filter(p -> p > 0)
                        .map(p -> "preset the next one " + degrees(p) + " away")
                        .orElse("from the readings before and after"),
                pull.filter(p -> Math.abs(p) > USUAL_PULL).isPresent() ? State.REMARK : State.OK);
    }

    private void bow() {
        line(
                "Bow before welding",
                a.bowBefore().map(Lean::shown).orElse(""),
                "an offset over a length, along the weld",
                State.OK);
        held("Bow after welding", a.bowAfter().map(Lean::shown).orElse(""), a.bowAfter(), a.bowAllowed());
    }

    private static String toward(Lean lean) {
        String typed = lean.shown().contains("over") ? " (" + lean.shown().replace("-", "") + ")" : "";
        return way(lean.degrees()) + typed;
    }

    private static String way(double by) {
        return Math.abs(by) < 0.05
                ? "square"
                : degrees(by) + (by > 0 ? " toward the side welded first" : " away from the side welded first");
    }

    private static String degrees(double d) {
        return Range.plain(Math.round(Math.abs(d) * 10) / 10.0) + "°";
    }
}
