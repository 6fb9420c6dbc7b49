package mensor.line;

import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import mensor.line.SpokenNumbers.Said;

/** What is said for a kind, a criterion or a stretch, and the words that say nothing by themselves. */
final class SpokenWords {
    private SpokenWords() {}

    /** Longest first, so that "crater crack" is no crater. */
    private static final Comparator<String> LONGEST =
            Comparator.<String>comparingInt(p -> -p.split(" ").length).thenComparing(Comparator.naturalOrder());

    private static Map<String, String> phrases(String... pairs) {
        Map<String, String> all = new TreeMap<>(LONGEST);
        for (String pair : pairs) {
            String[] sides = pair.split(" = ");
            for (String phrase : sides[0].split(" \\| ")) {
                all.put(phrase, sides[1]);
            }
        }
        return all;
    }

    /** Each leads to the kind's word, and perhaps to one more word of its line. */
    static final Map<String, String> KINDS = phrases(
            "leg | legs | leg size | leg sizes | leg length | leg lengths = leg",
            "throat | throat thickness = throat",
            "blade | blade goes | gauge goes | goes | fillet gauge goes | go gauge = blade",
            "crown | crown height | reinforcement | cap height | weld reinforcement = crown",
            "root reinforcement | root height | reinforcement at the root = root",
            "convexity = convexity",
            "concavity = concavity",
            "undercut | under cut | undercutting = uc",
            "pore | pores | porosity | pinhole | pinholes | gas pore | gas pores | gas hole | gas holes | blow hole | wormhole = pore",
            "crack | cracks | cracking = crack",
            "crater crack | crater cracks | crack in the crater = crack crater",
            "toe crack | toe cracks | crack at the toe = crack toe",
            "base metal crack | crack in the base metal = crack base",
            "incomplete fusion | lack of fusion | missing fusion | cold fusion | fusion | lof = fusion",
            "overlap | cold lap | roll over | rollover = overlap",
            "undersize | under size | undersized | too small = undersize",
            "underfill | underfilled | under fill = underfill",
            "crater | unfilled crater | open crater = crater",
            "filled crater = crater filled",
            "slag | slag island | slag islands | slag line | slag lines = slag",
            "trapped slag | slag trapped | slag inclusion | slag inclusions | wagon track | wagon tracks = slag trapped",
            "covering slag | slag covering = slag covering",
            "spatter | splatter | bb | bbs | bb's = spatter",
            "loose spatter | spatter loose = spatter loose",
            "tight spatter | spatter tight = spatter tight",
            "arc strike | arc strikes | stray arc | stray arc strike | strike | strikes = arc",
            "incomplete penetration | lack of penetration | missing penetration | lop = penetration",
            "melt through | excessive melt through | icicle | icicles = melt",
            "root concavity | concave root | suck back | suckback = concave-root",
            "burn through | blow through | hole | holes | keyhole | keyholes = burn",
            "offset | misalignment | high low | hi lo | high lo = offset",
            "restart | poor restart | bad restart | divot | divots | tie in | tie ins | bad tie in = restart",
            "too short | weld too short | short weld | weld is too short = short",
            "not as drawn = drawing");

    /** Troubles that no criterion limits, and what is recorded of them. */
    static final Map<String, String> NO_CRITERION = phrases(
            "wavy | wavy bead | uneven | uneven bead | ropy | ropy bead = no criterion limits a wavy bead: record what is low, high"
                    + " or undercut in it; why it is wavy is asked under Causes");

    static final Map<String, String> CRITERIA = phrases(
            "crack | cracks | cracking = crack",
            "incomplete fusion | lack of fusion | missing fusion | fusion = fusion",
            "crater | craters | unfilled craters = crater",
            "overlap | overlaps | cold lap = overlap",
            "profile | profile faults = profile",
            "length | short welds = length",
            "as drawn | drawing = as-drawn",
            "undercut | undercuts | under cut = undercut",
            "porosity | pores | pore | pinholes = porosity",
            "arc strike | arc strikes | stray arc | strike | strikes = arc-strike",
            "slag = slag",
            "spatter | splatter = spatter",
            "root | root faults = root",
            "misalignment | offset | high low = misalignment");

    static final Set<String> NONE = Set.of("none", "no", "nothing", "neither");

    /** It was there to be seen, unless a none stands right before it. */
    static final Set<String> SEEN = Set.of("seen", "see", "found", "visible", "there");

    static final Set<String> OR = Set.of("or", "nor", "any");

    /** Words beside the criteria in a sentence that says none was seen. */
    static final Set<String> BESIDE_NONE = Set.of(
            "seen",
            "see",
            "found",
            "visible",
            "i",
            "of",
            "the",
            "there",
            "is",
            "are",
            "was",
            "were",
            "and",
            "or",
            "nor",
            "any",
            "a",
            "for",
            "inspected",
            "at",
            "all",
            "anywhere");

    /** From the datum to the end. */
    static final List<String> WHOLE = List.of(
            "the whole length",
            "the full length",
            "whole length",
            "full length",
            "entire length",
            "the entire length",
            "all along",
            "the whole weld",
            "whole weld",
            "end to end",
            "everywhere",
            "all the way");

    static final Set<String> UP_TO = Set.of("to", "through", "thru", "until", "till", "–", "-");

    /** Said around what is recorded; none of them takes anything back or makes it less certain. */
    static final Set<String> FILLERS = Set.of(
            "the",
            "is",
            "are",
            "was",
            "were",
            "there",
            "there's",
            "i",
            "we",
            "see",
            "seen",
            "found",
            "have",
            "with",
            "of",
            "deep",
            "depth",
            "diameter",
            "size",
            "across",
            "an",
            "on",
            "in",
            "it",
            "inch",
            "inches",
            "mark",
            "and",
            "by",
            "from",
            "reads",
            "read",
            "reading",
            "measures",
            "measured",
            "at",
            "toe",
            "side",
            "place",
            "station",
            "datum",
            "long",
            "missing",
            "length",
            "height",
            "each",
            "high",
            "smooth",
            "them",
            "which",
            "least",
            "laps",
            "width",
            "face",
            "metal",
            "weld",
            "only",
            "goes",
            "checked",
            "a");

    /** Which phrase begins at a word, and how many words it has. */
    record Found(String means, int at, int words) {}

    static Optional<Found> phrase(List<Said> words, int at, Map<String, String> phrases) {
        for (Map.Entry<String, String> p : phrases.entrySet()) {
            if (begins(words, at, p.getKey())) {
                return Optional.of(new Found(p.getValue(), at, p.getKey().split(" ").length));
            }
        }
        return Optional.empty();
    }

    static boolean begins(List<Said> words, int at, String phrase) {
        String[] parts = phrase.split(" ");
        if (at + parts.length > words.size()) {
            return false;
        }
        for (int i = 0; i < parts.length; i++) {
            Said w = words.get(at + i);
            if (w.number() || !w.text().equals(parts[i])) {
                return false;
            }
        }
        return true;
    }
}
