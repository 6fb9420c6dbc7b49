package mensor.inspection;

import java.util.List;
import java.util.stream.Stream;
import mensor.weld.Named;

/**
 * One field of a kind of indication, beside its place.
 *
 * @param name in files
 * @param label for people
 * @param words of a word: what it may be; of a flag: what true and what false is called
 */
public record IndicationField(String name, String label, Shape shape, boolean required, List<Word> words) {
    /** What a field holds, and within which bounds. */
    public enum Shape {
        /** A or B. */
        TOE,
        /** A, B or root. */
        TOE_OR_ROOT,
        /** A length that is not below zero: a depth, height or diameter. */
        DEPTH,
        /** A length over zero. */
        SIZE,
        /** A length not below zero that no gauge reads. */
        EXTENT,
        /** A whole number from 1. */
        COUNT,
        FLAG,
        WORD
    }

    /** The greatest count. */
    public static final long MOST = 1_000_000;

    /** A word that a field may hold, as in files and as people say it. */
    public record Word(String value, String said) {}

    static IndicationField need(Shape shape, String name, String label) {
        return new IndicationField(name, label, shape, true, List.of());
    }

    static IndicationField may(Shape shape, String name, String label) {
        return new IndicationField(name, label, shape, false, List.of());
    }

    /** What it is called where it is so, and where not; a form shows the first of its words first. */
    static IndicationField flag(String name, String label, Word first, Word second) {
        return new IndicationField(name, label, Shape.FLAG, false, List.of(first, second));
    }

    static Word yes(String said) {
        return new Word("true", said);
    }

    static Word no(String said) {
        return new Word("false", said);
    }

    static <E extends Enum<E> & Named> IndicationField word(
            String name, String label, boolean required, Class<E> values) {
        return new IndicationField(
                name,
                label,
                Shape.WORD,
                required,
                Stream.of(values.getEnumConstants())
                        .map(v -> new Word(v.id(), v.id().replace('-', ' ')))
                        .toList());
    }

    /** Whether a gauge reads it, so that the gauge's smallest division may go with it. */
    public boolean isMeasured() {
        return shape == Shape.DEPTH;
    }
}
