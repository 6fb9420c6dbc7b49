package mensor.inspection;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import mensor.length.Length;
import mensor.length.Span;
import mensor.weld.Toe;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** A kind's description holds all that its record holds, so that no reader or writer made from it can lose a field. */
class IndicationKindTest {
    private static final Length DEPTH = Length.inches(3, 64);

    private static Object some(IndicationField f) {
        return switch (f.shape()) {
            case TOE, TOE_OR_ROOT -> Toe.B;
            case DEPTH, SIZE, EXTENT -> DEPTH;
            case COUNT -> 7L;
            case FLAG -> true;
            case WORD -> f.words().get(f.words().size() - 1).value();
        };
    }

    private static IndicationValues full(IndicationKind kind) {
        IndicationValues values = new IndicationValues();
        switch (kind.placement()) {
            case AT, AT_OR_NONE -> values.at(Span.at(Length.inches(3)));
            case STRETCH, STRETCH_BESIDE, AT_OR_STRETCH -> values.at(new Span(Length.inches(3), Length.inches(5)));
            case NONE -> {}
        }
        kind.fields().forEach(f -> values.with(f.name(), some(f)));
        if (!kind.measured().isEmpty()) {
            values.division(Optional.of(Length.inches(1, 64)));
        }
        return values;
    }

    @ParameterizedTest
    @EnumSource
    void whatGoesInComesOut(IndicationKind kind) {
        IndicationValues in = full(kind);
        Indication made = kind.of(in);
        assertThat(made.kind()).isEqualTo(kind);
        IndicationValues out = made.values();
        assertThat(out.span()).isEqualTo(in.span());
        assertThat(out.division()).isEqualTo(in.division());
        for (IndicationField f : kind.fields()) {
            assertThat(out.find(f.name())).as(f.name()).isEqualTo(in.find(f.name()));
        }
        assertThat(kind.of(out)).isEqualTo(made);
        long described = kind.fields().size()
                + (kind.placement() == IndicationKind.Placement.NONE ? 0 : 1)
                + (kind.measured().isEmpty() ? 0 : 1);
        assertThat(made.getClass().getRecordComponents())
                .as("every component of the record is described")
                .hasSize((int) described);
    }

    @Test
    void everyRecordHasItsKind() {
        Set<String> records = Arrays.stream(Indication.class.getPermittedSubclasses())
                .map(Class::getSimpleName)
                .collect(Collectors.toSet());
        assertThat(Stream.of(IndicationKind.values())
                        .map(k -> k.of(full(k)).getClass().getSimpleName()))
                .containsExactlyInAnyOrderElementsOf(records);
    }

    @Test
    void noTwoKindsShareAWord() {
        assertThat(Stream.of(IndicationKind.values()).flatMap(k -> k.lineWords().stream()))
                .doesNotHaveDuplicates();
    }
}
