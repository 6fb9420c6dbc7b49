package mensor.exchange;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.Predicate;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/**
 * An installation's journal of seals, a line of JSON for each signature, each job that was brought in
 * and each clock that was confirmed. A line names in
 * {@code after} the running sum of all before it, so that none can be changed, taken out or put between; what was written before
 * lines did so is covered by the first that does. Only its end can be cut off unseen: that a {@link Head} kept elsewhere tells.
 *
 * @param lines as they stand in the file; the last may have been cut off by a power cut
 */
public record Journal(List<String> lines) {
    /** Beside the seals a journal names the jobs that were brought in, and a clock that was confirmed. */
    private static final List<String> NOTES = List.of("\"mensor-brought/1\"", "\"mensor-clock/1\"");

    private static final String AFTER = "after";
    private static final Pattern WRITTEN_AFTER = Pattern.compile("\"" + AFTER + "\": ?\"([0-9a-f]*)\"");
    private static final int SHOWN_DIGITS = 16;

    public Journal {
        lines = List.copyOf(lines);
    }

    /**
     * How far the journal goes, and what it is up to there.
     *
     * @param sha256 the running sum, empty before the first line
     */
    public record Head(int lines, String sha256) {
        public static final Head NONE = new Head(0, "");

        /** After one more line. */
        public Head with(String line) {
            return new Head(lines + 1, ChainFile.sha256((sha256 + "\n" + line).getBytes(StandardCharsets.UTF_8)));
        }

        /** As it is printed and typed: {@code 123:3F2A91C05B7710AE}. */
        public String shown() {
            return lines + ":" + digits();
        }

        private String digits() {
            return sha256.substring(0, Math.min(SHOWN_DIGITS, sha256.length())).toUpperCase(Locale.ROOT);
        }

        /** Whether this is the head that was printed as {@code shown}, with or without spaces. */
        boolean isShownAs(String shown) {
            return shown().equals(shown.replace(" ", "").toUpperCase(Locale.ROOT));
        }
    }

    /** As it stands in a file: also where a power cut left the half of a letter, no other line is lost. */
    public static Journal of(byte[] file) {
        return new Journal(new String(file, StandardCharsets.UTF_8).lines().toList());
    }

    public Head head() {
        Head head = Head.NONE;
        for (String line : lines) {
            head = head.with(line);
        }
        return head;
    }

    static boolean isNote(String line) {
        return NOTES.stream().anyMatch(line::contains);
    }

    /** A line that is no seal, with the sum of what it follows. */
    public static String note(String line, Head before) {
        Map<String, Json> fields = new LinkedHashMap<>(((Json.Object) Json.read(line)).fields());
        fields.put(AFTER, new Json.Text(before.sha256()));
        return Json.write(new Json.Object(fields)).replace("\n", "").strip();
    }

    /** The seals in it; a line that cannot be read, as one that a power cut left half written, is none. */
    public List<Seal> seals() {
        List<Seal> seals = new ArrayList<>();
        for (String line : lines) {
            if (line.contains(Seal.FORMAT)) { // beside them stand the jobs that were brought in
                try {
                    seals.add(Seal.read(line));
                } catch (UnreadableInput e) {
                    continue;
                }
            }
        }
        return seals;
    }

    /** Whether a line tells what it follows: receipts, and journals of before, do not. */
    public boolean isChained() {
        return lines.stream().anyMatch(l -> after(l).isPresent());
    }

    /** The first line that does not follow the ones before it, in words. */
    public Optional<String> fault() {
        Head head = Head.NONE;
        boolean chained = false;
        for (String line : lines) {
            Optional<String> after = after(line);
            boolean cutOff = after.isEmpty() && !isWhole(line);
            chained |= after.isPresent();
            if (chained && !cutOff && !after.equals(Optional.of(head.sha256()))) {
                return Optional.of(
                        "line " + (head.lines() + 1)
                                + " of the journal of seals does not follow the lines before it: one was changed, taken out or put in");
            }
            head = head.with(line);
        }
        return Optional.empty();
    }

    /** What does not fit between the journal and a head of it that was printed, as {@link Head#shown()}. */
    public Optional<String> fault(String printed) {
        return neverWas(h -> h.isShownAs(printed), printed);
    }

    /** What does not fit between the journal and a head of it that was kept whole. */
    public Optional<String> fault(Head kept) {
        return neverWas(kept::equals, kept.shown());
    }

    private Optional<String> neverWas(Predicate<Head> it, String shown) {
        Head head = Head.NONE;
        for (String line : lines) {
            head = head.with(line);
            if (it.test(head)) {
                return Optional.empty();
            }
        }
        return Optional.of("the journal of seals has " + lines.size() + " lines and never was at " + shown
                + ": it is another one, it was changed, or its end was cut off");
    }

    /** Lines are written by {@link Json#write}: a quote within a text is escaped there. */
    private static Optional<String> after(String line) {
        Matcher after = WRITTEN_AFTER.matcher(line);
        return after.find() ? Optional.of(after.group(1)) : Optional.empty();
    }

    private static boolean isWhole(String line) {
        try {
            return Json.read(line) instanceof Json.Object;
        } catch (UnreadableInput e) {
            return false;
        }
    }
}
