package mensor.inspection;

import java.util.Optional;
import mensor.length.Length;

/** One thing recorded during an inspection: a reading, an indication, a "none seen", or what covers what cannot be seen. */
public sealed interface Entry {
    /** What an entry is; its fields alone do not always tell. */
    enum Sort {
        READING,
        INDICATION,
        CLEAR,
        COVER
    }

    /** Answers by the entry's own record: the compiler asks for each. */
    <T> T answer(Cases<T> cases);

    /** One answer per sort of entry. */
    interface Cases<T> {
        T read(Read entry);

        T seen(Seen entry);

        T noneSeen(NoneSeen entry);

        T covered(Covered entry);
    }

    /** The gauge that it names. */
    default Optional<String> gauge() {
        return Optional.empty();
    }

    /** The smallest division of the gauge, where the entry itself gives one. */
    default Optional<Length> division() {
        return Optional.empty();
    }

    /** The same where the gauge named reads no finer than this; an entry's own division stands. */
    default Entry readTo(Length gaugeDivision) {
        return this;
    }

    /** The same where gauge and people were studied and tell no less apart than this; a coarser division of its own stands. */
    default Entry noFinerThan(Length blur) {
        return this;
    }

    record Read(Reading reading) implements Entry {
        @Override
        public Entry noFinerThan(Length blur) {
            return reading instanceof Reading.Station s
                            && s.division().filter(d -> !d.isUnder(blur)).isEmpty()
                    ? new Read(s.withDivision(blur))
                    : this;
        }

        @Override
        public Entry readTo(Length gaugeDivision) {
            return reading instanceof Reading.Station s && s.division().isEmpty()
                    ? new Read(s.withDivision(gaugeDivision))
                    : this;
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.read(this);
        }

        @Override
        public Optional<String> gauge() {
            return reading.gauge();
        }

        @Override
        public Optional<Length> division() {
            return reading.division();
        }
    }

    record Seen(Indication indication, Optional<String> gauge) implements Entry {
        @Override
        public Entry readTo(Length gaugeDivision) {
            return division().isEmpty() ? divided(gaugeDivision) : this;
        }

        @Override
        public Entry noFinerThan(Length blur) {
            return division().filter(d -> !d.isUnder(blur)).isEmpty() ? divided(blur) : this;
        }

        private Entry divided(Length division) {
            IndicationValues values = indication.values();
            boolean measured = indication.kind().measured().stream()
                    .anyMatch(f -> values.find(f.name()).isPresent());
            return measured ? new Seen(indication.kind().of(values.division(Optional.of(division))), gauge) : this;
        }

        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.seen(this);
        }

        @Override
        public Optional<Length> division() {
            return indication.division();
        }
    }

    record NoneSeen(Criterion criterion) implements Entry {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.noneSeen(this);
        }
    }

    record Covered(Cover cover) implements Entry {
        @Override
        public <T> T answer(Cases<T> cases) {
            return cases.covered(this);
        }
    }
}
