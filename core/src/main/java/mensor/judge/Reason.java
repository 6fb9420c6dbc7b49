package mensor.judge;

import java.util.List;

/**
 * Why a finding came to its verdict, with the values that say so.
 *
 * @param values lengths, places, and names, in the order of the reason's pattern
 */
public record Reason(Why why, List<Object> values) {
    /** One line for people. */
    public String words() {
        return Phrase.of(why.pattern(), values);
    }

    boolean is(Why other) {
        return why == other;
    }
}
