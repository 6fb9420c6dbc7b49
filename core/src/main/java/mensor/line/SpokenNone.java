package mensor.line;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.IntStream;
import mensor.line.SpokenLine.Written;
import mensor.line.SpokenNumbers.Said;

/** A sentence that says what was inspected for and not seen. It takes nothing that could mean that something was seen. */
final class SpokenNone {
    private final List<Said> said;

    SpokenNone(List<Said> said) {
        this.said = said;
    }

    /** "None seen: cracks and overlap", "no cracks, no overlap", "cracks and overlap none seen"; what was seen is said by itself. */
    Written written() {
        List<String> criteria = new ArrayList<>();
        List<Integer> named = new ArrayList<>();
        int i = 0;
        while (i < said.size()) {
            Said w = said.get(i);
            Optional<SpokenWords.Found> c = SpokenWords.phrase(said, i, SpokenWords.CRITERIA);
            if (c.isPresent()) {
                criteria.add(c.get().means());
                named.add(i);
                i += c.get().words();
                continue;
            }
            if (w.number()) {
                return SpokenLine.stuck(
                        w, "none seen is said of the whole weld; what was seen at a place is a line of its own", true);
            }
            if (!SpokenWords.BESIDE_NONE.contains(w.text()) && !SpokenWords.NONE.contains(w.text())) {
                return SpokenLine.stuck(w, "\"" + w.text() + "\" is no criterion that an inspection can clear", true);
            }
            i++;
        }
        if (criteria.isEmpty()) {
            return new Written(Optional.of("none"), Optional.empty(), "", true);
        }
        Optional<Said> doubtful = doubtful(named);
        if (doubtful.isPresent()) {
            return SpokenLine.stuck(
                    doubtful.get(), "what of these was seen? say none first, or last, of all that was not", true);
        }
        return new Written(
                Optional.of(
                        "none " + String.join(" ", criteria.stream().distinct().toList())),
                Optional.empty(),
                "",
                true);
    }

    /**
     * The word that leaves open which criteria are meant: "crack, none seen overlap", "cracks seen, overlap none seen", "no overlap, cracks
     * seen". A "seen" stands right after the none, or closes what "or" joins; else it could say that something was seen.
     *
     * @param named where the criteria are
     */
    private Optional<Said> doubtful(List<Integer> named) {
        int last = named.get(named.size() - 1);
        boolean begins = IntStream.range(0, named.get(0)).anyMatch(i -> isOf(SpokenWords.NONE, i));
        boolean ends = IntStream.range(last, said.size()).anyMatch(i -> isOf(SpokenWords.NONE, i));
        if (!begins && !ends) {
            return IntStream.range(0, said.size())
                    .filter(i -> isOf(SpokenWords.NONE, i))
                    .mapToObj(said::get)
                    .findFirst();
        }
        boolean alone = true; // the last criterion stands alone after its none, or an "or" joins it to those before
        boolean any = false;
        boolean seen = false;
        for (int i = 0; i < said.size(); i++) {
            boolean afterNone = i > 0 && isOf(SpokenWords.NONE, i - 1);
            if (isOf(SpokenWords.NONE, i)) {
                if (seen && !begins) {
                    return Optional.of(said.get(i)); // what stands before it was seen
                }
                any = false;
                seen = false;
            } else if (named.contains(i)) {
                if (seen && any && !isOf(SpokenWords.OR, i - 1)) {
                    return Optional.of(said.get(i));
                }
                alone = !any || isOf(SpokenWords.OR, i - 1);
                any = true;
                seen &= !begins;
            } else if (isOf(SpokenWords.SEEN, i) && !afterNone) {
                seen = true;
                if (begins && any && !alone) {
                    return Optional.of(said.get(i));
                }
            }
        }
        return Optional.empty();
    }

    private boolean isOf(Set<String> words, int i) {
        return words.contains(said.get(i).text());
    }
}
