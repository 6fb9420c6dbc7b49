package mensor.line;

import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import mensor.inspection.Criterion;
import mensor.inspection.Entry;
import mensor.line.EntryLine.Parse;
import mensor.line.EntryLine.TypedEntry;
import mensor.weld.Joint;

/**
 * What cannot be seen: {@code cover root by UT 114} for the whole weld, {@code cover undercut 4-6 by UT 114} for a stretch,
 * {@code cover undercut 4-6} for one that nobody gets at.
 */
final class CoverLine {
    private static final String BY = "by";
    private static final String STRETCH = "from–to, where a stretch is meant";
    private static final String HOW = "by and what covers it; a stretch without it is not accessible";

    private final Joint joint;
    private final String line;
    private final List<Token> tokens;

    /** @param tokens of the line, its first word among them */
    CoverLine(Joint joint, String line, List<Token> tokens) {
        this.joint = joint;
        this.line = line;
        this.tokens = tokens;
    }

    private static List<String> criteria() {
        return Stream.of(Criterion.values())
                .filter(c -> c.clearable() || c == Criterion.SIZE)
                .map(Criterion::id)
                .toList();
    }

    Parse read(String before) {
        if (tokens.size() == 1) {
            return EntryLine.open(before, List.of("a criterion"), criteria());
        }
        Token criterion = tokens.get(1);
        if (!criteria().contains(criterion.text())) {
            List<String> begun = criteria().stream()
                    .filter(c -> c.startsWith(criterion.text()))
                    .toList();
            return begun.isEmpty() || tokens.size() > 2
                    ? EntryLine.wrong(
                            before, criterion, "\"" + criterion.text() + "\" is no criterion that can be covered")
                    : EntryLine.open(before, List.of("a criterion"), begun);
        }
        Map<String, String> fields = new LinkedHashMap<>(Map.of("criterion", criterion.text()));
        int next = 2;
        if (next < tokens.size() && !tokens.get(next).text().equals(BY)) {
            Token where = tokens.get(next);
            Optional<String[]> ends = LineMatcher.stretch(joint, where.text());
            if (ends.isEmpty()) {
                return EntryLine.wrong(before, where, "\"" + where.text() + "\" is no stretch; as 4-6, then by what");
            }
            fields.put("from", ends.get()[0]);
            fields.put("to", ends.get()[1]);
            next++;
        }
        if (next == tokens.size()) {
            return fields.containsKey("from")
                    ? new Parse(
                            List.of(new TypedEntry(Entry.Sort.COVER, fields)),
                            before,
                            Optional.empty(),
                            0,
                            0,
                            List.of(HOW),
                            List.of(BY))
                    : EntryLine.open(before, List.of(STRETCH, HOW), List.of(BY));
        }
        if (!tokens.get(next).text().equals(BY)) {
            return EntryLine.wrong(before, tokens.get(next), HOW);
        }
        if (next + 1 == tokens.size()) {
            return EntryLine.open(before, List.of("what covers it, as UT report 114"), List.of());
        }
        fields.put(BY, line.substring(tokens.get(next + 1).from()).strip());
        return new Parse(
                List.of(new TypedEntry(Entry.Sort.COVER, fields)),
                before,
                Optional.empty(),
                0,
                0,
                List.of(),
                List.of());
    }
}
