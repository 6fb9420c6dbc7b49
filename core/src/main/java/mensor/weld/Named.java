package mensor.weld;

import java.util.Arrays;
import java.util.Optional;
import java.util.stream.Collectors;

/** A word of the trade that files and answers spell in one way. */
public interface Named {
    String id();

    static <E extends Enum<E> & Named> Optional<E> find(Class<E> words, String id) {
        return Arrays.stream(words.getEnumConstants())
                .filter(w -> w.id().equals(id))
                .findFirst();
    }

    /** All the words, as an error message lists them. */
    static <E extends Enum<E> & Named> String list(Class<E> words) {
        return Arrays.stream(words.getEnumConstants()).map(Named::id).collect(Collectors.joining(", "));
    }
}
