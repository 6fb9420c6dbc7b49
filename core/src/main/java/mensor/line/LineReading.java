package mensor.line;

import java.util.List;
import java.util.Map;

/**
 * One way to read the words.
 *
 * @param used how many of them
 * @param joined how many lengths were made of two words
 * @param next the arguments that may still come
 * @param stuck the word that fits nowhere; null where all fit
 */
record LineReading(Map<String, String> fields, int used, int joined, List<Argument> next, Token stuck, String problem) {
    boolean isBetterThan(LineReading other) {
        boolean whole = stuck == null && next.stream().noneMatch(Argument::needed);
        boolean otherWhole = other.stuck == null && other.next.stream().noneMatch(Argument::needed);
        if (whole != otherWhole) {
            return whole;
        }
        if ((stuck == null) != (other.stuck == null)) {
            return stuck == null;
        }
        return used != other.used ? used > other.used : joined < other.joined;
    }
}
