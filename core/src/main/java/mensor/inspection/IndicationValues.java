package mensor.inspection;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Named;
import mensor.weld.Toe;

/**
 * An indication taken apart: its place, and its fields by the names of {@link IndicationKind#fields}. A field holds what its
 * shape says: a {@link Length}, a {@link Toe}, a number, a truth, or the word of a {@link Named}.
 */
public final class IndicationValues {
    private Optional<Span> span = Optional.empty();
    private Optional<Length> division = Optional.empty();
    private final Map<String, Object> fields = new LinkedHashMap<>();

    public IndicationValues at(Span place) {
        span = Optional.of(place);
        return this;
    }

    public IndicationValues division(Optional<Length> smallest) {
        division = smallest;
        return this;
    }

    public IndicationValues with(String field, Object value) {
        fields.put(field, value);
        return this;
    }

    public IndicationValues with(String field, Optional<?> value) {
        value.ifPresent(v -> fields.put(field, v instanceof Named n && !(v instanceof Toe) ? n.id() : v));
        return this;
    }

    public Optional<Span> span() {
        return span;
    }

    public Optional<Length> division() {
        return division;
    }

    public Optional<Object> find(String field) {
        return Optional.ofNullable(fields.get(field));
    }

    Span place() {
        return span.orElseThrow();
    }

    Length length(String field) {
        return optionalLength(field).orElseThrow();
    }

    Optional<Length> optionalLength(String field) {
        return find(field).map(Length.class::cast);
    }

    Toe toe() {
        return (Toe) fields.get("toe");
    }

    Optional<Toe> optionalToe(String field) {
        return find(field).map(Toe.class::cast);
    }

    boolean flag(String field) {
        return truth(field).orElse(false);
    }

    Optional<Boolean> truth(String field) {
        return find(field).map(Boolean.class::cast);
    }

    long count(String field) {
        return find(field).map(Long.class::cast).orElse(1L);
    }

    <E extends Enum<E> & Named> Optional<E> word(String field, Class<E> words) {
        return find(field).map(v -> Named.find(words, (String) v).orElseThrow());
    }
}
