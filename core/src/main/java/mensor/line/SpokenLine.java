package mensor.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.regex.Pattern;
import mensor.line.Kinds.Kind;
import mensor.line.SpokenNumbers.Said;
import mensor.weld.Joint;

/**
 * What is said to a tablet's dictation, as the line that a hand would chalk: "undercut web toe twelve to fourteen one thirty-second
 * deep" is {@code uc a 12..14 1/32}. Every word is used, or is one of those that say nothing by themselves; a word that is not known
 * stops it, so that no "not", "about" or "maybe" is passed over.
 */
final class SpokenLine {
    private static final Pattern WORD = Pattern.compile("[^\\s,;!?]+|[,;]");

    private final Joint joint;
    private final List<Said> said;

    private SpokenLine(Joint joint, List<Said> said) {
        this.joint = joint;
        this.said = said;
    }

    /**
     * What became of what was said.
     *
     * @param written as the hand would chalk it; absent where a word stands in the way
     * @param stuck that word
     * @param spoken something in it is said rather than chalked
     */
    record Written(Optional<String> written, Optional<Token> stuck, String problem, boolean spoken) {}

    /**
     * Empty where neither a kind nor a "none seen" is in it.
     *
     * @param apart "five point three" is a place and a size, not one number
     */
    static Optional<Written> of(String line, Joint joint, boolean apart) {
        SpokenLine s = new SpokenLine(
                joint, SpokenNumbers.of(words(line), joint.length().unit(), apart));
        if (s.said.stream().anyMatch(w -> SpokenWords.NONE.contains(w.text()))) {
            return Optional.of(new SpokenNone(s.said).written());
        }
        return s.record();
    }

    private static List<Token> words(String line) {
        List<Token> words = new ArrayList<>();
        var found = WORD.matcher(line.toLowerCase(Locale.ROOT));
        while (found.find()) {
            String w = found.group().replaceFirst("[.:]+$", "");
            int from = found.start();
            // "thirty-second", "melt-through": a hyphen between letters joins two words
            for (String part : w.matches("[a-z]+(-[a-z]+)+") ? w.split("-") : new String[] {w}) {
                if (!part.isEmpty()) {
                    words.add(new Token(part, from, from + part.length()));
                }
                from += part.length() + 1;
            }
        }
        return words;
    }

    static Written stuck(Said at, String problem, boolean spoken) {
        return new Written(Optional.empty(), Optional.of(new Token(at.text(), at.from(), at.to())), problem, spoken);
    }

    private Optional<Written> noCriterion() {
        for (int i = 0; i < said.size(); i++) {
            Optional<SpokenWords.Found> found = SpokenWords.phrase(said, i, SpokenWords.NO_CRITERION);
            if (found.isPresent()) {
                return Optional.of(stuck(said.get(i), found.get().means(), true));
            }
        }
        return Optional.empty();
    }

    private Optional<Written> record() {
        Optional<SpokenWords.Found> best = Optional.empty();
        for (int i = 0; i < said.size() && best.isEmpty(); i++) {
            best = SpokenWords.phrase(said, i, SpokenWords.KINDS);
        }
        if (best.isEmpty()) {
            return noCriterion();
        }
        SpokenWords.Found found = best.get();
        String[] means = found.means().split(" ");
        Kind kind = Kinds.find(means[0]).orElseThrow();
        boolean spoken = said.stream().anyMatch(Said::spoken)
                || found.words() > 1
                || found.at() > 0
                || !kind.words().contains(said.get(found.at()).text());
        List<Said> left = new ArrayList<>(said.subList(0, found.at()));
        int before = left.size();
        left.addAll(said.subList(found.at() + found.words(), said.size()));
        List<String> also = new ArrayList<>(List.of(means).subList(1, means.length));
        return Optional.of(new SpokenEntry(joint, kind, left, before, also, spoken).written());
    }
}
