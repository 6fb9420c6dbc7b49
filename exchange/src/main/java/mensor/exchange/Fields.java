package mensor.exchange;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.BiFunction;
import mensor.length.Length;
import mensor.length.LengthFormatException;
import mensor.length.Span;
import mensor.length.Unit;
import mensor.weld.ClockFace;
import mensor.weld.Named;

/**
 * The fields of one object of a file, read one by one; each error names the field by its path. {@link #end} refuses what
 * nobody asked for.
 */
final class Fields {
    private final String path;
    private final Json.Object object;
    private final Unit bareUnit;
    private final Set<String> asked = new LinkedHashSet<>();

    private Fields(String path, Json.Object object, Unit bareUnit) {
        this.path = path;
        this.object = object;
        this.bareUnit = bareUnit;
    }

    static Fields of(String path, Json value, Unit bareUnit) {
        if (value instanceof Json.Object o) {
            return new Fields(path, o, bareUnit);
        }
        throw new UnreadableInput(path, "an object is required, got " + value.said());
    }

    /** The same fields, bare lengths in another unit. */
    Fields with(Unit unit) {
        return new Fields(path, object, unit);
    }

    /** The same fields with places that were given by a clock as lengths. */
    Fields with(ClockFace clock) {
        return new Fields(path, (Json.Object) ClockPlaces.inLengths(object, clock), bareUnit);
    }

    /** The unit of bare lengths. */
    Unit unit() {
        return bareUnit;
    }

    Json.Object source() {
        return object;
    }

    String path(String field) {
        return path.isEmpty() ? field : path + "." + field;
    }

    UnreadableInput error(String field, String problem) {
        return new UnreadableInput(path(field), problem);
    }

    boolean has(String field) {
        return object.fields().containsKey(field);
    }

    Optional<Json> find(String field) {
        asked.add(field);
        Json value = object.fields().get(field);
        if (value instanceof Json.Null) {
            throw error(field, "null is not a value; leave the field out");
        }
        return Optional.ofNullable(value);
    }

    Json required(String field, String wanted) {
        return find(field).orElseThrow(() -> error(field, "is missing; " + wanted + " is required"));
    }

    Optional<String> text(String field) {
        return find(field).map(v -> asText(field, v));
    }

    String requiredText(String field) {
        String text = asText(field, required(field, "a text"));
        if (text.isBlank()) {
            throw error(field, "is empty; a text is required");
        }
        return text;
    }

    private String asText(String field, Json value) {
        if (value instanceof Json.Text t) {
            return t.value();
        }
        throw error(field, "a text is required, got " + value.said());
    }

    Optional<Boolean> bool(String field) {
        return find(field).map(v -> {
            if (v instanceof Json.Bool b) {
                return b.value();
            }
            throw error(field, "true or false is required, got " + v.said());
        });
    }

    Optional<BigDecimal> number(String field) {
        return find(field).map(v -> asNumber(path(field), v));
    }

    static BigDecimal asNumber(String path, Json value) {
        if (value instanceof Json.Number n) {
            if (n.text().length() > 30) {
                throw new UnreadableInput(
                        path,
                        "a plain number is required, got one of " + n.text().length() + " digits");
            }
            BigDecimal d = new BigDecimal(n.text());
            if (d.signum() != 0 && Math.abs(d.precision() - d.scale()) > 30) {
                throw new UnreadableInput(path, "a plain number is required, got " + n.text());
            }
            return d;
        }
        throw new UnreadableInput(path, "a number is required, got " + value.said());
    }

    /** A number at least {@code from}. */
    OptionalDouble number(String field, double from, String unit) {
        Optional<BigDecimal> n = number(field);
        if (n.isPresent() && n.get().doubleValue() < from) {
            throw error(
                    field,
                    "at least " + plain(from) + " " + unit + " is required, got "
                            + n.get().toPlainString());
        }
        return n.map(d -> OptionalDouble.of(d.doubleValue())).orElseGet(OptionalDouble::empty);
    }

    private static String plain(double d) {
        return BigDecimal.valueOf(d).stripTrailingZeros().toPlainString();
    }

    Optional<Length> length(String field) {
        return find(field).map(v -> asLength(path(field), v, bareUnit));
    }

    Length requiredLength(String field) {
        return asLength(path(field), required(field, "a length"), bareUnit);
    }

