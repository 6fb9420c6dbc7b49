package mensor.server.rejectrate;

import mensor.server.rejectrate.PlotsView.Shape;
import mensor.weld.Named;

/** What is asked of the signed inspections and their repairs. */
enum Question implements Named {
    RATE("rate", "Did the rate of rejected places change?", Shape.CONTROL),
    KINDS("kinds", "Which kinds make most of the rejects?", Shape.PARETO),
    CAUSES("causes", "What likely lies behind them?", Shape.PARETO),
    POSITIONS("positions", "In which position, with which rod, is more rejected?", Shape.INTERVALS),
    FIRST_LOOK("first-look", "How many welds are accepted at the first look?", Shape.INTERVALS),
    DAYS("days", "How long does a reject stay open?", Shape.STEPS),
    METAL("metal", "Do repairs take the metal that was estimated?", Shape.PAIRS),
    HOURS("hours", "How much work is a repair, beside its estimated arc time?", Shape.PAIRS),
    EYE("eye", "How often does a test reject what the eye accepted?", Shape.INTERVALS);

    private final String id;
    private final String words;
    private final Shape shape;

    Question(String id, String words, Shape shape) {
        this.id = id;
        this.words = words;
        this.shape = shape;
    }

    @Override
    public String id() {
        return id;
    }

    String words() {
        return words;
    }

    Shape shape() {
        return shape;
    }
}
