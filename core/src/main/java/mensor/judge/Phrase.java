package mensor.judge;

import java.util.List;
import java.util.regex.Pattern;
import mensor.length.Length;
import mensor.length.Span;

/** A pattern with its values filled in: {@code {0}} with its unit, {@code {0:plain}} without. */
final class Phrase {
    private static final Pattern PLACE = Pattern.compile("\\{(\\d)(:plain)?}");

    private Phrase() {}

    static String of(String pattern, List<Object> values) {
        return PLACE.matcher(pattern).replaceAll(m -> {
            String shown = shown(values.get(Integer.parseInt(m.group(1))), m.group(2) != null);
            return java.util.regex.Matcher.quoteReplacement(shown);
        });
    }

    private static String shown(Object value, boolean plain) {
        if (value instanceof Length length) {
            return plain ? length.shown() : length.shownWithUnit();
        }
        if (value instanceof Span span) {
            return span.shown();
        }
        return value instanceof Reason reason ? reason.words() : value.toString();
    }
}