    /** A length that cannot be below zero. */
    Optional<Length> depth(String field) {
        Optional<Length> d = length(field);
        d.filter(Length::isNegative).ifPresent(l -> {
            throw error(field, "cannot be below zero, got " + l);
        });
        return d;
    }

    Length requiredDepth(String field) {
        requiredLength(field);
        return depth(field).orElseThrow();
    }

    /** A length over zero. */
    Optional<Length> positive(String field) {
        Optional<Length> d = length(field);
        d.filter(l -> !l.isPositive()).ifPresent(l -> {
            throw error(field, "must be over zero, got " + l);
        });
        return d;
    }

    Length requiredPositive(String field) {
        requiredLength(field);
        return positive(field).orElseThrow();
    }

    static Length asLength(String path, Json value, Unit bareUnit) {
        String text;
        if (value instanceof Json.Text t) {
            text = t.value();
        } else if (value instanceof Json.Number n) {
            text = n.text();
        } else {
            throw new UnreadableInput(
                    path, "a length is required, as \"1/32\", \"1 1/8\", \"2.4mm\" or a number, got " + value.said());
        }
        try {
            return Length.parse(text, bareUnit);
        } catch (LengthFormatException e) {
            if (ClockFace.isTime(text)) {
                throw new UnreadableInput(
                        path,
                        text
                                + " is a time of the clock: say at set-up that the weld runs around a round member, and where its"
                                + " datum lies on the clock");
            }
            throw new UnreadableInput(path, e.getMessage());
        }
    }

    /** The stretch in {@code from} and {@code to}; both are wanted, and {@code at} is not. */
    Span stretch() {
        if (has("at")) {
            throw error("at", "goes not together with from and to");
        }
        Length from = requiredLength("from");
        return new Span(from, requiredLength("to"));
    }

    /** A place in {@code at}, or a stretch in {@code from} and {@code to}. */
    Span placeOrStretch() {
        if (has("at")) {
            for (String f : List.of("from", "to")) {
                if (has(f)) {
                    throw error(f, "goes not together with at");
                }
            }
            return Span.at(requiredLength("at"));
        }
        if (!has("from") && !has("to")) {
            throw error("at", "is missing; at, or from and to, are required");
        }
        return stretch();
    }

    <E extends Enum<E> & Named> Optional<E> word(String field, Class<E> words) {
        return find(field).map(v -> asWord(path(field), v, words));
    }

    <E extends Enum<E> & Named> E requiredWord(String field, Class<E> words) {
        return asWord(path(field), required(field, "one of " + Named.list(words)), words);
    }

    static <E extends Enum<E> & Named> E asWord(String path, Json value, Class<E> words) {
        if (value instanceof Json.Text t) {
            return Named.find(words, t.value())
                    .orElseThrow(() -> new UnreadableInput(
                            path, "one of " + Named.list(words) + " is required, got " + value.said()));
        }
        throw new UnreadableInput(path, "one of " + Named.list(words) + " is required, got " + value.said());
    }

    Optional<Fields> object(String field) {
        return find(field).map(v -> Fields.of(path(field), v, bareUnit));
    }

    Fields requiredObject(String field) {
        return Fields.of(path(field), required(field, "an object"), bareUnit);
    }

    /** Every item of a list, read with its path; empty where the list is absent. */
    <T> List<T> list(String field, BiFunction<String, Json, T> item) {
        Optional<Json> value = find(field);
        if (value.isEmpty()) {
            return List.of();
        }
        if (!(value.get() instanceof Json.Array array)) {
            throw error(field, "a list is required, got " + value.get().said());
        }
        List<T> read = new ArrayList<>();
        for (int i = 0; i < array.items().size(); i++) {
            String at = path(field) + "[" + i + "]";
            if (array.items().get(i) instanceof Json.Null) {
                throw new UnreadableInput(at, "null is not a value");
            }
            read.add(item.apply(at, array.items().get(i)));
        }
        return read;
    }

    /** A list of objects. */
    <T> List<T> objects(String field, BiFunction<String, Fields, T> item) {
        return list(field, (at, value) -> item.apply(at, Fields.of(at, value, bareUnit)));
    }

    /** A list that must be there. */
    <T> List<T> requiredObjects(String field, BiFunction<String, Fields, T> item) {
        required(field, "a list");
        return objects(field, item);
    }

    /** Refuses the fields that were never asked for. */
    void end() {
        for (String name : object.fields().keySet()) {
            if (!asked.contains(name)) {
                throw error(name, "is not a field here; the fields are " + String.join(", ", asked));
            }
        }
    }
}
