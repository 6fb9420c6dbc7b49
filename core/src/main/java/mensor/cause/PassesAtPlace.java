package mensor.cause;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Predicate;
import java.util.stream.IntStream;
import mensor.length.Span;
import mensor.weld.ArcLength;
import mensor.weld.Named;
import mensor.weld.Pass;
import mensor.weld.PassDetail.Changed;
import mensor.weld.Technique;

/** The passes as they ran at one place: what was changed within a pass holds from its place on, and the record's value no longer. */
public final class PassesAtPlace {
    /**
     * A change within a pass, and where it holds.
     *
     * @param pass its place in the record, from 0
     * @param to what it was set to, as typed: {@code 140}, {@code weave}, {@code long}, {@code 30 %}
     */
    public record ChangeHere(int pass, Span where, Changed what, String to) {}

    private final List<ChangeHere> here;

    PassesAtPlace(List<ChangeHere> changes, Predicate<Span> touches) {
        this.here = changes.stream().filter(c -> touches.test(c.where())).toList();
    }

    /** The passes with what each was last set to at the place; as recorded where nothing was changed. */
    List<Pass> of(List<Pass> recorded) {
        return IntStream.range(0, recorded.size())
                .mapToObj(n -> of(n, recorded.get(n)))
                .toList();
    }

    private Pass of(int n, Pass pass) {
        OptionalDouble amps = number(last(n, Changed.AMPS).map(t -> t.replaceAll("(?i)\\s*a(mps)?$", "")));
        OptionalDouble force =
                number(last(n, Changed.ARC_FORCE).filter(t -> t.endsWith("%")).map(t -> t.replace("%", "")));
        Optional<Technique> technique = last(n, Changed.TECHNIQUE)
                .flatMap(t -> Named.find(Technique.class, t.toLowerCase(java.util.Locale.ROOT)));
        return amps.isEmpty() && force.isEmpty() && technique.isEmpty() ? pass : pass.with(amps, technique, force);
    }

    /** The arc's length that was last noted at the place, by whichever pass. */
    Optional<ArcLength> arcLength() {
        return here.stream()
                .filter(c -> c.what() == Changed.ARC_LENGTH)
                .reduce((a, b) -> b)
                .flatMap(c -> Named.find(ArcLength.class, c.to().strip().toLowerCase(java.util.Locale.ROOT)));
    }

    private Optional<String> last(int pass, Changed what) {
        return here.stream()
                .filter(c -> c.pass() == pass && c.what() == what)
                .reduce((a, b) -> b)
                .map(c -> c.to().strip());
    }

    private static OptionalDouble number(Optional<String> text) {
        try {
            return text.isPresent()
                    ? OptionalDouble.of(Double.parseDouble(text.get().strip().replace(',', '.')))
                    : OptionalDouble.empty();
        } catch (NumberFormatException e) {
            return OptionalDouble.empty(); // a word, as "hotter", sets no number
        }
    }
}
