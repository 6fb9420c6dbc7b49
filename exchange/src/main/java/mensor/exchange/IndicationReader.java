package mensor.exchange;

import java.util.List;
import java.util.Optional;
import mensor.inspection.Indication;
import mensor.inspection.IndicationField;
import mensor.inspection.IndicationKind;
import mensor.inspection.IndicationValues;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;

/** Reads one indication by its kind's description. */
final class IndicationReader {
    private IndicationReader() {}

    /** By the kind's description: each field in its shape, and no other. */
    static Indication indication(String at, Fields i) {
        IndicationKind kind = i.requiredWord("kind", IndicationKind.class);
        IndicationValues values = new IndicationValues();
        place(kind, i).ifPresent(values::at);
        for (IndicationField f : kind.fields()) {
            value(f, i).ifPresent(v -> values.with(f.name(), v));
        }
        if (!kind.measured().isEmpty()) {
            values.division(division(i, kind));
        }
        i.end();
        return kind.of(values);
    }

    private static Optional<Span> place(IndicationKind kind, Fields i) {
        return switch (kind.placement()) {
            case AT -> Optional.of(Span.at(i.requiredLength("at")));
            case AT_OR_NONE -> i.length("at").map(Span::at);
            case STRETCH, STRETCH_BESIDE -> Optional.of(i.stretch());
            case AT_OR_STRETCH -> Optional.of(i.placeOrStretch());
            case NONE -> Optional.empty();
        };
    }

    private static Optional<?> value(IndicationField f, Fields i) {
        if (f.required() && !i.has(f.name())) {
            i.required(f.name(), wanted(f));
        }
        return switch (f.shape()) {
            case TOE, TOE_OR_ROOT -> i.word(f.name(), Toe.class).map(t -> allowed(f, i, t));
            case DEPTH, EXTENT -> i.depth(f.name());
            case SIZE -> i.positive(f.name());
            case COUNT -> count(f, i);
            case FLAG -> i.bool(f.name());
            case WORD -> i.text(f.name()).map(t -> word(f, i, t));
        };
    }

    private static String wanted(IndicationField f) {
        return switch (f.shape()) {
            case TOE -> "A or B";
            case TOE_OR_ROOT -> "one of A, B, root";
            case DEPTH, EXTENT, SIZE -> "a length";
            case COUNT -> "a number";
            case FLAG -> "true or false";
            case WORD -> "one of " + ids(f);
        };
    }

    private static String ids(IndicationField f) {
        return String.join(
                ", ", f.words().stream().map(IndicationField.Word::value).toList());
    }

    private static Toe allowed(IndicationField f, Fields i, Toe toe) {
        if (toe == Toe.ROOT && f.shape() == IndicationField.Shape.TOE) {
            throw i.error(f.name(), "A or B is required, got \"root\"");
        }
        return toe;
    }

    private static String word(IndicationField f, Fields i, String text) {
        if (f.words().stream().noneMatch(w -> w.value().equals(text))) {
            throw i.error(f.name(), "one of " + ids(f) + " is required, got \"" + text + "\"");
        }
        return text;
    }

    private static Optional<Length> division(Fields i, IndicationKind kind) {
        Optional<Length> division = i.positive("division");
        List<String> read = kind.measured().stream().map(IndicationField::name).toList();
        if (division.isPresent() && read.stream().noneMatch(i::has)) {
            throw i.error("division", "goes with a " + String.join(" or ", read));
        }
        return division;
    }

    private static Optional<Long> count(IndicationField f, Fields i) {
        return i.number(f.name()).map(n -> {
            try {
                long count = n.longValueExact();
                if (count >= 1 && count <= IndicationField.MOST) {
                    return count;
                }
            } catch (ArithmeticException e) {
                // said below
            }
            throw i.error(f.name(), "a whole number from 1 to 1,000,000 is required, got " + n.toPlainString());
        });
    }
}
