package mensor.line;

import java.util.Map;

/**
 * One argument of a kind.
 *
 * @param field its field in files; a place or a stretch has its own
 * @param title what it is called where it is missing
 * @param leadIn a word that must stand before it; empty for none
 * @param words for a word: each with the fields that it stands for
 */
record Argument(
        Shape shape,
        String field,
        String title,
        boolean needed,
        String leadIn,
        Map<String, Map<String, String>> words) {
    enum Shape {
        TOE,
        AT,
        STRETCH,
        AT_OR_STRETCH,
        STRETCH_OR_WHOLE,
        LENGTH,
        COUNT,
        WORD
    }

    /** In brackets where it may be left out, with the word that leads it in. */
    String onCard() {
        if (needed) {
            return title;
        }
        return "(" + (leadIn.isEmpty() || leadIn.equals(title) ? "" : leadIn + " ") + title + ")";
    }
}
