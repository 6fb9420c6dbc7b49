package mensor.testpiece;

import java.util.List;
import java.util.Optional;
import mensor.length.Length;
import mensor.weld.InvalidField;
import mensor.weld.Named;

/**
 * An exercise: what is welded, what for, what to look at, and its aims. A practice bead is judged against these, not against a code.
 *
 * @param lookAt what the learner is to watch
 */
public record Drill(String id, String title, PieceKind kind, String purpose, List<String> lookAt, List<Aim> aims) {
    private static final int LONGEST_ID = 60;
    private static final int LONGEST_TITLE = 100;
    private static final int LONGEST_TEXT = 400;
    private static final int MOST_LINES = 20;

    public Drill {
        lookAt = List.copyOf(lookAt);
        aims = List.copyOf(aims);
        if (!id.matches("[a-z0-9][a-z0-9-]*") || id.length() > LONGEST_ID) {
            throw new InvalidField(
                    "id",
                    "up to " + LONGEST_ID + " small letters, digits and hyphens are required, got \"" + id + "\"");
        }
        text("title", title, LONGEST_TITLE);
        text("purpose", purpose, LONGEST_TEXT);
        if (lookAt.size() > MOST_LINES || aims.size() > MOST_LINES) {
            throw new InvalidField(aims.size() > MOST_LINES ? "aims" : "lookAt", "at most " + MOST_LINES);
        }
        for (int i = 0; i < lookAt.size(); i++) {
            text("lookAt[" + i + "]", lookAt.get(i), LONGEST_TEXT);
        }
        if (aims.stream().map(Aim::id).distinct().count() != aims.size()) {
            throw new InvalidField("aims", "two aims have the same id");
        }
    }

    private static void text(String field, String text, int longest) {
        if (text.isBlank() || text.length() > longest) {
            throw new InvalidField(field, "1 to " + longest + " letters are required");
        }
    }

    /** What an aim is told in. */
    public enum Measure implements Named {
        LENGTH("length"),
        COUNT("count"),
        PERCENT("percent"),
        DEGREES("degrees");

        private final String id;

        Measure(String id) {
            this.id = id;
        }

        @Override
        public String id() {
            return id;
        }
    }

    /** A value of an aim: a length, or a number of what it is told in. */
    public sealed interface Value {
        record OfLength(Length length) implements Value {}

        record OfNumber(double number) implements Value {}
    }

    /**
     * What is measured or counted on the piece, and its limits.
     *
     * @param least absent where there is none; one of both is there
     */
    public record Aim(String id, String title, Measure measure, Optional<Value> least, Optional<Value> most) {
        public Aim {
            if (!id.matches("[a-z0-9][a-z0-9-]*") || id.length() > LONGEST_ID) {
                throw new InvalidField("id", "small letters, digits and hyphens are required, got \"" + id + "\"");
            }
            text("title", title, LONGEST_TITLE);
            if (least.isEmpty() && most.isEmpty()) {
                throw new InvalidField("least", "an aim has a least, a most or both");
            }
            if (least.isPresent() && most.isPresent() && number(least.get()) > number(most.get())) {
                throw new InvalidField("least", "is over the most");
            }
        }

        static double number(Value v) {
            return v instanceof Value.OfLength l ? l.length().approximateNanometres() : ((Value.OfNumber) v).number();
        }
    }
}
